<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shopping;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Calendar\Timetable;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;

/** The first day on which each thing of a set-up is used, and by which crops. */
final class FirstDays
{
    /** @var array<string, int> day numbers by kind and id */
    private array $days = [];

    /** @var array<string, array<string, string>> crops by kind and id */
    private array $crops = [];

    public function __construct(SetupBooks $books)
    {
        $index = $books->index;
        foreach ($books->plans as $plan) {
            $crop = $plan->crop->id;
            $this->see('seed', $plan->lot->id, $plan->sowOn() - $plan->crop->coldDays, $crop);
            foreach ($plan->method->extras as $extra) {
                $this->see('supply', $extra->supply, $plan->sowOn(), $crop);
            }
            foreach ($plan->method->needs as $gear) {
                $this->see('gear', $gear, $plan->sowOn(), $crop);
            }
            foreach ($plan->stages as $stage) {
                $this->stage($stage, $index, $books, $plan);
            }
        }
        foreach ($books->bought as $crop) {
            $day = Timetable::target($index->season, $crop)->number;
            foreach (array_keys($books->nursery->basket($crop)->packs ?? []) as $offer) {
                $this->see('nursery', (string) $offer, $day, $crop->id);
            }
            $this->see('trip', 'trip', $day, $crop->id);
        }
    }

    public function day(string $kind, string $id): ?int
    {
        return $this->days["{$kind} {$id}"] ?? null;
    }

    /** @return list<string> */
    public function crops(string $kind, string $id): array
    {
        return array_values($this->crops["{$kind} {$id}"] ?? []);
    }

    private function stage(StagePlan $stage, SeasonIndex $index, SetupBooks $books, CropPlan $plan): void
    {
        $crop = $plan->crop->id;
        $rules = $stage->stage;
        if ($stage->fills() && $stage->container !== null) {
            $this->see('container', $stage->container->id, $stage->start, $crop);
        }
        foreach (self::supplies($stage, $index) as $supply) {
            $this->see('supply', $supply, $stage->start, $crop);
        }
        foreach ($rules->trayware as $tray) {
            $this->see('trayware', $tray, $stage->start, $crop);
        }
        $setup = $books->setup;
        foreach ($rules->light ? $setup->lights : [] as $id) {
            $index->lights[$id]->place === $stage->place->id && $this->see('light', $id, $stage->start, $crop);
        }
        foreach ($rules->mat ? $setup->mats : [] as $id) {
            $index->mats[$id]->place === $stage->place->id && $this->see('mat', $id, $stage->start, $crop);
        }
        if (! $stage->place->outdoors) {
            foreach (['appliance' => $setup->appliances, 'gear' => $setup->gear] as $kind => $ids) {
                foreach ($ids as $id) {
                    $this->see($kind, $id, $stage->start, $crop);
                }
            }
        }
    }

    /** @return list<string> what is filled in, put on top or fed */
    private static function supplies(StagePlan $stage, SeasonIndex $index): array
    {
        $rules = $stage->stage;
        $supplies = [];
        if ($stage->container !== null && $rules->mix !== null) {
            $mix = $index->mixes[$rules->mix] ?? null;
            $supplies = $mix === null ? [$rules->mix] : [...array_column($mix->parts, 'supply'), ...array_column($mix->additives, 'supply')];
        }
        if ($stage->container !== null && $rules->topDressing !== null) {
            $supplies[] = $rules->topDressing->supply;
        }
        if ($index->season->feed !== null && $rules->feedsPerWeek > 0.0) {
            $supplies[] = $index->season->feed->supply;
        }

        return $supplies;
    }

    private function see(string $kind, string $id, int $day, string $crop): void
    {
        $key = "{$kind} {$id}";
        $this->days[$key] = min($this->days[$key] ?? $day, $day);
        $this->crops[$key][$crop] = $crop;
    }
}

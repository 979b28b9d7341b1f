<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Hardiness;
use JollyPenny\Core\Season\Log\LogKind;

/** What stands outdoors in an evening: hardening off in its pots, or in the bed; by the plan as it goes on, and by what was written down. */
final readonly class PlantsOutside
{
    /** A plant that was not planted out on its day is still out in its pot for so long. */
    private const WAITS_DAYS = 60;

    /** In the bed it is looked after for so long. */
    private const BED_DAYS = 180;

    /** @var array<array-key, Hardiness> by crop */
    private array $hardiness;

    /** @var array<array-key, RowFacts> by crop */
    private array $facts;

    /** @var array<array-key, int> day number on which it was first written down to be out, by crop */
    private array $outSince;

    /** @var array<array-key, list<array{int, int}>> days on which it was planted out, and how many each time, by crop */
    private array $planted;

    public function __construct(private SetupBooks $books, private LogBook $log, private OpenAir $weather)
    {
        $catalogue = new Catalogue;
        $hardiness = $facts = $out = $planted = [];
        foreach ($books->plans as $plan) {
            $id = $plan->crop->id;
            $hardiness[$id] = Hardiness::forSpecies(
                $catalogue->recognise(SeasonDraft::kinIn($plan->species->meta), $plan->species->name),
                $plan->species->tender,
            );
            $facts[$id] = $log->crop($id);
            foreach ($log->byCrop[$id] ?? [] as $entry) {
                if ($entry->kind === LogKind::Hardened) {
                    $out[$id] ??= $entry->on->number;
                } elseif ($entry->kind === LogKind::Planted) {
                    $planted[$id][] = [$entry->on->number, $log->leftBy($entry)];
                }
            }
        }
        [$this->hardiness, $this->facts, $this->outSince, $this->planted] = [$hardiness, $facts, $out, $planted];
    }

    /** @return list<Outside> in the order of the list */
    public function on(int $evening): array
    {
        $all = [];
        foreach ($this->books->plans as $plan) {
            $facts = $this->facts[$plan->crop->id];
            if ($this->log->entries === [] || $facts->sown_on !== null) {
                array_push($all, ...$this->inPots($plan, $facts, $evening), ...$this->inTheBed($plan, $facts, $evening));
            }
        }

        return $all;
    }

    public function hardinessOf(string $crop): Hardiness
    {
        return $this->hardiness[$crop];
    }

    /** The day number from which it stands outdoors in its last stage: as written down, else as planned. */
    public function outSince(CropPlan $plan): int
    {
        return $this->outSince[$plan->crop->id] ?? $plan->stages[count($plan->stages) - 1]->start;
    }

    /** @return list<Outside> */
    private function inPots(CropPlan $plan, RowFacts $facts, int $evening): array
    {
        $last = $plan->stages[count($plan->stages) - 1];
        // Before they are up there is nothing to freeze.
        $stage = $evening < $plan->sown->up ? null : $this->potStage($plan, $evening);
        if ($stage === null) {
            return [];
        }
        $isHardening = $stage === $last;
        $since = $this->outSince($plan);
        // What comes up outdoors has known nothing else.
        $hardened = $plan->stages[0]->place->outdoors ? 1.0 : ($isHardening ? ($evening - $since) / max(1, $stage->end - $stage->start) : 0.0);
        // What was planted since then stood there still.
        $count = ($facts->alive ?? $this->expected($plan)) + $facts->planted - $this->plantedBy($plan->crop->id, $evening);

        return $count < 1 ? [] : [$this->outside($plan, $count, $stage, false, $hardened, $evening)];
    }

    /** The stage outdoors in which it stands in its container that evening; the last one lasts until it is planted. */
    private function potStage(CropPlan $plan, int $evening): ?StagePlan
    {
        $found = null;
        foreach ($plan->stages as $i => $stage) {
            $isLast = $i === count($plan->stages) - 1;
            $from = $isLast ? min($stage->start, $this->outSince[$plan->crop->id] ?? $stage->start) : $stage->start;
            $to = $isLast && $this->log->entries !== [] ? $stage->end + self::WAITS_DAYS : $stage->end;
            if ($stage->place->outdoors && $stage->container !== null && $evening >= $from && $evening < $to) {
                $found = $stage;
            }
        }

        return $found;
    }

    /** @return list<Outside> */
    private function inTheBed(CropPlan $plan, RowFacts $facts, int $evening): array
    {
        $last = $plan->stages[count($plan->stages) - 1];
        $direct = $plan->method->isDirectSowing();
        $from = $direct ? $plan->sown->up : $plan->plantOutOn();
        $count = match (true) {
            $this->log->entries === [] => $evening >= $from ? $this->expected($plan) : 0,
            // Sown where it grows, it is there from the day it is up.
            $direct => $evening >= $from ? (int) $facts->alive + $facts->planted : 0,
            default => $this->plantedBy($plan->crop->id, $evening),
        };

        return $count < 1 || $evening >= $from + self::BED_DAYS ? [] : [$this->outside($plan, $count, $last, true, 1.0, $evening)];
    }

    private function outside(CropPlan $plan, int $count, StagePlan $stage, bool $inTheBed, float $hardened, int $evening): Outside
    {
        return new Outside($plan->crop->id, $plan->lot->variety, $count, $stage->place, $inTheBed, $this->hardiness[$plan->crop->id]->limit($hardened),
            // In the bed it stands in the open.
            $inTheBed && ! $plan->method->isDirectSowing() ? 0.0 : $this->weather->shelterOf($stage->place, $evening + 1));
    }

    /** How many stood in the bed that evening, by the log. */
    private function plantedBy(string $crop, int $evening): int
    {
        return array_sum(array_column(array_filter($this->planted[$crop] ?? [], fn (array $one): bool => $one[0] <= $evening), 1));
    }

    private function expected(CropPlan $plan): int
    {
        return (int) round($plan->sowing->finish->mean);
    }
}

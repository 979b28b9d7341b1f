<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Potting\ContainerStay;
use JollyPenny\Core\Plan\Potting\StandingTime;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/** How the cost of one finished plant grows as a method's stages are added, for one crop with everything else as it is. */
final readonly class MethodGrowth
{
    public function __construct(private Season $season)
    {
    }

    /** @return list<GrownStage> after each stage */
    public function forCrop(Setup $setup, string $method, string $crop): array
    {
        $growth = [];
        $whole = array_column($this->season->methods, null, 'id')[$method];
        $line = $this->line($this->season, $setup->raising($crop, $method), $crop);
        $bad = $this->badSeason($whole);
        $stays = $this->stays($setup->raising($crop, $method), $crop);
        $alive = $aliveBad = 1.0;
        foreach ($whole->stages as $i => $stage) {
            $short = $this->season->withMethod($whole->with(stages: array_slice($whole->stages, 0, $i + 1)));
            $upTo = $this->line($short, $setup->raising($crop, $method), $crop);
            $alive *= $stage->survival;
            $aliveBad *= $stage->survival ** $bad;
            $growth[] = new GrownStage(
                stage: $stage->name,
                per_finished: $upTo->per_finished,
                cost: $upTo->cost,
                hours: $upTo->hours,
                sites: $upTo->stages[$i]->sites ?? null,
                from: $line->stages[$i]->start ?? null,
                to: $line->stages[$i]->end ?? null,
                alive_of_hundred: (int) round(100 * $alive),
                alive_bad: (int) round(100 * $aliveBad),
                stay: $stays[$i] ?? null,
            );
        }

        return $growth;
    }

    /** @return array<int, ContainerStay> by stage */
    private function stays(Setup $setup, string $crop): array
    {
        $books = (new SeasonCosting($this->season))->books($setup);
        $plan = $books->plans[$books->grown[$crop] ?? -1] ?? null;
        $facts = $plan === null ? null : (new Catalogue)->recognise(SeasonDraft::kinIn($plan->species->meta), $plan->species->name);

        return $plan === null || $facts === null ? [] : array_column(StandingTime::forPlan($plan, $facts->raising), null, 'stage');
    }

    private function line(Season $season, Setup $setup, string $crop): CropResult
    {
        return array_column((new SeasonCosting($season))->setup($setup)->crops, null, 'id')[$crop];
    }

    /** The power to which survivals are raised in a bad season. Costing rules, section 4. */
    private function badSeason(Method $method): float
    {
        $survival = (float) array_product(array_column($method->stages, 'survival'));
        [$bad] = TwoValues::around($survival, sqrt($this->season->luck * $survival * (1.0 - $survival)));

        return $survival < 1.0 ? log($bad) / log($survival) : 1.0;
    }

    /** @return list<string> the crops that a set-up raises so */
    public static function crops(Season $season, Setup $setup, string $method): array
    {
        return array_column(array_filter($season->crops, fn (Crop $crop): bool => $setup->methodFor($crop->id) === $method), 'id');
    }

    /** @return list<string> set-ups in which some crop is raised so */
    public static function usedBy(Season $season, string $method): array
    {
        $users = array_filter($season->setups, function (Setup $setup) use ($season, $method): bool {
            return in_array($method, array_map(fn (Crop $crop): string => $setup->methodFor($crop->id), $season->crops), true);
        });

        return array_column($users, 'id');
    }

    /** The crop to show a method by: the first that the set-up raises so, else the first of the list. */
    public static function example(Season $season, Setup $setup, string $method): ?string
    {
        foreach ($season->crops as $crop) {
            if ($setup->methodFor($crop->id) === $method) {
                return $crop->id;
            }
        }

        return $season->crops[0]->id ?? null;
    }
}

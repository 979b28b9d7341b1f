<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\SowAgain;

use JollyPenny\Core\Plan\Books\Basket;
use JollyPenny\Core\Plan\Calendar\Timetable;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Crops\SowAmount;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;

/** The question of one crop in a set-up: sow again, or sow in two steps. */
final readonly class Sowings
{
    /** Sown again by then, plants are at most so many days late. */
    private const LATEST_DAYS = 14;

    /** More wanted than this is not weighed in two steps: sums over sums. */
    private const MOST_WANTED = 60;

    /** Weighed beyond the plan's number. */
    private const SPARE = 10;

    public function __construct(private SeasonCosting $costing, private Setup $setup)
    {
    }

    /**
     * @param  int  $up  counted at the full look
     * @param  ?int  $of  sites (or seeds in community pots) sown; null as planned
     * @param  ?string  $sownOn  the day it was sown; null as planned
     * @param  string  $today  the day one would sow again
     * @return ?SowAgain null where the set-up does not raise it
     */
    public function again(string $crop, int $up, ?int $of, ?string $sownOn, string $today): ?SowAgain
    {
        $plan = $this->plan($crop);
        if ($plan === null) {
            return null;
        }
        // Where more are up than were written down as sown, so many were sown.
        $of = max(1, $up, $of ?? $plan->sowing->units);
        $sowings = $this->sowings($plan);
        $offers = SeasonIndex::fromSeason($this->costing->season)->isSold($plan->crop);
        $most = max(1, 2 * $plan->sowing->units);
        $asked = $this->costing->season->confidence;
        [$more, $cost] = $offers ? $sowings->bestMore($of, $up, $most) : [$this->sureEnough($sowings, $of, $up, $most, $asked), 0.0];
        $none = $offers ? $sowings->costOf($of, $up, 0) : 0.0;
        $late = max(0, $plan->plantOutOn() - Timetable::target($this->costing->season, $plan->crop)->number);
        $until = $plan->sowOn() + self::LATEST_DAYS - $late;
        $sown = $sownOn === null ? $plan->sowOn() : Day::parse($sownOn)->number;
        $weights = $sowings->believed($of, $up);
        $believed = 0.0;
        foreach ($weights as $s => $row) {
            foreach ($row as $p => $weight) {
                $believed += $weight * $sowings->rate($s, $p);
            }
        }
        $shown = array_unique([0, intdiv($more, 2), $more, $more + max(1, intdiv($more, 2))]);
        $ways = array_map(fn (int $n): array => [
            'more' => $n,
            'cost' => $offers ? $sowings->costOf($of, $up, $n) : null,
            'short' => $sowings->short($of, $up, $n),
            'enough' => $sowings->enough($of, $up, $n),
        ], array_values($shown));

        return new SowAgain(
            crop: $crop,
            up: $up,
            of: $of,
            wanted: $plan->crop->wanted,
            look_on: Day::ofNumber($sown + $plan->stages[0]->days())->format(),
            until: Day::ofNumber($until)->format(),
            believed: $believed,
            more: $more,
            too_late: Day::parse($today)->number > $until,
            ways: $ways,
            each: $this->each($plan),
            saves: $none - $cost,
            in_seeds: $plan->method->pattern === Pattern::Community,
        );
    }

    /** Many seeds in one pot: then seeds are counted, not sites. */
    public function isCommunity(string $crop): bool
    {
        return $this->plan($crop)?->method->pattern === Pattern::Community;
    }

    /** @return ?TwoStep null where the set-up does not raise it, nobody sells it, too many are wanted, or one is too late for a second sowing */
    public function inTwoSteps(string $crop): ?TwoStep
    {
        $plan = $this->plan($crop);
        if ($plan === null || ! SeasonIndex::fromSeason($this->costing->season)->isSold($plan->crop) || $plan->crop->wanted > self::MOST_WANTED
            || $plan->stages[0]->days() > self::LATEST_DAYS) {
            return null;
        }
        $sowings = $this->sowings($plan);
        $most = $plan->sowing->units + self::SPARE;
        [$atOnce, $atOnceCost] = $this->cheapest(range(1, $most), fn (int $n): float => $sowings->atOnce($n));
        [$first, $cost] = $this->cheapest(range(1, $most), fn (int $n): float => $sowings->simpleRule($n, $most)[2]);
        [$more, $below] = $sowings->simpleRule($first, $most);
        $rule = array_map(fn (int $up): int => $sowings->bestMore($first, $up, $most)[0], range(0, $first));

        return new TwoStep(
            crop: $crop,
            first: $first,
            more: $more,
            below: $below,
            look_on: Day::ofNumber($plan->sowOn() + $plan->stages[0]->days())->format(),
            cost: $cost,
            at_once: $atOnce,
            at_once_cost: $atOnceCost,
            saves: $atOnceCost - $cost,
            best: $sowings->byRule($first, $rule),
            rule: $rule,
        );
    }

    /**
     * @param  list<int>  $numbers
     * @param  callable(int): float  $cost
     * @return array{int, float}
     */
    private function cheapest(array $numbers, callable $cost): array
    {
        $best = null;
        foreach ($numbers as $n) {
            $now = $cost($n);
            if ($best === null || $now < $best[1] - 1e-9) {
                $best = [$n, $now];
            }
        }

        return $best ?? [0, 0.0];
    }

    private function sureEnough(TwoSowings $sowings, int $of, int $up, int $most, float $asked): int
    {
        $reachable = $sowings->enough($of, $up, $most);
        for ($more = 0; $more < $most; $more++) {
            if ($sowings->enough($of, $up, $more) >= min($asked, $reachable - 1e-3)) {
                return $more;
            }
        }

        return $most;
    }

    private function sowings(CropPlan $plan): TwoSowings
    {
        $crop = $plan->crop;
        $offers = SeasonIndex::fromSeason($this->costing->season)->offersFor($crop);
        $prices = $offers === [] ? [] : Basket::prices($offers, Basket::plantsNeeded($crop->wanted, $crop->boughtLoss));
        $missing = array_map(
            fn (int $k): float => $offers === [] ? 0.0 : $prices[Basket::plantsNeeded($k, $crop->boughtLoss)], range(0, $crop->wanted),
        );

        return new TwoSowings($plan->sowing->chain, $plan->sowing->caps, $this->costing->season->mishap, $this->each($plan), $missing);
    }

    /** Money for one more site (or seed): what the whole season costs with half as many more, against half as many less, by each. */
    private function each(CropPlan $plan): float
    {
        $half = max(1, intdiv($plan->sowing->units, 2));
        [$low, $high] = [max(1, $plan->sowing->units - $half), $plan->sowing->units + $half];

        return max(0.0, ($this->costWith($plan->crop, $plan, $high) - $this->costWith($plan->crop, $plan, $low)) / ($high - $low));
    }

    private function costWith(Crop $crop, CropPlan $plan, int $units): float
    {
        $amount = $plan->method->pattern === Pattern::Community
            ? new SowAmount($plan->method->id, null, $units) : new SowAmount($plan->method->id, $units, null);
        $season = $this->costing->season->withCrop($crop->with(sow: $amount));

        return (new SeasonCosting($season))->setup($this->setup)->cost;
    }

    private function plan(string $crop): ?CropPlan
    {
        $books = $this->costing->books($this->setup);
        $at = $books->grown[$crop] ?? null;

        return $at === null ? null : $books->plans[$at];
    }
}

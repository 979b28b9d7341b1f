<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\GoingOut;

use InvalidArgumentException;
use JollyPenny\Core\Deciding\Choosing\SetupTotals;
use JollyPenny\Core\Living\Weather\FrostChance;
use JollyPenny\Core\Living\Weather\Nights;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Hardiness;
use JollyPenny\Core\Season\Crops\Anchor;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/**
 * What each day of planting out may cost: the days of waiting under lamps and on mats, and the chance that a night kills what stands
 * out, times buying it anew; without a cover and with one. The waiting is costed exactly every seven days, and runs straight between.
 */
final readonly class GoingOut
{
    /** Days from the plan's at which the season is costed. */
    private const KNOTS = [-21, -14, -7, 0, 7, 14, 21, 28];

    private const SAME = 1e-9;

    /**
     * @param  list<string>  $crops  ids; all of them go out so many days earlier or later
     * @param  float  $buy_anew  money, were all of it lost
     * @param  list<GoingOutDay>  $days  by day
     * @param  GoingOutDay  $best  costs least; of several the earliest
     * @param  GoingOutDay  $best_covered  costs least with a cover, its price in it
     * @param  float  $cover_worth  what a cover saves at its best day, before its own price; below 0 it saves nothing
     * @param  list<array{path: non-empty-list<string>, to: int}>  $edits  that plan the best day
     * @param  list<array{path: non-empty-list<string>, to: int}>  $edits_covered  that plan the best day with a cover
     * @param  int  $years  of weather behind the chance; 0 where it is the season's own frost and spread
     */
    private function __construct(
        public array $crops,
        public float $buy_anew,
        public array $days,
        public GoingOutDay $best,
        public GoingOutDay $best_covered,
        public float $cover_worth,
        public array $edits,
        public array $edits_covered,
        public int $years,
    ) {
    }

    /**
     * @param  list<string>  $crops  ids; without any, every crop that frost kills
     * @param  bool  $sown  it is sown: then it cannot go out earlier than it is grown
     * @param  float  $coverPrice  money; 0 for one that is there
     *
     * @throws InvalidArgumentException in words, where there is nothing to weigh
     */
    public static function weigh(SeasonCosting $costing, Setup $setup, WeatherBook $book, array $crops, bool $sown, float $coverPrice = 0.0): self
    {
        $books = $costing->books($setup);
        $plans = array_values(array_filter($books->plans, fn (CropPlan $plan): bool => self::isWeighed($plan, $crops)));
        if ($plans === []) {
            throw new InvalidArgumentException($crops === [] ? 'Nothing that frost kills is raised here and planted out in spring.'
                : 'This crop is sown where it grows, bought, or planted out in autumn: there is no day to choose.');
        }
        $threats = array_map(fn (CropPlan $plan): Threat => self::threat($plan, $costing->season, $books, $book), $plans);
        [$waiting, $crowded] = self::waiting($costing, $setup, $plans, $sown);
        $days = [];
        foreach (range(min(array_keys($waiting)), max(array_keys($waiting))) as $shift) {
            $frost = $covered = 0.0;
            foreach ($threats as $threat) {
                $frost += $threat->buyAnew * $threat->chance($shift);
                $covered += $threat->buyAnew * $threat->chanceCovered($shift);
            }
            $on = count($plans) === 1 ? Day::ofNumber($plans[0]->plantOutOn() + $shift)->format() : null;
            $wait = self::between($waiting, $shift);
            $covered += $coverPrice;
            $days[] = new GoingOutDay(
                shift: $shift,
                on: $on,
                waiting: $wait,
                frost: $frost,
                covered: $covered,
                crowded_days: self::atOrAfter($crowded, $shift),
                chance: count($plans) === 1 ? $threats[0]->chance($shift) : null,
                cost: $wait + $frost,
                cost_covered: $wait + $covered,
            );
        }
        $best = self::cheapest($days, fn (GoingOutDay $day): float => $day->cost);
        $covered = self::cheapest($days, fn (GoingOutDay $day): float => $day->cost_covered);
        $ids = array_map(fn (CropPlan $plan): string => $plan->crop->id, $plans);
        $anew = array_sum(array_map(fn (Threat $one): float => $one->buyAnew, $threats));

        return new self(
            crops: $ids,
            buy_anew: $anew,
            days: $days,
            best: $best,
            best_covered: $covered,
            cover_worth: $best->cost - $covered->cost_covered + $coverPrice,
            edits: self::edits($plans, $best->shift),
            edits_covered: self::edits($plans, $covered->shift),
            years: $threats[0]->years(),
        );
    }

    /** @param  list<string>  $crops */
    private static function isWeighed(CropPlan $plan, array $crops): bool
    {
        return ($crops === [] ? $plan->species->tender : in_array($plan->crop->id, $crops, true)) && $plan->crop->anchor === Anchor::LastFrost
            && ! $plan->method->isDirectSowing();
    }

    private static function threat(CropPlan $plan, Season $season, SetupBooks $books, WeatherBook $book): Threat
    {
        $species = (new Catalogue)->recognise(SeasonDraft::kinIn($plan->species->meta), $plan->species->name);
        // What frost kills is killed by it, however well it is hardened off.
        $dies = $plan->species->tender ? 0.0 : Hardiness::forSpecies($species, false)->hardenedC;
        $bought = $books->nursery->basket($plan->crop);
        // Where nobody sells it, it would be raised again: its share of what the set-up costs.
        $share = $plan->crop->wanted / max(1, array_sum(array_column($season->crops, 'wanted')));
        $anew = $bought->cost ?? SetupTotals::fromBooks($books)->fillCost * $share;
        $bare = FrostChance::fromWeather($book, $season, $dies) ?? throw new InvalidArgumentException(
            'Nobody knows yet how frost comes and goes here. Say how far the last frost varies, or read in ten past years.');

        return new Threat($plan->plantOutOn(), $anew, $bare, FrostChance::fromWeather($book, $season, $dies - Nights::COVER_C));
    }

    /**
     * @param  list<CropPlan>  $plans
     * @return array{non-empty-array<int, float>, non-empty-array<int, int>} money beyond the plan's, and crowded days, by days from it
     */
    private static function waiting(SeasonCosting $costing, Setup $setup, array $plans, bool $sown): array
    {
        $waiting = $crowded = [];
        foreach ($sown ? array_filter(self::KNOTS, fn (int $knot): bool => $knot >= 0) : self::KNOTS as $knot) {
            $season = $costing->season;
            foreach ($plans as $plan) {
                // Earlier one sows earlier; later it waits where it stands.
                $season = $season->withCrop($plan->crop->with(plantOutOffsetDays: $plan->crop->plantOutOffsetDays + $knot,
                    sowOn: Day::ofNumber($plan->sowOn() + min(0, $knot))));
            }
            $totals = SetupTotals::fromBooks((new SeasonCosting($season, $costing, ['crops']))->books($setup));
            [$waiting[$knot], $crowded[$knot]] = [$totals->fillCost, $totals->crowdedDays];
        }

        return [array_map(fn (float $cost): float => $cost - $waiting[0], $waiting), $crowded];
    }

    /**
     * @param  list<CropPlan>  $plans
     * @return list<array{path: non-empty-list<string>, to: int}>
     */
    private static function edits(array $plans, int $shift): array
    {
        return $shift === 0 ? [] : array_map(fn (CropPlan $plan): array => ['path' => ['crops', $plan->crop->id, 'plant_out_offset_days'],
            'to' => $plan->crop->plantOutOffsetDays + $shift], $plans);
    }

    /** @param  non-empty-array<int, float>  $knots */
    private static function between(array $knots, int $shift): float
    {
        $before = $after = $shift;
        while (! isset($knots[$before])) {
            $before--;
        }
        while (! isset($knots[$after])) {
            $after++;
        }

        return $before === $after ? $knots[$before] : $knots[$before] + ($shift - $before) / ($after - $before) * ($knots[$after] - $knots[$before]);
    }

    /** @param  non-empty-array<int, int>  $knots */
    private static function atOrAfter(array $knots, int $shift): int
    {
        while (! isset($knots[$shift])) {
            $shift++;
        }

        return $knots[$shift];
    }

    /**
     * @param  non-empty-list<GoingOutDay>  $days
     * @param  callable(GoingOutDay): float  $cost
     */
    private static function cheapest(array $days, callable $cost): GoingOutDay
    {
        $best = $days[0];
        foreach ($days as $day) {
            $best = $cost($day) < $cost($best) - self::SAME ? $day : $best;
        }

        return $best;
    }
}

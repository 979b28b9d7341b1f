<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\State;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Crops\SowAmount;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Setup;

/**
 * The plan as it goes on from what was sown: a crop that was sown on another day, or in another number, is laid and counted by the
 * calendar's own rules from there (docs/after.md). What comes after a sowing reads these books: jobs, trays, labels, the bench, the
 * feed of dates, shopping and the shed; the plan's own screens do not.
 */
final readonly class LivedSeason
{
    public static function books(SeasonCosting $costing, Setup $setup, LogBook $log): SetupBooks
    {
        $planned = $costing->books($setup);
        $sown = [];
        foreach ($planned->plans as $plan) {
            $changes = self::changes($plan, $log);
            $changes === [] ?: $sown[$plan->crop->id] = $changes;
        }
        if ($sown === []) {
            return $planned;
        }
        $books = self::with($costing, $setup, $sown);
        // What is sown keeps its jobs where the rules would give none: too cold, or a frost on a plant that stands there all the same.
        $lost = array_diff_key($sown, $books->grown);
        if ($lost !== []) {
            $kept = array_diff_key($sown, $lost);
            $books = $kept === [] ? $planned : self::with($costing, $setup, $kept);
        }

        return $books;
    }

    /** @param  array<array-key, array{sowOn?: Day, sow?: SowAmount}>  $sown  by crop */
    private static function with(SeasonCosting $costing, Setup $setup, array $sown): SetupBooks
    {
        $crops = array_map(fn (Crop $crop): Crop => isset($sown[$crop->id]) ? $crop->with(...$sown[$crop->id]) : $crop, $costing->season->crops);

        return (new SeasonCosting($costing->season->with(crops: $crops), $costing, ['crops']))->books($setup);
    }

    /** @return array{sowOn?: Day, sow?: SowAmount} what the log says otherwise than the plan */
    private static function changes(CropPlan $plan, LogBook $log): array
    {
        $facts = $log->crop($plan->crop->id);
        if ($facts->sown_on === null) {
            return [];
        }
        $changes = [];
        $on = Day::parse($facts->sown_on);
        if ($on->number !== $plan->sowOn()) {
            $changes['sowOn'] = $on;
        }
        $isThick = $plan->method->pattern === Pattern::Community;
        [$amount, $planned] = $isThick ? [$facts->seeds, $plan->sowing->seeds] : [$facts->sites, $plan->sowing->sites];
        if ($amount > 0 && $amount !== $planned) {
            $changes['sow'] = $isThick ? new SowAmount($plan->method->id, null, $amount) : new SowAmount($plan->method->id, $amount, null);
        }

        return $changes;
    }
}

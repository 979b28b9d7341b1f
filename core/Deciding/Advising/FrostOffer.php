<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Living\Weather\Frosts;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Setup;

/** The frosts of past years in place of those the season goes by, and what that would move. */
final readonly class FrostOffer
{
    /** A spread that differs by less is the same, days. */
    private const SAME_DAYS = 0.5;

    /** A season takes no more. */
    private const MOST_SPREAD_DAYS = 40.0;

    /**
     * @param  string  $last_frost  as offered, year-month-day
     * @param  ?string  $first_frost  as offered; as it is where the years say nothing of it, or it would not come after the last
     * @param  int  $years  that stand behind it
     * @param  int  $days  by which the last frost would come later; below 0 earlier
     * @param  int  $crops  whose days would move
     * @param  ?float  $per_finished_now  cost per finished seedling, as the season is
     * @param  ?float  $per_finished  with what is offered
     * @param  ?float  $keep_now  saved against buying
     * @param  list<string>  $new_warnings  crops that would be warned of something they are not warned of now
     */
    private function __construct(
        public string $last_frost,
        public float $last_frost_spread_days,
        public ?string $first_frost,
        public int $years,
        public int $days,
        public int $crops,
        public ?float $per_finished_now,
        public ?float $per_finished,
        public ?float $keep_now,
        public ?float $keep,
        public array $new_warnings,
    ) {
    }

    /** Null where the years say nothing, or what the season says already. */
    public static function forSetup(SeasonCosting $costing, Setup $setup, Frosts $last, Frosts $first): ?self
    {
        if ($last->median === null || $last->spread_days === null) {
            return null;
        }
        $season = $costing->season;
        $offered = Day::parse($last->median);
        $spread = min(self::MOST_SPREAD_DAYS, round($last->spread_days, 1));
        $autumn = $first->median === null ? null : Day::parse($first->median);
        $autumn = $autumn !== null && $autumn->number > $offered->number ? $autumn : $season->firstFrost;
        $autumn = $autumn !== null && $autumn->number <= $offered->number ? null : $autumn;
        if ($offered->number === $season->lastFrost->number && abs($spread - $season->lastFrostSpreadDays) < self::SAME_DAYS
            && $autumn?->number === $season->firstFrost?->number) {
            return null;
        }
        $then = new SeasonCosting($season->with(lastFrost: $offered, lastFrostSpreadDays: $spread, firstFrost: $autumn));
        [$a, $b] = [$costing->setup($setup), $then->setup($setup)];

        return new self(
            last_frost: $offered->format(),
            last_frost_spread_days: $spread,
            first_frost: $autumn?->format(),
            years: count($last->years),
            days: $offered->number - $season->lastFrost->number,
            crops: self::moved($a, $b),
            per_finished_now: $a->per_finished,
            per_finished: $b->per_finished,
            keep_now: $a->keep,
            keep: $b->keep,
            new_warnings: self::newWarnings($a, $b),
        );
    }

    private static function moved(SetupResult $a, SetupResult $b): int
    {
        $moved = 0;
        foreach ($a->crops as $i => $crop) {
            $moved += (int) ($crop->sow_on !== $b->crops[$i]->sow_on || $crop->plant_out_on !== $b->crops[$i]->plant_out_on);
        }

        return $moved;
    }

    /** @return list<string> */
    private static function newWarnings(SetupResult $a, SetupResult $b): array
    {
        $new = [];
        foreach ($a->crops as $i => $crop) {
            array_diff($b->crops[$i]->warnings, $crop->warnings) === [] ?: $new[] = $crop->id;
        }

        return $new;
    }
}

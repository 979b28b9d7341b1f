<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

use JollyPenny\Core\Living\Weather\OpenAir;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;

/**
 * How warm it is outdoors, month by month: the plan's, which counts as much as three years, with the days that were measured. Other
 * places outdoors stay as much warmer as they are planned. A rule of ours.
 */
final readonly class OpenAirBelief
{
    /** Days of a month that the plan's temperature is worth. */
    private const PLAN_DAYS = 90.0;

    /** Fewer days in all say nothing. */
    private const LEAST_DAYS = 60;

    /** A month that moves by less is the same, °C. */
    private const SAME_C = 0.1;

    /** @return list<Belief> one, or none where too little was measured, it is as planned, or the season has no months */
    public static function months(Season $season, WeatherBook $book): array
    {
        $open = OpenAir::placeOf($season);
        if ($open === null || ! is_array($open->tempC) || count($book->measured) < self::LEAST_DAYS) {
            return [];
        }
        [$sums, $counts] = [array_fill(0, 12, 0.0), array_fill(0, 12, 0)];
        foreach ($book->measured as $day => $weather) {
            $month = Day::ofNumber($day)->month() - 1;
            // The plan's own course over the month is no news.
            $sums[$month] += $weather->mean() - (float) $open->airOn($day);
            $counts[$month]++;
        }
        $moves = array_map(fn (float $sum, int $n): float => round($sum / (self::PLAN_DAYS + $n), 1), $sums, $counts);
        if (max(array_map(abs(...), $moves)) < self::SAME_C) {
            return [];
        }
        $edits = [];
        foreach ($season->places as $place) {
            if ($place->outdoors && is_array($place->tempC)) {
                $moved = array_map(fn (float $now, float $by): float => round($now + $by, 1), $place->tempC, $moves);
                $edits[] = ['path' => ['places', $place->id, 'temp_c'], 'to' => $moved];
            }
        }
        [$days, $all] = [array_sum($counts), self::PLAN_DAYS * 12];
        $planned = array_sum($open->tempC) / 12;

        return [new Belief(
            key: 'weather',
            id: "places.{$open->id}.temp_c",
            name: "{$open->name}, over the year",
            planned: $planned,
            counted: $planned + array_sum(array_map(fn (float $sum, int $n): float => $n === 0 ? 0.0 : $sum / $n, $sums, $counts)) / 12,
            believed: $planned + array_sum($moves) / 12,
            planned_range: null,
            believed_range: null,
            weight: $all,
            of: $days,
            similar: 0.0,
            edits: $edits,
        )];
    }
}

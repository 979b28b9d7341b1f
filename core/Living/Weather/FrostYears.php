<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Season\Day;

/** The last (or the first) frost of each year that was measured, counted in days from midsummer: July 20, or January 20 in the south. */
final readonly class FrostYears
{
    /** Air of 0 °C or less at the thermometer is a frost. */
    public const FROST_C = 0.0;

    /** Of a half-year's days so many must be measured, or its frost may be among those that were not. */
    private const MEASURED_SHARE = 0.9;

    private const HALF_A_YEAR = 182;

    private const NORTH = '-07-20';

    private const SOUTH = '-01-20';

    /**
     * @param  list<array{year: int, on: ?string, days: ?int}>  $years  day of the frost and days from midsummer (before it below 0); null without
     * @param  int  $midsummer  day number, of the season's own year
     */
    private function __construct(public array $years, public int $midsummer, public bool $isLast)
    {
    }

    /**
     * @param  Day  $lastFrost  the season's own: it says in which half of the year spring is, and of which year
     * @param  float  $coldC  what counts as a frost, °C
     */
    public static function last(WeatherBook $book, Day $lastFrost, float $coldC = self::FROST_C): self
    {
        return new self(self::all($book, $lastFrost, -self::HALF_A_YEAR, 0, true, $coldC), self::midsummer($lastFrost, $lastFrost->year()), true);
    }

    /** @param  Day  $lastFrost  the season's own */
    public static function first(WeatherBook $book, Day $lastFrost): self
    {
        return new self(self::all($book, $lastFrost, 0, self::HALF_A_YEAR, false, self::FROST_C), self::midsummer($lastFrost, $lastFrost->year()), false);
    }

    /** @return list<array{year: int, on: ?string, days: ?int}> */
    private static function all(WeatherBook $book, Day $lastFrost, int $from, int $to, bool $isLast, float $coldC): array
    {
        $days = array_keys($book->measured);
        $years = [];
        for ($year = Day::ofNumber($days[0] ?? 0)->year() - 1; $days !== [] && $year <= Day::ofNumber(end($days))->year(); $year++) {
            $midsummer = self::midsummer($lastFrost, $year);
            [$known, $on] = [0, null];
            for ($day = $midsummer + $from; $day < $midsummer + $to; $day++) {
                $weather = $book->measured[$day] ?? null;
                $known += (int) ($weather !== null);
                if ($weather !== null && $weather->low <= $coldC && ($isLast || $on === null)) {
                    $on = $day;
                }
            }
            if ($known >= self::MEASURED_SHARE * ($to - $from)) {
                $years[] = ['year' => $year, 'on' => $on === null ? null : Day::ofNumber($on)->format(), 'days' => $on === null ? null : $on - $midsummer];
            }
        }

        return $years;
    }

    /** The midsummer after the spring of a year. */
    private static function midsummer(Day $lastFrost, int $year): int
    {
        return Day::parse($lastFrost->month() < 7 ? $year.self::NORTH : ($year + 1).self::SOUTH)->number;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Day;

/**
 * A guess of the temperature outdoors, month by month, from the two frosts: 12 °C on the day of a frost, warmest midway between them.
 * A rule of ours, to be changed by who knows better: `T = 12 + a (cos φ − cos θ)` °C with φ the angle of the year from the day midway
 * between the frosts, θ that of a frost, and `a = min(16, 11 / (1 − cos θ))`. Without frost 23 °C in midsummer and 14 in midwinter.
 */
final readonly class OutdoorYear
{
    /** A closed jug in the sun is so much warmer than the air, °C. */
    public const JUG_LIFT_C = 4.0;

    private const AT_A_FROST_C = 12.0;

    private const MOST_SWING_C = 16.0;

    private const ABOVE_A_FROST_C = 11.0;

    private const FROSTLESS_C = [18.5, 4.5];

    private const YEAR_DAYS = 365.0;

    /** The warmest days of the year where only one frost is known: July 20, or January 20 in the south; month and day. */
    private const MIDSUMMER = [7, 20];

    /** The middle of each month stands for it. */
    private const MIDDLE = 15;

    /**
     * @param  ?Day  $firstFrost  null where it is not known: then as far from midsummer as the last frost
     * @param  bool  $frostless  whether there is no frost: then `lastFrost` only says when spring begins
     * @return list<float> twelve monthly means, °C, January first
     */
    public static function months(Day $lastFrost, ?Day $firstFrost, bool $frostless): array
    {
        $midsummer = self::midsummer($lastFrost);
        $mid = $firstFrost === null || $frostless ? $midsummer : ($lastFrost->number + $firstFrost->number) / 2;
        $theta = self::angle($lastFrost->number - $mid);
        $swing = min(self::MOST_SWING_C, self::ABOVE_A_FROST_C / max(1e-9, 1.0 - cos($theta)));
        $months = [];
        for ($month = 1; $month <= 12; $month++) {
            $phi = self::angle(self::day($lastFrost->year(), $month, self::MIDDLE) - $mid);
            $months[] = round($frostless ? self::FROSTLESS_C[0] + self::FROSTLESS_C[1] * cos($phi)
                : self::AT_A_FROST_C + $swing * (cos($phi) - cos($theta)), 1);
        }

        return $months;
    }

    /** The day number of the midsummer after the last frost. */
    private static function midsummer(Day $lastFrost): int
    {
        [$month, $day] = self::MIDSUMMER;
        $isNorth = (int) substr($lastFrost->format(), 5, 2) < $month;

        return $isNorth ? self::day($lastFrost->year(), $month, $day) : self::day($lastFrost->year() + 1, $month - 6, $day);
    }

    private static function angle(float $days): float
    {
        return 2 * M_PI * $days / self::YEAR_DAYS;
    }

    private static function day(int $year, int $month, int $day): int
    {
        return Day::parse(sprintf('%04d-%02d-%02d', $year, $month, $day))->number;
    }
}

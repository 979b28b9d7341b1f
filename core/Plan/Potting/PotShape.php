<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

use JollyPenny\Core\Season\Things\Measured;

/**
 * What a pot measured with a ruler holds, and how many stand on a flat. The volume is a prismatoid's, h/6 · (top + base + 4 · middle)
 * (any geometry textbook), which is a frustum's where the sides taper alike; the flat is 25.4 by 50.8 cm inside, filled in whole rows.
 */
final readonly class PotShape
{
    private const FLAT_MM = [254.0, 508.0];

    private const MM3_PER_L = 1e6;

    private const MM2_PER_M2 = 1e6;

    /** Filled to a finger below the rim. Common practice, no source. */
    private const FILLED = 0.9;

    /** Litres of mix in it. */
    public static function litres(Measured $pot): float
    {
        [$top, $base] = [self::area($pot, 1.0), self::area($pot, 0.0)];
        $volume = $pot->heightMm / 6 * ($top + $base + 4 * self::area($pot, 0.5));

        return self::FILLED * $volume / self::MM3_PER_L;
    }

    /** Open top, m². */
    public static function topArea(Measured $pot): float
    {
        return self::area($pot, 1.0) / self::MM2_PER_M2;
    }

    /** How many stand on a flat, turned the way in which more do; at least one. */
    public static function perFlat(Measured $pot): int
    {
        [$long, $wide] = [$pot->rimMm, $pot->narrowRimMm ?? $pot->rimMm];
        $rows = fn (float $across, float $along): int => (int) (self::FLAT_MM[0] / $across + 1e-9) * (int) (self::FLAT_MM[1] / $along + 1e-9);

        return max(1, $rows($long, $wide), $rows($wide, $long));
    }

    /** Of the pot cut level, mm²; 0 is the base's height, 1 the rim's. */
    private static function area(Measured $pot, float $height): float
    {
        $side = fn (float $rim, float $base): float => $base + ($rim - $base) * $height;
        $across = $side($pot->narrowRimMm ?? $pot->rimMm, $pot->narrowBaseMm ?? $pot->baseMm);

        return $side($pot->rimMm, $pot->baseMm) * $across * ($pot->round ? M_PI / 4 : 1.0);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Potting;

use JollyPenny\Core\Season\Measured;

/**
 * What a pot measured with a ruler holds, and how many stand on a flat. The volume is a frustum's (any geometry textbook); the flat
 * is 25.4 by 50.8 cm inside, filled in whole rows.
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
        [$top, $base] = [$pot->rimMm, $pot->baseMm];
        $squares = $top ** 2 + $base ** 2 + $top * $base;
        $volume = $pot->heightMm / 3 * $squares * ($pot->round ? M_PI / 4 : 1.0);

        return self::FILLED * $volume / self::MM3_PER_L;
    }

    /** Open top, m². */
    public static function topArea(Measured $pot): float
    {
        return $pot->rimMm ** 2 * ($pot->round ? M_PI / 4 : 1.0) / self::MM2_PER_M2;
    }

    /** How many of that width stand on a flat; at least one. */
    public static function perFlat(float $rimMm): int
    {
        return max(1, (int) (self::FLAT_MM[0] / $rimMm + 1e-9) * (int) (self::FLAT_MM[1] / $rimMm + 1e-9));
    }
}

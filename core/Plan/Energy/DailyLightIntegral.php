<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Energy;

use JollyPenny\Core\Season\Things\Light;

/** The light dose under a fixture, mol/m²/day: DLI = PPFD · hours · 0.0036, PPFD = 0.75 · flux / area. */
final readonly class DailyLightIntegral
{
    /** One standard flat, 10 x 20 in exactly, in m². */
    public const FLAT_M2 = 0.129032;

    /** The share of a lamp's light that reaches the leaves. */
    private const ON_TARGET = 0.75;

    /** Below this, seedlings grow leggy. */
    private const DIM = 10.0;

    /**
     * What lamps give together: the mean, by the flats they light, of those of which it is known.
     *
     * @param  list<Light>  $lights
     */
    public static function ofAll(array $lights): ?float
    {
        $sum = $flats = 0.0;
        foreach ($lights as $light) {
            $dose = self::forLight($light);
            if ($dose !== null) {
                $sum += $dose * $light->flats;
                $flats += $light->flats;
            }
        }

        return $flats > 0.0 ? $sum / $flats : null;
    }

    /** Whether a dose is too little; rounding in its last places makes none too little. */
    public static function isDim(float $dose): bool
    {
        return $dose < self::DIM - 1e-9;
    }

    public static function forLight(Light $light): ?float
    {
        return $light->ppfUmolS === null ? null
            : self::ON_TARGET * $light->ppfUmolS / ($light->flats * self::FLAT_M2) * $light->hoursPerDay * 0.0036;
    }
}

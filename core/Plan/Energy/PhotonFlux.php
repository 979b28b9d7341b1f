<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Energy;

/**
 * Photon flux of a white lamp, µmol/s, from its lumens: an estimate. Lux to a µmol/m²/s after Thimijan and Heins, Photometric,
 * radiometric and quantum light units of measure (HortScience, 1983), from memory: 74 for cool white tubes, 76 for warm white ones.
 */
final readonly class PhotonFlux
{
    private const COOL_WHITE = 74.0;

    private const WARM_WHITE = 76.0;

    /** Colour temperature from which white is called cool, K. */
    private const COOL_FROM = 3500.0;

    public static function ofLumens(float $lumens, ?float $kelvin): float
    {
        return $lumens / ($kelvin !== null && $kelvin < self::COOL_FROM ? self::WARM_WHITE : self::COOL_WHITE);
    }

    /** What a file keeps of the estimate: one decimal. */
    public static function estimate(float $lumens, ?float $kelvin): float
    {
        return round(self::ofLumens($lumens, $kelvin), 1);
    }
}

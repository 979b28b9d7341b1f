<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;

/** Temperature of the seed's soil, °C. Costing rules, section 3, step 4. */
final readonly class SoilTemperature
{
    /** @param  float  $air  °C of the place on that day */
    public static function under(float $air, ?Light $light, ?Mat $mat): float
    {
        $without = $air + ($light->liftC ?? 0.0);
        if ($mat === null) {
            return $without;
        }
        $with = $without + $mat->liftC;
        if ($mat->thermostatC !== null) {
            $with = $mat->liftC > 0
                ? max($without, min($with, $mat->thermostatC))
                : min($without, max($with, $mat->thermostatC));
        }

        return $with;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\With;
use stdClass;

/**
 * A fixture at a place, covering `flats` flats for `hoursPerDay` from `onAt`; `ppfUmolS` its photon flux in µmol/s;
 * `lumens` and `kelvin` as its box says; `liftC` how far it warms the soil.
 */
final readonly class Light
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public string $place,
        public float $watts,
        public float $flats,
        public float $hoursPerDay,
        public float $price,
        public float $lifeSeasons,
        public ClockTime $onAt = new ClockTime(360),
        public ?float $ppfUmolS = null,
        public ?float $lumens = null,
        public ?float $kelvin = null,
        public float $liftC = 0.0,
        public bool $owned = false,
        public ?stdClass $meta = null,
    ) {
    }
}

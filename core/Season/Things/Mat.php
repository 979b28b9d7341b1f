<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * A heat mat (or, with a negative lift, a cooling chamber) under `flats` flats, lifting them `liftC` °C over the room, no further than `thermostatC`.
 */
final readonly class Mat
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public string $place,
        public float $watts,
        public float $flats,
        public float $liftC,
        public float $price,
        public float $lifeSeasons,
        public ?float $thermostatC = null,
        public bool $owned = false,
        public ?stdClass $meta = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * A fan, a pump, a heater: runs `hoursPerDay` on every day on which anything stands at its place.
 */
final readonly class Appliance
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public string $place,
        public float $watts,
        public float $hoursPerDay,
        public float $price,
        public float $lifeSeasons,
        public bool $owned = false,
        public ?stdClass $meta = null,
    ) {
    }
}

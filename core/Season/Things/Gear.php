<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * Shelf, timer, press: durable, without electricity.
 */
final readonly class Gear
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public float $price,
        public float $lifeSeasons,
        public bool $owned = false,
        public ?stdClass $meta = null,
    ) {
    }
}

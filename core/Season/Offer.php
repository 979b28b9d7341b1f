<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/**
 * What a nursery sells: so many plants for a price.
 */
final readonly class Offer
{
    public function __construct(
        public string $id,
        public string $name,
        public int $plants,
        public float $price,
        public ?stdClass $meta = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\With;
use stdClass;

/**
 * What a nursery sells: so many plants for a price, each in a pot of `potL` litres where that is known.
 */
final readonly class Offer
{
    use With;

    public function __construct(
        public string $id,
        public string $name,
        public int $plants,
        public float $price,
        public ?float $potL = null,
        public ?stdClass $meta = null,
    ) {
    }
}

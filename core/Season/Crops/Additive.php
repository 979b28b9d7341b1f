<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use stdClass;

/**
 * Something stirred into a mix, in its own unit per litre of mix.
 */
final readonly class Additive
{
    public function __construct(
        public string $supply,
        public float $amountPerL,
        public ?stdClass $meta = null,
    ) {
    }
}

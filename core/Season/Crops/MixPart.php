<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use stdClass;

/**
 * One part of a recipe, by volume.
 */
final readonly class MixPart
{
    public function __construct(
        public string $supply,
        public float $parts,
        public ?stdClass $meta = null,
    ) {
    }
}

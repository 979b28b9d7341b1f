<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use stdClass;

/**
 * Something else a method uses: `amount` of a supply for each site, flat or crop.
 */
final readonly class Extra
{
    public function __construct(
        public string $supply,
        public float $amount,
        public Per $per,
        public ?stdClass $meta = null,
    ) {
    }
}

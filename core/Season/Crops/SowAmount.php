<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/**
 * How much the gardener has decided to sow by one method: a number of sites, or of seeds.
 */
final readonly class SowAmount
{
    public function __construct(
        public string $method,
        public ?int $sites = null,
        public ?int $seeds = null,
    ) {
    }
}

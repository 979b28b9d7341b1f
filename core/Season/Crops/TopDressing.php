<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/**
 * A layer over the seed: a supply and its depth in mm.
 */
final readonly class TopDressing
{
    public function __construct(
        public string $supply,
        public float $depthMm,
    ) {
    }
}

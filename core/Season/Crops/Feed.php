<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/**
 * Liquid feed: `dosePerL` of a supply per litre of solution, `litresPerFlat` at each feeding.
 */
final readonly class Feed
{
    public function __construct(
        public string $supply,
        public float $dosePerL,
        public float $litresPerFlat,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/**
 * What the wanted plants are for; adds up to wanted.
 */
final readonly class Split
{
    public function __construct(
        public int $keep,
        public int $give,
        public int $sell,
    ) {
    }
}

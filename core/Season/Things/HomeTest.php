<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

/**
 * The gardener's own test: of `sown` seeds, `sprouted` came up.
 */
final readonly class HomeTest
{
    public function __construct(
        public int $sown,
        public int $sprouted,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\With;

/**
 * In the heating season, up to `until`, a lamp does part of the furnace's work.
 */
final readonly class HeatCredit
{
    use With;

    public function __construct(
        public float $fraction,
        public float $pricePerKwh,
        public Day $until,
    ) {
    }
}

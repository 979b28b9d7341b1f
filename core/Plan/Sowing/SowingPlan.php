<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

/** How much of a crop is sown. Counts are plants; expectations are over everything chance can do. */
final readonly class SowingPlan
{
    /**
     * @param  float  $q  probability that a site is filled (community: that a seed comes up)
     * @param  int  $units  sites sown, or seeds where they share a community pot
     * @param  list<int>  $caps  plants moved on at each potting on; empty where all are moved on
     * @param  Chain  $chain  what it was sized by
     * @param  list<float>  $aliveBefore  expected number alive before each potting on, where no mishap comes
     */
    public function __construct(
        public float $q,
        public int $units,
        public int $seeds,
        public int $sites,
        public array $caps,
        public array $aliveBefore,
        public Finish $finish,
        public Chain $chain,
    ) {
    }
}

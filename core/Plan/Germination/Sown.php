<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

/** Seed in its first stage. */
final readonly class Sown
{
    /**
     * @param  int  $on  day number
     * @param  int  $days  the stage's own
     * @param  int  $up  day number
     * @param  float  $relative  share of what would come up at the best temperature
     * @param  ?float  $soilC  mean until it is up; null where nothing is modelled
     */
    public function __construct(
        public int $on,
        public int $days,
        public int $up,
        public float $relative = 1.0,
        public ?float $soilC = null,
    ) {
    }
}

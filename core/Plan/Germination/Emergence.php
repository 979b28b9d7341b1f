<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

/** What becomes of seed sown on a day: when it is up, and how much of what would at best. */
final readonly class Emergence
{
    /**
     * @param  int  $sown  day number
     * @param  int  $days  until it is up, or as long as one has looked
     * @param  float  $relative  share of what would come up at the best temperature; 0 where it is not up
     * @param  float  $soilC  mean of those days
     */
    public function __construct(
        public int $sown,
        public int $days,
        public float $relative,
        public float $soilC,
        public ?Failure $failure,
        public bool $isUp = true,
    ) {
    }
}

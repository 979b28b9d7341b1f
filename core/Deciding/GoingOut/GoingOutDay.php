<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\GoingOut;

/** What planting out on one day may cost, beside the plan's day; money. */
final readonly class GoingOutDay
{
    /**
     * @param  int  $shift  days after the plan's
     * @param  ?string  $on  year-month-day; null for several crops
     * @param  float  $waiting  lamps, mats and room for longer than planned; below 0 for shorter
     * @param  float  $frost  chance of a night that kills, times buying anew
     * @param  float  $covered  the same under a cover, with its price
     * @param  int  $crowded_days  on which the bench is then too full
     * @param  ?float  $chance  of such a night; null for several crops
     * @param  float  $cost  of waiting and frost together
     * @param  float  $cost_covered  the same with a cover
     */
    public function __construct(
        public int $shift,
        public ?string $on,
        public float $waiting,
        public float $frost,
        public float $covered,
        public int $crowded_days,
        public ?float $chance,
        public float $cost,
        public float $cost_covered,
    ) {
    }
}

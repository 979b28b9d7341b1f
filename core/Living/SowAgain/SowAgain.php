<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\SowAgain;

/** Whether to sow a crop again at the full look, how much, until when, and what comes of it. */
final readonly class SowAgain
{
    /**
     * @param  int  $of  sites sown; seeds in community pots
     * @param  bool  $in_seeds  whether numbers are of seeds in community pots, not of sites
     * @param  string  $look_on  day of the full look
     * @param  string  $until  last day on which what is sown is at most two weeks late
     * @param  float  $believed  chance that one more comes up, as it is now believed
     * @param  int  $more  to sow now: what costs least with what is then missing; where nobody sells it, what makes it as sure as asked
     * @param  bool  $too_late  on the day asked about
     * @param  list<array{more: int, cost: ?float, short: float, enough: float}>  $ways  cost null where nobody sells it
     * @param  float  $each  money for one more
     * @param  float  $saves  against sowing none, on average; 0 where nobody sells it
     */
    public function __construct(
        public string $crop,
        public int $up,
        public int $of,
        public int $wanted,
        public string $look_on,
        public string $until,
        public float $believed,
        public int $more,
        public bool $too_late,
        public array $ways,
        public float $each,
        public float $saves,
        public bool $in_seeds,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\SowAgain;

/** Sow few, look, sow the rest: the plan from the start. */
final readonly class TwoStep
{
    /**
     * @param  int  $first  to sow now
     * @param  int  $more  to sow at the look …
     * @param  int  $below  … if fewer than so many are up
     * @param  string  $look_on  day of the full look
     * @param  float  $cost  money, with what is missing on average
     * @param  int  $at_once  the cheapest number to sow all at once
     * @param  float  $saves  against that
     * @param  float  $best  money of the best rule there is, which says a number of its own for each number up
     * @param  list<int>  $rule  that rule: how many more, by number up
     */
    public function __construct(
        public string $crop,
        public int $first,
        public int $more,
        public int $below,
        public string $look_on,
        public float $cost,
        public int $at_once,
        public float $at_once_cost,
        public float $saves,
        public float $best,
        public array $rule,
    ) {
    }
}

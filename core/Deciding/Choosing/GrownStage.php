<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Potting\ContainerStay;

/** A plant as it stands at the end of one stage of a method. */
final readonly class GrownStage
{
    /**
     * @param  ?float  $per_finished  what one finished plant would have cost, were this the last stage
     * @param  ?float  $cost  of all of them
     * @param  ?float  $hours  of work up to then
     * @param  ?string  $from  day, as the whole method is laid
     * @param  ?string  $to  day
     * @param  int  $alive_of_hundred  of a hundred that come up, alive at its end
     * @param  int  $alive_bad  the same in a bad season, one in five
     * @param  ?ContainerStay  $stay  in what is filled for it; null where nothing is, or its volume is not known
     */
    public function __construct(
        public string $stage,
        public ?float $per_finished,
        public ?float $cost,
        public ?float $hours,
        public ?int $sites,
        public ?string $from,
        public ?string $to,
        public int $alive_of_hundred,
        public int $alive_bad,
        public ?ContainerStay $stay,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

/** How long a crop stands in one filling of a container, and how long it may before it has outgrown it. */
final readonly class ContainerStay
{
    /**
     * @param  int  $stage  of the method, in which it is filled; from 0
     * @param  string  $container  its name
     * @param  int  $days  by the plan, from the day it is up or moved in
     * @param  int  $most  about so many are good
     * @param  string  $until  year-month-day on which they are over
     * @param  bool  $too_long  more than a week longer than is good: it has outgrown it
     */
    public function __construct(public string $crop, public int $stage, public string $container, public int $days, public int $most, public string $until,
        public bool $too_long)
    {
    }
}

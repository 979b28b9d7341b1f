<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

/** How seed comes up in some soil. */
final readonly class SoilGiven
{
    /**
     * @param  float  $celsius  of the soil, mean of those days
     * @param  int  $days  until it is up
     * @param  int  $of_hundred  come up
     */
    public function __construct(public float $celsius, public int $days, public int $of_hundred)
    {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

/** One day of hardening off: how long the plants stand outdoors, or that it is too cold for them and they wait. */
final readonly class HardeningDay
{
    /**
     * @param  string  $on  year-month-day
     * @param  ?float  $hours  outdoors; null on a day that is too cold, and does not count
     * @param  bool  $shade  they are not used to the sun yet
     * @param  ?float  $high_c  warmest of the day; null where nobody knows
     */
    public function __construct(public string $on, public ?float $hours, public bool $shade, public ?float $high_c)
    {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** Where the verdict turns: the value of an input at which growing and buying cost the same. */
final readonly class Flip
{
    /**
     * @param  string  $what  nursery, wanted, rate, survival or hour
     * @param  ?string  $crop  id; null for all
     * @param  float  $now  as it is: money for a bought plant, plants, money for a kWh, share, money for an hour
     * @param  ?float  $below  the nearest value below at which it turns; null where there is none in reach
     * @param  ?float  $above
     */
    public function __construct(public string $what, public ?string $crop, public float $now, public ?float $below, public ?float $above)
    {
    }
}

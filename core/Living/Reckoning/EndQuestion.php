<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/** Something that is known once a season is over. */
final readonly class EndQuestion
{
    /**
     * @param  string  $job  that the reading is written down to
     * @param  string  $unit  of the reading: h, or broken
     * @param  string  $name  of what
     * @param  float  $of  hours by the plan, or things in use
     * @param  ?float  $said  the last answer; null where there is none
     * @param  ?string  $entry  id of its reading, which another answer takes the place of
     */
    public function __construct(public string $job, public string $unit, public string $name, public float $of, public ?float $said,
        public ?string $entry)
    {
    }
}

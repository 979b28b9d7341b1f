<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use stdClass;

/**
 * Days to emergence and percent of normal seedlings at a soil temperature; null days where (next to) none comes up.
 */
final readonly class GerminationRow
{
    public function __construct(
        public float $tempC,
        public ?float $days,
        public float $percent,
        public ?stdClass $meta = null,
    ) {
    }

    /** Emergence per day: 0 where none comes up. */
    public function rate(): float
    {
        return $this->days === null ? 0.0 : 1.0 / $this->days;
    }
}

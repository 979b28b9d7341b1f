<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\With;
use stdClass;

/**
 * A part of the day with its own rate; may pass midnight, and is the whole day when both ends are equal.
 */
final readonly class TariffWindow
{
    use With;

    public function __construct(
        public ClockTime $from,
        public ClockTime $to,
        public float $rate,
        public ?stdClass $meta = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

/** One stage in the result: dates, sites, flats, and the kWh that fall to it. */
final readonly class StageResult
{
    public function __construct(
        public string $name,
        public string $start,
        public string $end,
        public int $sites,
        public float $flats,
        public float $light_kwh,
        public float $heat_kwh,
    ) {
    }
}

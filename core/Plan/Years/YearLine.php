<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Years;

/**
 * One season of several: money used up, money for durable things, and both added up so far beside buying; and what was paid by then,
 * whole packs and all.
 */
final readonly class YearLine
{
    public function __construct(
        public int $season,
        public float $running,
        public float $durable,
        public float $cumulative,
        public float $till_cumulative,
        public ?float $buying_cumulative,
    ) {
    }
}

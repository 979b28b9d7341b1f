<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

/** A pot as measured with a ruler, millimetres; round, or square, or longer than wide (then the narrow sides are given too). */
final readonly class Measured
{
    public function __construct(
        public bool $round,
        public float $rimMm,
        public float $baseMm,
        public float $heightMm,
        public ?float $narrowRimMm = null,
        public ?float $narrowBaseMm = null,
    ) {
    }
}

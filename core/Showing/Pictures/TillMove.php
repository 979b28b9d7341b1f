<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

/** By how much the last change moved the till's figures. */
final readonly class TillMove
{
    public function __construct(
        public ?float $per_finished,
        public ?float $difference,
        public ?float $keep,
        public float $cash_now,
        public float $kwh,
    ) {
    }
}

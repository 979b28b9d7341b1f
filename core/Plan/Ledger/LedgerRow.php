<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

/** A crop's line: money by head, in whole coins. */
final readonly class LedgerRow
{
    /**
     * @param  ?string  $method  its name; null where it is bought
     * @param  array<string, float>  $heads  money by head
     * @param  float  $cost  money, the sum of those
     * @param  ?float  $useful  plants that somebody wants, on average; of bought ones all
     * @param  ?float  $per_finished  money
     * @param  ?float  $hours  of work
     * @param  ?float  $income  money
     */
    public function __construct(
        public string $crop,
        public string $name,
        public ?string $method,
        public array $heads,
        public float $cost,
        public ?float $useful,
        public ?float $per_finished,
        public ?float $hours,
        public ?float $income,
    ) {
    }
}

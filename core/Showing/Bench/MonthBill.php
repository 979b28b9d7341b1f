<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

/** Electricity of a month, by what it is used for. */
final readonly class MonthBill
{
    /**
     * @param  string  $month  its first day
     * @param  float  $light  money
     * @param  float  $heat  money
     * @param  float  $appliance  money
     * @param  float  $cost  money, of those three
     * @param  float  $credit  money, below 0: heat that the room's heating need not give
     */
    public function __construct(
        public string $month,
        public float $kwh,
        public float $light,
        public float $heat,
        public float $appliance,
        public float $cost,
        public float $credit,
    ) {
    }
}

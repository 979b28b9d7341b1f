<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

/** One thing done otherwise to keep to the limit, and what that does on top of the steps before. */
final readonly class BudgetStep
{
    /**
     * @param  string  $kind  crop, light, mat, or gear for all shelves and fans
     * @param  string  $id  of the crop or thing
     * @param  string  $from  method, "nursery", "leave" or "with"
     * @param  string  $to  method, "nursery", "leave" or "without"
     * @param  float  $cash  money more at the till; less is negative
     * @param  float  $missing  plants more that are missing
     * @param  float  $fill_cost  money more to fill the list
     * @param  float  $hours  more
     */
    public function __construct(
        public string $kind,
        public string $id,
        public string $from,
        public string $to,
        public float $cash,
        public float $missing,
        public float $fill_cost,
        public float $hours,
    ) {
    }
}

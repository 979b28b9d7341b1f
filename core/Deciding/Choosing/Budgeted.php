<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Season\With;

/** How to keep to a limit. */
final readonly class Budgeted
{
    use With;

    /**
     * @param  float  $limit  money, of what is paid and still to pay together
     * @param  bool  $kept  whether any way keeps to it
     * @param  bool  $search  looked for by steps, rather than weighed against every other way
     * @param  int  $unsound  of the ways weighed, left out because a grower would not advise them (Soundness)
     * @param  array<string, string>  $overrides  method, or "nursery", by crop that stays
     * @param  list<string>  $left_out  crops
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @param  bool  $bare  shelves and fans are put off
     * @param  float  $lost  plants fewer than now
     * @param  list<BudgetStep>  $steps
     * @param  float  $paid  money already, also beside the plan; `before` and `after` are what is still to pay
     */
    public function __construct(
        public float $limit,
        public bool $kept,
        public bool $search,
        public int $weighed,
        public int $unsound,
        public array $overrides,
        public array $left_out,
        public array $lights,
        public array $mats,
        public bool $bare,
        public BudgetTotals $before,
        public BudgetTotals $after,
        public float $lost,
        public array $steps,
        public float $paid = 0.0,
    ) {
    }
}

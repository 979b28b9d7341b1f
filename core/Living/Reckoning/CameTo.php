<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/** What the season came to: planned, step by step with what was written down, and real. */
final readonly class CameTo
{
    /**
     * @param  list<BridgeStep>  $steps  the first is the plan, the last what it came to
     * @param  int  $wanted  plants of the crops that are grown
     * @param  int  $out  planted, given and sold, of those crops
     * @param  ?float  $nursery_per_plant  at the prices paid
     * @param  ?float  $kept  against buying, with what is missing bought; what is not known as planned
     * @param  ?float  $wage  money that an hour of work earned, by the plan's hours
     * @param  list<Loss>  $losses  the most first
     * @param  list<array{group: string, amount: float}>  $planned_stack  money of one plant by kinds of coin; what heat credit takes off is taken off all alike
     * @param  list<array{group: string, amount: float}>  $real_stack
     * @param  list<array{crop: string, up: ?int, of: int, finished: ?int, wanted: int}>  $crops  finished null while it is not over
     * @param  float  $beside  money for what was bought beside the plan; in every step but the first
     * @param  bool  $over  whether its owner said that the season is over; until then the figures are so far, the rest as planned
     */
    public function __construct(
        public string $setup,
        public array $steps,
        public int $wanted,
        public int $out,
        public ?float $nursery_per_plant,
        public ?float $kept,
        public ?float $wage,
        public float $hours,
        public array $losses,
        public array $crops,
        public array $planned_stack,
        public array $real_stack,
        public float $beside,
        public bool $over,
    ) {
    }
}

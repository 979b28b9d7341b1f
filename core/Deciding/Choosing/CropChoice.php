<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

/** One way a crop could go: its own figures, and what the whole set-up would then come to. */
final readonly class CropChoice
{
    /**
     * @param  string  $id  method, lot, or "nursery"
     * @param  list<string>  $warnings
     * @param  float  $fill_cost  money for the set-up with everything that falls short bought
     * @param  float  $missing  plants the set-up cannot supply
     */
    public function __construct(
        public string $id,
        public bool $grown,
        public ?float $cost,
        public ?float $per_finished,
        public ?float $extra_cost,
        public ?float $hours,
        public ?float $g,
        public ?int $seeds,
        public ?float $p_enough,
        public ?string $sow_on,
        public array $warnings,
        public float $fill_cost,
        public float $missing,
        public int $crowded_days,
    ) {
    }
}

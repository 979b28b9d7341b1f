<?php

declare(strict_types=1);

namespace JollyPenny\Core\Costing;

/**
 * One crop in a set-up. Property names are the result's keys. Figures of a crop that is bought, or cannot be raised,
 * are null. Money in the season's currency, hours of work, plants.
 */
final readonly class CropResult
{
    /**
     * @param  list<string>  $warnings
     * @param  ?array<string, float>  $heads
     * @param  list<StageResult>  $stages
     */
    public function __construct(
        public string $id,
        public string $method,
        public bool $grown,
        public array $warnings,
        public ?string $cold_on = null,
        public ?string $sow_on = null,
        public ?string $plant_out_on = null,
        public ?float $g = null,
        public ?float $q = null,
        public ?int $seeds = null,
        public ?int $sites = null,
        public ?float $finished = null,
        public ?float $p_enough = null,
        public ?float $shortfall = null,
        public ?float $useful = null,
        public ?float $surplus = null,
        public ?array $heads = null,
        public ?float $cost = null,
        public ?float $per_finished = null,
        public ?float $extra_cost = null,
        public ?float $buy_cost = null,
        public ?string $verdict = null,
        public ?float $hours = null,
        public array $stages = [],
    ) {
    }
}

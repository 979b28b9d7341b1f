<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

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
        public ?int $late_days = null,
        public ?float $p_frost = null,
        public ?string $sow_on = null,
        public ?string $plant_out_on = null,
        public ?float $g = null,
        public ?float $q = null,
        public ?int $seeds = null,
        public ?int $sites = null,
        public ?float $finished = null,
        public ?float $p_enough = null,
        public ?float $shortfall = null,
        public ?float $shortfall_cost = null,
        public ?float $useful = null,
        public ?int $useful_low = null,
        public ?int $useful_high = null,
        public ?float $surplus = null,
        public ?array $heads = null,
        public ?float $cost = null,
        public ?float $per_finished = null,
        public ?float $per_finished_low = null,
        public ?float $per_finished_high = null,
        public ?float $extra_cost = null,
        public ?float $buy_cost = null,
        public ?string $verdict = null,
        public ?float $income = null,
        public ?float $hours = null,
        public array $stages = [],
        private int $wanted = 1,
    ) {
    }

    /** Money for one bought plant of those wanted; null where nobody sells it. */
    public function boughtEach(): ?float
    {
        return $this->buy_cost === null ? null : $this->buy_cost / $this->wanted;
    }

    /** Money for the plants that growing is expected to fall short of; 0 where nobody sells them. */
    public function shortfallBought(): float
    {
        return $this->shortfall_cost ?? 0.0;
    }

    /** Money for one of the plants wanted, those that fail bought; null where it is not supplied. */
    public function filledEach(): ?float
    {
        return $this->cost === null ? null : ($this->cost + $this->shortfallBought()) / $this->wanted;
    }

    /** Own cost with the shortfall bought; null where it is not supplied. */
    public function filledCost(): ?float
    {
        return $this->cost === null ? null : $this->cost + $this->shortfallBought();
    }
}

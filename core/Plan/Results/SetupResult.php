<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

/** One set-up's result; property names are the result's keys, in their order. Costing rules, section 8. */
final readonly class SetupResult
{
    /** Fewer plants missing than this are none. */
    public const FAIR = 0.5;

    /**
     * @param  array<string, float>  $heads
     * @param  array{light: float, heat: float, appliance: float}  $kwh
     * @param  list<PlaceResult>  $places
     * @param  list<array{id: string, dli: ?float}>  $lights
     * @param  list<ShoppingLine>  $shopping
     * @param  list<CropResult>  $crops
     * @param  list<array{code: string, crop: string, detail: ?string}>  $warnings
     */
    public function __construct(
        public string $id,
        public float $cost,
        public float $cost_with_time,
        public float $cash_now,
        public float $electricity_bill,
        public float $hours,
        public float $finished,
        public float $useful,
        public int $useful_low,
        public int $useful_high,
        public float $surplus,
        public ?float $per_finished,
        public ?float $per_finished_low,
        public ?float $per_finished_high,
        public ?float $per_raised,
        public ?float $p_all_enough,
        public float $fill_cost,
        public float $filled,
        public ?float $per_wanted,
        public float $missing,
        public ?float $buy_total,
        public ?float $nursery_per_plant,
        public ?float $same_per_plant,
        public ?float $keep,
        public ?float $p_keep,
        public float $income,
        public ?float $implied_wage,
        public int $crowded_days,
        public array $heads,
        public array $kwh,
        public array $places,
        public array $lights,
        public array $shopping,
        public array $crops,
        public array $warnings,
    ) {
    }

    /** Set-ups compare fairly only where they supply the list. */
    public function isFair(): bool
    {
        return $this->missing < self::FAIR;
    }

    /** @return array{cost: float, cash: float} money by which it comes to more than another, and takes more now */
    public function dearerThan(self $other): array
    {
        return ['cost' => $this->cost - $other->cost, 'cash' => $this->cash_now - $other->cash_now];
    }
}

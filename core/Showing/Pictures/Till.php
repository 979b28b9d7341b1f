<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SetupResult;

/**
 * The figures that stay in sight while planning: `same` and `nursery` are prices of the same plants, grown and bought, `difference` is
 * the one less the other, `keep` what
 * growing saves on all of them, shortfalls bought, `p_keep` the chance that it saves anything; of ten seasons eight cost from
 * `per_finished_low` to `per_finished_high`. Cash and kWh are always the whole set-up's.
 */
final readonly class Till
{
    private function __construct(
        public ?float $per_finished,
        public ?float $same,
        public ?float $nursery,
        public ?float $difference,
        public ?float $keep,
        public float $cash_now,
        public float $kwh,
        public ?float $per_finished_low,
        public ?float $per_finished_high,
        public ?float $p_keep,
    ) {
    }

    public static function ofSetup(SetupResult $setup): self
    {
        return self::make($setup->per_finished, $setup->same_per_plant, $setup->nursery_per_plant, $setup->keep, $setup,
            $setup->per_finished_low, $setup->per_finished_high, $setup->p_keep);
    }

    public static function ofCrop(CropResult $crop, SetupResult $setup): self
    {
        $keep = $crop->grown && $crop->buy_cost !== null ? $crop->buy_cost - (float) $crop->filledCost() : null;

        return self::make($crop->per_finished, $crop->buy_cost === null ? null : $crop->filledEach(), $crop->boughtEach(), $keep,
            $setup, $crop->per_finished_low, $crop->per_finished_high);
    }

    /** What a change did to the till, figure by figure; null where there was, or is, nothing to compare. */
    public function less(self $before): TillMove
    {
        return new TillMove(self::by($before->per_finished, $this->per_finished), self::by($before->difference, $this->difference),
            self::by($before->keep, $this->keep), $this->cash_now - $before->cash_now, $this->kwh - $before->kwh);
    }

    private static function by(?float $before, ?float $after): ?float
    {
        return $before === null || $after === null ? null : $after - $before;
    }

    private static function make(?float $seedling, ?float $same, ?float $nursery, ?float $keep, SetupResult $setup,
        ?float $low, ?float $high, ?float $odds = null): self
    {
        return new self(
            per_finished: $seedling,
            same: $same,
            nursery: $nursery,
            difference: $same === null || $nursery === null ? null : $nursery - $same,
            keep: $keep,
            cash_now: $setup->cash_now,
            kwh: array_sum($setup->kwh),
            per_finished_low: $low,
            per_finished_high: $high,
            p_keep: $odds,
        );
    }
}

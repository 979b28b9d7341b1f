<?php

declare(strict_types=1);

namespace JollyPenny\Core\Pictures;

use JollyPenny\Core\Costing\CropResult;
use JollyPenny\Core\Costing\SetupResult;
use JollyPenny\Core\Season\Season;

/** The figures that stay in sight while planning: `difference` is the nursery's price less the seedling's cost, `keep` what growing
 * saves on all of them, shortfalls bought. Cash and kWh are always the whole set-up's. */
final readonly class Till
{
    private function __construct(
        public ?float $per_finished,
        public ?float $nursery,
        public ?float $difference,
        public ?float $keep,
        public float $cash_now,
        public float $kwh,
    ) {
    }

    public static function ofSetup(SetupResult $setup): self
    {
        return self::make($setup->per_finished, $setup->nursery_per_plant, $setup->keep, $setup);
    }

    public static function ofCrop(CropResult $crop, Season $season, SetupResult $setup): self
    {
        $wanted = array_column($season->crops, 'wanted', 'id')[$crop->id];

        $each = $crop->buy_cost === null ? null : $crop->buy_cost / $wanted;
        $keep = $each === null || $crop->cost === null || ! $crop->grown ? null : $each * ($wanted - (float) $crop->shortfall) - $crop->cost;

        return self::make($crop->per_finished, $each, $keep, $setup);
    }

    private static function make(?float $seedling, ?float $nursery, ?float $keep, SetupResult $setup): self
    {
        return new self($seedling, $nursery, $seedling === null || $nursery === null ? null : $nursery - $seedling,
            $keep, $setup->cash_now, array_sum($setup->kwh));
    }
}

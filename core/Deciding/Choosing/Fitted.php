<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Setup;

/** What a crowded set-up comes to with lamps and mats enough for it. */
final readonly class Fitted
{
    /**
     * @param  int  $lights  more of them
     * @param  int  $mats  more of them
     * @param  float  $price  money for those
     * @param  int  $crowded_days  left, for want of room
     */
    private function __construct(
        public int $lights,
        public int $mats,
        public float $price,
        public float $fill_cost,
        public ?float $per_wanted,
        public float $cash_now,
        public int $crowded_days,
        public float $missing,
    ) {
    }

    /**
     * @return array{self, Standing}|null null where it has room, where nothing can be added, or where it stands beside already
     */
    public static function forSetup(SeasonCosting $costing, Setup $setup): ?array
    {
        $season = $costing->season;
        $fitted = $costing->setup($setup)->crowded_days <= SetupTotals::BEARABLE_DAYS ? null : (new MadeToFit($costing, $setup))->season();
        if ($fitted === null) {
            return null;
        }
        $more = [...array_slice($fitted->lights, count($season->lights)), ...array_slice($fitted->mats, count($season->mats))];
        if ($more === []) {
            return null;
        }
        $standing = new Standing(new SeasonCosting($fitted, like: $costing), $fitted->setups[count($fitted->setups) - 1], isFitted: true);
        $with = $standing->result;

        return [
            new self(
                count($fitted->lights) - count($season->lights),
                count($fitted->mats) - count($season->mats),
                array_sum(array_column($more, 'price')),
                $with->fill_cost,
                $with->per_wanted,
                $with->cash_now,
                $with->crowded_days,
                $with->missing,
            ),
            $standing,
        ];
    }
}

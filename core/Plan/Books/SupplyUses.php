<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\SeasonIndex;
use WeakMap;

/** What each planned crop takes of the supplies, kept for all set-ups: it depends on nothing else that is grown. */
final class SupplyUses
{
    /** @var WeakMap<CropPlan, SupplyUse> */
    private WeakMap $known;

    public function __construct(private readonly SeasonIndex $index)
    {
        $this->known = new WeakMap();
    }

    public function use(CropPlan $plan): SupplyUse
    {
        return $this->known[$plan] ??= SupplyUse::forPlan($plan, $this->index);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Pictures;

use JollyPenny\Core\Costing\Head;

/** Cost heads as the penny stack shows them, from the bottom up; never more than seven. */
enum CoinGroup: string
{
    case Seed = 'seed';
    case Mix = 'mix';
    case Pots = 'pots';
    case Light = 'light';
    case Heat = 'heat';
    case Sundries = 'sundries';
    case Bought = 'bought';

    /** Null for the heat credit, which takes coins off the top. */
    public static function of(Head $head): ?self
    {
        return match ($head) {
            Head::Seed => self::Seed,
            Head::Mix, Head::TopDressing, Head::Feed => self::Mix,
            Head::Containers, Head::Prep => self::Pots,
            Head::LightPower, Head::Lights => self::Light,
            Head::HeatPower, Head::Mats => self::Heat,
            Head::Extras, Head::AppliancePower, Head::Appliances, Head::Gear => self::Sundries,
            Head::Nursery => self::Bought,
            Head::HeatCredit => null,
        };
    }
}

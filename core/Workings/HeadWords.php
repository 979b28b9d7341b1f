<?php

declare(strict_types=1);

namespace JollyPenny\Core\Workings;

use JollyPenny\Core\Costing\Head;

/** Each head in the trade's words. */
final readonly class HeadWords
{
    public static function of(Head $head): string
    {
        return match ($head) {
            Head::Seed => 'Seed',
            Head::Mix => 'Mix',
            Head::TopDressing => 'Top dressing',
            Head::Feed => 'Feed',
            Head::Extras => 'Labels and other extras',
            Head::Containers => 'Pots and trays',
            Head::Prep => 'Washing pots',
            Head::LightPower => 'Power for light',
            Head::HeatPower => 'Power for heat',
            Head::AppliancePower => 'Power for fans and hot water',
            Head::HeatCredit => 'Heat you did not have to buy',
            Head::Lights => 'Lamps, a season\'s share',
            Head::Mats => 'Mats, a season\'s share',
            Head::Appliances => 'Fans and the like, a season\'s share',
            Head::Gear => 'Shelf and gear, a season\'s share',
            Head::Nursery => 'Bought plants',
        };
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

/** Cost heads as the penny stack shows them, from the bottom up; never more than seven. */
enum HeadGroup: string
{
    case Seed = 'seed';
    case Mix = 'mix';
    case Pots = 'pots';
    case Light = 'light';
    case Heat = 'heat';
    case Sundries = 'sundries';
    case Bought = 'bought';

    public function words(): string
    {
        return match ($this) {
            self::Seed => 'Seed',
            self::Mix => 'Mix and feed',
            self::Pots => 'Pots',
            self::Light => 'Light',
            self::Heat => 'Heat',
            self::Sundries => 'Shelf and sundries',
            self::Bought => 'Bought plants',
        };
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

/** Whether a crop is worth growing in a set-up. Costing rules, section 8. */
enum Verdict: string
{
    case BuyOnly = 'buy_only';
    case GrowOnly = 'grow_only';
    case Buy = 'buy';
    case Grow = 'grow';
    case GrowAlong = 'grow_along';

    /**
     * @param  float  $cost  own cost, shortfall bought included
     * @param  float  $extraCost  what it adds to the set-up, shortfall bought included
     */
    public static function forCost(float $cost, float $extraCost, ?float $buying): self
    {
        return match (true) {
            $buying === null => self::GrowOnly,
            $extraCost > $buying => self::Buy,
            $cost <= $buying => self::Grow,
            default => self::GrowAlong,
        };
    }
}

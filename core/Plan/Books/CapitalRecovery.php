<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

/** One season's share of a durable thing: the capital recovery of engineering economy, A = P · i / (1 − (1 + i)^−n). */
final readonly class CapitalRecovery
{
    /**
     * @param  float  $rate  per season, 0 for an equal share each season
     * @param  float  $seasons  life
     */
    public static function share(float $price, float $seasons, float $rate): float
    {
        return $rate <= 0.0 ? $price / $seasons : $price * $rate / (1.0 - (1.0 + $rate) ** -$seasons);
    }
}

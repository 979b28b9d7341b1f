<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;

/**
 * What it is worth to know a number before deciding (the expected value of perfect information of decision analysis): the best choice
 * in each of its cases, on average, less the best single choice. One may go on as planned, buy one crop more, or buy all.
 */
final readonly class WorthKnowing
{
    /** Of a low, a middle and a high value, at the 10, 50 and 90 % points (Swanson's rule, from memory). */
    public const WEIGHTS = [0.3, 0.4, 0.3];

    private const ALL = '';

    /**
     * @param  list<array{float, SetupResult}>  $cases  weight and what the season comes to then
     * @return float money
     */
    public static function expectedValue(Season $season, array $cases): float
    {
        $average = [];
        $best = 0.0;
        foreach ($cases as [$weight, $result]) {
            $kept = self::kept($season, $result);
            $best += $weight * max($kept);
            foreach ($kept as $choice => $money) {
                $average[$choice] = ($average[$choice] ?? 0.0) + $weight * $money;
            }
        }

        return max(0.0, $best - max($average ?: [0.0]));
    }

    /** @return non-empty-array<array-key, float> money kept against buying, by choice */
    private static function kept(Season $season, SetupResult $result): array
    {
        $keep = (float) $result->keep;
        $short = array_sum(array_map(fn ($crop): float => $crop->grown ? $crop->shortfallBought() : 0.0, $result->crops));
        // The trip after plants that fail; where one buys anyway, it is no longer one of its own.
        $trip = $result->fill_cost - $result->cost - $short;
        $none = array_filter($result->crops, fn ($crop): bool => ! $crop->grown && $crop->buy_cost !== null) === [];
        $kept = [self::ALL => 0.0, 'plan' => $keep];
        foreach ($result->crops as $crop) {
            if ($crop->grown && $crop->buy_cost !== null && $crop->extra_cost !== null) {
                $kept["buy {$crop->id}"] = $keep + $trip - ($crop->buy_cost - $crop->extra_cost - (float) $crop->shortfall_cost)
                    - ($none ? $season->nurseryTripCost : 0.0);
            }
        }

        return $kept;
    }
}

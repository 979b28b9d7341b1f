<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/**
 * Points of the beta distribution, by its density summed over a fine grid (midpoints), scaled so that neither end runs away. For shares that are
 * shown as ranges: exact to a thousandth.
 */
final readonly class BetaPoints
{
    private const CELLS = 4000;

    /**
     * @param  float  $mean  share
     * @param  float  $weight  seeds or plants it is worth: a + b
     * @return array{low: float, high: float} the 10 and the 90 % point
     */
    public static function around(float $mean, float $weight): array
    {
        [$a, $b] = [$mean * $weight, (1.0 - $mean) * $weight];
        if ($a <= 0.0 || $b <= 0.0) {
            return ['low' => $mean, 'high' => $mean];
        }
        $logs = [];
        for ($i = 0; $i < self::CELLS; $i++) {
            $x = ($i + 0.5) / self::CELLS;
            $logs[] = ($a - 1.0) * log($x) + ($b - 1.0) * log(1.0 - $x);
        }
        $top = max($logs);
        $masses = array_map(fn (float $log): float => exp($log - $top), $logs);
        $sum = array_sum($masses);
        $points = [];
        $sofar = 0.0;
        foreach ($masses as $i => $mass) {
            foreach ([0.1, 0.9] as $n => $share) {
                if (! isset($points[$n]) && $sofar + $mass >= $share * $sum) {
                    $points[$n] = ($i + ($share * $sum - $sofar) / $mass) / self::CELLS;
                }
            }
            $sofar += $mass;
        }

        return ['low' => $points[0] ?? $mean, 'high' => $points[1] ?? $mean];
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

/** The standard normal distribution, which turns probits into shares. */
final readonly class NormalDistribution
{
    /** P(Z ≤ z), from the complementary error function to about 1e-15. */
    public static function cumulative(float $z): float
    {
        return $z < 0 ? 0.5 * self::erfc(-$z / M_SQRT2) : 1.0 - 0.5 * self::erfc($z / M_SQRT2);
    }

    /** Complementary error function of x ≥ 0: its series where that converges fast, else a continued fraction. */
    private static function erfc(float $x): float
    {
        if ($x < 2.5) {
            $term = $x;
            $sum = $x;
            for ($n = 1; abs($term) > 1e-18 * abs($sum) && $n < 200; $n++) {
                $term *= (-$x * $x) / $n;
                $sum += $term / (2 * $n + 1);
            }

            return 1.0 - (2.0 / sqrt(M_PI)) * $sum;
        }
        $fraction = 0.0;
        for ($n = 120; $n > 0; $n--) {
            $fraction = $n / 2.0 / ($x + $fraction);
        }

        return exp(-$x * $x) / sqrt(M_PI) / ($x + $fraction);
    }
}

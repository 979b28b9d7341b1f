<?php

declare(strict_types=1);

namespace JollyPenny\Core\Germination;

/** The standard normal distribution and its inverse, which turns percents into probits and back. */
final readonly class NormalQuantile
{
    /** P(Z ≤ z), from the complementary error function to about 1e-15. */
    public static function cumulative(float $z): float
    {
        return $z < 0 ? 0.5 * self::erfc(-$z / M_SQRT2) : 1.0 - 0.5 * self::erfc($z / M_SQRT2);
    }

    /**
     * z with P(Z ≤ z) = p, for p in (0, 1). Acklam's rational approximation sharpened by two Halley steps.
     */
    public static function of(float $p): float
    {
        $z = self::approximate($p);
        for ($step = 0; $step < 2; $step++) {
            $error = ($p < 0.5 ? self::cumulative($z) - $p : 1.0 - $p - self::cumulative(-$z)) * sqrt(2.0 * M_PI) * exp(($z * $z) / 2.0);
            $z -= $error / (1.0 + ($z * $error) / 2.0);
        }

        return $z;
    }

    private static function approximate(float $p): float
    {
        if ($p > 0.5) {
            return -self::approximate(1.0 - $p);
        }
        if ($p < 0.02425) {
            $q = sqrt(-2.0 * log($p));

            return (((((-7.784894002430293e-3 * $q - 3.223964580411365e-1) * $q - 2.400758277161838) * $q - 2.549732539343734) * $q +
                4.374664141464968) *
                $q +
                2.938163982698783) /
                ((((7.784695709041462e-3 * $q + 3.224671290700398e-1) * $q + 2.445134137142996) * $q + 3.754408661907416) * $q + 1.0);
        }
        $q = $p - 0.5;
        $r = $q * $q;

        return ((((((-3.969683028665376e1 * $r + 2.209460984245205e2) * $r - 2.759285104469687e2) * $r + 1.38357751867269e2) * $r -
            3.066479806614716e1) *
            $r +
            2.506628277459239) *
            $q) /
            (((((-5.447609879822406e1 * $r + 1.615858368580409e2) * $r - 1.556989798598866e2) * $r + 6.680131188771972e1) * $r -
                1.328068155288572e1) *
                $r +
                1.0);
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

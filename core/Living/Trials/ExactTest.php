<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trials;

/**
 * Whether two shares differ by more than chance: Fisher's exact test, two-sided by the sum of all tables that are no likelier than
 * the one seen. R. A. Fisher, The Design of Experiments (1935), and the usual two-sided form.
 */
final readonly class ExactTest
{
    /** Tables as likely as the one seen differ from it by rounding only. */
    private const ALIKE = 1e-7;

    /**
     * The chance that shares at least as unlike would come of like sides.
     *
     * @param  int  $a  of `n` on one side
     * @param  int  $b  of `m` on the other
     */
    public static function twoSided(int $a, int $n, int $b, int $m): float
    {
        $came = $a + $b;
        $low = max(0, $came - $m);
        $high = min($came, $n);
        // Weights by the ratio of neighbours, so that no factorial is needed.
        $weights = [1.0];
        for ($k = $low; $k < $high; $k++) {
            $weights[] = $weights[$k - $low] * ($n - $k) / ($k + 1) * ($came - $k) / ($m - $came + $k + 1);
            if ($weights[$k - $low + 1] > 1e200) {
                $weights = array_map(fn (float $w): float => $w / 1e200, $weights);
            }
        }
        $seen = $weights[$a - $low] * (1.0 + self::ALIKE);
        $sum = array_sum($weights);

        return $sum > 0.0 ? min(1.0, array_sum(array_filter($weights, fn (float $w): bool => $w <= $seen)) / $sum) : 1.0;
    }
}

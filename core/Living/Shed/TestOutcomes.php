<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

/**
 * How many of some seeds come up on damp paper, where the share alive is known like a test of so many seeds: the beta-binomial
 * distribution (Johnson, Kemp and Kotz, Univariate Discrete Distributions, section 6.2.2; from memory).
 */
final readonly class TestOutcomes
{
    /**
     * @param  float  $alive  share expected, above 0 and below 1
     * @param  float  $known  seeds' worth of knowledge behind it
     * @return list<float> chance of 0, 1, … $seeds coming up
     */
    public static function chances(float $alive, float $known, int $seeds): array
    {
        [$a, $b] = [$alive * $known, (1.0 - $alive) * $known];
        $chances = [];
        for ($k = 0; $k <= $seeds; $k++) {
            // C(n, k) · B(k + a, n − k + b) / B(a, b), as a product of rising factors.
            $chance = 1.0;
            for ($i = 0; $i < $k; $i++) {
                $chance *= ($a + $i) * ($seeds - $i) / (($i + 1) * ($a + $b + $i));
            }
            for ($i = 0; $i < $seeds - $k; $i++) {
                $chance *= ($b + $i) / ($a + $b + $k + $i);
            }
            $chances[] = $chance;
        }

        return $chances;
    }
}

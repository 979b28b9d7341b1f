<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

/**
 * The binomial distribution B(n, p), exact. Weights are built outwards from the mode by the ratio of neighbours and
 * divided by their sum, so that no factorial is needed; what is below 1e-21 of the mode is left out.
 */
final readonly class Binomial
{
    private const NEGLIGIBLE = 1e-21;

    /**
     * @param  list<float>  $masses  P(X = first), P(X = first + 1), …
     */
    private function __construct(public int $first, public array $masses)
    {
    }

    public static function withTrials(int $n, float $p): self
    {
        if ($p <= 0.0 || $n === 0) {
            return new self(0, [1.0]);
        }
        if ($p >= 1.0) {
            return new self($n, [1.0]);
        }
        $mode = min($n, (int) floor(($n + 1) * $p));
        $odds = $p / (1.0 - $p);
        $sum = 1.0;
        $below = [];
        for ($k = $mode, $w = 1.0; $k > 0; $k--) {
            $w *= $k / (($n - $k + 1) * $odds);
            if ($w < self::NEGLIGIBLE) {
                break;
            }
            $below[] = $w;
            $sum += $w;
        }
        $first = $mode - count($below);
        $masses = array_reverse($below);
        $masses[] = 1.0;
        for ($k = $mode, $w = 1.0; $k < $n; $k++) {
            $w *= ($n - $k) * $odds / ($k + 1);
            if ($w < self::NEGLIGIBLE) {
                break;
            }
            $masses[] = $w;
            $sum += $w;
        }
        foreach ($masses as $i => $mass) {
            $masses[$i] = $mass / $sum;
        }

        return new self($first, $masses);
    }

    /** P(X = k). */
    public function mass(int $k): float
    {
        return $this->masses[$k - $this->first] ?? 0.0;
    }

    /** P(X ≥ k). */
    public function atLeast(int $k): float
    {
        $from = max(0, $k - $this->first);
        $sum = 0.0;
        for ($i = count($this->masses) - 1; $i >= $from; $i--) {
            $sum += $this->masses[$i];
        }

        return min(1.0, $sum);
    }
}

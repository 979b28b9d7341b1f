<?php

declare(strict_types=1);

namespace JollyPenny\Core\Sowing;

/** How many plants are alive, as a distribution that goes through the stages. */
final readonly class Distribution
{
    private const NEGLIGIBLE = 1e-30;

    /** @param  list<float>  $masses  P(X = first), P(X = first + 1), … */
    private function __construct(private int $first, private array $masses)
    {
    }

    public static function binomial(int $n, float $p): self
    {
        $binomial = Binomial::of($n, $p);

        return new self($binomial->first, $binomial->masses);
    }

    /** At most `cap` are moved on; the rest is surplus there. */
    public function cappedAt(int $cap): self
    {
        $over = $cap - $this->first;
        if ($over >= count($this->masses) - 1) {
            return $this;
        }
        if ($over <= 0) {
            return new self($cap, [1.0]);
        }
        $masses = array_slice($this->masses, 0, $over);
        $masses[] = (float) array_sum(array_slice($this->masses, $over));

        return new self($this->first, $masses);
    }

    /** Each plant lives on with the same probability, by itself. */
    public function thinned(float $survival): self
    {
        if ($survival >= 1.0) {
            return $this;
        }
        $last = count($this->masses) - 1;
        $first = Binomial::of($this->first, $survival)->first;
        $masses = array_fill(0, $this->first + $last - $first + 1, 0.0);
        foreach ($this->masses as $i => $mass) {
            if ($mass < self::NEGLIGIBLE) {
                continue;
            }
            $binomial = Binomial::of($this->first + $i, $survival);
            $k = $binomial->first - $first;
            foreach ($binomial->masses as $share) {
                $masses[$k++] += $mass * $share;
            }
        }

        return new self($first, array_values($masses));
    }

    public function mean(): float
    {
        return $this->sum(fn (int $k): float => (float) $k);
    }

    /** P(X ≥ k). */
    public function atLeast(int $wanted): float
    {
        return min(1.0, $this->sum(fn (int $k): float => $k >= $wanted ? 1.0 : 0.0));
    }

    /** E[max(wanted − X, 0)]. */
    public function shortfall(int $wanted): float
    {
        return $this->sum(fn (int $k): float => (float) max(0, $wanted - $k));
    }

    /** E[max(X − wanted, 0)]. */
    public function surplus(int $wanted): float
    {
        return $this->sum(fn (int $k): float => (float) max(0, $k - $wanted));
    }

    /** E[min(X, wanted)]. */
    public function useful(int $wanted): float
    {
        return $this->sum(fn (int $k): float => (float) min($k, $wanted));
    }

    /** @param  callable(int): float  $value */
    private function sum(callable $value): float
    {
        $sum = 0.0;
        foreach ($this->masses as $i => $mass) {
            $sum += $mass * $value($this->first + $i);
        }

        return $sum;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

/** B(n, p) for one n after the other, each out of the one before as in Pascal's triangle; what is all but impossible is left out. */
final class PascalRow
{
    private const NEGLIGIBLE = 1e-21;

    public int $first;

    /** @var array<int, float> P(X = first), P(X = first + 1), … */
    public array $masses;

    public function __construct(int $n, private readonly float $p)
    {
        $binomial = Binomial::withTrials($n, $p);
        [$this->first, $this->masses] = [$binomial->first, $binomial->masses];
    }

    public function next(): void
    {
        $q = 1.0 - $this->p;
        $masses = [];
        $before = 0.0;
        foreach ($this->masses as $mass) {
            $masses[] = $q * $mass + $this->p * $before;
            $before = $mass;
        }
        $masses[] = $this->p * $before;
        if (count($masses) > 1 && $masses[count($masses) - 1] < self::NEGLIGIBLE) {
            array_pop($masses);
        }
        if (count($masses) > 1 && $masses[0] < self::NEGLIGIBLE) {
            array_shift($masses);
            $this->first++;
        }
        $this->masses = $masses;
    }
}

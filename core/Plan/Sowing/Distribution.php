<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

/** How many there are of something, as a distribution over whole numbers; what is all but impossible is left out. */
final readonly class Distribution
{
    private const NEGLIGIBLE = 1e-21;

    /** In a sum of many, the ends below this are left out. */
    private const NEGLIGIBLE_IN_SUM = 1e-17;

    /** Rounding must not move a percentile. */
    private const SURE = 1e-12;

    /** @param  array<int, float>  $masses  P(X = first), P(X = first + 1), … */
    private function __construct(public int $first, private array $masses)
    {
    }

    public static function binomial(int $n, float $p): self
    {
        $binomial = Binomial::withTrials($n, $p);

        return new self($binomial->first, $binomial->masses);
    }

    public static function always(int $value): self
    {
        return new self($value, [1.0]);
    }

    /**
     * One of several, by their weights.
     *
     * @param  non-empty-list<self>  $of
     * @param  non-empty-list<float>  $weights
     */
    public static function mixture(array $of, array $weights): self
    {
        $first = min(array_map(fn (self $one): int => $one->first, $of));
        $last = max(array_map(fn (self $one): int => $one->first + count($one->masses) - 1, $of));
        $masses = array_fill(0, $last - $first + 1, 0.0);
        foreach ($of as $i => $one) {
            $at = $one->first - $first;
            foreach ($one->masses as $mass) {
                $masses[$at++] += $weights[$i] * $mass;
            }
        }

        return new self($first, $masses);
    }

    /** At most `cap` are moved on; the rest is surplus there. */
    public function cappedAt(int $cap): self
    {
        $over = $cap - $this->first;
        if ($over >= count($this->masses) - 1) {
            return $this;
        }
        if ($over <= 0) {
            return new self($cap, [$this->mass()]);
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
        $first = Binomial::withTrials($this->first, $survival)->first;
        $masses = array_fill(0, $this->first + $last - $first + 1, 0.0);
        $row = null;
        foreach ($this->masses as $i => $mass) {
            if ($mass < self::NEGLIGIBLE) {
                $row = null;

                continue;
            }
            $row === null ? ($row = new PascalRow($this->first + $i, $survival)) : $row->next();
            $k = $row->first - $first;
            foreach ($row->masses as $share) {
                $masses[$k++] += $mass * $share;
            }
        }

        return new self($first, $masses);
    }

    /**
     * Another number in each one's place.
     *
     * @param  callable(int): int  $number  not below 0
     */
    public function numbered(callable $number): self
    {
        $masses = [];
        [$first, $last] = [PHP_INT_MAX, 0];
        foreach ($this->masses as $i => $mass) {
            $at = $number($this->first + $i);
            $masses[$at] = ($masses[$at] ?? 0.0) + $mass;
            [$first, $last] = [min($first, $at), max($last, $at)];
        }
        $dense = array_fill(0, $last - $first + 1, 0.0);
        foreach ($masses as $at => $mass) {
            $dense[$at - $first] = $mass;
        }

        return new self($first, $dense);
    }

    /** How many fewer than so many there are. */
    public function shortOf(int $wanted): self
    {
        $enough = max(0, $wanted - $this->first);
        $masses = array_slice($this->masses, 0, $enough);
        $over = (float) array_sum(array_slice($this->masses, $enough));
        $between = array_fill(0, $enough - count($masses), 0.0);

        return self::trimmed(0, [$over, ...$between, ...array_reverse($masses)]);
    }

    /** The largest number that is possible at all. */
    public function last(): int
    {
        return $this->first + count($this->masses) - 1;
    }

    /** Counted in steps of so many; what lies between two steps goes to both, so that the mean stays. */
    public function inSteps(int $step): self
    {
        if ($step === 1) {
            return $this;
        }
        $first = intdiv($this->first, $step);
        $masses = array_fill(0, intdiv($this->last(), $step) - $first + 2, 0.0);
        foreach ($this->masses as $i => $mass) {
            $number = $this->first + $i;
            $at = intdiv($number, $step) - $first;
            $over = ($number % $step) / $step;
            $masses[$at] += $mass * (1.0 - $over);
            $masses[$at + 1] += $mass * $over;
        }

        return self::trimmed($first, array_values($masses));
    }

    /** The sum with another, independent of it; sums above the most are left out, so that the masses no longer make 1. */
    public function plus(self $other, int $most = PHP_INT_MAX): self
    {
        $first = $this->first + $other->first;
        $last = min($most, $first + count($this->masses) + count($other->masses) - 2);
        if ($last < $first) {
            return new self($first, [0.0]);
        }
        $length = $last - $first + 1;
        $sums = array_fill(0, $length + count($this->masses), 0.0);
        foreach ($other->masses as $shift => $factor) {
            if ($factor === 0.0 || $shift >= $length) {
                continue;
            }
            $at = $shift;
            foreach ($this->masses as $mass) {
                $sums[$at++] += $mass * $factor;
            }
        }

        return self::trimmed($first, array_slice($sums, 0, $length));
    }

    /**
     * The sum of many that are independent, short ones first: that keeps the work down. Those that are alike are doubled.
     *
     * @param  list<self>  $of
     */
    public static function sum(array $of, int $most = PHP_INT_MAX): self
    {
        $alike = [];
        foreach ($of as $one) {
            $key = "{$one->first} ".count($one->masses)." {$one->masses[0]}";
            while (isset($alike[$key]) && ($alike[$key][0]->first !== $one->first || $alike[$key][0]->masses !== $one->masses)) {
                $key .= '+';
            }
            $alike[$key] = [$one, ($alike[$key][1] ?? 0) + 1];
        }
        $sums = array_map(fn (array $pair): self => $pair[0]->times($pair[1], $most), array_values($alike));
        // Added up in pairs, round by round, like with like.
        while (count($sums) > 1) {
            usort($sums, fn (self $a, self $b): int => count($a->masses) <=> count($b->masses));
            $pairs = array_chunk($sums, 2);
            $sums = array_map(fn (array $pair): self => isset($pair[1]) ? $pair[0]->plus($pair[1], $most) : $pair[0], $pairs);
        }

        return $sums[0] ?? self::always(0);
    }

    /** The sum of so many like this, independent of each other. */
    private function times(int $times, int $most): self
    {
        $sum = null;
        for ($power = $this; ; $power = $power->plus($power, $most)) {
            if (($times & 1) === 1) {
                $sum = $sum === null ? $power : $sum->plus($power, $most);
            }
            $times >>= 1;
            if ($times === 0) {
                return $sum ?? self::always(0);
            }
        }
    }

    /** Another instead, with this chance. */
    public function orElse(self $other, float $chance): self
    {
        return $chance <= 0.0 ? $this : self::mixture([$this, $other], [1.0 - $chance, $chance]);
    }

    /** @return list<float> masses from 0 to a number */
    public function upTo(int $last): array
    {
        $masses = [];
        for ($k = 0; $k <= $last; $k++) {
            $masses[] = $this->masses[$k - $this->first] ?? 0.0;
        }

        return $masses;
    }

    public function mean(): float
    {
        $sum = 0.0;
        foreach ($this->masses as $i => $mass) {
            $sum += $mass * ($this->first + $i);
        }

        return $sum;
    }

    public function variance(): float
    {
        $mean = $this->mean();
        $sum = 0.0;
        foreach ($this->masses as $i => $mass) {
            $sum += $mass * ($this->first + $i - $mean) ** 2;
        }

        return $sum;
    }

    /** @param  callable(int): float  $value */
    public function expected(callable $value): float
    {
        $sum = 0.0;
        foreach ($this->masses as $i => $mass) {
            $sum += $mass * $value($this->first + $i);
        }

        return $sum;
    }

    /** P(X ≥ k). */
    public function atLeast(int $k): float
    {
        return min(1.0, (float) array_sum(array_slice($this->masses, max(0, $k - $this->first))));
    }

    /** P(X ≤ k). */
    public function atMost(int $k): float
    {
        return $k < $this->first ? 0.0 : min(1.0, (float) array_sum(array_slice($this->masses, 0, $k - $this->first + 1)));
    }

    /** The smallest k with P(X ≤ k) ≥ p. */
    public function percentile(float $p): int
    {
        $sum = 0.0;
        foreach ($this->masses as $i => $mass) {
            $sum += $mass;
            if ($sum >= $p - self::SURE) {
                return $this->first + $i;
            }
        }

        return $this->first + count($this->masses) - 1;
    }

    /** The largest k with P(X ≥ k) ≥ p; what was left out above the last counts as there. */
    public function percentileFromAbove(float $p): int
    {
        $below = 0.0;
        foreach ($this->masses as $i => $mass) {
            $below += $mass;
            if ($below > 1.0 - $p + self::SURE) {
                return $this->first + $i;
            }
        }

        return $this->last();
    }

    private function mass(): float
    {
        return (float) array_sum($this->masses);
    }

    /** @param  list<float>  $masses */
    private static function trimmed(int $first, array $masses): self
    {
        $last = count($masses) - 1;
        while ($last > 0 && $masses[$last] < self::NEGLIGIBLE_IN_SUM) {
            $last--;
        }
        $from = 0;
        while ($from < $last && $masses[$from] < self::NEGLIGIBLE_IN_SUM) {
            $from++;
        }
        $kept = array_slice($masses, $from, $last - $from + 1);

        return new self($first + $from, $kept === [] ? [0.0] : $kept);
    }
}

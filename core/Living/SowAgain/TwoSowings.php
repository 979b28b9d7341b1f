<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\SowAgain;

use JollyPenny\Core\Plan\Sowing\Binomial;
use JollyPenny\Core\Plan\Sowing\Chain;
use JollyPenny\Core\Plan\Sowing\Distribution;
use JollyPenny\Core\Plan\Sowing\TwoValues;

/**
 * Sow some, look, sow the rest: exact. At the full look, the end of the first stage, `u` of `n` are up, and what is not up is lost.
 * That tells something of the packet and of the season (each bad or good, costing rules, section 4), so both are weighed anew. What
 * is up lives on as the method says; what is sown then comes up and lives as the packet and the season are now believed to be. A
 * mishap may still take either batch whole, each by itself.
 */
final class TwoSowings
{
    private const SAME = 1e-9;

    private const NEGLIGIBLE = 1e-15;

    /** @var array<string, Binomial> what may be up at the look, by season, packet and number sown */
    private array $looks = [];

    /** @var array<string, float> by season, packet, number up, number sown then */
    private array $expected = [];

    /** @var array<string, list<float>> by season, packet, number sown at the look */
    private array $beside = [];

    /** @var array<int, array<int, list<float>>> masses of useful plants out of what is up, by season, then number up */
    private array $ofUp = [];

    /** @var array<string, list<float>> the same out of so many sown then, by season and packet, then number */
    private array $ofSown = [];

    /**
     * @param  list<int>  $caps  plants moved on at each potting on; empty where all are
     * @param  float  $mishap  the chance that a batch is lost whole
     * @param  float  $each  money for one more site (or seed in a community pot)
     * @param  list<float>  $missing  money that so many missing plants cost, from 0 to the wanted number
     */
    public function __construct(
        private readonly Chain $chain,
        private readonly array $caps,
        private readonly float $mishap,
        private readonly float $each,
        private readonly array $missing,
    ) {
    }

    /**
     * What is believed of season and packet once so many of so many are up.
     *
     * @return array{array{float, float}, array{float, float}} weights by season, then packet
     */
    public function believed(int $n, int $up): array
    {
        $weights = $this->together($n, $up);
        $sum = array_sum($weights[0]) + array_sum($weights[1]);

        return array_map(fn (array $row): array => array_map(fn (float $w): float => $sum > 0.0 ? $w / $sum : 0.25, $row), $weights);
    }

    /** The chance that one more comes up by the look, in a season with a packet. */
    public function rate(int $season, int $packet): float
    {
        return min(1.0, $this->chain->untilFirst[$season][$packet] / $this->chain->beyondFirstStage[$season]);
    }

    /** Money for so many more sown at the look, with what then is missing. */
    public function costOf(int $n, int $up, int $more): float
    {
        return $this->each * $more + $this->over($this->believed($n, $up), fn (int $s, int $p): float => $this->expected($s, $p, $up, $more));
    }

    /** The chance of enough once so many are up and so many more are sown. */
    public function enough(int $n, int $up, int $more): float
    {
        $wanted = $this->chain->wanted;

        return $this->over($this->believed($n, $up), function (int $s, int $p) use ($up, $more, $wanted): float {
            [$a, $b] = [$this->usefulOfUp($s, $up), $this->usefulOfSown($s, $p, $more)];
            $sum = 0.0;
            foreach ($a as $x => $mass) {
                for ($y = max(0, $wanted - $x); $y <= $wanted; $y++) {
                    $sum += $mass * ($b[$y] ?? 0.0);
                }
            }

            return $sum;
        });
    }

    /** Plants missing, on average. */
    public function short(int $n, int $up, int $more): float
    {
        $count = new self($this->chain, $this->caps, $this->mishap, 0.0, array_map(floatval(...), range(0, $this->chain->wanted)));

        return $count->costOf($n, $up, $more);
    }

    /**
     * The cheapest number to sow at the look; the fewest of those that cost the same.
     *
     * @return array{int, float}
     */
    public function bestMore(int $n, int $up, int $most): array
    {
        $best = [0, $this->costOf($n, $up, 0)];
        for ($more = 1; $more <= $most; $more++) {
            $cost = $this->costOf($n, $up, $more);
            if ($cost < $best[1] - self::SAME) {
                $best = [$more, $cost];
            }
        }

        return $best;
    }

    /** Money for sowing so many at once and not again. */
    public function atOnce(int $n): float
    {
        return $this->byRule($n, array_fill(0, $n + 1, 0));
    }

    /**
     * Money for sowing so many, and at the look what a rule says.
     *
     * @param  list<int>  $rule  how many more, by number up
     */
    public function byRule(int $n, array $rule): float
    {
        $cost = $this->each * $n;
        foreach ($rule as $up => $more) {
            $cost += $this->partOf($n, $up, $more);
        }

        return $cost;
    }

    /**
     * The best rule that can be kept in mind: one number more, if fewer than so many are up.
     *
     * @return array{int, int, float} more, below, money
     */
    public function simpleRule(int $n, int $most): array
    {
        $none = array_map(fn (int $up): float => $this->partOf($n, $up, 0), range(0, $n));
        $all = $this->each * $n + array_sum($none);
        $best = [0, 0, $all];
        for ($more = 1; $more <= $most; $more++) {
            $cost = $all;
            foreach ($none as $up => $without) {
                $cost += $this->partOf($n, $up, $more) - $without;
                if ($cost < $best[2] - self::SAME) {
                    $best = [$more, $up + 1, $cost];
                }
            }
        }

        return $best;
    }

    /** What a number up adds to the money, times its chance. */
    private function partOf(int $n, int $up, int $more): float
    {
        $sum = 0.0;
        foreach ($this->together($n, $up) as $s => $row) {
            foreach ($row as $p => $weight) {
                if ($weight > self::NEGLIGIBLE) {
                    $sum += $weight * ($this->each * $more + $this->expected($s, $p, $up, $more));
                }
            }
        }

        return $sum;
    }

    /** @return array{array{float, float}, array{float, float}} chance of each season and packet together with so many up */
    private function together(int $n, int $up): array
    {
        $weights = [];
        foreach (TwoValues::WEIGHTS as $s => $season) {
            $row = [];
            foreach (TwoValues::WEIGHTS as $p => $packet) {
                $of = $this->looks["{$s} {$p} {$n}"] ??= Binomial::withTrials($n, $this->rate($s, $p));
                $row[] = $season * $packet * $of->mass($up);
            }
            $weights[] = $row;
        }

        return [$weights[0], $weights[1]];
    }

    /** Money for what is missing, in one season with one packet. */
    private function expected(int $season, int $packet, int $up, int $more): float
    {
        return $this->expected["{$season} {$packet} {$up} {$more}"] ??= $this->sumOver(
            $this->usefulOfUp($season, $up), $this->missingBeside($season, $packet, $more),
        );
    }

    /** @return list<float> money for what is missing beside so many that live of the first sowing, from 0 to the wanted number */
    private function missingBeside(int $season, int $packet, int $more): array
    {
        return $this->beside["{$season} {$packet} {$more}"] ??= array_map(
            fn (int $x): float => $this->sumOver(
                $this->usefulOfSown($season, $packet, $more),
                array_map(fn (int $y): float => $this->missing[max(0, $this->chain->wanted - $x - $y)], range(0, $this->chain->wanted)),
            ),
            range(0, $this->chain->wanted),
        );
    }

    /**
     * @param  list<float>  $masses
     * @param  list<float>  $values
     */
    private function sumOver(array $masses, array $values): float
    {
        $sum = 0.0;
        foreach ($masses as $k => $mass) {
            $sum += $mass * $values[$k];
        }

        return $sum;
    }

    /** @return list<float> masses from 0 to the wanted number, which stands for all above */
    private function usefulOfUp(int $season, int $up): array
    {
        return $this->ofUp[$season][$up] ??= $this->useful(
            Distribution::always($up)->thinned($this->chain->beyondFirstStage[$season] * $this->restUncapped($season)), $season,
        );
    }

    /** @return list<float> */
    private function usefulOfSown(int $season, int $packet, int $sown): array
    {
        return $this->ofSown["{$season} {$packet} {$sown}"] ??= $this->useful(
            Distribution::binomial($sown, $this->chain->untilFirst[$season][$packet] * $this->restUncapped($season)), $season,
        );
    }

    /** Where all are moved on the stages only thin, and do so in one. */
    private function restUncapped(int $season): float
    {
        return $this->caps === [] ? (float) array_product($this->chain->legs[$season]) : 1.0;
    }

    /** @return list<float> */
    private function useful(Distribution $alive, int $season): array
    {
        foreach ($this->caps as $j => $cap) {
            $alive = $alive->cappedAt($cap)->thinned($this->chain->legs[$season][$j]);
        }

        return $alive->cappedAt($this->chain->wanted)->orElse(Distribution::always(0), $this->mishap)->upTo($this->chain->wanted);
    }

    /**
     * @param  array{array{float, float}, array{float, float}}  $weights
     * @param  callable(int, int): float  $value
     */
    private function over(array $weights, callable $value): float
    {
        $sum = 0.0;
        foreach ($weights as $s => $row) {
            foreach ($row as $p => $weight) {
                $sum += $weight > self::NEGLIGIBLE ? $weight * $value($s, $p) : 0.0;
            }
        }

        return $sum;
    }
}

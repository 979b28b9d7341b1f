<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Units\Ceiling;

/**
 * How much to sow, with exact probabilities. Costing rules, section 4. Sizing works backwards: first the chance of
 * enough plants from x moved on, for the x that matter, then the smallest sowing that gives the confidence.
 */
final class Sower
{
    /** Rounding in the last places of a probability must not cost a seed. */
    private const SURE = 1e-12;

    /** As good as sure: more moved on make it no surer that can be told. */
    private const ROUNDING = 1e-15;

    /** @var array<string, array{?int, ?list<int>}> units and caps by chain */
    private array $sized = [];

    /** @var array<string, Finish> by chain and units */
    private array $finishes = [];

    /** @param  float  $mishap  the chance that a batch is lost whole */
    public function __construct(private readonly float $mishap, public readonly Known $known = new Known())
    {
    }

    /** @return ?SowingPlan null where the wanted number cannot be reached */
    public function plan(Method $method, Crop $crop, Chain $chain): ?SowingPlan
    {
        $community = $method->pattern === Pattern::Community;
        if ($crop->sow !== null && $crop->sow->method === $method->id) {
            $caps = $this->caps($chain);
            $units = $this->decided($crop->sow->sites, $crop->sow->seeds, $method->seedsPerSite, $community);
        } else {
            [$units, $caps] = $this->sized[$chain->key()] ??= $this->known->recall("sized {$chain->key()}", fn (): array => $this->size($chain));
            if ($units !== null && ! $community) {
                $units = Ceiling::roundUp($units / $method->roundSitesTo) * $method->roundSitesTo;
            }
        }
        if ($units === null || $caps === null) {
            return null;
        }

        return new SowingPlan(
            $chain->q,
            $units,
            $community ? $units : $units * $method->seedsPerSite,
            $community ? Ceiling::roundUp($units / $method->seedsPerSite) : $units,
            $caps,
            $this->aliveBefore($chain, $units),
            $this->finishes[$chain->key().'#'.$units] ??= $this->finish($chain, $units, $caps),
            $chain,
        );
    }

    private function decided(?int $sites, ?int $seeds, int $seedsPerSite, bool $community): int
    {
        return $community ? $seeds ?? (int) $sites * $seedsPerSite : $sites ?? Ceiling::roundUp((int) $seeds / $seedsPerSite);
    }

    /**
     * The plants moved on at each potting on: each takes an equal share of the risk.
     *
     * @return ?list<int> null where one would be beyond reach
     */
    private function caps(Chain $chain): ?array
    {
        $caps = [];
        if ($chain->moveAll) {
            return $caps;
        }
        $sure = 1.0 - (1.0 - $chain->confidence) / (count($chain->legs[0]) + 1) - self::SURE;
        foreach (array_keys($chain->legs[0]) as $j) {
            [$bad, $good] = array_map(fn (array $legs): float => (float) array_product(array_slice($legs, $j)), $chain->legs);
            [$b, $g] = TwoValues::WEIGHTS;
            $cap = $this->smallest($chain, $b * $bad + $g * $good, fn (int $n): bool => $b * Binomial::withTrials($n, $bad)->atLeast($chain->wanted)
                + $g * Binomial::withTrials($n, $good)->atLeast($chain->wanted) >= $sure);
            if ($cap === null) {
                return null;
            }
            $caps[] = $cap;
        }

        return $caps;
    }

    /** @return array{?int, ?list<int>} units and caps, null where out of reach */
    private function size(Chain $chain): array
    {
        $caps = $this->caps($chain);
        if ($caps === null) {
            return [null, null];
        }
        $sure = $chain->confidence - self::SURE;
        if ($caps === []) {
            $chance = fn (int $n): float => $chain->overCases(fn (int $season, float $untilFirst): float => Binomial::withTrials(
                $n,
                $untilFirst * array_product($chain->legs[$season]),
            )->atLeast($chain->wanted));
        } else {
            $enough = array_map(fn (array $legs): array => $this->chanceOfEnough($chain->wanted, $legs, $caps), $chain->legs);
            $chance = fn (int $n): float => $chain->overCases(
                fn (int $season, float $untilFirst): float => $this->expected(
                    Binomial::withTrials($n, $untilFirst),
                    $enough[$season],
                    $chain->wanted,
                    $caps[0],
                ),
            );
        }

        return [$this->smallest($chain, $chain->throughout(), fn (int $n): bool => $chance($n) >= $sure), $caps];
    }

    /**
     * The chance of enough finished plants from each number moved on at the first potting on, from wanted to its cap.
     *
     * @param  list<float>  $legs
     * @param  non-empty-list<int>  $caps
     * @return list<float> by number − wanted
     */
    private function chanceOfEnough(int $wanted, array $legs, array $caps): array
    {
        $last = count($caps) - 1;
        $chance = $this->tails($wanted, $caps[$last], $legs[$last]);
        for ($j = $last - 1; $j >= 0; $j--) {
            $next = [];
            $row = new PascalRow($wanted, $legs[$j]);
            for ($n = $wanted, $sure = 0.0; $n <= $caps[$j]; $n++) {
                if ($sure < 1.0 - self::ROUNDING) {
                    $sure = $this->expected($row, $chance, $wanted, $caps[$j + 1]);
                    $row->next();
                }
                $next[] = $sure;
            }
            $chance = $next;
        }

        return $chance;
    }

    /**
     * P(B(n, p) ≥ wanted) for n from wanted to the cap, downwards by P(n) = P(n + 1) − p · P(B(n, p) = wanted − 1).
     *
     * @return list<float> by n − wanted
     */
    private function tails(int $wanted, int $cap, float $p): array
    {
        $tail = Binomial::withTrials($cap, $p)->atLeast($wanted);
        $tails = [$tail];
        $mass = Binomial::withTrials($cap, $p)->mass($wanted - 1);
        for ($n = $cap - 1; $n >= $wanted; $n--) {
            $mass *= ($n - $wanted + 2) / (($n + 1) * (1.0 - $p) ?: 1.0);
            $tail = max(0.0, $tail - $p * $mass);
            $tails[] = $tail;
        }

        return array_reverse($tails);
    }

    /** @param  list<float>  $chance  by number − wanted, up to the cap, which stands for all above */
    private function expected(Binomial|PascalRow $alive, array $chance, int $wanted, int $cap): float
    {
        $sum = 0.0;
        $top = $cap - $wanted;
        $from = max(0, $wanted - $alive->first);
        for ($i = $from, $count = count($alive->masses); $i < $count; $i++) {
            $over = $alive->first + $i - $wanted;
            $sum += $alive->masses[$i] * $chance[$over < $top ? $over : $top];
        }

        return $sum;
    }

    /**
     * The smallest n, from wanted up, that is enough: steps grow away from a first guess, then the gap is halved.
     *
     * @param  callable(int): bool  $enough  false below some n, true from there on
     */
    private function smallest(Chain $chain, float $p, callable $enough): ?int
    {
        $limit = $chain->limit();
        $guess = $p <= 0.0 ? $limit : (int) min((float) $limit, ceil(($chain->wanted + sqrt($chain->wanted * (1.0 - $p) + 1.0)) / $p));
        $high = max($chain->wanted, $guess);
        $low = $chain->wanted - 1;
        for ($step = 1; ! $enough($high); $step *= 2) {
            if ($high >= $limit) {
                return null;
            }
            $low = $high;
            $high = min($limit, $high + $step);
        }
        for ($step = 1; $high - $step > $low; $step *= 2) {
            if (! $enough($high - $step)) {
                $low = $high - $step;
                break;
            }
            $high -= $step;
        }
        while ($high - $low > 1) {
            $middle = intdiv($high + $low, 2);
            $enough($middle) ? ($high = $middle) : ($low = $middle);
        }

        return $high;
    }

    /** @param  list<int>  $caps */
    private function finish(Chain $chain, int $units, array $caps): Finish
    {
        $seasons = [];
        foreach ($chain->legs as $season => $legs) {
            // Where all are moved on the stages only thin, and do so in one.
            $rest = $caps === [] ? array_product($legs) : 1.0;
            $alive = Distribution::mixture(
                array_map(fn (float $lives): Distribution => Distribution::binomial($units, $lives * $rest), $chain->untilFirst[$season]),
                TwoValues::WEIGHTS,
            );
            foreach ($caps as $j => $cap) {
                $alive = $alive->cappedAt($cap)->thinned($legs[$j]);
            }
            $seasons[] = $alive;
        }

        return new Finish($chain->wanted, [$seasons[0], $seasons[1]], $this->mishap);
    }

    /** @return list<float> */
    private function aliveBefore(Chain $chain, int $units): array
    {
        return array_map(
            fn (int $j): float => $units * $chain->overCases(
                fn (int $season, float $untilFirst): float => $untilFirst * array_product(array_slice($chain->legs[$season], 0, $j)),
            ),
            array_keys($chain->legs[0]),
        );
    }
}

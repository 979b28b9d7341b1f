<?php

declare(strict_types=1);

namespace JollyPenny\Core\Sowing;

use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Method;
use JollyPenny\Core\Season\Pattern;
use JollyPenny\Core\Units\Ceiling;

/**
 * How much to sow, with exact probabilities. Costing rules, section 4. Sizing works backwards: first the chance of
 * enough plants from x moved on, for the x that matter, then the smallest sowing that gives the confidence.
 */
final class Sower
{
    /** Rounding in the last places of a probability must not cost a seed. */
    private const SURE = 1e-12;

    /** @var array<string, array{?int, ?list<int>}> units and caps by chain */
    private array $sized = [];

    /** @var array<string, array{float, float, float, float, float}> outcome by chain and units */
    private array $outcomes = [];

    /**
     * @param  float  $g  probability that a seed comes up
     * @return ?SowingPlan null where the wanted number cannot be reached
     */
    public function plan(Method $method, Crop $crop, float $g, float $confidence): ?SowingPlan
    {
        $chain = Chain::of($method, $crop, $g, $confidence);
        $community = $method->pattern === Pattern::Community;
        if ($crop->sow !== null && $crop->sow->method === $method->id) {
            $caps = $this->caps($chain);
            $units = $this->decided($crop->sow->sites, $crop->sow->seeds, $method->seedsPerSite, $community);
        } else {
            [$units, $caps] = $this->sized[$chain->key()] ??= $this->size($chain);
            if ($units !== null && ! $community) {
                $units = Ceiling::of($units / $method->roundSitesTo) * $method->roundSitesTo;
            }
        }
        if ($units === null || $caps === null) {
            return null;
        }
        [$finished, $enough, $shortfall, $useful, $surplus] = $this->outcomes[$chain->key().'#'.$units] ??= $this->outcome(
            $chain,
            $units,
            $caps,
        );

        return new SowingPlan(
            $chain->q,
            $units,
            $community ? $units : $units * $method->seedsPerSite,
            $community ? Ceiling::of($units / $method->seedsPerSite) : $units,
            $caps,
            $this->aliveBefore($chain, $units),
            $finished,
            $enough,
            $shortfall,
            $useful,
            $surplus,
        );
    }

    /** The whole distribution of finished seedlings, for the pictures. */
    public function distribution(Chain $chain, SowingPlan $plan): Distribution
    {
        return $this->finished($chain, $plan->units, $plan->caps);
    }

    private function decided(?int $sites, ?int $seeds, int $seedsPerSite, bool $community): int
    {
        return $community ? $seeds ?? (int) $sites * $seedsPerSite : $sites ?? Ceiling::of((int) $seeds / $seedsPerSite);
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
        $sure = 1.0 - (1.0 - $chain->confidence) / (count($chain->legs) + 1);
        $survival = array_product($chain->legs);
        foreach ($chain->legs as $leg) {
            $cap = $this->smallest(
                $chain,
                $survival,
                fn (int $n): bool => Binomial::of($n, $survival)->atLeast($chain->wanted) >= $sure - self::SURE,
            );
            if ($cap === null) {
                return null;
            }
            $caps[] = $cap;
            $survival /= $leg;
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
            $p = $chain->throughout();

            return [$this->smallest($chain, $p, fn (int $n): bool => Binomial::of($n, $p)->atLeast($chain->wanted) >= $sure), $caps];
        }
        $chance = $this->chanceOfEnough($chain, $caps);
        $units = $this->smallest($chain, $chain->throughout(), function (int $n) use ($chain, $chance, $caps, $sure): bool {
            return $this->expected(Binomial::of($n, $chain->untilFirst), $chance, $chain->wanted, $caps[0]) >= $sure;
        });

        return [$units, $caps];
    }

    /**
     * The chance of enough finished plants from each number moved on at the first potting on, from wanted to its cap.
     *
     * @param  non-empty-list<int>  $caps
     * @return list<float> by number − wanted
     */
    private function chanceOfEnough(Chain $chain, array $caps): array
    {
        $last = count($caps) - 1;
        $chance = $this->tails($chain->wanted, $caps[$last], $chain->legs[$last]);
        for ($j = $last - 1; $j >= 0; $j--) {
            $next = [];
            for ($n = $chain->wanted; $n <= $caps[$j]; $n++) {
                $next[] = $this->expected(Binomial::of($n, $chain->legs[$j]), $chance, $chain->wanted, $caps[$j + 1]);
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
        $tail = Binomial::of($cap, $p)->atLeast($wanted);
        $tails = [$tail];
        $mass = Binomial::of($cap, $p)->mass($wanted - 1);
        for ($n = $cap - 1; $n >= $wanted; $n--) {
            $mass *= ($n - $wanted + 2) / (($n + 1) * (1.0 - $p) ?: 1.0);
            $tail = max(0.0, $tail - $p * $mass);
            $tails[] = $tail;
        }

        return array_reverse($tails);
    }

    /** @param  list<float>  $chance  by number − wanted, up to the cap, which stands for all above */
    private function expected(Binomial $alive, array $chance, int $wanted, int $cap): float
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

    /**
     * @param  list<int>  $caps
     * @return array{float, float, float, float, float} finished, P(enough), shortfall, useful, surplus
     */
    private function outcome(Chain $chain, int $units, array $caps): array
    {
        $alive = $this->finished($chain, $units, $caps);
        $w = $chain->wanted;

        return [$alive->mean(), $alive->atLeast($w), $alive->shortfall($w), $alive->useful($w), $alive->surplus($w)];
    }

    /** @param  list<int>  $caps */
    private function finished(Chain $chain, int $units, array $caps): Distribution
    {
        if ($caps === []) {
            return Distribution::binomial($units, $chain->throughout());
        }
        $alive = Distribution::binomial($units, $chain->untilFirst);
        foreach ($caps as $j => $cap) {
            $alive = $alive->cappedAt($cap)->thinned($chain->legs[$j]);
        }

        return $alive;
    }

    /** @return list<float> */
    private function aliveBefore(Chain $chain, int $units): array
    {
        $alive = $units * $chain->untilFirst;
        $before = [];
        foreach ($chain->legs as $leg) {
            $before[] = $alive;
            $alive *= $leg;
        }

        return $before;
    }
}

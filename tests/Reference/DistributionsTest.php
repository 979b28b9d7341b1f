<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Books\CapitalRecovery;
use JollyPenny\Core\Plan\Germination\NormalDistribution;
use JollyPenny\Core\Plan\Sowing\Binomial;
use JollyPenny\Core\Plan\Sowing\Distribution;
use Tests\Reference\Libraries;
use Tests\Seasons;

// Printed tables give four decimals: half a unit of the last is the tolerance.
const PRINTED = 5.1e-5;

it('agrees with the printed cumulative binomial table', function (int $n, float $p, int $k, float $printed) {
    // Cumulative binomial probabilities as in the appendices of statistics textbooks (values from memory).
    expect(1 - Binomial::withTrials($n, $p)->atLeast($k + 1))->toEqualWithDelta($printed, PRINTED);
})->with([
    [20, 0.5, 7, 0.1316],
    [10, 0.5, 3, 0.1719],
    [5, 0.3, 1, 0.5282],
    [15, 0.4, 5, 0.4032],
    [20, 0.25, 5, 0.6172],
    [10, 0.2, 2, 0.6778],
    [20, 0.9, 17, 0.3231],
]);

it('agrees with @stdlib on the binomial distribution', function () {
    $cases = $questions = [];
    foreach ([1, 2, 6, 20, 75, 400, 5000] as $n) {
        foreach ([0.003, 0.2, 0.5, 0.836, 0.99] as $p) {
            foreach ([-2, -1, 0, 1, 2] as $deviations) {
                $k = max(0, min($n, (int) round($n * $p + $deviations * sqrt($n * $p * (1 - $p)))));
                $cases[] = [$n, $p, $k];
                array_push($questions, ['binomialCdf', $k, $n, $p], ['binomialPmf', $k, $n, $p]);
            }
        }
    }
    $answers = Libraries::answers($questions);
    foreach ($cases as $i => [$n, $p, $k]) {
        $ours = Binomial::withTrials($n, $p);
        expect(1 - $ours->atLeast($k + 1))
            ->toEqualWithDelta($answers[2 * $i], 1e-10, "B({$n}, {$p}) ≤ {$k}")
            ->and($ours->mass($k))
            ->toEqualWithDelta($answers[2 * $i + 1], 1e-10, "B({$n}, {$p}) = {$k}");
    }
    expect(count($cases))->toBe(175);
});

it('agrees with jStat that the tail of a binomial is a beta distribution', function () {
    // P(B(n, p) ≥ k) = I_p(k, n − k + 1); the beta quantile gives the p at which k of n is just as sure as asked.
    $cases = [[6, 9, 0.9], [24, 33, 0.97], [1, 4, 0.5], [60, 82, 0.9], [180, 240, 0.999], [12, 12, 0.8]];
    $inverse = Libraries::answers(array_map(fn (array $case) => ['betaInv', $case[2], $case[0], $case[1] - $case[0] + 1], $cases));
    $forward = Libraries::answers(array_map(fn (array $case) => ['betaCdf', 0.77, $case[0], $case[1] - $case[0] + 1], $cases));
    foreach ($cases as $i => [$k, $n, $sure]) {
        expect(Binomial::withTrials($n, $inverse[$i])->atLeast($k))
            ->toEqualWithDelta($sure, 1e-7)
            ->and(Binomial::withTrials($n, 0.77)->atLeast($k))
            ->toEqualWithDelta($forward[$i], 1e-8); // jStat's own series stops there
    }
});

it('sows as few as the beta quantile allows, one fewer being too few', function () {
    // One crop without potting on: the smallest N whose beta quantile of the confidence is at most the site's chance.
    foreach ([0.5, 0.8, 0.9, 0.99] as $confidence) {
        foreach ([1, 6, 40] as $wanted) {
            $file = Seasons::small();
            $file['confidence'] = $confidence;
            $file['crops'][0]['wanted'] = $wanted;
            $crop = Seasons::result($file)->crops[0];
            $p = $crop->q * 0.95 * 0.96 * 0.97;
            [$with, $fewer] = Libraries::answers([
                ['betaInv', $confidence, $wanted, $crop->sites - $wanted + 1],
                ['betaInv', $confidence, $wanted, max(1, $crop->sites - $wanted)],
            ]);
            expect($with)
                ->toBeLessThanOrEqual($p)
                ->and($crop->sites === $wanted || $fewer > $p)
                ->toBeTrue("{$wanted} at {$confidence}");
        }
    }
});

it('agrees with the printed normal table and with @stdlib on probits', function () {
    // Standard normal table of statistics textbooks (values from memory).
    foreach ([[1.0, 0.8413], [1.645, 0.95], [1.96, 0.975], [-0.5, 0.3085], [2.33, 0.9901]] as [$z, $printed]) {
        expect(NormalDistribution::cumulative($z))->toEqualWithDelta($printed, PRINTED);
    }
    $probits = [-6.0, -3.1, -2.4, -0.7, 0.0, 0.3, 1.9, 2.6, 4.4];
    $answers = Libraries::answers(array_map(fn (float $z) => ['normalCdf', $z, 0, 1], $probits));
    foreach ($probits as $i => $z) {
        expect(NormalDistribution::cumulative($z))->toEqualWithDelta($answers[$i], 1e-14);
    }
});

it('mixes good and bad packets and seasons as @stdlib\'s binomials do', function () {
    // The one-crop season, with luck, and a packet of which only the year is known: what finishes is one of four binomials.
    $file = ['luck' => 0.1, 'mishap' => 0.03] + Seasons::small();
    $file['seed_lots'][0]['test'] = null;
    $crop = Seasons::result($file)->crops[0];
    $relative = 91 / 98;
    $packets = [0.9 - 2 * sqrt(0.09 / 21), 0.9 + sqrt(0.09 / 21) / 2];
    $whole = 0.95 * 0.96 * 0.97;
    $deviation = sqrt(0.1 * $whole * (1 - $whole));
    $seasons = [$whole - 2 * $deviation, $whole + $deviation / 2];
    $questions = $weights = [];
    foreach ($packets as $p => $packet) {
        foreach ($seasons as $s => $season) {
            $questions[] = ['binomialCdf', 2, $crop->sites, $packet * $relative * $season];
            $weights[] = [0.2, 0.8][$p] * [0.2, 0.8][$s];
        }
    }
    $short = array_sum(array_map(fn ($weight, $cdf) => $weight * $cdf, $weights, Libraries::answers($questions)));
    expect($crop->p_enough)->toBeNear(0.97 * (1 - $short), 1e-10)->and(1 - $short)->toBeGreaterThanOrEqual(0.9);
});

it('adds up many as one binomial of all their trials', function () {
    // Sums of independent binomials of one probability are binomial: B(20, p) seven times and B(5, p) thrice are B(155, p) (any textbook).
    foreach ([0.05, 0.3, 0.83] as $p) {
        $sum = Distribution::sum([...array_fill(0, 7, Distribution::binomial(20, $p)), ...array_fill(0, 3, Distribution::binomial(5, $p))]);
        $whole = Binomial::withTrials(155, $p);
        foreach ([0, 5, 8, 40, 46, 60, 120, 129, 140, 155] as $k) {
            expect($sum->atLeast($k))->toEqualWithDelta($whole->atLeast($k), 1e-12, "{$p} {$k}");
        }
        expect($sum->mean())->toEqualWithDelta(155 * $p, 1e-9);
    }
});

it('counts in steps without moving the mean, and a percentile by no more than a step', function () {
    foreach ([0.2, 0.5, 0.9] as $p) {
        $exact = Distribution::binomial(4000, $p);
        foreach ([2, 3, 7, 10] as $step) {
            $stepped = $exact->inSteps($step);
            expect($step * $stepped->mean())->toEqualWithDelta(4000 * $p, 1e-6)
                ->and(abs($step * $stepped->percentile(0.1) - $exact->percentile(0.1)))->toBeLessThanOrEqual($step)
                ->and(abs($step * $stepped->percentile(0.9) - $exact->percentile(0.9)))->toBeLessThanOrEqual($step);
        }
    }
});

it('agrees with the engineering-economy tables on capital recovery', function (float $rate, int $seasons, float $printed) {
    // Compound interest tables of engineering-economy handbooks, column A/P (values from memory).
    expect(CapitalRecovery::share(1.0, $seasons, $rate))->toEqualWithDelta($printed, PRINTED);
})->with([[0.1, 5, 0.2638], [0.08, 10, 0.149], [0.06, 5, 0.2374], [0.05, 10, 0.1295], [0.12, 8, 0.2013], [0.1, 20, 0.1175]]);

it('spreads a price so that the shares are worth it again', function () {
    // The definition: the present value of n equal payments is the price (P/A 8 %, 10 = 6.7101, from memory).
    $share = CapitalRecovery::share(100.0, 10, 0.08);
    $worth = 0.0;
    for ($season = 1; $season <= 10; $season++) {
        $worth += $share / 1.08 ** $season;
    }
    expect($worth)
        ->toBeNear(100.0)
        ->and(100.0 / $share)
        ->toEqualWithDelta(6.7101, PRINTED)
        ->and(CapitalRecovery::share(100.0, 8, 0.0))
        ->toBe(12.5);
});

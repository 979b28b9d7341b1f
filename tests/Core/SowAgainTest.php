<?php

declare(strict_types=1);

use JollyPenny\Core\Living\SowAgain\Sowings;
use JollyPenny\Core\Living\SowAgain\TwoSowings;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Seasons;

/** P(B(n, p) = k), by the textbook. */
function chanceOf(int $k, int $n, float $p): float
{
    $choose = 1.0;
    for ($i = 1; $i <= $k; $i++) {
        $choose *= ($n - $k + $i) / $i;
    }

    return $choose * $p ** $k * (1 - $p) ** ($n - $k);
}

/**
 * Money of sowing n, then by a rule of the number up, by going through every way it can come, plant by plant and stage by stage.
 * Rates are [season][packet] up to the look, and [season] of the leg until potting on (at most `cap` plants) and of the leg after it.
 */
function everyWay(int $n, callable $rule, array $rates, array $before, array $after, int $cap, float $mishap, float $each, array $missing): float
{
    $wanted = count($missing) - 1;
    $finished = function (int $alive, int $s) use ($before, $after, $cap, $mishap): array {
        $out = array_fill(0, $alive + 1, 0.0);
        for ($k = 0; $k <= $alive; $k++) {
            $moved = min($cap, $k);
            for ($f = 0; $f <= $moved; $f++) {
                $out[$f] += (1 - $mishap) * chanceOf($k, $alive, $before[$s]) * chanceOf($f, $moved, $after[$s]);
            }
        }
        $out[0] += $mishap;

        return $out;
    };
    $cost = 0.0;
    foreach ([0.2, 0.8] as $s => $season) {
        foreach ([0.2, 0.8] as $p => $packet) {
            for ($up = 0; $up <= $n; $up++) {
                $more = $rule($up);
                $chance = $season * $packet * chanceOf($up, $n, $rates[$s][$p]);
                $cost += $chance * $each * ($n + $more);
                $first = $finished($up, $s);
                for ($again = 0; $again <= $more; $again++) {
                    $second = $finished($again, $s);
                    foreach ($first as $a => $pa) {
                        foreach ($second as $b => $pb) {
                            $cost += $chance * chanceOf($again, $more, $rates[$s][$p]) * $pa * $pb * $missing[max(0, $wanted - $a - $b)];
                        }
                    }
                }
            }
        }
    }

    return $cost;
}

/** The two sowings of a crop of the small season, with what they are made of. @return array{TwoSowings, array<string, mixed>} */
function twoSowings(int $wanted, float $each, float $mishap): array
{
    $file = Seasons::small();
    $file['crops'][0]['wanted'] = $wanted;
    $file['methods'][0]['stages'][1]['container'] = $file['methods'][0]['stages'][0]['container'];
    $file['methods'][0]['stages'][1]['survival'] = 0.8;
    $file['luck'] = 0.2;
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $plan = $books->plans[0]->sowing;
    $missing = array_map(fn (int $k): float => 1.5 * ceil($k / 2), range(0, $wanted));
    $chain = $plan->chain;
    $rates = array_map(fn (int $s): array => array_map(fn (float $r): float => $r / $chain->beyondFirstStage[$s], $chain->untilFirst[$s]), [0, 1]);

    return [new TwoSowings($chain, $plan->caps, $mishap, $each, $missing), [
        'rates' => $rates, 'before' => $chain->beyondFirstStage, 'after' => [array_product($chain->legs[0]), array_product($chain->legs[1])],
        'cap' => $plan->caps[0], 'missing' => $missing,
    ]];
}

it('costs sowing in two steps as going through every way does', function () {
    foreach ([[2, 0.3, 0.0], [3, 0.15, 0.05], [4, 0.4, 0.1]] as [$wanted, $each, $mishap]) {
        [$sowings, $of] = twoSowings($wanted, $each, $mishap);
        for ($n = 1; $n <= 5; $n++) {
            $rule = array_map(fn (int $up): int => $sowings->bestMore($n, $up, 5)[0], range(0, $n));
            $brute = fn (callable $rule): float => everyWay($n, $rule, $of['rates'], $of['before'], $of['after'], $of['cap'], $mishap, $each, $of['missing']);
            expect($sowings->byRule($n, $rule))->toBeNear($brute(fn (int $up): int => $rule[$up]), 1e-9)
                ->and($sowings->atOnce($n))->toBeNear($brute(fn (): int => 0), 1e-9);
        }
    }
});

it('finds the best rule of all, and the best that can be kept in mind', function () {
    [$sowings, $of] = twoSowings(3, 0.25, 0.05);
    $cost = fn (int $n, callable $rule): float => everyWay($n, $rule, $of['rates'], $of['before'], $of['after'], $of['cap'], 0.05, 0.25, $of['missing']);
    $n = 3;
    // Every rule of at most four more for each number up.
    $best = INF;
    for ($code = 0; $code < 5 ** ($n + 1); $code++) {
        $best = min($best, $sowings->byRule($n, array_map(fn (int $up): int => intdiv($code, 5 ** $up) % 5, range(0, $n))));
    }
    $rule = array_map(fn (int $up): int => $sowings->bestMore($n, $up, 4)[0], range(0, $n));
    expect($sowings->byRule($n, $rule))->toBeNear($best, 1e-12);
    [$more, $below, $simple] = $sowings->simpleRule($n, 4);
    $least = INF;
    foreach (range(0, 4) as $m) {
        foreach (range(0, $n + 1) as $k) {
            $least = min($least, $cost($n, fn (int $up): int => $up < $k ? $m : 0));
        }
    }
    expect($simple)->toBeNear($least, 1e-9)->and($cost($n, fn (int $up): int => $up < $below ? $more : 0))->toBeNear($least, 1e-9)
        ->and($simple)->toBeGreaterThanOrEqual($best - 1e-12);
});

it('believes in a bad packet when little comes up, and sows the more the less is up', function () {
    $season = Seasons::read(Seasons::demo());
    $sowings = new Sowings(new SeasonCosting($season), $season->setups[0]);
    $before = null;
    foreach (range(0, 12) as $up) {
        $again = $sowings->again('copper-kettle', $up, 12, '2027-04-12', '2027-04-21');
        expect($again->of)->toBe(12)->and($again->look_on)->toBe('2027-04-21')->and($again->too_late)->toBeFalse();
        if ($before !== null) {
            expect($again->more)->toBeLessThanOrEqual($before->more)->and($again->believed)->toBeGreaterThanOrEqual($before->believed);
        }
        $before = $again;
    }
    expect($before->more)->toBe(0)->and($sowings->again('copper-kettle', 3, 12, null, '2027-04-30')->too_late)->toBeTrue()
        ->and($sowings->again('nobody', 3, 12, null, '2027-04-30'))->toBeNull();
});

it('says a plan in two steps that is no dearer than all at once, and none where nobody sells the crop', function () {
    $season = Seasons::read(Seasons::demo());
    $sowings = new Sowings(new SeasonCosting($season), $season->setups[0]);
    foreach (['copper-kettle', 'ink-pot', 'stone-button'] as $crop) {
        $two = $sowings->inTwoSteps($crop);
        expect($two->cost)->toBeLessThanOrEqual($two->at_once_cost + 1e-9)->and($two->best)->toBeLessThanOrEqual($two->cost + 1e-9)
            ->and($two->saves)->toBeNear($two->at_once_cost - $two->cost)->and($two->below)->toBeLessThanOrEqual($two->first + 1);
    }
    expect($sowings->inTwoSteps('red-whistle'))->toBeNull()->and($sowings->inTwoSteps('nobody'))->toBeNull();
    // One plant of good seed, in dear mix: one cell is sown first, and all at once no more.
    $one = Seasons::small();
    $one['crops'][0]['wanted'] = 1;
    $one['supplies'] = array_map(fn (array $row): array => ['pack_price' => 900] + $row, $one['supplies']);
    $season = Seasons::read($one);
    $two = (new Sowings(new SeasonCosting($season), $season->setups[0]))->inTwoSteps('lantern');
    expect([$two->first, $two->at_once])->toBe([1, 1]);
    // More plants than are looked through for it, though somebody sells them.
    $many = Seasons::demo();
    $many['crops'][0]['wanted'] = 61;
    $season = Seasons::read($many);
    expect((new Sowings(new SeasonCosting($season), $season->setups[0]))->inTwoSteps($many['crops'][0]['id']))->toBeNull();
    // Nobody sells it: as many as make it as sure as was asked for.
    $again = $sowings->again('red-whistle', 2, 12, '2027-04-09', '2027-04-20');
    expect($again->more)->toBeGreaterThan(0)->and($again->ways[0]['cost'])->toBeNull();
});

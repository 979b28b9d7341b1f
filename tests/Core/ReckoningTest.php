<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\Changes;
use JollyPenny\Core\Deciding\Advising\HangsOn;
use JollyPenny\Core\Deciding\Advising\LeavingDay;
use JollyPenny\Core\Deciding\Advising\LitWorth;
use JollyPenny\Core\Deciding\Advising\OneMoreLamp;
use JollyPenny\Core\Deciding\Advising\Savings;
use JollyPenny\Core\Deciding\Advising\Weighed;
use JollyPenny\Core\Deciding\Advising\WorthKnowing;
use JollyPenny\Core\Deciding\Simulating\Simulation;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Living\Reckoning\Beliefs;
use JollyPenny\Core\Living\Reckoning\BetaPoints;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Living\Reckoning\EndOfSeason;
use JollyPenny\Core\Living\Reckoning\Reckoning;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Showing\Workings\NoSuchFigure;
use JollyPenny\Core\Showing\Workings\ReckoningWorkings;
use Tests\Logs;
use Tests\Reference\Libraries;
use Tests\Seasons;

/** @param  list<Purchase>  $purchases */
function cameTo(array $file, LogBook $log, array $purchases = [], array $measured = []): CameTo
{
    $season = Seasons::read($file);

    return (new Reckoning(new SeasonCosting($season), $season->setups[0], $log, $purchases, $measured))->cameTo();
}

it('bridges from the plan to what it came to, step by step, and adds up', function () {
    $log = Logs::book([
        ['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'count' => 10, 'seeds' => 20]],
        ['2027-04-20', 'up', ['crop' => 'copper-kettle', 'count' => 7]],
        ['2027-05-02', 'lost', ['crop' => 'copper-kettle', 'count' => 2, 'cause' => 'gnats', 'tray' => 'D']],
        ['2027-06-04', 'planted', ['crop' => 'copper-kettle', 'count' => 4]],
        ['2027-06-04', 'given', ['crop' => 'copper-kettle', 'count' => 1]],
    ]);
    $starter = array_column(Seasons::demo()['seed_lots'], null, 'id');
    $paid = new Purchase(
        id: 'token-0001',
        kind: 'seed',
        thing: array_key_first($starter),
        name: 'x',
        packs: 2,
        paid: 3.0 * array_values($starter)[0]['packet_price'],
        on: '2027-01-20',
        shop: '',
        note: '',
    );
    $came = cameTo(Seasons::demo(), $log, [$paid], [['path' => ['lights', 'led', 'watts'], 'real' => 36.0]]);
    $plan = Seasons::result(Seasons::demo());
    expect(array_column($came->steps, 'key'))->toBe(['planned', 'prices', 'used', 'power', 'up', 'lived'])
        ->and($came->steps[0]->per_finished)->toBeNear($plan->per_finished);
    $sum = $came->steps[0]->per_finished + array_sum(array_map(fn ($step): float => (float) $step->moved, $came->steps));
    expect($sum)->toBeNear($came->steps[5]->per_finished, 1e-9)
        ->and(array_sum(array_column($came->real_stack, 'amount')))->toBeNear($came->steps[5]->per_finished, 1e-9)
        ->and($came->steps[5]->per_finished)->toBeNear($came->steps[5]->cost / $came->steps[5]->useful, 1e-12);
    // Each step is the season costed with that fact on top of those before.
    $file = Seasons::demo();
    $file['seed_lots'][0]['packet_price'] *= 1.5;
    expect($came->steps[1]->per_finished)->toBeNear(Seasons::result($file)->per_finished);
    $file['crops'][0]['sow'] = ['method' => 'cells-pots', 'sites' => 10];
    expect($came->steps[2]->per_finished)->toBeNear(Seasons::result($file)->per_finished);
    $file['lights'][0]['watts'] = 36;
    $result = Seasons::result($file);
    expect($came->steps[3]->per_finished)->toBeNear($result->per_finished);
    // Of six wanted five lived: the last step has five in place of what was expected.
    $expected = array_column($result->crops, null, 'id')['copper-kettle']->useful;
    expect($came->steps[5]->useful)->toBeNear($result->useful - $expected + 5)
        ->and([$came->steps[1]->known, $came->steps[2]->known, $came->steps[4]->known, $came->steps[5]->known])->toBe([1, 1, 1, 1])
        ->and(array_map(fn ($loss): array => [$loss->cause, $loss->count], $came->losses))->toBe([['not_up', 3], ['gnats', 2]])
        ->and($came->losses[1]->where[0])->toBe(['crop' => 'copper-kettle', 'tray' => 'D', 'week' => '2027-04-26', 'count' => 2]);
});

it('comes to the plan where nothing is known', function () {
    $came = cameTo(Seasons::demo(), new LogBook([]));
    foreach ($came->steps as $step) {
        expect($step->per_finished)->toBeNear($came->steps[0]->per_finished)->and($step->known)->toBe(0);
    }
    $plan = Seasons::result(Seasons::demo());
    expect($came->kept)->toBeNear($plan->keep)->and($came->wage)->toBeNear($plan->implied_wage)->and($came->losses)->toBe([]);
});

it('believes what beta posteriors say, as a reference library has them', function () {
    foreach ([[0.9, 20.0], [0.38, 42.0], [0.05, 26.0], [0.8, 6.0], [0.97, 155.0]] as [$mean, $weight]) {
        [$low, $high] = Libraries::answers([['betaInv', 0.1, $mean * $weight, (1 - $mean) * $weight], ['betaInv', 0.9, $mean * $weight,
            (1 - $mean) * $weight]]);
        $points = BetaPoints::around($mean, $weight);
        expect(abs($points['low'] - $low))->toBeLessThan(1e-3)->and(abs($points['high'] - $high))->toBeLessThan(1e-3);
    }
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $log = Logs::book([
        ['2027-02-19', 'sown', ['crop' => 'long-day-amber', 'count' => 97, 'seeds' => 97]], ['2027-02-25', 'up', ['crop' => 'long-day-amber', 'count' => 60]],
        ['2027-04-23', 'lost', ['crop' => 'long-day-amber', 'count' => 10, 'cause' => 'gnats']], ['2027-04-24', 'planted',
            ['crop' => 'long-day-amber', 'count' => 50]],
    ]);
    $beliefs = array_column((new Beliefs($books, $log, []))->all(), null, 'key');
    $plan = $books->plans[$books->grown['long-day-amber']];
    // One seed to a cell: what came up of 97, at the best temperature, weighed with the twenty seeds of a packet of the year.
    $came = 60 / $plan->sown->relative;
    expect($beliefs['germination']->believed)->toBeNear((20 * $plan->viability->value + $came) / (20 + 97), 1e-9)
        ->and($beliefs['germination']->edits[0]['to'])->toEqual((object) ['sown' => 97, 'sprouted' => (int) round($came)]);
    // How much bad seasons share, to four places.
    $luck = $beliefs['luck']->edits[0]['to'];
    expect(round($luck, 4))->toBe($luck)->and($luck)->toEqualWithDelta($beliefs['luck']->believed, 5e-5);
    $whole = array_product(array_column($plan->method->stages, 'survival'));
    expect($beliefs['survival']->believed)->toBeNear((20 * $whole + 50) / (20 + 60), 1e-9)->and($beliefs['survival']->of)->toBe(60);
    $after = array_product(array_map(fn (array $edit): float => $edit['to'], $beliefs['survival']->edits));
    expect($after)->toBeNear($beliefs['survival']->believed, 1e-3);
});

it('weighs every change as costing it by hand does, and takes none for free', function () {
    $file = Seasons::demo();
    $file['crops'] = array_slice($file['crops'], 0, 3);
    foreach ($file['setups'] as $i => $setup) {
        $file['setups'][$i]['overrides'] = array_intersect_key($setup['overrides'] ?? [], array_flip(array_column($file['crops'], 'id')));
    }
    $season = Seasons::read($file);
    $before = (new SeasonCosting($season))->setup($season->setups[0]);
    $weighed = (new Savings($season, $season->setups[0]))->advice()->changes;
    expect($weighed)->not->toBe([]);
    $best = 0.0;
    foreach ((new Changes((new SeasonCosting($season))->books($season->setups[0])))->all() as $change) {
        try {
            $altered = (new Altered($season))->with($change->edits);
            $after = (new SeasonCosting($altered))->setup($altered->setups[0]);
        } catch (Throwable) {
            continue;
        }
        $harmless = $after->missing <= $before->missing + 0.5 && $after->crowded_days <= $before->crowded_days
            && count($altered->crops) >= count($season->crops)
            && ($after->p_all_enough ?? 1.0) >= min($before->p_all_enough, $season->confidence) - 0.01;
        $best = $harmless ? max($best, $before->fill_cost - $after->fill_cost) : $best;
    }
    $single = array_values(array_filter($weighed, fn (Weighed $one): bool => $one->breaks === []));
    expect($single[0]->saves)->toBeNear($best);
    foreach (array_slice($weighed, 0, 12) as $one) {
        $altered = (new Altered($season))->with($one->edits);
        $after = (new SeasonCosting($altered))->setup($altered->setups[0]);
        expect($before->fill_cost - $after->fill_cost)->toBeNear($one->saves)->and($one->saves)->toBeGreaterThanOrEqual(Savings::LEAST)
            ->and(in_array('dropped', $one->breaks, true))->toBe(count($altered->crops) < count($season->crops));
    }
});

it('says what a place under the lamp earns, by leaving the crop out', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $costing = new SeasonCosting($season);
    $worth = array_column(LitWorth::fromBooks($costing->books($season->setups[0]), $costing->setup($season->setups[0])), null, 'crop');
    $rates = array_column($worth, 'per_flat_week');
    $sorted = $rates;
    rsort($sorted);
    expect($rates)->toBe($sorted)->and($worth)->not->toHaveKey('red-whistle')->not->toHaveKey('autumn-bib');
    // Copper Kettle: 12 cells of 72 for 27 days, 8 pots of 18 to a flat for 18, all under the lamp.
    $with = $costing->setup($season->setups[0]);
    $flats = 12 / 72 * 27 + 8 / 18 * 18;
    $file['crops'] = array_values(array_filter($file['crops'], fn (array $crop): bool => $crop['id'] !== 'copper-kettle'));
    foreach (array_keys($file['setups']) as $i) {
        unset($file['setups'][$i]['overrides']['copper-kettle']);
    }
    $without = Seasons::result($file);
    $row = array_column($with->crops, null, 'id')['copper-kettle'];
    expect($worth['copper-kettle']->flat_weeks)->toBeNear($flats / 7)
        ->and($worth['copper-kettle']->earns)->toBeNear($row->buy_cost - ($with->cost - $without->cost) - $row->shortfall_cost);
});

it('finds where the verdict turns, as a fine grid does', function () {
    $file = Seasons::small();
    $season = Seasons::read($file);
    $hangs = new HangsOn($season, $season->setups[0], fn (): string => 'guess');
    $flips = array_values(array_filter($hangs->flips(), fn ($flip): bool => $flip->what === 'nursery' && $flip->crop === null));
    $base = (new SeasonCosting($season))->setup($season->setups[0]);
    $turns = null;
    for ($factor = 0.1; $factor <= 10.0; $factor *= 1.03) {
        $other = $file;
        foreach ($other['nursery'] as $i => $offer) {
            $other['nursery'][$i]['price'] = $offer['price'] * $factor;
        }
        $keeps = Seasons::result($other)->keep > 0.0;
        if ($keeps !== ($base->keep > 0.0) && ($base->keep > 0.0 ? $factor < 1.0 : $factor > 1.0)) {
            $turns = $base->keep > 0.0 ? max($turns ?? 0.0, $factor) : min($turns ?? INF, $factor);
        }
    }
    $found = $base->keep > 0.0 ? $flips[0]->below : $flips[0]->above;
    expect($turns)->not->toBeNull()->and($found / $flips[0]->now)->toBeNear($turns, 0.03);
    // At a crop's own turning price, all its offers dearer or cheaper alike, growing and buying it come to the same.
    $own = array_values(array_filter($hangs->flips(), fn ($flip): bool => $flip->crop !== null && ($flip->below ?? $flip->above) !== null));
    expect($own)->not->toBe([]);
    foreach ($own as $flip) {
        $other = $file;
        foreach ($other['nursery'] as $i => $offer) {
            $other['nursery'][$i]['price'] = $offer['price'] * ($flip->below ?? $flip->above) / $flip->now;
        }
        $row = array_column(Seasons::result($other)->crops, null, 'id')[$flip->crop];
        expect($row->buy_cost - $row->extra_cost - $row->shortfall_cost)->toBeNear(0.0, 1e-9);
    }
    $levers = $hangs->levers();
    expect(count($levers))->toBeLessThanOrEqual(10)->and($levers[0]->moves)->toBeGreaterThanOrEqual($levers[count($levers) - 1]->moves);
    foreach ($levers as $lever) {
        if ($lever->source === 'guess') {
            expect($lever->low)->toBeNear($lever->value * 0.6)->and($lever->high)->toBeNear($lever->value * 1.4);
        }
    }
});

it('plays seasons that agree with the exact figures, the same for the same seed', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    foreach ([0, 1] as $n) {
        $result = $costing->setup($season->setups[$n]);
        $simulation = new Simulation($costing->books($season->setups[$n]), $result);
        $played = $simulation->play(20_000, 5);
        // Within four standard errors of 20,000 seasons.
        $spread = max(1.0, $result->useful_high - $result->useful_low);
        expect(abs($played->useful['mean'] - $result->useful))->toBeLessThan(4 * $spread / sqrt(20_000))
            ->and(abs($played->useful['low'] - $result->useful_low))->toBeLessThanOrEqual(1.0)->and(abs($played->useful['high'] - $result
            ->useful_high))->toBeLessThanOrEqual(1.0)
            ->and(abs($played->keep['mean'] - $result->keep))->toBeLessThan(4 * ($played->keep['high'] - $played->keep['low']) / sqrt(20_000))
            ->and(abs($played->p_keep - $result->p_keep))->toBeLessThan(4 * 0.5 / sqrt(20_000))
            ->and(abs($played->p_all_enough - $result->p_all_enough))->toBeLessThan(4 * 0.5 / sqrt(20_000))
            ->and(array_sum(array_column($played->spread, 'count')))->toBeLessThanOrEqual(20_000)
            ->and($played->kinds[0]['useful'])->toBeGreaterThanOrEqual($played->kinds[2]['useful']);
        expect(json_encode($simulation->play(500, 5)))->toBe(json_encode($simulation->play(500, 5)))
            ->and(json_encode($simulation->play(500, 6)))->not->toBe(json_encode($simulation->play(500, 5)));
    }
});

it('prints what seasons and the log come to, under keys that stay, the same for the same seed', function () {
    $file = __DIR__.'/../../database/demo/pennywhistle.json';
    [$code, $out] = jolly("simulate {$file} --setup bench --runs 200 --seed 3");
    expect($code)->toBe(0)->and(array_keys(json_decode($out, true)))->toBe(['setup', 'runs', 'seed', 'useful', 'per_finished', 'keep',
        'p_keep', 'p_all_enough', 'spread', 'kinds', 'bad', 'made_bad'])
        ->and(jolly("simulate {$file} --setup bench --runs 200 --seed 3")[1])->toBe($out)
        ->and(json_decode(jolly("simulate {$file} --setup bench --runs 200 --seed 4")[1], true)['useful'])->not->toBe(json_decode($out, true)['useful']);
    [$code, $out] = jolly("reckon {$file} --setup bench");
    expect($code)->toBe(0)->and(array_keys(json_decode($out, true)['came_to']))->toBe(['setup', 'steps', 'wanted', 'out',
        'nursery_per_plant', 'kept', 'wage', 'hours', 'losses', 'crops', 'planned_stack', 'real_stack', 'beside', 'over'])
        // Nothing is written down yet: it came to what is planned.
        ->and(json_decode($out, true)['came_to']['wanted'])->toBe(array_sum(array_column(Seasons::demo()['crops'], 'wanted')));
    [$code, , $err] = jolly("simulate {$file} --setup bench --runs 0");
    expect($code)->toBe(2)->and($err)->toContain('--runs');
    [$code, , $err] = jolly("simulate {$file} --setup bench --seed soon");
    expect($code)->toBe(2)->and($err)->toContain('--seed');
    [$code] = jolly("simulate {$file}");
    expect($code)->toBe(2);
});

/** A small season of two crops under one lamp, the second a copy of the first under another name. */
function twoCrops(): array
{
    $file = Seasons::small();
    $file['crops'][] = [...$file['crops'][0], 'id' => 'twin', 'wanted' => 2];

    return $file;
}

it('knows what knowing a number is worth, as every choice in every case gone through does', function () {
    $file = twoCrops();
    $season = Seasons::read($file);
    $price = fn (array $file, float $factor): array => [...$file, 'nursery' => array_map(fn (array $offer): array => [...$offer,
        'price' => $offer['price'] * $factor], $file['nursery'])];
    $kept = function (array $file, array $bought): float {
        $all = Seasons::result($file);
        $file['setups'][0]['overrides'] = array_fill_keys($bought, 'nursery');
        $result = Seasons::result($file);

        // Buying it all, the trip once, less what it costs to fill the list this way.
        return $all->buy_total - $result->fill_cost;
    };
    $choices = [[], ['twin'], [$file['crops'][0]['id']], [$file['crops'][0]['id'], 'twin']];
    $cases = [[0.3, 1.0], [0.4, 1.5], [0.3, 2.0]];
    $knowing = 0.0;
    $average = array_fill(0, 4, 0.0);
    foreach ($cases as [$weight, $factor]) {
        $worth = array_map(fn (array $bought): float => $kept($price($file, $factor), $bought), $choices);
        $knowing += $weight * max($worth);
        $average = array_map(fn (float $sum, float $one): float => $sum + $weight * $one, $average, $worth);
    }
    $found = WorthKnowing::expectedValue($season, array_map(fn (array $case): array => [$case[0], Seasons::result($price($file, $case[1]))], $cases));
    expect($found)->toBeNear($knowing - max($average), 1e-9)->and($found)->toBeGreaterThan(0.01);
    // What settles nothing is worth nothing.
    $dear = $price($file, 100.0);
    expect(WorthKnowing::expectedValue($season, [[0.5, Seasons::result($dear)], [0.5, Seasons::result($price($dear, 1.1))]]))->toBe(0.0);
});

it('says what one more lamp earns: the list filled with it, and without what has no room', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $lamp = OneMoreLamp::all($season, $season->setups[0])[0];
    $without = $file;
    foreach ($lamp->gives_way as $crop) {
        $without['setups'][0]['overrides'][$crop] = 'nursery';
    }
    $with = $file;
    $with['lights'][] = [...array_column($file['lights'], null, 'id')[$lamp->light], 'id' => 'one-more', 'owned' => false];
    $with['setups'][0]['lights'][] = 'one-more';
    foreach ($lamp->with_it as $crop) {
        $with['setups'][0]['overrides'][$crop] = 'nursery';
    }
    [$before, $after] = [Seasons::result($without), Seasons::result($with)];
    expect($lamp->gives_way)->not->toBe([])->and($lamp->with_it)->not->toBe($lamp->gives_way)->and([$before->crowded_days, $after->crowded_days])->toBe([0, 0])
        ->and($lamp->a_season)->toBeNear($before->fill_cost - $after->fill_cost, 1e-9)
        ->and($lamp->over_life)->toBeNear($lamp->a_season * $lamp->life, 1e-9);
    // At ten of a hundred a season, fifteen seasons are worth 7.606 of them: the annuity's present worth, from any table of it.
    $file['discount_rate'] = 0.1;
    $season = Seasons::read($file);
    $lamp = OneMoreLamp::all($season, $season->setups[0])[0];
    expect($lamp->life)->toBe(15.0)->and($lamp->over_life / $lamp->a_season)->toBeNear(7.606, 1e-3);
    $none = array_search('nursery', array_column($file['setups'], 'id'), true);
    expect(OneMoreLamp::all($season, $season->setups[$none]))->toBe([]);
});

it('finds the cheapest day to go out, as every day within a fortnight gone through does', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $before = Seasons::result($file);
    $leaving = array_column(LeavingDay::all($season, $season->setups[0]), null, 'crop');
    foreach (['glasshouse-bib', 'sweet-bench', 'ink-pot'] as $crop) {
        $at = array_search($crop, array_column($file['crops'], 'id'), true);
        $row = array_column($before->crops, null, 'id')[$crop];
        [$best, $day] = [0.0, $row->plant_out_on];
        foreach (range(-14, 14) as $by) {
            $other = $file;
            $other['crops'][$at]['plant_out_offset_days'] += $by;
            $result = Seasons::result($other);
            $its = array_column($result->crops, null, 'id')[$crop];
            $allowed = $result->crowded_days <= $before->crowded_days && $its->p_enough >= $row->p_enough - 0.01
                && array_diff($its->warnings, $row->warnings) === [];
            if ($allowed && $before->fill_cost - $result->fill_cost > $best + 1e-9) {
                [$best, $day] = [$before->fill_cost - $result->fill_cost, $its->plant_out_on];
            }
        }
        expect($leaving[$crop]->saves)->toBeNear($best, 1e-9);
        if ($best === 0.0) {
            expect($leaving[$crop]->cheapest)->toBe($leaving[$crop]->now)->and($leaving[$crop]->edits)->toBe([]);
        } else {
            $moved = (new Altered($season))->with($leaving[$crop]->edits);
            $result = (new SeasonCosting($moved))->setup($moved->setups[0]);
            expect(array_column($result->crops, null, 'id')[$crop]->plant_out_on)->toBe($leaving[$crop]->cheapest)
                ->and($before->fill_cost - $result->fill_cost)->toBeNear($best, 1e-9);
        }
    }
    expect($leaving)->not->toHaveKey('autumn-bib');
});

it('leans on what others of its like did, and weighs hours and what broke', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $entries = [
        ['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'count' => 12, 'seeds' => 24]], ['2027-04-20', 'up', ['crop' => 'copper-kettle', 'count' => 10]],
        ['2027-04-12', 'sown', ['crop' => 'sunday-sauce', 'count' => 18, 'seeds' => 36]], ['2027-04-20', 'up', ['crop' => 'sunday-sauce', 'count' => 9]],
        ['2027-10-16', 'reading', ['job' => 'season-hours', 'amount' => 20.0, 'unit' => 'h']],
        ['2027-10-16', 'reading', ['job' => 'broken containers cell72', 'amount' => 2, 'unit' => 'broken']],
    ];
    $beliefs = (new Beliefs($books, Logs::book($entries), []))->all();
    $by = array_column($beliefs, null, 'id');
    // What is taken over is written as people would, to four places.
    $taken = array_filter(array_column(array_merge(...array_column($beliefs, 'edits')), 'to'), is_float(...));
    expect(count($taken))->toBeGreaterThan(10)->and(array_values(array_filter($taken, fn (float $to): bool => round($to, 4) !== $to)))->toBe([]);
    // Two tomatoes: a quarter of the other's seeds, no more than the packet's own twenty or six; off its own plan as far as the other was.
    [$copper, $sauce] = array_map(fn (string $id) => $books->plans[$books->grown[$id]], ['copper-kettle', 'sunday-sauce']);
    $seeds = fn ($plan, int $up, int $of): float => $of * $plan->method->seedsPerSite
        * min(1.0, (1 - (1 - $up / $of) ** (1 / $plan->method->seedsPerSite)) / $plan->sown->relative);
    $theirs = $seeds($sauce, 9, 18) / (36 * $sauce->viability->value);
    $v = $copper->viability;
    $like = (float) min($v->seedsKnown, 36 / 4);
    $believed = ($v->seedsKnown * $v->value + $like * min(1.0, $v->value * $theirs) + $seeds($copper, 10, 12)) / ($v->seedsKnown + $like + 24);
    expect($by[$copper->lot->id]->believed)->toBeNear($believed, 1e-9)->and($by[$copper->lot->id]->similar)->toBe($like);
    $taken = (new Altered($season))->with($by[$copper->lot->id]->edits);
    $after = (new SeasonCosting($taken))->books($taken->setups[0]);
    expect($after->plans[$after->grown['copper-kettle']]->viability->value)->toBeNear($believed, 0.02);
    // Your word within 15 %, our guess within 40 %: inverse variances.
    $planned = Seasons::result(Seasons::demo())->hours;
    $weight = (1 / 0.15 ** 2) / (1 / 0.15 ** 2 + 1 / 0.4 ** 2);
    expect($by['minutes']->believed)->toBeNear($weight * 20 + (1 - $weight) * $planned, 1e-9);
    $longer = (new Altered($season))->with($by['minutes']->edits);
    expect((new SeasonCosting($longer))->setup($longer->setups[0])->hours)->toBeNear($by['minutes']->believed, 0.01);
    // Another answer takes the place of the first, whatever day that was of.
    $again = Logs::book([...$entries, ['2026-11-27', 'reading', ['job' => 'season-hours', 'amount' => 30.0, 'unit' => 'h', 'corrects' => 'entry-00004']]]);
    $questions = array_column((new EndOfSeason($books, $again))->questions(), null, 'job');
    expect($questions['season-hours']->said)->toBe(30.0)->and($questions['season-hours']->entry)->toBe('entry-00006')
        ->and($questions['broken containers cell72']->said)->toBe(2.0)->and($questions['broken trayware dome']->said)->toBeNull();
    // A gamma prior of ten seasons at the plan's rate, and two broken of those in use.
    $use = $books->containers->durable['cell72'];
    $life = $books->index->containers['cell72']->lifeSeasons;
    expect($by['containers cell72']->believed)->toBeNear((10 + $use->unitsNeeded) / (10 / $life + 2), 1e-9)
        ->and($by['containers cell72']->counted)->toEqual($use->unitsNeeded / 2);
});

it('opens each step of the bridge: heads that add up, over plants', function () {
    $file = Seasons::demo();
    $came = cameTo($file, Logs::book([['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'count' => 10, 'seeds' => 20]]]));
    $workings = new ReckoningWorkings($came);
    foreach ($came->steps as $step) {
        $working = $workings->explain("came_{$step->key}");
        $money = array_filter($working->terms, fn ($term): bool => $term->unit->value === 'money' && $term->working === null);
        $plants = array_column($working->terms, 'value', 'label')['finished and wanted'];
        expect(array_sum(array_column($money, 'value')) / $plants)->toBeNear($step->per_finished, 1e-9)->and($working->value)->toBe($step->per_finished);
    }
    expect(fn () => $workings->explain('came_soon'))->toThrow(NoSuchFigure::class)
        ->and($workings->explain('came_wage')->value)->toBe($came->wage)->and($workings->explain('came_kept')->value)->toBe($came->kept);
    [$code, $out] = jolly('working '.__DIR__.'/../../database/demo/pennywhistle.json --setup bench --figure came_lived');
    expect($code)->toBe(0)->and(array_keys(json_decode($out, true)))->toBe(['figure', 'title', 'value', 'unit', 'rule', 'formula', 'terms']);
    [$code, , $err] = jolly('working '.__DIR__.'/../../database/demo/pennywhistle.json --setup bench --figure came_soon');
    expect($code)->toBe(2)->and($err)->toContain('came_soon');
});

it('would keep the rest of a packet that is thrown away, where it still comes up next year', function () {
    $file = Seasons::demo();
    $file['seed_lots'][0]['leftover'] = 'waste';
    $season = Seasons::read($file);
    $shared = array_values(array_filter((new Savings($season, $season->setups[0]))->advice()->changes, fn (Weighed $one): bool => $one->kind === 'share_packet'));
    expect($shared)->toHaveCount(1);
    $kept = $file;
    $kept['seed_lots'][0]['leftover'] = 'keep';
    expect($shared[0]->saves)->toBeNear(Seasons::result($file)->fill_cost - Seasons::result($kept)->fill_cost, 1e-9)->and($shared[0]->breaks)->toBe([]);
});

it('has nobody give way where there is room, for want of room elsewhere', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $lamp = array_column(OneMoreLamp::all($season, $season->setups[0]), null, 'light')['led2'];
    // A second place of its own, with a lamp and room: what earns nothing there is no help to the bench.
    $file['places'][] = [...$file['places'][0], 'id' => 'cellar', 'name' => 'Cellar', 'flats' => null];
    $file['lights'][] = [...$file['lights'][0], 'id' => 'cellar-lamp', 'place' => 'cellar', 'flats' => 50];
    $file['setups'][0]['lights'][] = 'cellar-lamp';
    $method = [...$file['methods'][0], 'id' => 'cellar-way'];
    $method['stages'] = array_map(fn (array $stage): array => $stage['light'] ?? false ? [...$stage, 'place' => 'cellar'] : $stage, $method['stages']);
    $file['methods'][] = $method;
    $file['crops'][] = [...$file['crops'][0], 'id' => 'cellar-crop', 'wanted' => 1];
    $file['setups'][0]['overrides']['cellar-crop'] = 'cellar-way';
    $season = Seasons::read($file);
    $lamps = array_column(OneMoreLamp::all($season, $season->setups[0]), null, 'light');
    $worth = array_column(LitWorth::fromBooks(($costing = new SeasonCosting($season))->books($season->setups[0]), $costing->setup($season->setups[0])), null, 'crop');
    expect($worth['cellar-crop']->per_flat_week)->toBe(min(array_column($worth, 'per_flat_week')))
        ->and($lamps)->toHaveKey('cellar-lamp')->and($lamps['led2']->gives_way)->not->toContain('cellar-crop')
        ->and($lamps['led2']->gives_way)->toHaveCount(count($lamp->gives_way));
});

it('takes a mix for itself and for none whose name begins like it', function () {
    $file = Seasons::demo();
    $other = array_column($file['mixes'], null, 'id')['two-one'];
    $file['mixes'][] = ['id' => 'two-one-2'] + $other;
    $wetted = fn (string $mix): float => cameTo($file, Logs::book([['2027-04-08', 'done', ['job' => "soak-{$mix}-2027-04-08", 'amount' => 4.0, 'unit' => 'L']]]))->steps[2]->cost;
    $planned = cameTo($file, new LogBook([]))->steps[2]->cost;
    // Nothing is filled with the other, so what is wetted of it says nothing of this one.
    expect($wetted('two-one-2'))->toBeNear($planned)->and(abs($wetted('two-one') - $planned))->toBeGreaterThan(0.01);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\Budget;
use JollyPenny\Core\Deciding\Choosing\BudgetStep;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\State\BoughtSeason;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Tests\Seasons;

/** The demo with a few of its crops, so that every way can be weighed plainly. */
function fewCrops(array $crops, array $setups): Season
{
    $demo = Seasons::demo();
    $demo['crops'] = array_values(array_filter($demo['crops'], fn (array $crop): bool => in_array($crop['id'], $crops, true)));
    $demo['setups'] = array_values(array_filter($demo['setups'], fn (array $setup): bool => in_array($setup['id'], $setups, true)));
    foreach ($demo['setups'] as &$setup) {
        $setup['overrides'] = (object) array_intersect_key((array) ($setup['overrides'] ?? []), array_flip($crops));
    }

    return Seasons::read($demo);
}

/** @return list<list<string>> */
function someOf(array $ids): array
{
    return $ids === [] ? [[]] : array_merge(...array_map(fn (array $rest) => [[$ids[0], ...$rest], $rest], someOf(array_slice($ids, 1))));
}

/** The rules of a limit read plainly: every way costed in full; the best that keeps to it, as missing, cost to fill, hours. */
function plainly(Season $season, Setup $base, float $limit): ?array
{
    $named = (new SeasonCosting($season))->setup($base);
    $options = [];
    foreach ($season->crops as $crop) {
        $options[$crop->id] = array_unique([...array_map(fn (Setup $one) => $one->methodFor($crop->id), $season->setups), ...$crop->nursery === [] ? [] : ['nursery'], 'leave']);
    }
    $all = [[]];
    foreach ($options as $crop => $ways) {
        $all = array_merge(...array_map(fn (array $some) => array_map(fn (string $way) => $some + [$crop => $way], array_values($ways)), $all));
    }
    $methods = array_column($season->methods, null, 'id');
    $at = fn (array $ids, array $rows) => array_map(fn (string $id) => array_column($rows, 'place', 'id')[$id], $ids);
    $best = null;
    foreach ($all as $ways) {
        $left = array_keys($ways, 'leave', true);
        $kept = array_values(array_filter($season->crops, fn ($crop) => ! in_array($crop->id, $left, true)));
        foreach (someOf($base->lights) as $lights) {
            foreach (someOf($base->mats) as $mats) {
                $grown = array_diff($ways, ['nursery', 'leave']);
                foreach ($grown as $method) {
                    foreach ($methods[$method]->stages as $stage) {
                        foreach ([[$stage->light, $base->lights, $lights, $season->lights], [$stage->mat, $base->mats, $mats, $season->mats]] as [$wants, $had, $has, $rows]) {
                            if ($wants && in_array($stage->place, $at($had, $rows), true) && ! in_array($stage->place, $at($has, $rows), true)) {
                                continue 4;
                            }
                        }
                    }
                }
                $setup = new Setup('x', 'x', $base->method, array_diff($ways, ['leave']), $lights, $mats, $grown === [] ? [] : $base->appliances, $grown === [] ? [] : $base->gear);
                $result = (new SeasonCosting($season->with(crops: $kept, setups: [$setup])))->setup($setup);
                if ($result->cash_now > $limit + 1e-9 || max(0, $result->crowded_days - 3) > max(0, $named->crowded_days - 3)
                    || ! isSoundBeside($season, $named, $result)) {
                    continue;
                }
                $out = array_sum(array_map(fn ($crop) => in_array($crop->id, $left, true) ? $crop->wanted : 0, $season->crops));
                $found = [round($result->missing + $out, 7), round($result->fill_cost, 7), round($result->hours, 7)];
                $best = $best === null ? $found : min($best, $found);
            }
        }
    }

    return $best;
}

it('finds the true best within a limit', function (array $crops, array $setups, string $base, float $limit) {
    $season = fewCrops($crops, $setups);
    $setup = array_column($season->setups, null, 'id')[$base];
    $found = (new Budget($season, $setup->with(gear: [], appliances: []), $limit))->result();
    $best = plainly($season, $setup->with(gear: [], appliances: []), $limit);
    expect($found->search)->toBeFalse()->and($found->kept)->toBeTrue()
        ->and([round($found->after->missing, 7), round($found->after->fill_cost, 7), round($found->after->hours, 7)])->toEqual($best)
        ->and($found->after->cash)->toBeLessThanOrEqual($limit + 1e-9);
})->with([
    'three in the kit' => [['copper-kettle', 'stone-button', 'paint-box'], ['kit', 'saved', 'jugs'], 'kit', 30.0],
    'less money' => [['copper-kettle', 'stone-button', 'paint-box'], ['kit', 'saved', 'jugs'], 'kit', 12.0],
    'lamps or not' => [['copper-kettle', 'glasshouse-bib'], ['bench', 'saved', 'nursery'], 'bench', 80.0],
    'no money at all' => [['copper-kettle', 'red-whistle'], ['bench', 'jugs'], 'bench', 0.0],
]);

it('never goes above the limit, and its steps lead from the one to the other', function (float $limit) {
    // Eight crops have more ways than are all gone through.
    $season = fewCrops(array_slice(array_column(Seasons::demo()['crops'], 'id'), 0, 8), array_column(Seasons::demo()['setups'], 'id'));
    $setup = array_column($season->setups, null, 'id')['saved'];
    $found = (new Budget($season, $setup, $limit))->result();
    expect($found->search)->toBeTrue()->and($found->kept)->toBeTrue()->and($found->after->cash)->toBeLessThanOrEqual($limit + 1e-9);
    foreach (['cash', 'missing', 'fill_cost', 'hours'] as $key) {
        expect($found->before->{$key} + array_sum(array_map(fn (BudgetStep $step): float => $step->{$key}, $found->steps)))
            ->toBeNear($found->after->{$key}, 1e-7);
    }
    // What it says is what the season comes to when that is done.
    $left = array_flip($found->left_out);
    $done = $season->with(crops: array_values(array_filter($season->crops, fn ($crop): bool => ! isset($left[$crop->id]))));
    $as = $setup->with(overrides: $found->overrides, lights: $found->lights, mats: $found->mats, gear: $found->bare ? [] : $setup->gear,
        appliances: $found->bare ? [] : $setup->appliances);
    $result = (new SeasonCosting($done))->setup($as);
    expect($result->cash_now)->toBeNear($found->after->cash)->and($result->fill_cost)->toBeNear($found->after->fill_cost);
})->with([60.0]);

it('is better the more may be spent', function () {
    $season = fewCrops(['copper-kettle', 'stone-button', 'paint-box', 'glasshouse-bib'], ['kit', 'saved', 'nursery']);
    $setup = array_column($season->setups, null, 'id')['saved'];
    $before = INF;
    foreach ([0.0, 10.0, 20.0, 40.0, 80.0, 400.0] as $limit) {
        $missing = (new Budget($season, $setup, $limit))->result()->after->missing;
        expect($missing)->toBeLessThanOrEqual($before + 1e-9);
        $before = $missing;
    }
});

it('answers on the command line, and says what is wrong with a limit', function () {
    $file = __DIR__.'/../../database/demo/gullsend.json';
    [$code, $out] = jolly("budget {$file} --setup jugs-tender-bought --limit 20");
    $found = json_decode($out, true);
    expect($code)->toBe(0)
        ->and(array_keys($found))->toBe(['limit', 'kept', 'search', 'weighed', 'unsound', 'overrides', 'left_out', 'lights', 'mats', 'bare',
            'before', 'after', 'lost', 'steps', 'paid'])
        ->and($found['lost'])->toBeNear($found['after']['missing'] - $found['before']['missing'])
        ->and($found['after']['cash'])->toBeLessThanOrEqual(20.0);
    foreach (['--limit -1', '--limit much'] as $wrong) {
        [$code, , $err] = jolly("budget {$file} --setup jugs-tender-bought {$wrong}");
        expect($code)->toBe(2)->and($err)->toContain('--limit');
    }
    expect(jolly("budget {$file} --setup jugs-tender-bought")[0])->toBe(2);
});

it('buys first what lasts, and has more plants for the same money later', function () {
    $season = fewCrops(['copper-kettle', 'stone-button', 'paint-box'], ['bench', 'kit', 'nursery']);
    $bare = $season->with(setups: array_map(fn (Setup $one): Setup => $one->with(gear: [], appliances: []), $season->setups));
    $years = JollyPenny\Core\Deciding\Choosing\BudgetYears::plan($bare, 'bench', 60.0, 3);
    expect(array_column($years, 'year'))->toBe([2027, 2028, 2029]);
    $missing = INF;
    foreach ($years as $year) {
        expect($year->budget->after->cash)->toBeLessThanOrEqual(60.0 + 1e-9)->and($year->budget->after->missing)->toBeLessThanOrEqual($missing + 1e-9);
        $missing = $year->budget->after->missing;
    }
    // What lasts is bought once.
    $names = array_merge(...array_map(fn ($year) => array_column(array_filter($year->lasting, fn (array $one): bool => in_array($one['kind'], ['light', 'mat', 'gear'], true)), 'name'), $years));
    expect($names)->toBe(array_values(array_unique($names)));
    // The next season costs at the till what the chosen way takes with all that is there: never more than the first for the same way.
    expect($years[2]->budget->after->cash)->toBeLessThanOrEqual($years[0]->budget->after->cash + 1e-9);
});

it('keeps a limit for the season with its electricity', function () {
    $season = fewCrops(['copper-kettle', 'stone-button', 'paint-box'], ['bench', 'saved', 'nursery']);
    $saved = array_column($season->setups, null, 'id')['saved'];
    $bare = $saved->with(gear: [], appliances: []);
    foreach ([15.0, 30.0] as $limit) {
        $now = (new Budget($season, $bare, $limit))->result()->after;
        $all = (new Budget($season, $bare, $limit, null, true))->result()->after;
        expect($all->cash + $all->bill)->toBeLessThanOrEqual($limit + 1e-9)->and($all->missing)->toBeGreaterThanOrEqual($now->missing - 1e-9);
    }
    $result = (new SeasonCosting($season))->setup($saved);
    expect((new Budget($season, $saved, 1e6))->result()->before->bill)->toBeNear($result->electricity_bill);
});

it('keeps a limit by what is paid and still to pay together', function () {
    $season = Seasons::read(Seasons::demo());
    $setup = $season->setups[0];
    $shopping = (new SeasonCosting($season))->setup($setup)->shopping;
    $line = array_values(array_filter($shopping, fn ($one) => $one->kind === 'light'))[0];
    $seed = array_values(array_filter($shopping, fn ($one) => $one->kind === 'seed'))[0];
    $purchases = [new Purchase(
        id: 'p-00001',
        kind: 'light',
        thing: $line->id,
        name: 'Lamp',
        packs: $line->packs,
        paid: 31.5,
        on: '2027-02-01',
        shop: '',
        note: '',
    ),
        new Purchase(
            id: 'p-00002',
            kind: 'seed',
            thing: $seed->id,
            name: 'Seed',
            packs: $seed->packs,
            paid: 4.0,
            on: '2027-02-01',
            shop: '',
            note: '',
        ),
        new Purchase(
            id: 'p-00003',
            kind: 'gear',
            thing: 'no-such-thing',
            name: 'A gnome',
            packs: 1,
            paid: 12.0,
            on: '2027-02-01',
            shop: '',
            note: '',
        )];
    $bought = BoughtSeason::withPurchases($season, $purchases);
    // What is still to pay is the plan's till less those lines; what was bought beside the plan is paid all the same.
    $still = (new SeasonCosting($bought->season))->setup(array_column($bought->season->setups, null, 'id')[$setup->id])->cash_now;
    expect($bought->paid)->toBe(47.5)->and($still)->toBeNear((new SeasonCosting($season))->setup($setup)->cash_now - $line->cost - $seed->cost, 1e-9);
});

it('counts the plants that a limit costs beyond those that are missing already', function () {
    $season = Seasons::read(Seasons::demo());
    $jugs = array_column($season->setups, null, 'id')['jugs'];
    // Few crops, so that every way is weighed.
    $few = $season->with(crops: array_slice($season->crops, 0, 4));
    $found = (new Budget($few, $jugs, 12.0))->result();
    expect($found->before->missing)->toBeGreaterThan(1.0)->and($found->lost)->toBeNear($found->after->missing - $found->before->missing);
});

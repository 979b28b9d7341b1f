<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\Reliefs;
use JollyPenny\Core\Living\Tasks\Tasks;
use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Results\Crowding;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/** @return array<string, JollyPenny\Core\Living\Tasks\Task> by id */
function tasks(array $file, int $setup = 0): array
{
    $season = Seasons::read($file);

    return array_column((new Tasks((new SeasonCosting($season))->books($season->setups[$setup])))->all(), null, 'id');
}

it('tells the whole work of one crop in its order', function () {
    // One crop, sown 22 April, up by 30 April, hardened off from 20 May, planted out 27 May.
    $tasks = tasks(Seasons::small());
    expect(array_map(fn ($task) => $task->date, $tasks))
        ->toBe([
            'lantern-soak' => '2027-04-22',
            'lantern-sow' => '2027-04-22',
            'lantern-drain' => '2027-04-22',
            'lantern-first_look' => '2027-04-26',
            'lantern-mat_off-0' => '2027-04-30',
            'lantern-stage-1' => '2027-04-30',
            'lantern-last_resow' => '2027-05-06',
            'lantern-feed-1-1' => '2027-05-10',
            'lantern-stage-2' => '2027-05-20',
            'lantern-feed-1-2' => '2027-05-20',
            'lantern-plant_out' => '2027-05-27',
        ])
        ->and($tasks['lantern-sow']->words)
        ->toContain('Sow 6 seeds of Paper Lantern')
        ->toContain('label');
});

it('washes pots, chills seed, takes covers off as seedlings show, and goes by the sign', function () {
    $file = Seasons::small();
    $file['crops'][0]['cold_days'] = 10;
    $file['containers'][0]['prep_minutes_per_unit'] = 2;
    $file['trayware'] = [['id' => 'dome', 'name' => 'Dome', 'price' => 4, 'life_seasons' => 2]];
    $file['methods'][0]['stages'][0]['trayware'] = ['dome'];
    $file['methods'][0]['stages'][1]['until'] = 'two pairs of leaves';
    $tasks = tasks($file);
    expect($tasks['lantern-chill']->date)
        ->toBe('2027-04-12')
        ->and($tasks['lantern-wash-0']->date)
        ->toBe('2027-04-21')
        // Up after seven days; the eighth is growing on without the cover.
        ->and($tasks['lantern-cover_off']->date)
        ->toBe('2027-04-29')
        ->and($tasks['lantern-stage-2']->words)
        ->toContain('when two pairs of leaves');
});

it('says when to buy what is bought, and nothing else of it', function () {
    $file = Seasons::small();
    $file['setups'][0]['method'] = 'nursery';
    expect(array_map(fn ($task) => $task->date, tasks($file)))->toBe(['lantern-buy' => '2027-05-27']);
});

it('gives every task an id of its own, in every season', function () {
    for ($seed = 90_000; $seed < 90_040; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        foreach ($season->setups as $setup) {
            $all = (new Tasks((new SeasonCosting($season))->books($setup)))->all();
            expect(array_unique(array_column($all, 'id')))->toHaveCount(count($all));
            $dates = array_column($all, 'date');
            $sorted = $dates;
            sort($sorted);
            expect($dates)->toBe($sorted);
        }
    }
});

it('shows as many over-full days as the result counts', function () {
    for ($seed = 91_000; $seed < 91_040; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        foreach ($season->setups as $setup) {
            $books = (new SeasonCosting($season))->books($setup);
            $days = [];
            foreach (BenchDays::fromBooks($books) as $place) {
                foreach ($place->crowded as $run) {
                    expect($run['crops'])->not->toBe([]);
                    for ($day = strtotime($run['from'].' UTC'); $day <= strtotime($run['to'].' UTC'); $day += 86400) {
                        $days[$day] = true;
                    }
                }
            }
            expect(count($days))->toBe(Crowding::fromEnergy($books->energy())->days);
        }
    }
});

it('offers only what makes room, with what it costs', function () {
    $season = Seasons::read(Seasons::demo());
    $setup = array_column($season->setups, null, 'id')['pellets'];
    $before = (new SeasonCosting($season))->setup($setup);
    $reliefs = (new Reliefs($season))->forCrowding($setup, array_column($season->crops, 'id'));
    expect($reliefs)->not->toBe([]);
    foreach ($reliefs as $relief) {
        expect($relief->crowded_days)->toBeLessThan($before->crowded_days);
        if ($relief->method !== null) {
            $after = (new SeasonCosting($season))->setup($setup->raising($relief->crop, $relief->method));
            expect($after->crowded_days)
                ->toBe($relief->crowded_days)
                ->and($after->fill_cost - $before->fill_cost)
                ->toBeNear($relief->cost);
        }
    }
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\Changes;
use JollyPenny\Core\Deciding\Choosing\Move;
use JollyPenny\Core\Deciding\Choosing\Moves;
use JollyPenny\Core\Deciding\Choosing\Reliefs;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Tasks\Timing;
use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Potting\StandingTime;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use Tests\Seasons;

// Another place for part of a crop's time (docs/weather.md, section 9).

/** @param  array<string, mixed>  $file */
function booksOf(array $file, string $setup = 'bench'): SetupBooks
{
    $season = Seasons::read($file);

    return (new SeasonCosting($season))->books(array_column($season->setups, null, 'id')[$setup]);
}

/** @return array<string, mixed> the season as its file says it, with a move taken over */
function movedTo(array $edits, string $setup = 'bench'): array
{
    $file = Seasons::demo();
    foreach ($edits as ['path' => $path, 'to' => $to]) {
        if ($path[0] === 'methods') {
            $file['methods'][] = json_decode((string) json_encode($to), true);
        } else {
            $file['setups'][array_search($setup, array_column($file['setups'], 'id'), true)]['overrides'][$path[3]] = $to;
        }
    }

    return $file;
}

it('makes room by another place, costed as the season with it comes to, and Today has the job', function () {
    $books = booksOf(Seasons::demo());
    $reliefs = (new Reliefs($books->season()))->forCrowding($books->setup, BenchDays::crowding(BenchDays::fromBooks($books)));
    $moves = array_values(array_filter($reliefs, fn ($one): bool => $one->kind === 'move'));
    expect($moves)->not->toBe([]);
    $before = (new SeasonCosting($books->season()))->setup($books->setup);
    foreach ($moves as $relief) {
        $file = movedTo($relief->edits);
        $season = Seasons::read($file);
        $setup = array_column($season->setups, null, 'id')['bench'];
        $then = (new SeasonCosting($season))->setup($setup);
        expect($then->crowded_days)->toBe($relief->crowded_days)->toBeLessThan($before->crowded_days)
            ->and($then->fill_cost - $before->fill_cost)->toBeNear($relief->cost, 1e-9)
            ->and(array_column($then->crops, 'plant_out_on', 'id')[$relief->crop])->toBe(array_column($before->crops, 'plant_out_on', 'id')[$relief->crop]);
        $jobs = (new Jobs(booksOf($file), new LogBook([])))->all();
        $carried = array_values(array_filter($jobs, fn ($job): bool => $job->crop === $relief->crop && $job->kind->value === 'stage' && str_contains($job->words, (string) $relief->place)));
        expect($carried)->toHaveCount(1)->and($carried[0]->date)->toBe($relief->on);
    }
});

it('parts a stage so that it lasts as long as before, and moves no sooner than it is warm enough', function () {
    $file = Seasons::demo();
    // A porch that warms from 6 °C in March to 16 in May.
    $file['places'][] = ['id' => 'porch', 'name' => 'Glass porch', 'temp_c' => [2, 3, 6, 11, 16, 20, 22, 22, 18, 12, 6, 3], 'daylight' => 14, 'flats' => 4];
    $books = booksOf($file);
    $porch = $books->index->places['porch'];
    $seen = 0;
    foreach ($books->plans as $plan) {
        foreach ((new Moves($books))->forCrop($plan->crop->id) as $move) {
            if ($move->place !== 'Glass porch') {
                continue;
            }
            $seen++;
            $setup = $books->setup->raising($plan->crop->id, $move->method);
            $then = (new SeasonCosting($move->season))->books($setup);
            $moved = $then->plans[$then->grown[$plan->crop->id]];
            $there = array_values(array_filter($moved->stages, fn ($stage): bool => $stage->place->id === 'porch'));
            $on = Day::parse($move->on)->number;
            expect($moved->sowOn())->toBe($plan->sowOn(), $plan->crop->id)->and($moved->plantOutOn())->toBe($plan->plantOutOn())
                ->and($there)->toHaveCount(1)->and($there[0]->start)->toBe($on)->and($there[0]->stage->light)->toBeFalse();
            // A tomato is left out in 8 °C, so it wants a mean of 12; a cabbage −1, so 3. The day before was colder, or the stage not begun.
            $least = ['copper-kettle' => 12.0, 'stone-button' => 3.0, 'sweet-bench' => 14.0][$plan->crop->id] ?? null;
            if ($least !== null) {
                expect($porch->airOn($on))->toBeGreaterThanOrEqual($least);
                $begins = in_array($on, array_map(fn ($stage): int => $stage->start, $plan->stages), true);
                $begins ?: expect($porch->airOn($on - 1))->toBeLessThan($least);
            }
        }
    }
    expect($seen)->toBeGreaterThan(5);
});

it('offers no place that is out of doors, whose light nobody knows, or where it would hardly be', function () {
    $books = booksOf(Seasons::demo());
    $all = array_merge(...array_map(fn ($plan): array => (new Moves($books))->forCrop($plan->crop->id), $books->plans));
    // The garage is cold enough for cabbages, but nobody knows its light; the yard is outdoors.
    expect(array_unique(array_map(fn (Move $move): string => $move->place, $all)))->toBe(['South windowsill'])
        ->and((new Moves($books))->forCrop('nobody'))->toBe([])
        ->and((new Moves($books))->forCrop('autumn-bib'))->toBe([]);
    $words = array_map(fn ($change): string => $change->words, array_filter(iterator_to_array((new Changes($books))->all(), false), fn ($change): bool => $change->kind === 'move'));
    expect(array_values($words))->toContain('Move Sweet Bench to South windowsill on May 10');
});

it('says how long a plant may stand in its cell or pot, by its litres and what it is', function () {
    $books = booksOf(Seasons::demo());
    $stays = [];
    foreach (StandingTime::all($books) as $stay) {
        $stays["{$stay->crop} {$stay->stage}"] = $stay;
    }
    $plan = $books->plans[$books->grown['copper-kettle']];
    [$cell, $pot] = [$stays['copper-kettle 0'], $stays['copper-kettle 2']];
    // From the day it is up until it is potted on, and from there until it goes out; eight times the litres, twice the days.
    expect($cell->days)->toBe($plan->stages[2]->start - $plan->sown->up)->and($pot->days)->toBe($plan->plantOutOn() - $plan->stages[2]->start)
        ->and($pot->most / $cell->most)->toBeNear(($plan->stages[2]->container->volumeL / $plan->stages[0]->container->volumeL) ** (1 / 3), 0.03)
        ->and($cell->until)->toBe(Day::ofNumber($plan->sown->up + $cell->most)->format())->and($cell->too_long)->toBeFalse()
        // Onions bear to be crowded, and longer than cabbages do in the same cell.
        ->and($stays['long-day-amber 0']->most)->toBeGreaterThan($stays['stone-button 0']->most);
    // Sixty seeds in one pot have outgrown it sooner than six; a kit's cells hold no tomato for seven weeks.
    $thick = array_column(StandingTime::all(booksOf(Seasons::demo(), 'saved')), 'most', 'crop');
    expect($thick['copper-kettle'])->toBeGreaterThan(10);
    $notes = array_column((new Timing(booksOf(Seasons::demo(), 'kit')))->notes(), 'words', 'crop');
    expect($notes['copper-kettle'])->toContain('are good for it')->and($notes)->not->toHaveKey('glasshouse-bib');
});

it('tries of a hundred crops on a full bench the dozen that take most room', function () {
    $file = Seasons::demo();
    $file['crops'] = array_map(fn (int $n): array => ['id' => "crop-{$n}", 'wanted' => 2 + $n % 9] + array_diff_key($file['crops'][$n % 12], ['split' => 0]),
        range(0, 99));
    foreach ($file['setups'] as $i => $setup) {
        $file['setups'][$i]['overrides'] = new stdClass;
    }
    $season = Seasons::read($file);
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $crowding = BenchDays::crowding(BenchDays::fromBooks($books));
    $room = [];
    foreach ($books->plans as $plan) {
        in_array($plan->crop->id, $crowding, true) && $room[$plan->crop->id] = $plan->indoorFlatDays();
    }
    arsort($room);
    $found = array_column((new Reliefs($season))->forCrowding($season->setups[0], $crowding), 'crop');
    expect(count($crowding))->toBeGreaterThan(50)->and($found)->not->toBe([])
        ->and(array_diff($found, array_slice(array_keys($room), 0, 12)))->toBe([]);
});

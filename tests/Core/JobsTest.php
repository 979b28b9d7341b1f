<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Tasks\Job;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Tasks\Tasks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\UnitSystem;
use Tests\Logs;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/** @return array<string, Job> by id */
function jobsOf(array $file, ?LogBook $log = null): array
{
    $season = Seasons::read($file);

    return array_column((new Jobs((new SeasonCosting($season))->books($season->setups[0]), $log ?? new LogBook([])))->all(), null, 'id');
}

/** @return list<string> words of a day's jobs */
function wordsOn(array $jobs, string $day): array
{
    return array_values(array_map(fn (Job $job): string => $job->words, array_filter($jobs, fn (Job $job): bool => $job->date === $day)));
}

it('says once what is done together on a day, with its total', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $single = (new Tasks($books))->all();
    $jobs = (new Jobs($books, new LogBook([])))->all();
    expect(array_unique(array_column($jobs, 'id')))->toHaveCount(count($jobs));
    foreach (['wash', 'drain', 'feed'] as $kind) {
        $days = array_map(fn (Job $job): string => $job->date, array_values(array_filter($jobs, fn (Job $job): bool => $job->kind->value === $kind)));
        $of = array_map(fn ($task): string => $task->date, array_filter($single, fn ($task): bool => $task->kind->value === $kind));
        expect($days)->toBe(array_values(array_unique($of)), $kind);
    }
    // Two crops in 12 cells each are sown on 8 April: 24 cells of 0.04 L and a tenth, in quarts; one tray to be washed the day before.
    expect(wordsOn($jobs, '2027-04-07'))->toContain('Wash and hole 1 × 72-cell insert in a tray with dome')
        ->and(wordsOn($jobs, '2027-04-08'))->toBe([
            'Wet '.number_format(24 * 0.04 * 1.1 / 0.946352946, 1).' qt of Two peat, one perlite, scalded',
            'Fill 24 cells: tray D',
            'Sow Porch Lantern: 12 cells, 2 seeds each',
            'Sow Red Whistle: 12 cells, 2 seeds each',
            'Pour off what is left in the trays',
        ]);
    $jobs = array_column($jobs, null, 'id');
    expect($jobs['soak-two-one-2027-04-08']->amount)->toBeNear(24 * 0.04 * 1.1)
        ->and($jobs['soak-two-one-2027-04-08']->cautions)->toContain('boiling_water')
        ->and($jobs['red-whistle-sow']->detail)->toContain('own seed')->toContain('1/4 in deep');
    $file = Seasons::demo();
    $lot = array_column($file['seed_lots'], 'species', 'id')[array_column($file['crops'], 'lot', 'id')['red-whistle']];
    foreach ($file['species'] as $i => $species) {
        $species['id'] !== $lot ?: $file['species'][$i] = ['name' => 'Hot pepper', 'meta' => ['catalogue' => 'hot_pepper']] + $species;
    }
    // Hands after the seed, and what stands at the bench where it is sown.
    expect(jobsOf($file)['red-whistle-sow']->cautions)->toBe(['hot_seed', 'electricity', 'fire', 'film']);
});

it('says litres and millimetres where the season does', function () {
    $file = ['units' => UnitSystem::Metric->value] + Seasons::demo();
    $jobs = jobsOf($file);
    expect($jobs['soak-two-one-2027-04-08']->words)->toContain('Wet 1.1 L of')->and($jobs['porch-lantern-sow']->detail)->toContain(' mm deep');
});

it('gives every job an id of its own and a day until which it is worth doing, in every season', function () {
    for ($seed = 92_000; $seed < 92_060; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        foreach ($season->setups as $setup) {
            $jobs = (new Jobs((new SeasonCosting($season))->books($setup), new LogBook([])))->all();
            expect(array_unique(array_column($jobs, 'id')))->toHaveCount(count($jobs));
            $dates = array_column($jobs, 'date');
            $sorted = $dates;
            sort($sorted);
            expect($dates)->toBe($sorted);
            foreach ($jobs as $job) {
                expect($job->until >= $job->date)->toBeTrue()->and($job->minutes)->toBeGreaterThanOrEqual(0.0);
            }
        }
    }
});

it('is done where the log says so, put off to another day, and open again when that is taken back', function () {
    $done = ['2027-04-09', 'sown', ['crop' => 'porch-lantern', 'tray' => 'D', 'row' => 1, 'count' => 10, 'seeds' => 20, 'job' => 'porch-lantern-sow']];
    $jobs = jobsOf(Seasons::demo(), Logs::book([$done, ['2027-04-09', 'put_off', ['crop' => 'ink-pot', 'job' => 'ink-pot-sow', 'until' => '2027-04-11']]]));
    expect($jobs['porch-lantern-sow']->done_on)->toBe('2027-04-09')->and($jobs['porch-lantern-sow']->counted)->toBe(10)
        ->and($jobs['ink-pot-sow']->done_on)->toBeNull()->and($jobs['ink-pot-sow']->date)->toBe('2027-04-11');
    $jobs = jobsOf(Seasons::demo(), Logs::book([$done, ['2027-04-10', 'undo', ['corrects' => 'entry-00000']]]));
    expect($jobs['porch-lantern-sow']->done_on)->toBeNull();
});

it('moves what follows with the day on which it was really sown', function () {
    $plan = jobsOf(Seasons::demo());
    $late = jobsOf(Seasons::demo(), Logs::book([['2027-04-14', 'sown', ['crop' => 'copper-kettle', 'count' => 12, 'seeds' => 24]]]));
    $days = fn (array $jobs, string $id): int => (int) (strtotime("{$jobs[$id]->date} UTC") / 86400);
    foreach (['copper-kettle-first_look', 'copper-kettle-stage-2', 'copper-kettle-plant_out'] as $id) {
        expect($days($late, $id) - $days($plan, $id))->toBe(3, $id);
    }
    expect($late['sunday-sauce-first_look']->date)->toBe($plan['sunday-sauce-first_look']->date);
});

it('looks every day until all are up or the full look is had', function () {
    $sown = ['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'tray' => 'D', 'row' => 7, 'count' => 12, 'seeds' => 24]];
    $looks = fn (array $counts): array => array_values(array_map(
        fn (Job $job): string => substr($job->date, 8),
        array_filter(jobsOf(Seasons::demo(), Logs::book([$sown, ...$counts])), fn (Job $job): bool => $job->crop === 'copper-kettle'
            && in_array($job->kind->value, ['first_look', 'look'], true)),
    ));
    $up = fn (string $day, int $count): array => ["2027-04-{$day}", 'up', ['crop' => 'copper-kettle', 'tray' => 'D', 'count' => $count]];
    // Up by 21 April by the plan; looked for until a week after.
    expect($looks([]))->toBe(array_map(strval(...), range(16, 28)))
        ->and($looks([$up('17', 5), $up('18', 12)]))->toBe(['16', '17', '18'])
        ->and($looks([$up('17', 5), $up('22', 9)]))->toBe(['16', '17', '18', '19', '20', '21', '22']);
});

it('is one job of several rows where a crop is sown in two trays', function () {
    $job = jobsOf(Seasons::demo())['long-day-amber-sow'];
    expect(array_sum(array_column($job->parts, 'sites')))->toBe($job->count)->and($job->parts)->toHaveCount(2)
        ->and($job->codes)->toBe('A1–12, B1–5')->and($job->tray)->toBeNull();
});

it('reminds of nothing that was due before anything was written down', function () {
    $jobs = jobsOf(Seasons::demo(), Logs::book([['2027-04-12', 'sown', ['crop' => 'copper-kettle', 'count' => 12, 'seeds' => 24]]]));
    expect($jobs['long-fringe-cover_off']->until)->toBe($jobs['long-fringe-cover_off']->date)
        ->and($jobs['copper-kettle-stage-2']->until > $jobs['copper-kettle-stage-2']->date)->toBeTrue()
        ->and($jobs['long-day-amber-sow']->until)->toBe('2027-04-23');
});

it('says that one is away on the day a job is on now, not on the day that was planned', function () {
    $file = Seasons::demo();
    $file['meta'] = ['habits' => ['away' => [['from' => '2027-04-11', 'to' => '2027-04-12']]]] + (array) ($file['meta'] ?? []);
    $away = fn (array $log): array => array_values(array_unique(array_column(
        array_filter(jobsOf($file, Logs::book($log)), fn (Job $job): bool => $job->away), 'date')));
    expect(jobsOf($file)['ink-pot-sow']->away)->toBeFalse();
    $putOff = ['2027-04-09', 'put_off', ['crop' => 'ink-pot', 'job' => 'ink-pot-sow', 'until' => '2027-04-11']];
    expect(jobsOf($file, Logs::book([$putOff]))['ink-pot-sow']->away)->toBeTrue();
    // Each day's look by its own day: the one of the first day says nothing of the others.
    $sown = ['2027-04-08', 'sown', ['crop' => 'ink-pot', 'job' => 'ink-pot-sow', 'count' => 12]];
    expect($away([$sown]))->not->toBe([]);
    foreach ([[], [$putOff], [$sown]] as $log) {
        expect(array_diff($away($log), ['2027-04-11', '2027-04-12']))->toBe([]);
        foreach (jobsOf($file, Logs::book($log)) as $job) {
            expect($job->away)->toBe(in_array($job->date, ['2027-04-11', '2027-04-12'], true), $job->id);
        }
    }
});

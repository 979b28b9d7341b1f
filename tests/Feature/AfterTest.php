<?php

declare(strict_types=1);

use App\Models\Season;

// A season lived through the API, late and in other numbers: every screen says the same (docs/after.md).

beforeEach(function () {
    [$user, $this->season] = gardener();
    $this->actingAs($user);
});

/** @param  array<string, mixed>  $facts */
function writeDown(object $test, Season $season, string $kind, string $on, array $facts = []): array
{
    static $n = 0;
    $n++;
    $entry = ['id' => sprintf('after-%08d', $n), 'on' => $on, 'at' => sprintf('%sT12:00:00.%06dZ', $on, $n), 'kind' => $kind] + $facts + ['crop' => 'copper-kettle'];

    return [$entry['id'], $test->postJson("/api/seasons/{$season->id}/log", ['entries' => [$entry]])->assertOk()->json('refused')];
}

function answers(object $test, Season $season, string $what): array
{
    return $test->getJson("/api/seasons/{$season->id}/setups/bench/{$what}")->assertOk()->json();
}

it('says one day for each stage on Today, Trays, labels and the feed, after a late sowing', function () {
    $planned = array_column(answers($this, $this->season, 'today')['jobs'], 'date', 'id');
    expect($planned['copper-kettle-sow'])->toBe('2027-04-11');
    writeDown($this, $this->season, 'sown', '2027-04-25', ['tray' => 'D', 'count' => 10, 'seeds' => 20, 'job' => 'copper-kettle-sow']);
    $jobs = array_column(answers($this, $this->season, 'today')['jobs'], null, 'id');
    $feed = (string) $this->get("/api/seasons/{$this->season->id}/setups/bench/calendar.ics")->assertOk()->getContent();
    preg_match_all('/UID:[^\r\n]*?-(copper-kettle-[a-z_]+(?:-\d+)?)@.*?DTSTART;VALUE=DATE:(\d{8})/s', $feed, $found, PREG_SET_ORDER);
    $inFeed = array_column($found, 2, 1);
    foreach (['copper-kettle-stage-1', 'copper-kettle-stage-2', 'copper-kettle-plant_out'] as $job) {
        isset($jobs[$job]) && expect($inFeed[$job] ?? null)->toBe(str_replace('-', '', $jobs[$job]['date']), $job);
    }
    $trays = answers($this, $this->season, 'trays');
    $label = array_values(array_filter($trays['labels'], fn (array $one): bool => $one['crop'] === 'copper-kettle'))[0];
    $calendar = array_column(answers($this, $this->season, 'calendar')['tasks'], 'date', 'id');
    expect($label['sow_on'])->toBe('2027-04-25')->and($label['out_on'])->toBe($jobs['copper-kettle-plant_out']['date'])
        ->and($calendar['copper-kettle-plant_out'])->toBe($label['out_on'])
        // The plants are ready two weeks later than planned, and the rest they need is kept.
        ->and($label['out_on'])->toBeGreaterThan($planned['copper-kettle-plant_out']);
    // The plan's own screens do not move.
    expect(array_column($this->getJson("/api/seasons/{$this->season->id}?setup=bench")->json('result.setups.0.crops'), 'sow_on', 'id')['copper-kettle'])->toBe('2027-04-11');
});

it('asks for what there is, and of what is gone for nothing', function () {
    writeDown($this, $this->season, 'sown', '2027-04-11', ['tray' => 'D', 'count' => 10, 'seeds' => 20, 'job' => 'copper-kettle-sow']);
    writeDown($this, $this->season, 'up', '2027-04-21', ['tray' => 'D', 'count' => 7]);
    $jobs = array_column(answers($this, $this->season, 'today')['jobs'], null, 'id');
    expect($jobs['copper-kettle-stage-2']['count'])->toBe(7)->and($jobs['copper-kettle-plant_out']['count'])->toBe(7)->and($jobs['copper-kettle-plant_out']['of'])->toBe(7);
    $run = fn (): array => array_values(array_filter(array_merge(...array_column(answers($this, $this->season, 'trays')['trays'], 'runs')), fn (array $one): bool => $one['crop'] === 'copper-kettle' && $one['stage'] === 0))[0];
    expect($run()['plants'])->toBe(7)->and($run()['count_of'])->toBe(10);
    writeDown($this, $this->season, 'lost', '2027-04-28', ['count' => 7, 'cause' => 'damping_off']);
    $left = array_filter(answers($this, $this->season, 'today')['jobs'], fn (array $job): bool => $job['crop'] === 'copper-kettle' && $job['date'] > '2027-05-01' && $job['done_on'] === null);
    expect(array_column($left, 'id'))->not->toContain('copper-kettle-stage-2')->not->toContain('copper-kettle-plant_out')
        ->and(array_filter(array_column($left, 'kind'), fn (string $kind): bool => $kind === 'feed'))->toBe([]);
});

it('refuses more than there are in words, keeps what waited on a device, and shows it first', function () {
    writeDown($this, $this->season, 'sown', '2027-04-11', ['tray' => 'D', 'count' => 10, 'seeds' => 20, 'job' => 'copper-kettle-sow']);
    writeDown($this, $this->season, 'up', '2027-04-21', ['tray' => 'D', 'count' => 7]);
    $before = answers($this, $this->season, 'reckoning')['came_to']['steps'];
    [, $refused] = writeDown($this, $this->season, 'planted', '2027-06-01', ['count' => 40]);
    expect($refused[0]['why'])->toBe('7 are there, not 40. Count again, or give at most 7.')
        ->and(answers($this, $this->season, 'reckoning')['came_to']['steps'])->toEqual($before);
    [$id, $refused] = writeDown($this, $this->season, 'planted', '2027-06-01', ['count' => 40, 'waited' => true]);
    $marked = answers($this, $this->season, 'today')['marked'];
    expect($refused)->toBe([])->and(array_column($marked, 'id'))->toBe([$id])->and($marked[0]['why'])->toContain('7 are there')
        ->and(answers($this, $this->season, 'trays')['facts']['copper-kettle']['planted'])->toBe(7);
    // Put right by a correction, it is no longer shown.
    writeDown($this, $this->season, 'planted', '2027-06-02', ['count' => 4, 'corrects' => $id]);
    expect(answers($this, $this->season, 'today')['marked'])->toBe([])
        ->and(answers($this, $this->season, 'trays')['facts']['copper-kettle'])->toMatchArray(['planted' => 4, 'alive' => 3, 'up' => 7]);
});

it('takes back all trays of one sowing', function () {
    foreach (['D', 'E'] as $tray) {
        writeDown($this, $this->season, 'sown', '2027-04-11', ['tray' => $tray, 'count' => 6, 'seeds' => 12, 'job' => 'copper-kettle-sow']);
    }
    $job = fn (): array => array_column(answers($this, $this->season, 'today')['jobs'], null, 'id')['copper-kettle-sow'];
    expect($job()['entries'])->toHaveCount(2)->and($job()['counted'])->toBe(12);
    foreach ($job()['entries'] as $entry) {
        writeDown($this, $this->season, 'undo', '2027-04-12', ['corrects' => $entry]);
    }
    expect($job()['done_on'])->toBeNull()->and(answers($this, $this->season, 'trays')['facts']['copper-kettle']['sites'])->toBe(0);
});

it('counts a crop sown thick in plants, wherever it is counted', function () {
    $this->patchJson("/api/seasons/{$this->season->id}", ['changes' => [
        ['path' => ['setups', 'bench', 'overrides', 'copper-kettle'], 'from' => null, 'to' => 'community']]])->assertOk();
    $pots = array_sum(array_column(array_filter(array_merge(...array_column(answers($this, $this->season, 'trays')['trays'], 'runs')),
        fn (array $run): bool => $run['crop'] === 'copper-kettle'), 'sites'));
    writeDown($this, $this->season, 'sown', '2027-04-11', ['count' => 75, 'seeds' => 75, 'job' => 'copper-kettle-sow']);
    writeDown($this, $this->season, 'up', '2027-04-21', ['count' => 62, 'job' => 'copper-kettle-germination']);
    $again = $this->getJson("/api/seasons/{$this->season->id}/setups/bench/crops/copper-kettle/sow-again?on=2027-04-21")->assertOk()->json('again');
    expect($pots)->toBeLessThan(62)
        ->and(answers($this, $this->season, 'trays')['facts']['copper-kettle'])->toMatchArray(['seeds' => 75, 'up' => 62, 'up_of' => 75, 'alive' => 62])
        ->and(array_column(answers($this, $this->season, 'today')['jobs'], 'counted', 'id')['copper-kettle-sow'])->toBe(75)
        ->and($again)->toMatchArray(['up' => 62, 'of' => 75]);
});

it('leaves behind what was not sown', function () {
    $lot = 'tom-copper';
    $this->putJson("/api/seasons/{$this->season->id}/purchases/after-buy-1", ['kind' => 'seed', 'thing' => $lot, 'name' => 'Copper Kettle', 'packs' => 3, 'paid' => 11.85, 'on' => '2027-02-01'])->assertNoContent();
    $left = fn (): array => array_column(answers($this, $this->season, 'leftovers')['leftovers'], null, 'id')[$lot];
    writeDown($this, $this->season, 'sown', '2027-04-11', ['tray' => 'D', 'count' => 10, 'seeds' => 20, 'job' => 'copper-kettle-sow']);
    // Three packets of 25, and 20 seeds sown: whatever was planned.
    expect($left())->toMatchArray(['before' => 0, 'bought' => 75, 'used' => 20, 'left' => 55, 'known' => 'logged']);
});

it('counts what was bought beside the plan in what is paid and in the reckoning', function () {
    $before = answers($this, $this->season, 'reckoning')['came_to'];
    $this->putJson("/api/seasons/{$this->season->id}/purchases/after-buy-2", ['kind' => 'gear', 'thing' => 'a-gnome', 'name' => 'A gnome', 'packs' => 1, 'paid' => 12, 'on' => '2027-02-01'])->assertNoContent();
    $after = answers($this, $this->season, 'reckoning')['came_to'];
    $shopping = answers($this, $this->season, 'shopping')['shopping'];
    expect($shopping['paid'])->toEqual(12)->and($after['beside'])->toEqual(12)
        ->and($after['steps'][5]['cost'] - $before['steps'][5]['cost'])->toEqualWithDelta(12.0, 1e-6)
        ->and($before['kept'] - $after['kept'])->toEqualWithDelta(12.0, 1e-6)
        ->and($shopping['now'])->toEqualWithDelta($shopping['paid'] + $shopping['still'], 1e-9);
});

it('has no price for a plant and nothing saved where the season is over and nothing was finished', function () {
    foreach (['copper-kettle', 'sunday-sauce'] as $crop) {
        writeDown($this, $this->season, 'sown', '2027-04-11', ['crop' => $crop, 'count' => 10, 'seeds' => 20]);
    }
    foreach (array_column($this->season->document->crops, 'id') as $crop) {
        writeDown($this, $this->season, 'up', '2027-04-21', ['crop' => $crop, 'count' => 4]);
    }
    writeDown($this, $this->season, 'done', '2027-09-01', ['crop' => null, 'job' => 'season-over']);
    $came = answers($this, $this->season, 'reckoning')['came_to'];
    expect($came['over'])->toBeTrue()->and($came['steps'][5]['per_finished'])->toBeNull()->and($came['kept'])->toBeNull()->and($came['wage'])->toBeNull();
});

it('earns by the hours that were told', function () {
    $wage = fn (): float => answers($this, $this->season, 'reckoning')['came_to']['wage'];
    $before = $wage();
    $planned = array_column(answers($this, $this->season, 'reckoning')['end'], 'of', 'job')['season-hours'];
    writeDown($this, $this->season, 'reading', '2027-09-01', ['crop' => null, 'job' => 'season-hours', 'amount' => 2 * $planned, 'unit' => 'h']);
    expect($wage())->toEqualWithDelta($before / 2, 1e-6);
});

it('writes whole numbers with their zeros', function () {
    $file = Tests\Seasons::demo();
    $session = new JollyPenny\Core\Living\Tasks\Session((new JollyPenny\Core\Plan\Results\SeasonCosting(Tests\Seasons::read(['units' => 'metric'] + $file)))->books(Tests\Seasons::read($file)->setups[0]));
    expect(array_map($session->litres(...), [0.25, 1.0, 9.96, 10.0, 20.0, 100.4, 1200.0]))->toBe(['0.3 L', '1 L', '10 L', '10 L', '20 L', '100 L', '1,200 L']);
});

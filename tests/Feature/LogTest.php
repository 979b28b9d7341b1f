<?php

declare(strict_types=1);

use App\Models\LogRow;
use App\Models\Season;
use Tests\Seasons;

/** @return array<string, mixed> */
function upEntry(int $n, array $more = []): array
{
    return [...['id' => sprintf('phone-one-%05d', $n), 'on' => '2027-04-21', 'at' => sprintf('2027-04-21T10:%02d:%02d.%03dZ', intdiv($n,
        60) % 60, $n % 60, $n % 1000),
        'kind' => 'up', 'crop' => 'copper-kettle', 'tray' => 'D', 'count' => $n % 12], ...$more];
}

it('keeps each entry once however often it is sent, and says what it cannot keep', function () {
    [$user, $season] = gardener();
    $url = "/api/seasons/{$season->id}/log";
    $this->actingAs($user);
    $entries = [upEntry(1), upEntry(2), upEntry(3, ['count' => -2]), upEntry(4, ['on' => '1999-01-01']), upEntry(5, ['kind' => 'song']),
        ['id' => 'x'], 'nothing', upEntry(6, ['at' => '2027-13-45T99:99:99Z']), upEntry(7, ['at' => '2027-02-29T10:00:00Z'])];
    foreach ([1, 2, 3] as $_) {
        $refused = $this->postJson($url, ['entries' => $entries])->assertOk()->json('refused');
        expect(array_column($refused, 'id'))->toBe(['phone-one-00003', 'phone-one-00004', 'phone-one-00005', 'x', '',
            'phone-one-00006', 'phone-one-00007'])->and($refused[5]['why'])->toContain('moment')
            ->and($refused[0]['why'])->toContain('count')->and($refused[1]['why'])->toContain('two years');
    }
    $log = $this->getJson($url)->assertOk()->json('entries');
    expect(array_column($log, 'id'))->toBe(['phone-one-00001', 'phone-one-00002'])->and(array_column($log, 'stands'))->toBe([true, true]);
    // The same id with other words is the entry that is there already.
    $this->postJson($url, ['entries' => [upEntry(1, ['count' => 11])]])->assertOk();
    expect($this->getJson($url)->json('entries.0.count'))->toBe(1);
    $this->postJson($url, ['entries' => [['id' => 'phone-one-undo1', 'on' => '2027-04-21', 'at' => '2027-04-21T11:00:00Z',
        'kind' => 'undo', 'corrects' => 'phone-one-00002']]]);
    expect(array_column($this->getJson($url)->json('entries'), 'stands', 'id'))->toBe(['phone-one-00001' => true,
        'phone-one-00002' => false, 'phone-one-undo1' => false]);
    expect(Season::query()->find($season->id)->revision)->toBe(1);
    // Of two corrections of one entry the later stands, be it by a thousandth of a second.
    $this->postJson($url, ['entries' => [upEntry(11, ['at' => '2027-04-22T10:00:00.250Z'])]]);
    expect($this->getJson($url)->json('entries.3.at'))->toBe('2027-04-22T10:00:00.250000Z');
    // Two years away is near enough, as the season's own dates are.
    $far = $this->postJson($url, ['entries' => [upEntry(8, ['on' => '2025-04-21']), upEntry(9, ['on' => '2029-04-21']), upEntry(10, ['on' => '2030-04-21'])]]);
    expect(array_column($far->json('refused'), 'id'))->toBe(['phone-one-00010']);
});

it('refuses a heap, and a log of another garden', function () {
    [$user, $season] = gardener();
    [$other] = gardener();
    $url = "/api/seasons/{$season->id}/log";
    $this->actingAs($user)->postJson($url, ['entries' => array_map(upEntry(...), range(1, 101))])->assertStatus(422);
    $this->postJson($url, [])->assertStatus(422);
    $this->actingAs($other)->postJson($url, ['entries' => [upEntry(1)]])->assertNotFound();
    expect(LogRow::query()->where('season_id', $season->id)->count())->toBe(0);
});

it('is full at its end, and says so entry by entry', function () {
    [$user, $season] = gardener();
    foreach (array_chunk(range(1, LogRow::MOST - 1), 1000) as $some) {
        LogRow::add($season->id, array_map(fn (int $n) => Tests\Logs::entry($n, '2027-04-21', 'note', ['note' => 'n']), $some));
    }
    $refused = $this->actingAs($user)->postJson("/api/seasons/{$season->id}/log", ['entries' => [upEntry(1), upEntry(2)]])->assertOk()->json('refused');
    expect($refused)->toHaveCount(1)->and($refused[0]['why'])->toContain('full')
        ->and(LogRow::query()->where('season_id', $season->id)->count())->toBe(LogRow::MOST);
});

it('goes out with the season file and comes back with it, but not into a copy or next year', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [upEntry(2, ['note' => 'ä “quoted” ; line']), upEntry(1)]])->assertOk();
    $text = (string) $this->get("/api/seasons/{$season->id}/file")->assertOk()->getContent();
    expect(array_column(json_decode($text, true)['log'], 'id'))->toBe(['phone-one-00001', 'phone-one-00002']);
    $id = $this->postJson('/api/seasons', ['from' => 'file', 'text' => $text])->assertStatus(201)->json('id');
    expect(LogRow::entries($id))->toEqual(array_reverse(LogRow::entries($season->id)))
        ->and((array) Season::query()->find($id)->document->log)->toBe([]);
    $copy = $this->postJson("/api/seasons/{$season->id}/copy")->json('id');
    $next = $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench'])->assertSuccessful()->json('id');
    expect(LogRow::entries($copy))->toBe([])->and(LogRow::entries((int) $next))->toBe([]);
    $export = json_decode($this->get('/api/account/export')->assertOk()->streamedContent(), true)['seasons'];
    expect(array_merge(...array_map(fn (array $one): array => array_column($one['log'], 'id'), $export)))->toContain('phone-one-00001');
});

it('cannot be changed as a value of the season', function () {
    [$user, $season] = gardener();
    $this->actingAs($user)->patchJson("/api/seasons/{$season->id}", ['changes' => [
        ['path' => ['log', 'phone-one-00001'], 'from' => null, 'to' => upEntry(1)],
    ]])->assertStatus(422)->assertJsonPath('faults.0.problem', 'The log is not changed.');
});

it('is a table both ways, in which a line read twice adds nothing', function () {
    [$user, $season] = gardener();
    [$second, $other] = gardener();
    $this->actingAs($user);
    $entries = array_map(fn (int $n): array => upEntry($n, ['note' => $n === 3 ? "=1+1, \"so\"\nand on" : '']), range(1, 20));
    $this->postJson("/api/seasons/{$season->id}/log", ['entries' => $entries]);
    $csv = (string) $this->get("/api/seasons/{$season->id}/log.csv")->assertOk()->getContent();
    $read = fn (string $text) => $this->actingAs($second)->postJson("/api/seasons/{$other->id}/log/table",
        ['file' => base64_encode($text)])->assertOk()->json();
    expect($read($csv))->toBe(['rows' => 20, 'new' => 20, 'faults' => []])->and($read($csv)['new'])->toBe(0)
        ->and(LogRow::entries($other->id))->toEqual(LogRow::entries($season->id));
    // Somebody's own table: a day, a kind, and what they have.
    $own = "on;kind;crop;count;tray\n2027-04-22;up;copper-kettle;11;D\n2027-04-22;song;;;\n22.4.2027;up;copper-kettle;11;D\n";
    expect($read($own)['new'])->toBe(1)->and(array_column($read($own)['faults'], 'line'))->toBe([3, 4])->and($read($own)['new'])->toBe(0);
    $this->actingAs($second)->postJson("/api/seasons/{$other->id}/log/table", ['file' => base64_encode("name,price\nx,1\n")])
        ->assertStatus(422)->assertJsonPath('faults.0.path', 'file');
});

it('comes to the same whichever of two phones sends first, and in pieces that overlap', function () {
    $facts = [];
    foreach ([[0, 1], [1, 0]] as $order) {
        [$user, $season] = gardener();
        $this->actingAs($user);
        $phones = array_map(fn (int $phone): array => array_map(fn (int $n): array => upEntry(2 * $n + $phone, ['id' => "phone-{$phone}-".sprintf('%05d', $n),
            'kind' => ['up', 'lost', 'up', 'planted'][$n % 4], 'count' => ($n * 7 + $phone) % 12, 'waited' => true]), range(0, 59)), [0, 1]);
        foreach ($order as $phone) {
            foreach (range(0, 50, 10) as $from) {
                $this->postJson("/api/seasons/{$season->id}/log", ['entries' => array_slice($phones[$phone], max(0, $from - 5), 15)])->assertOk();
            }
        }
        expect(LogRow::query()->where('season_id', $season->id)->count())->toBe(120);
        $facts[] = $this->getJson("/api/seasons/{$season->id}/setups/bench/trays")->json('facts.copper-kettle');
    }
    expect($facts[0])->toBe($facts[1])->and($facts[0]['up'])->not->toBeNull();
});

it('shows the day, the trays and the calendar as the log has them', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $id = $this->postJson('/api/seasons', ['from' => 'demo', 'demo' => 'may'])->assertStatus(201)->json('id');
    $url = "/api/seasons/{$id}/setups/bench";
    $today = $this->getJson("{$url}/today")->assertOk()->json();
    $jobs = array_column($today['jobs'], null, 'id');
    expect($today['last_on'])->toBe('2027-05-09')->and($jobs['copper-kettle-sow']['done_on'])->toBe('2027-04-12')
        ->and($jobs['ink-pot-stage-2']['done_on'])->toBeNull();
    $calendar = array_column($this->getJson("{$url}/calendar")->json('tasks'), 'done_on', 'id');
    expect($calendar['copper-kettle-sow'])->toBe('2027-04-12');
    $trays = $this->getJson("{$url}/trays")->json();
    expect($trays['trials'][0]['words'])->toContain('12 of 12 came up')->and($trays['facts']['long-day-amber']['planted'])->toBeGreaterThan(0);
    $bench = array_column($this->getJson("{$url}/bench")->json('places'), null, 'id')['bench'];
    $stand = array_values(array_filter($bench['stands'], fn (array $one): bool => $one['crop'] === 'glasshouse-bib'))[0];
    expect($stand['sites'])->toBe(36)->and($stand['codes'])->toContain('C');
    $shopping = $this->getJson("{$url}/shopping")->json();
    expect($shopping['purchases'])->not->toBe([]);
    $devices = $this->getJson("{$url}/devices")->json('devices');
    expect($devices)->toHaveCount(3)->and($devices[0]['report']['offers'][0]['path'])->toBe(['lights', 'led', 'watts'])
        ->and($devices[1]['report']['offers'][0]['path'][2])->toBe('lift_c');
    // The file with its log is the season again.
    expect(Seasons::faults(json_decode((string) $this->get("/api/seasons/{$id}/file")->getContent(), true)))->toBe([]);
});

it('says whether to sow again from what was counted, and the plan in two steps before', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $url = "/api/seasons/{$season->id}/setups/bench/crops/copper-kettle/sow-again?on=2027-04-21";
    $before = $this->getJson($url)->assertOk()->json();
    expect($before['again'])->toBeNull()->and($before['two_step']['first'])->toBeGreaterThan(0);
    $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [
        upEntry(1, ['kind' => 'sown', 'on' => '2027-04-12', 'count' => 12, 'seeds' => 24]), upEntry(2, ['count' => 4]),
    ]]);
    $after = $this->getJson($url)->json();
    expect($after['again'])->toMatchArray(['up' => 4, 'of' => 12, 'wanted' => 6])->and($after['again']['more'])->toBeGreaterThan(0)
        ->and($after['two_step'])->toBeNull()->and($this->getJson($url.'&up=12')->json('again.more'))->toBe(0);
    $this->getJson(str_replace('2027-04-21', 'soon', $url))->assertStatus(422);
});

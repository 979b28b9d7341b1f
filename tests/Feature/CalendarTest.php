<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Tasks\Tasks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Sabre\VObject\Node;
use Sabre\VObject\Reader;
use Tests\Reference\Libraries;
use Tests\Seasons;

/** @return array<string, array<string, mixed>> every crop's own tasks of the demo's first set-up, by id */
function ownTasks(): array
{
    $season = Seasons::read(Seasons::demo());
    $tasks = (new Tasks((new SeasonCosting($season))->books($season->setups[0])))->all();

    return array_column(json_decode((string) json_encode($tasks), true), null, 'id');
}

it('lays out the tasks of a season', function () {
    [$user, $season] = gardener();
    $calendar = $this->actingAs($user)
        ->getJson("/api/seasons/{$season->id}/setups/bench/calendar")
        ->assertOk()
        ->json();
    $tasks = ownTasks();
    $dates = array_column($calendar['tasks'], 'date');
    $sorted = $dates;
    sort($sorted);
    expect($dates)
        ->toBe($sorted)
        ->and($tasks['copper-kettle-sow']['date'])
        ->toBe('2027-04-11')
        // Common practice: brassicas are looked for from day 3, others from day 4.
        ->and($tasks['copper-kettle-first_look']['date'])
        ->toBe('2027-04-15')
        ->and((strtotime($tasks['stone-button-first_look']['date']) - strtotime($tasks['stone-button-sow']['date'])) / 86400)
        ->toBe(3)
        ->and($tasks['autumn-bib-chill']['kind'])
        ->toBe('chill')
        ->and($tasks['copper-kettle-plant_out']['date'])
        ->toBe('2027-06-04')
        ->and($tasks['copper-kettle-mat_off-0'])
        ->not->toBeNull()
        ->and($tasks['copper-kettle-cover_off']['words'])
        ->toContain('cooks them');
    // What is done together on a day is said once, what is one crop's own stays so.
    $shown = array_column($calendar['tasks'], null, 'id');
    expect(array_intersect_key($shown['copper-kettle-sow'], ['id' => 1, 'date' => 1, 'kind' => 1, 'crop' => 1]))
        ->toBe(array_intersect_key($tasks['copper-kettle-sow'], ['id' => 1, 'date' => 1, 'kind' => 1, 'crop' => 1]))
        ->and($shown['soak-two-one-2027-04-11']['crops'])
        ->toBe(['copper-kettle', 'sunday-sauce'])
        ->and(array_filter($calendar['tasks'], fn (array $task) => $task['kind'] === 'soak' && $task['date'] === '2027-04-11'))
        ->toHaveCount(1);
    $kinds = array_values(array_unique(array_column($calendar['tasks'], 'kind')));
    expect(
        array_diff(
            ['chill', 'wash', 'soak', 'sow', 'drain', 'first_look', 'last_resow', 'cover_off', 'mat_off', 'stage', 'feed', 'plant_out'],
            $kinds,
        ),
    )->toBe([]);
});

it('shows over-full days with what crowds and what would relieve them, each with its cost', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $calendar = $this->getJson("/api/seasons/{$season->id}/setups/blocks/calendar")->json();
    $bench = array_column($calendar['bench'], null, 'id')['bench'];
    $days = array_filter(
        array_keys($bench['light']),
        fn (int $day) => $bench['light'][$day] > $bench['lit'] + 1e-6 || $bench['heat'][$day] > $bench['warmed'] + 1e-6,
    );
    $result = $this->getJson("/api/seasons/{$season->id}?setup=blocks")->json('result.setups.0');
    expect(count($days))->toBe($result['crowded_days'])->and($bench['crowded'])->not->toBe([])->and($calendar['relief'])->not->toBe([]);
    $relief = array_values(array_filter($calendar['relief'], fn ($one) => $one['method'] !== null))[0];
    $row = $this->getJson("/api/seasons/{$season->id}?setup=blocks")->json('season.setups.3');
    $then = $this->patchJson("/api/seasons/{$season->id}", [
        'changes' => [
            ['path' => $relief['edits'][0]['path'], 'from' => $row['overrides'][$relief['crop']] ?? null, 'to' => $relief['edits'][0]['to']],
        ],
        'setup' => 'blocks',
    ])
        ->assertOk()
        ->json('result.setups.0');
    expect($then['crowded_days'])
        ->toBe($relief['crowded_days'])
        ->toBeLessThan($result['crowded_days'])
        ->and($then['fill_cost'] - $result['fill_cost'])
        ->toBeNear($relief['cost'], 1e-9);
});

it('is read back the same by a second parser, and valid in its lines, zones and days', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $tasks = ownTasks();
    $text = (string) $this->get("/api/seasons/{$season->id}/setups/bench/calendar.ics")
        ->assertOk()
        ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
        ->getContent();
    $events = Libraries::run('calendar.mjs', $text);
    expect($events)->toHaveCount(count($tasks))->and(array_unique(array_column($events, 'uid')))->toHaveCount(count($tasks));
    foreach ($events as $event) {
        $task = $tasks[preg_replace('/^\d+-bench-(.*)@jolly-penny$/', '$1', $event['uid'])];
        expect($event['summary'])
            ->toBe($task['words'])
            ->and($event['start'])
            ->toBe($task['date'])
            ->and($event['allDay'])
            ->toBeTrue()
            ->and((strtotime($event['end']) - strtotime($event['start'])) / 86400)
            ->toBe(1);
    }
    // RFC 5545: lines of at most 75 octets, ended by CR LF; no time zone where every event is a day.
    foreach (explode("\r\n", rtrim($text, "\r\n")) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75)->and($line)->not->toContain("\n");
    }
    expect($text)
        ->not->toContain('VTIMEZONE')
        ->and(array_filter(Reader::read($text)->validate(), fn (array $fault) => $fault['level'] >= Node::PROFILE_CALDAV))
        ->toBe([]);
});

it('updates and never doubles when the season changes', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $read = fn () => array_column(
        Libraries::run('calendar.mjs', (string) $this->get("/api/seasons/{$season->id}/setups/bench/calendar.ics")->getContent()),
        null,
        'uid',
    );
    $before = $read();
    $this->patchJson("/api/seasons/{$season->id}", [
        'changes' => [['path' => ['last_frost'], 'from' => '2027-05-28', 'to' => '2027-05-21']],
    ])->assertOk();
    $after = $read();
    $uid = "{$season->id}-bench-copper-kettle-sow@jolly-penny";
    expect($after[$uid]['start'])
        ->toBe('2027-04-04')
        ->and($before[$uid]['start'])
        ->toBe('2027-04-11')
        ->and($after[$uid]['sequence'])
        ->toBeGreaterThan($before[$uid]['sequence']);
});

it('gives a private address to subscribe to, until it is revoked', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $address = $this->putJson("/api/seasons/{$season->id}/setups/bench/feed")
        ->assertOk()
        ->json('address');
    $path = (string) parse_url($address, PHP_URL_PATH);
    expect($this->getJson("/api/seasons/{$season->id}/setups/bench/calendar")->json('feed'))->toBe($address);
    auth()->logout();
    // Nobody is busy all day for a sowing (RFC 5545, 3.8.2.7), and twice a day is often enough to look (RFC 7986, 5.7).
    expect((string) $this->get($path)->assertOk()->getContent())->toContain('BEGIN:VEVENT')->toContain('TRANSP:TRANSPARENT')
        ->toContain('REFRESH-INTERVAL;VALUE=DURATION:PT12H');
    $this->assertGuest();
    $this->actingAs($user);
    $new = (string) parse_url($this->putJson("/api/seasons/{$season->id}/setups/bench/feed")->json('address'), PHP_URL_PATH);
    $this->get($path)->assertNotFound();
    $this->deleteJson("/api/seasons/{$season->id}/setups/bench/feed")->assertNoContent();
    $this->get($new)->assertNotFound();
});

it('notes crops started too early, sown too late for their packet, and tap roots held too long', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $notes = fn () => array_column(
        $this->getJson("/api/seasons/{$season->id}/setups/bench/calendar")
            ->assertOk()
            ->json('timing'),
        'code',
        'crop',
    );
    // Zinnias are sown four to five weeks before planting out, tomatoes six to eight (common practice, no source).
    expect($notes())->not->toHaveKey('copper-kettle');
    $sow = fn (string $crop, string $on) => $this->patchJson("/api/seasons/{$season->id}", [
        'changes' => [['path' => ['crops', $crop, 'sow_on'], 'from' => null, 'to' => $on]],
    ])->assertOk();
    $sow('paint-box', '2027-03-25');
    $sow('copper-kettle', '2027-05-25');
    $this->patchJson("/api/seasons/{$season->id}", [
        // Sown too late only where somebody gives the pot less time than growth needs.
        'changes' => [['path' => ['methods', 'cells-pots', 'stages', 1, 'days'], 'from' => 18, 'to' => 1],
            ['path' => ['methods', 'cells-pots', 'stages', 2, 'days'], 'from' => 'rest', 'to' => 5]],
    ])->assertOk();
    expect($notes())->toHaveKey('paint-box', 'too_early')->toHaveKey('copper-kettle', 'too_late');
    $crop = collect($this->postJson("/api/seasons/{$season->id}/crops", ['text' => '20 carrot'])->json('season.crops'))->last()['id'];
    $this->patchJson("/api/seasons/{$season->id}", [
        'changes' => [['path' => ['setups', 'bench', 'overrides', $crop], 'from' => null, 'to' => 'cells-out']],
    ])->assertOk();
    $sow($crop, '2027-03-20');
    expect($notes())->toHaveKey($crop, 'tap_root');
});

it('moves a sowing to the nearest day one sows on, and a stage\'s end with all crops raised so', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $move = fn (array $body) => $this->putJson("/api/seasons/{$season->id}/setups/bench/crops/copper-kettle/bar", $body);
    // 12 April 2027 is a Monday; two days on one would sow on the Saturday after, but is away.
    $habits = ['habits' => ['sow_days' => [6], 'away' => [['from' => '2027-04-16', 'to' => '2027-04-18']]]];
    $this->patchJson("/api/seasons/{$season->id}", [
        'changes' => [['path' => ['meta'], 'from' => $season->document->meta ?? null, 'to' => $habits]],
    ])->assertOk();
    $moved = $move(['by' => 2])->assertOk();
    expect($moved->json('season.crops.0.sow_on'))->toBe('2027-04-10')->and($moved->json('history.undo'))->toContain('sowing date');
    $longer = $move(['stage' => 1, 'by' => 3])->assertOk();
    expect(array_column($longer->json('season.methods'), null, 'id')['cells-pots']['stages'][1]['days'])
        ->toBe(21)
        ->and($longer->json('history.undo'))
        ->toMatch('/18 to 21 days, \d+ crops/');
    // The first stage lasts until the seed is up and some days more: only those can be taken.
    $move(['stage' => 0, 'by' => -30])->assertOk();
    expect(
        $move(['stage' => 0, 'by' => -2])
            ->assertStatus(422)
            ->json('detail'),
    )->toContain('lasts until the seed is up');
    // What takes the rest of the weeks has no days of its own to stretch.
    expect($move(['stage' => 2, 'by' => 1])->assertStatus(422)->json('detail'))->toContain('leave of the weeks');
    $move(['stage' => 9, 'by' => 1])->assertStatus(422);
    $move(['by' => 'far'])->assertStatus(422);
});

<?php

declare(strict_types=1);

use App\Models\Season;
use Illuminate\Support\Facades\DB;
use Tests\Oracle\Life;
use Tests\Oracle\LifeGenerator;

// Lives as they are made for the core (LifeGenerator), written down through the API entry by entry: whatever happened, every answer that
// speaks of a crop says the same of it, and the same as the plain second account (docs/after.md).

const LIVED = 'copper-kettle';

/** @return array<string, mixed> */
function said(object $test, Season $season, string $path): array
{
    return $test->getJson("/api/seasons/{$season->id}{$path}")->assertOk()->json();
}

/** Numbers below 0 of plants, pots and seeds, wherever they stand in an answer. */
function impossible(mixed $answer, string $path = ''): array
{
    $found = [];
    foreach (is_array($answer) ? $answer : [] as $key => $value) {
        $isCount = in_array($key, ['count', 'of', 'up', 'plants', 'alive', 'left', 'sites', 'seeds', 'packs', 'bought', 'used', 'finished', 'amount'], true);
        $isCount && is_numeric($value) && $value < 0 && $found[] = "{$path}.{$key} = {$value}";
        array_push($found, ...impossible($value, "{$path}.{$key}"));
    }

    return $found;
}

/** @param  list<array<string, mixed>>  $kept  entries that the server has taken */
function speaksWithOneVoice(object $test, Season $season, array $kept, string $when): void
{
    $last = DB::table('log_entries')->where('season_id', $season->id)->max('day') ?? '2027-03-01';
    $today = said($test, $season, "/setups/bench/today?day={$last}");
    [$trays, $log] = [said($test, $season, '/setups/bench/trays'), said($test, $season, '/log')];
    expect([...impossible($today), ...impossible($trays)])->toBe([], $when);
    $facts = $trays['facts'][LIVED] ?? null;
    // The log, as it is answered and as a table, holds what was taken, and the second account of it says what Trays says.
    expect(array_column($log['entries'], 'id'))->toEqualCanonicalizing(array_column($kept, 'id'), $when);
    $table = array_map('str_getcsv', array_filter(explode("\n", trim((string) $test->get("/api/seasons/{$season->id}/log.csv")->assertOk()->getContent()))));
    expect(count($table) - 1)->toBe(count($kept), $when);
    $pattern = collect($season->document->methods)->firstWhere('id', 'cells')?->pattern ?? 'per_site';
    $jobs = array_column($today['jobs'], null, 'id');
    if ($facts !== null) {
        $life = (new Life(array_values($kept), $pattern === 'per_site', lastStageOf($jobs)))->state();
        expect([$facts['sites'], $facts['seeds'], $facts['up'], $facts['alive'] ?? 0, $facts['lost']])
            ->toBe([$life['sown'], $life['seeds'], $life['up'], $life['there'] ?? 0, $life['gone']['lost']], $when);
        $runs = array_filter(array_merge(...array_column($trays['trays'], 'runs')), fn (array $run): bool => $run['crop'] === LIVED && $run['plants'] !== null);
        expect(array_sum(array_column($runs, 'plants')))->toBeLessThanOrEqual($facts['alive'] ?? 0, $when);
    }
    // Nothing stands where it is still to be moved to.
    foreach (array_merge(...array_column($trays['trays'], 'runs')) as $run) {
        $run['crop'] !== LIVED || $run['stage'] === 0 || $run['filled'] || $run['left'] ?: expect($run['plants'])->toBeNull($when);
    }
    // Today asks for no more than are there, and of nothing once none are.
    foreach (['copper-kettle-plant_out', 'copper-kettle-stage-1', 'copper-kettle-stage-2'] as $id) {
        $job = $jobs[$id] ?? null;
        if ($job !== null && $job['done_on'] === null && ($facts['up'] ?? null) !== null) {
            expect($job['of'] ?? $job['count'] ?? 0)->toBeLessThanOrEqual($facts['alive'], "{$when}, {$id}");
        }
    }
    // Calendar, its feed and Today have the same days for what they have in common; Today says what is shared on a day once.
    $tasks = array_column(said($test, $season, '/setups/bench/calendar')['tasks'], 'date', 'id');
    $feed = (string) $test->get("/api/seasons/{$season->id}/setups/bench/calendar.ics")->assertOk()->getContent();
    preg_match_all('/UID:[^\r\n]*?-('.LIVED.'-[a-z_]+(?:-\d+)*)@.*?DTSTART;VALUE=DATE:(\d{8})/s', $feed, $found, PREG_SET_ORDER);
    foreach ($found as [, $id, $day]) {
        isset($tasks[$id]) && expect(str_replace('-', '', $tasks[$id]))->toBe($day, "{$when}, {$id} in the feed");
        $onToday = $jobs[$id] ?? null;
        $onToday === null || $onToday['done_on'] !== null ?: expect(str_replace('-', '', $onToday['date']))->toBe($day, "{$when}, {$id} on Today");
    }
    // The Reckoning.
    $came = said($test, $season, '/setups/bench/reckoning')['came_to'];
    expect(impossible($came))->toBe([], $when);
    // What never came up is a loss of seed, not of plants.
    $losses = array_filter($came['losses'], fn (array $loss): bool => $loss['cause'] !== 'not_up');
    $lost = array_sum(array_map(fn (array $loss): int => array_sum(array_column(
        array_filter($loss['where'], fn (array $where): bool => $where['crop'] === LIVED), 'count')), $losses));
    $crop = collect($came['crops'])->firstWhere('crop', LIVED);
    expect($lost)->toBe($facts['lost'] ?? 0, $when)->and($crop['up'] ?? null)->toBe($facts['up'] ?? null, $when);
    // Whether to sow again asks from the same count.
    $again = $test->getJson("/api/seasons/{$season->id}/setups/bench/crops/".LIVED."/sow-again?on={$last}")->assertOk()->json('again');
    $again === null ?: expect($again['up'])->toBe($facts['up'], $when);
}

/** @param  array<string, array<string, mixed>>  $jobs */
function lastStageOf(array $jobs): ?string
{
    $stages = array_filter($jobs, fn (string $id): bool => preg_match('/^'.LIVED.'-stage-\d+$/', $id) === 1, ARRAY_FILTER_USE_KEY);

    return $stages === [] ? null : max(array_column($stages, 'date'));
}

it('says the same of a crop on every screen, after every step of a life', function (int $seed) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $kept = [];
    $refusals = 0;
    $entries = array_values(array_column((new LifeGenerator($seed))->life()['entries'], null, 'id'));
    usort($entries, fn (array $a, array $b): int => strcmp($a['at'], $b['at']));
    foreach ($entries as $n => $entry) {
        // One in two was written with the server at hand, the others wait on a device and are kept whatever they say.
        $waited = $n % 2 === 1;
        $sent = [...$entry, 'crop' => LIVED] + ($waited ? ['waited' => true] : []);
        isset($sent['job']) && $sent['job'] = str_replace('crop-', LIVED.'-', $sent['job']);
        $entry['kind'] === 'lost' && $sent['cause'] = 'gnats';
        $refused = $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [$sent]])->assertOk()->json('refused');
        // A lost answer: the same once more.
        expect($this->postJson("/api/seasons/{$season->id}/log", ['entries' => [$sent]])->assertOk()->json('refused'))->toBe($refused);
        $refused === [] ? $kept[] = $sent : $refusals++;
        foreach ($refused as $one) {
            expect($one['why'])->toMatch('/\w+ .*\./');
        }
        speaksWithOneVoice($this, $season, $kept, "life {$seed}, step {$n} ({$entry['kind']})");
    }
    expect(count($kept) + $refusals)->toBe(count($entries));
    // A phone that was away says that more were lost than there are.
    $kept[] = $last = ['id' => 'life-the-last', 'on' => '2027-06-20', 'at' => '2027-07-02T00:00:00Z', 'kind' => 'lost', 'crop' => LIVED, 'count' => 999,
        'cause' => 'gnats', 'waited' => true];
    $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [$last]])->assertOk()->assertExactJson(['refused' => []]);
    speaksWithOneVoice($this, $season, $kept, "life {$seed}, more lost than there are");
})->with([3, 8, 21, 34]);

it('has one account of what is bought, paid and left', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $items = said($this, $season, '/setups/bench/shopping')['shopping']['items'];
    foreach (array_slice($items, 0, 4) as $n => $item) {
        $this->putJson("/api/seasons/{$season->id}/purchases/same-every-{$n}", ['kind' => $item['kind'], 'thing' => $item['id'], 'name' => $item['name'],
            'packs' => $n + 1, 'paid' => 3.5 * ($n + 1), 'on' => '2027-03-0'.($n + 1)])->assertSuccessful();
        $state = said($this, $season, '/setups/bench/shopping');
        $shopping = $state['shopping'];
        $left = said($this, $season, '/setups/bench/leftovers')['leftovers'];
        expect(impossible([$shopping, $left]))->toBe([])
            ->and($shopping['paid'])->toEqualWithDelta(array_sum(array_column($state['purchases'], 'paid')), 1e-9)
            ->and($shopping['now'])->toEqualWithDelta($shopping['paid'] + $shopping['still'], 1e-9);
        foreach ($left as $line) {
            expect($line['left'])->toBeLessThanOrEqual($line['before'] + $line['bought'] + 1e-9);
            // What is wasted is neither used nor left.
            expect($line['used'] + $line['left'])->toBeLessThanOrEqual($line['before'] + $line['bought'] + 1e-9, $line['name']);
        }
    }
    // The shed, and the season that begins from it, have what the preview of the roll said.
    writeDownSowing($this, $season);
    $left = array_column(said($this, $season, '/setups/bench/leftovers')['leftovers'], null, 'name');
    $made = $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench', 'cracked' => (object) []])->assertSuccessful()->json('id');
    foreach ($this->getJson('/api/shed')->assertOk()->json('items') as $item) {
        expect($item['amount'])->toEqualWithDelta($left[$item['name']]['left'], 1e-3, $item['name']);
    }
    $next = $this->getJson("/api/seasons/{$made}?setup=bench")->assertOk()->json('season');
    foreach ($next['supplies'] as $row) {
        expect((float) $row['in_stock'])->toEqualWithDelta($left[$row['name']]['left'] ?? 0.0, 1e-3, $row['name']);
    }
});

function writeDownSowing(object $test, Season $season): void
{
    $test->postJson("/api/seasons/{$season->id}/log", ['entries' => [['id' => 'same-sown-01', 'on' => '2027-04-11', 'at' => '2027-04-11T09:00:00.000001Z',
        'kind' => 'sown', 'crop' => LIVED, 'count' => 9, 'seeds' => 18, 'job' => LIVED.'-sow']]])->assertOk();
}

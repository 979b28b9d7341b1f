<?php

declare(strict_types=1);

use App\Models\WeatherPlace;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Season\Day;
use Sabre\VObject\Reader;

/** @return array{int, string} a place's id and token */
function weatherPlace(object $test, string $name = 'Yard'): array
{
    $made = $test->postJson('/api/weather', ['name' => $name])->assertStatus(201);

    return [$made->json('id'), $made->json('token')];
}

function table(object $test, int $place, string $text, array $like = []): object
{
    return $test->postJson("/api/weather/{$place}/table", [...['table' => base64_encode($text), 'unit' => 'C', 'month_first' => false], ...$like]);
}

/** Twelve whole springs with a frost on May 10 to 21, as a table. */
function springs(): string
{
    $text = "date,low,high\n";
    foreach (range(2014, 2025) as $i => $year) {
        for ($day = Day::parse("{$year}-01-10")->number; $day < Day::parse("{$year}-07-25")->number; $day++) {
            $date = Day::ofNumber($day)->format();
            $text .= $date.','.($date === sprintf('%d-05-%02d', $year, 10 + $i) ? '-1.5' : '4').",15\n";
        }
    }

    return $text;
}

it('reads days out of any table, each once, and says line by line what it cannot read', function () {
    [$user, $season] = gardener();
    [$id] = weatherPlace($this->actingAs($user));
    $keep = fn (string $text, array $like = []) => table($this, $id, $text, $like)->assertOk()->json();
    expect($keep("date,low,high\n2027-05-01,2.5,14\n2027-05-02,3,15\n"))->toMatchArray(['kept' => 2, 'known' => 0, 'changed' => 0, 'refused' => 0])
        ->and($keep("2027-05-02;3;15\n2027-05-03;4;16\n"))->toMatchArray(['kept' => 1, 'known' => 1])
        // Other separators, orders, languages, decimal commas, °F, and how people write days.
        ->and($keep("Datum;TMAX;TMIN\n4.5.2027;16,5;4,5\n"))->toMatchArray(['kept' => 1])
        ->and($keep("Day\tHigh (°F)\tLow (°F)\n5/5/2027\t59\t41\n", ['unit' => 'F', 'month_first' => true]))->toMatchArray(['kept' => 1])
        ->and($keep("20270506 | 5 °C | 17 °C\n"))->toMatchArray(['kept' => 1])
        // A day told anew takes the new values.
        ->and($keep("2027-05-01,−2.5,14\n"))->toMatchArray(['kept' => 0, 'changed' => 1]);
    $faulty = $keep("date,low,high\n2027-13-01,2,3\n2027-05-08,9,3\n2027-05-09,,3\n2027-05-10,cold,3\n1802-05-10,2,3\n2027-05-11,-95,3\n2027-05-12,1,9\n");
    expect($faulty)->toMatchArray(['kept' => 1, 'refused' => 6])->and(array_column($faulty['faults'], 'line'))->toBe([2, 3, 4, 5, 6, 7])
        ->and($faulty['faults'][1]['why'])->toContain('other way round')->and($faulty['faults'][2]['why'])->toContain('missing');
    $csv = $this->get("/api/weather/{$id}/days.csv")->assertOk()->getContent();
    expect($csv)->toContain("date,low,high\r\n2027-05-01,-2.5,14\r\n")->and($csv)->toContain('2027-05-05,5,15')->and(substr_count((string) $csv, "\r\n"))->toBe(8);
    // What went out comes in again, and changes nothing.
    expect($keep((string) $csv))->toMatchArray(['kept' => 0, 'known' => 7, 'changed' => 0, 'refused' => 0]);
    foreach (['', 'what is this', "\0\0"] as $nothing) {
        table($this, $id, $nothing)->assertStatus(422);
    }
    table($this, $id, '2027-05-01,1,2', ['unit' => 'K'])->assertStatus(422);
    table($this, $id, '2027-05-20,1,2', ['made_on' => '2027-05-10'])->assertStatus(422)->assertJsonFragment(['path' => 'days']);
});

it('takes a station\'s days and forecasts by its token, and nobody else\'s', function () {
    [$user] = gardener();
    [$id, $token] = weatherPlace($this->actingAs($user));
    auth()->logout();
    $post = fn (array $body, ?string $as = null) => $this->flushHeaders()->withToken($as ?? $token)->postJson('/api/device/weather', $body);
    $body = ['measured' => [['date' => '2027-05-03', 'low' => 1, 'high' => 14.5]],
        'forecast' => ['made_on' => '2027-05-03', 'days' => [['date' => '2027-05-04', 'low' => -1, 'high' => 9]]]];
    expect($post($body)->assertOk()->json())->toBe(['kept' => 2, 'known' => 0, 'changed' => 0, 'refused' => 0])
        ->and($post($body)->json())->toBe(['kept' => 0, 'known' => 2, 'changed' => 0, 'refused' => 0])
        ->and($post(['unit' => 'F', 'measured' => [['date' => '2027-05-04', 'low' => 32, 'high' => 50], ['date' => 'x', 'low' => 1, 'high' => 2],
            ['date' => '2027-05-05', 'low' => '1', 'high' => 2], ['date' => '2027-05-06', 'low' => 9, 'high' => 2], 'x']])->json())
        ->toBe(['kept' => 1, 'known' => 0, 'changed' => 0, 'refused' => 4]);
    $days = json_decode((string) DB::table('weather_years')->where('weather_place_id', $id)->value('days'), true);
    expect($days)->toBe(['05-03' => [1, 14.5], '05-04' => [0, 10]]);
    foreach ([[], ['measured' => 'x'], ['measured' => array_fill(0, 368, ['date' => '2027-05-03', 'low' => 1, 'high' => 2])],
        ['forecast' => ['days' => [['date' => '2027-05-04', 'low' => 1, 'high' => 2]]]]] as $wrong) {
        $post($wrong)->assertStatus(422);
    }
    // The token of a meter is none of a station, nor the other way round; what was taken back is none at all.
    [$other, $season] = gardener();
    $meter = $this->actingAs($other)->postJson("/api/seasons/{$season->id}/devices", ['name' => 'M', 'kind' => 'meter', 'list' => 'lights', 'thing' => 'led'])->json('token');
    auth()->logout();
    $post($body, $meter)->assertStatus(401);
    $this->flushHeaders()->withToken($token)->postJson('/api/device/readings', ['readings' => [['at' => '2027-05-03T06:00:00Z', 'value' => 3]]])->assertStatus(401);
    $new = $this->flushHeaders()->actingAs($user)->putJson("/api/weather/{$id}/token")->assertOk()->json('token');
    auth()->logout();
    $post($body)->assertStatus(401);
    $post($body, $new)->assertOk();
    $this->flushHeaders()->actingAs($user)->deleteJson("/api/weather/{$id}")->assertNoContent();
    expect(DB::table('weather_years')->where('weather_place_id', $id)->count())->toBe(0);
    $post($body, $new)->assertStatus(401);
});

it('offers the frosts of past years, and takes them over as one step', function () {
    [$user, $season] = gardener();
    [$id] = weatherPlace($this->actingAs($user));
    table($this, $id, springs())->assertOk();
    $weather = fn () => $this->getJson("/api/seasons/{$season->id}/setups/bench/weather?on=2027-04-20")->assertOk()->json();
    $seen = $weather();
    expect($seen['place'])->toBe($id)->and($seen['places'][0])->toMatchArray(['name' => 'Yard', 'first_on' => '2014-01-10', 'last_on' => '2025-07-24', 'forecast_on' => null])
        ->and($seen['last_frost']['years'])->toHaveCount(12)->and($seen['offer']['last_frost'])->toBe('2027-05-16')->and($seen['offer']['days'])->toBe(-12)
        ->and($seen['tonight'])->toBeNull()->and($seen['record']['nights'])->toBe(0);
    $this->patchJson("/api/seasons/{$season->id}", ['label' => 'frosts', 'changes' => [
        ['path' => ['last_frost'], 'from' => '2027-05-28', 'to' => $seen['offer']['last_frost']],
        ['path' => ['last_frost_spread_days'], 'from' => 9, 'to' => $seen['offer']['last_frost_spread_days']],
        ['path' => ['first_frost'], 'from' => '2027-09-20', 'to' => $seen['offer']['first_frost']],
    ]])->assertOk();
    expect($weather()['offer'])->toBeNull();
    // No weather at all is no trouble, nor is a season that is far away.
    [$other, $bare] = gardener();
    $none = $this->actingAs($other)->getJson("/api/seasons/{$bare->id}/setups/bench/weather?on=2020-01-01")->assertOk()->json();
    expect($none['place'])->toBeNull()->and($none['days'])->toBe([])->and($none['offer'])->toBeNull()->and($none['on'])->toBe('2027-02-18');
    $this->getJson("/api/seasons/{$bare->id}/setups/bench/weather")->assertStatus(422);
    $this->getJson("/api/seasons/{$bare->id}/setups/nobody/weather?on=2027-04-20")->assertNotFound();
});

it('says the same evening on Today, the calendar, the weather and the phone\'s feed, and takes what was done about it', function () {
    [$user, $season] = gardener();
    [$id, $token] = weatherPlace($this->actingAs($user));
    table($this, $id, "2027-05-29,1,14\n", ['made_on' => '2027-05-28'])->assertOk();
    $url = "/api/seasons/{$season->id}";
    $this->travelTo('2027-05-28 12:00:00');
    $today = $this->getJson("{$url}/setups/bench/today?on=2027-05-28")->assertOk()->json();
    $job = array_column($today['jobs'], null, 'id')['bring_in-2027-05-28'];
    expect($job['words'])->toStartWith('34 °F by dawn: bring in ')->and($today['tonight']['is_cold'])->toBeTrue()->and($today['weather_on'])->toBe('2027-05-28')
        ->and(array_column($this->getJson("{$url}/setups/bench/calendar?on=2027-05-28")->json('tasks'), 'words', 'id')['bring_in-2027-05-28'])->toBe($job['words'])
        ->and($this->getJson("{$url}/setups/bench/weather?on=2027-05-28")->json('tonight'))->toBe($today['tonight']);
    $feed = $this->putJson("{$url}/setups/bench/feed")->json('address');
    $events = [];
    foreach (Reader::read((string) $this->get(parse_url($feed, PHP_URL_PATH))->assertOk()->getContent())->VEVENT as $event) {
        $events[(string) $event->UID] = [(string) $event->SUMMARY, (string) $event->DTSTART];
    }
    expect($events["{$season->id}-bench-bring_in-2027-05-28@jolly-penny"])->toBe([$job['words'], '20270528T180000']);
    $this->postJson("{$url}/log", ['entries' => [['id' => 'evening-000001', 'on' => '2027-05-28', 'at' => '2027-05-28T19:00:00Z', 'kind' => 'done',
        'job' => 'bring_in-2027-05-28', 'note' => 'left them out']]])->assertOk();
    // From then on the log is what says what is out there, and nothing is written down to be.
    $after = $this->getJson("{$url}/setups/bench/today?on=2027-05-28")->json();
    expect($after['tonight'])->toBeNull();
    // Without a day nothing is said of the weather; and a day must be one.
    expect($this->getJson("{$url}/setups/bench/today")->json('tonight'))->toBeNull();
    $this->getJson("{$url}/setups/bench/today?on=tomorrow")->assertStatus(422);
    $this->travelBack();
});

it('keeps to the place that was chosen for a season, and to the oldest without', function () {
    [$user, $season] = gardener();
    [$first] = weatherPlace($this->actingAs($user), 'Roof');
    [$second] = weatherPlace($this, 'Hollow');
    [$other] = gardener();
    [$theirs] = weatherPlace($this->actingAs($other), 'Theirs');
    $this->actingAs($user);
    $shown = fn () => $this->getJson("/api/seasons/{$season->id}/setups/bench/weather?on=2027-04-20")->json('place');
    expect($shown())->toBe($first);
    $this->putJson("/api/seasons/{$season->id}/weather", ['place' => $second])->assertNoContent();
    expect($shown())->toBe($second)->and($season->refresh()->revision)->toBe(1);
    $this->putJson("/api/seasons/{$season->id}/weather", ['place' => $theirs])->assertNotFound();
    foreach (['', 'x', -1, 1e30] as $wrong) {
        $this->putJson("/api/seasons/{$season->id}/weather", ['place' => $wrong])->assertStatus($wrong === '' ? 204 : 422);
    }
    $this->putJson("/api/seasons/{$season->id}/weather", ['place' => $second])->assertNoContent();
    $this->deleteJson("/api/weather/{$second}")->assertNoContent();
    expect($shown())->toBe($first);
    for ($n = 1; $n < WeatherPlace::MOST; $n++) {
        weatherPlace($this, "Place {$n}");
    }
    $this->postJson('/api/weather', ['name' => 'One too many'])->assertStatus(422);
    $this->postJson('/api/weather', ['name' => str_repeat('x', 101)])->assertStatus(422);
});

it('says what each day of planting out may cost', function () {
    [$user, $season] = gardener();
    $url = "/api/seasons/{$season->id}/setups/bench/going-out";
    $all = $this->actingAs($user)->getJson($url)->assertOk()->json();
    $one = $this->getJson("{$url}?crop=copper-kettle&cover=3.5")->assertOk()->json();
    expect($all['days'])->toHaveCount(50)->and($all['days'][0]['on'])->toBeNull()->and($one['crops'])->toBe(['copper-kettle'])->and($one['years'])->toBe(0)
        ->and($one['best']['on'])->toBeGreaterThanOrEqual('2027-06-04');
    foreach (['crop=autumn-bib', 'crop=nobody', 'cover=-1', 'cover=much'] as $wrong) {
        $this->getJson("{$url}?{$wrong}")->assertStatus(422);
    }
    // Sown, it cannot go out before it is grown.
    $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [['id' => 'sown-00000001', 'on' => '2027-04-11', 'at' => '2027-04-11T10:00:00Z', 'kind' => 'sown',
        'crop' => 'copper-kettle', 'count' => 9, 'seeds' => 9]]])->assertOk();
    expect($this->getJson("{$url}?crop=copper-kettle")->json('days.0.shift'))->toBe(0);
});

it('takes the weather along into an account, and out with its garden', function () {
    [$trial, $season] = gardener();
    [$id] = weatherPlace($this->actingAs($trial));
    table($this, $id, "2027-05-01,1,9\n")->assertOk();
    table($this, $id, "2027-05-02,2,8\n", ['made_on' => '2027-05-01'])->assertOk();
    $this->postJson('/api/account', ['email' => 'weather@example.org', 'password' => SECRET])->assertSuccessful();
    $export = json_decode($this->get('/api/account/export')->streamedContent(), true);
    expect($export['weather'])->toBe([['name' => 'Yard', 'measured' => [['date' => '2027-05-01', 'low' => 1.0, 'high' => 9.0]],
        'forecasts' => [['made_on' => '2027-05-01', 'days' => [['date' => '2027-05-02', 'low' => 2.0, 'high' => 8.0]]]]]]);
});

it('shows the made-up spring with its weather', function () {
    [$user] = gardener();
    $id = $this->actingAs($user)->postJson('/api/seasons', ['from' => 'demo', 'demo' => 'may'])->assertCreated()->json('id');
    $seen = $this->getJson("/api/seasons/{$id}/setups/bench/weather?on=2026-11-30")->assertOk()->json();
    expect($seen['on'])->toBe('2027-05-09')->and($seen['days'])->toHaveCount(15)->and($seen['last_frost']['years'])->not->toBeEmpty()
        ->and($seen['places'][0]['demo'])->toBeTrue()->and($seen['record']['called'])->toBeGreaterThan(5)->and($seen['tonight']['is_cold'])->toBeTrue()->and($seen['trust']['nights'])->toBe(55);
    // Opened again there is one such place still, and no season of one's own has its weather.
    $this->postJson('/api/seasons', ['from' => 'demo', 'demo' => 'may'])->assertCreated();
    $own = $this->getJson('/api/seasons')->json('seasons');
    $own = array_values(array_filter($own, fn (array $one): bool => $one['name'] === 'Plot 17, spring 2027'))[0]['id'];
    $there = $this->getJson("/api/seasons/{$own}/setups/bench/weather?on=2026-11-30")->assertOk()->json();
    expect($there['places'])->toHaveCount(1)->and($there['place'])->toBeNull()->and($there['days'])->toBe([]);
    [$real] = weatherPlace($this, 'Mine');
    expect($this->getJson("/api/seasons/{$own}/setups/bench/weather?on=2026-11-30")->json('place'))->toBe($real)
        ->and($this->getJson("/api/seasons/{$id}/setups/bench/weather?on=2026-11-30")->json('place'))->not->toBe($real);
});

it('goes by the garden\'s own thermometer before any station', function () {
    [$user, $season] = gardener();
    $device = $this->actingAs($user)->postJson("/api/seasons/{$season->id}/devices", ['name' => 'T', 'kind' => 'air', 'list' => 'places', 'thing' => 'yard'])->json('id');
    // A whole day and night every half hour, and a morning of which nobody can say how warm it became.
    DB::table('readings')->insert(array_map(fn (int $n): array => ['device_id' => $device, 'at' => gmdate('Y-m-d\TH:i:s\Z', (int) strtotime('2027-04-20 00:00:00 UTC')
        + 1800 * $n), 'value' => $n === 11 ? -2.5 : ($n === 30 ? 17.5 : 8.0)], range(0, 60)));
    $days = fn () => $this->flushHeaders()->actingAs($user)->getJson("/api/seasons/{$season->id}/setups/bench/weather?on=2027-04-22")->assertOk()->json('days');
    expect($days())->toEqual([['on' => '2027-04-20', 'low' => -2.5, 'high' => 17.5, 'measured' => true]]);
    [$id] = weatherPlace($this, 'Station');
    table($this, $id, "2027-04-20,5,10\n2027-04-21,6,11\n")->assertOk();
    expect(array_column($days(), 'low', 'on'))->toEqual(['2027-04-20' => -2.5, '2027-04-21' => 6.0]);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\FrostOffer;
use JollyPenny\Core\Deciding\GoingOut\GoingOut;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Reckoning\OpenAirBelief;
use JollyPenny\Core\Living\State\LivedSeason;
use JollyPenny\Core\Living\Tasks\Job;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Living\Weather\ForecastTrust;
use JollyPenny\Core\Living\Weather\FrostChance;
use JollyPenny\Core\Living\Weather\Frosts;
use JollyPenny\Core\Living\Weather\FrostYears;
use JollyPenny\Core\Living\Weather\OpenAir;
use JollyPenny\Core\Living\Weather\SeenFrom;
use JollyPenny\Core\Living\Weather\SimulatedWeather;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Living\Weather\WeatherNow;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Hardiness;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use Tests\Logs;
use Tests\Oracle\PlainWeather;
use Tests\Seasons;

// The account of these rules is docs/weather.md; the second account is tests/Oracle/PlainWeather.php. The weather is made up.

function dayOf(string $date): int
{
    return Day::parse($date)->number;
}

/** @param  array<string, array{float|int, float|int}>  $days */
function daysOf(array $days): array
{
    $read = [];
    foreach ($days as $date => [$low, $high]) {
        $read[dayOf($date)] = new DayWeather((float) $low, (float) $high);
    }

    return $read;
}

/** Even weather from one day to another. */
function evenly(string $from, string $to, float $low, float $high): array
{
    return array_fill(dayOf($from), dayOf($to) - dayOf($from) + 1, new DayWeather($low, $high));
}

/** @return array<string, array{float, float}> as the second account reads it */
function asTheOther(array $days): array
{
    $plain = [];
    foreach ($days as $day => $one) {
        $plain[Day::ofNumber($day)->format()] = [$one->low, $one->high];
    }

    return $plain;
}

/** @return array{Season, WeatherBook, PlainWeather, int} a season with weather with gaps, and the second account of it */
function weathered(int $seed, string $from = '2013-01-01'): array
{
    $file = Seasons::demo();
    $file['places'][] = ['id' => 'tunnel', 'name' => 'Tunnel', 'outdoors' => true, 'temp_c' => array_map(fn ($t) => $t + 3.5, $file['places'][3]['temp_c'])];
    $season = Seasons::read($file);
    $today = dayOf('2027-04-10') + $seed % 60;
    $made = new SimulatedWeather($season->places[3]->tempC, dayOf($from), $today + 7, $seed, 14.0 + $seed % 6, colderC: ($seed % 3) - 1.0);
    // Thermometers fail, and forecasts are missed; what is measured after today is not known today.
    $measured = array_filter($made->days, fn (int $day): bool => ($day * 7 + $seed) % 19 !== 0, ARRAY_FILTER_USE_KEY);
    $forecasts = array_filter($made->forecasts(dayOf('2027-03-01'), $today), fn (int $day): bool => ($day + $seed) % 6 !== 0, ARRAY_FILTER_USE_KEY);
    $book = new WeatherBook($measured, $forecasts);
    $plainForecasts = [];
    foreach ($forecasts as $day => $days) {
        $plainForecasts[Day::ofNumber($day)->format()] = asTheOther($days);
    }
    $places = array_map(fn (array $one): array => $one, Seasons::demo()['places']);
    $places[] = end($file['places']);

    return [$season, $book, new PlainWeather(asTheOther($measured), $plainForecasts, $places, Day::ofNumber($today)->format()), $today];
}

it('has the same air and soil as the second account, on every day of generated springs', function () {
    for ($seed = 1; $seed <= 12; $seed++) {
        [$season, $book, $plain, $today] = weathered($seed, '2026-12-01');
        $air = new OpenAir($season, $book, $today);
        $file = Seasons::demo();
        $rows = [...$file['places'], ['id' => 'tunnel', 'outdoors' => true, 'temp_c' => array_map(fn ($t) => $t + 3.5, $file['places'][3]['temp_c'])]];
        foreach ([3, 4] as $i) {
            for ($day = $today - 30; $day <= $today + 20; $day++) {
                $date = Day::ofNumber($day)->format();
                expect($air->airIn($season->places[$i], $day))->toBeNear($plain->air($rows[$i], $date), 1e-9, "{$seed} {$date}")
                    ->and($air->soilIn($season->places[$i], $day))->toBeNear($plain->bedSoil($rows[$i], $date), 1e-9, "{$seed} {$date}");
            }
        }
        expect($air->shelterOf($season->places[4], $today))->toBeNear(3.5)->and($air->shelterOf($season->places[3], $today))->toBe(0.0);
    }
});

it('says the same days of coming up as the second account, early, likely and late', function () {
    $seen = 0;
    for ($seed = 1; $seed <= 8; $seed++) {
        [, $book, $plain, $today] = weathered($seed, '2026-12-01');
        $rows = Seasons::demo()['places'];
        // Lettuce straight into the bed, cabbage in jugs: each sown some days ago.
        $file = Seasons::demo();
        $bench = array_search('bench', array_column($file['setups'], 'id'), true);
        $file['setups'][$bench]['overrides'] = [...$file['setups'][$bench]['overrides'], 'glasshouse-bib' => 'direct', 'stone-button' => 'jugs'];
        foreach ($file['crops'] as &$crop) {
            $crop['bed_sow_offset_days'] = -30;
            unset($crop['sow']);
        }
        unset($crop);
        $season = Seasons::read($file);
        $setup = array_column($season->setups, null, 'id')['bench'];
        $sown = Day::ofNumber($today - 6)->format();
        $log = Logs::book([[$sown, 'sown', ['crop' => 'glasshouse-bib', 'count' => 30]], [$sown, 'sown', ['crop' => 'stone-button', 'count' => 9]]]);
        $costing = new SeasonCosting($season);
        $books = LivedSeason::books($costing, $setup, $log);
        $now = new WeatherNow($books, $log, $book, $today);
        foreach ($books->plans as $plan) {
            $due = $now->due[$plan->crop->id] ?? null;
            if ($due === null) {
                continue;
            }
            $seen++;
            $table = array_map(fn ($row): array => ['temp_c' => $row->tempC, 'days' => $row->days, 'percent' => $row->percent], $plan->species->germination);
            $bed = $plan->stages[0]->container === null;
            $up = fn (float $warmer): ?int => PlainWeather::daysUp($sown, fn (string $date): float => ($bed ? $plain->bedSoil($rows[3], $date) : $plain->air($rows[3], $date))
                + ($plain->isMeasured($date) ? 0.0 : $warmer), $table, $plan->lot->emergenceFactor);
            [$likely, $early, $late] = [$up(0.0), $up(2.0), $up(-2.0)];
            $on = $likely === null ? null : PlainWeather::plus($sown, $likely);
            expect($due->on)->toBe($on ?? PlainWeather::plus($sown, 120), "{$seed} {$plan->crop->id}")
                ->and($due->from)->toBe(min($due->on, PlainWeather::plus($sown, $early ?? 120)))
                ->and($due->until)->toBe($late === null ? null : max($due->on, PlainWeather::plus($sown, $late)))
                ->and($due->is_late)->toBe(6 * 3 > 4 * ($likely ?? 120));
        }
    }
    expect($seen)->toBe(16);
});

it('finds the same frosts in the same years as the second account', function () {
    for ($seed = 1; $seed <= 5; $seed++) {
        [$season, $book, $plain] = weathered($seed, '2011-01-01');
        foreach ([0.0, -2.5, -6.0] as $cold) {
            $found = FrostYears::last($book, $season->lastFrost, $cold);
            $frosts = Frosts::fromYears($found);
            $said = $plain->lastFrosts($season->lastFrost->format(), $cold);
            expect($frosts->median)->toBe($said['median'] ?? null, "{$seed} {$cold}");
            if ($said !== null) {
                expect(array_column($frosts->years, 'on', 'year'))->toBe($said['years'])->and($frosts->spread_days)->toBeNear($said['spread'], 1e-9);
                foreach ([-15, 0, 9, 30] as $off) {
                    $day = dayOf('2027-07-20') + (int) round($said['mean']) + $off;
                    $z = ($day - 0.5 - dayOf('2027-07-20') - $said['mean']) / $said['spread'];
                    expect($frosts->chance($day))->toBeNear($said['share'] * (1 - PlainWeather::normal($z)), 1e-6);
                }
            }
        }
    }
});

it('calls evenings in as the second account does', function () {
    $called = 0;
    for ($seed = 40; $seed < 46; $seed++) {
        [$season, $book, $plain, $today] = weathered($seed, '2026-12-01');
        $books = (new SeasonCosting($season))->books($season->setups[0]);
        $now = new WeatherNow($books, new LogBook([]), $book, $today);
        foreach ($now->nights as $night) {
            [$colder, $spread] = $plain->trust(min($night->on, Day::ofNumber($today)->format()));
            expect($night->low_c)->toBeNear($night->forecast_c - $colder, 1e-9)->and($night->spread_c)->toBeNear($spread, 1e-9);
            foreach ([...$night->bring_in, ...$night->cover] as $one) {
                $called++;
                expect($one['chance'])->toBeNear($plain->tooCold($night->on, $one['limit_c'], 0.0), 1e-6)->and($one['chance'])->toBeGreaterThan(0.1);
            }
        }
        expect(ForecastTrust::fromWeather($book, $today)->nights)->toBe($plain->trust(Day::ofNumber($today)->format())[2]);
    }
    expect($called)->toBeGreaterThan(50);
});

it('gives the plan\'s own days where nothing is known of the weather', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    foreach ($season->setups as $setup) {
        $plans = $costing->books($setup)->plans;
        $log = Logs::book(array_map(fn ($plan): array => [Day::ofNumber($plan->sowOn())->format(), 'sown', ['crop' => $plan->crop->id, 'count' => $plan->sowing->sites,
            'seeds' => $plan->sowing->seeds]], $plans));
        $books = LivedSeason::books($costing, $setup, $log);
        $now = new WeatherNow($books, $log, new WeatherBook, dayOf('2027-03-01'));
        expect($now->nights)->toBe([])->and($now->coldBeds)->toBe([])->and($now->movedOut())->toBe([])->and($now->due)->toHaveCount(count($plans));
        foreach ($books->plans as $plan) {
            expect($now->due[$plan->crop->id]->on)->toBe(Day::ofNumber($plan->sown->up)->format(), $plan->crop->id)
                ->and($now->due[$plan->crop->id]->planned_on)->toBe($now->due[$plan->crop->id]->on);
        }
        // And the jobs are those without any weather, but for when one begins to look and what is said with it.
        $days = fn (Jobs $jobs): array => array_map(fn (Job $job): array => [$job->id, $job->date], array_values(array_filter($jobs->all(),
            fn (Job $job): bool => $job->group->value !== 'look')));
        expect($days(new Jobs($books, $log, $now)))->toBe($days(new Jobs($books, $log)));
    }
});

it('goes by a probe in the tray and a thermometer in the room, and says how many days rest on them', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $setup = array_column($season->setups, null, 'id')['bench'];
    $plan = $costing->books($setup)->plans[0];
    $sown = $plan->sowOn();
    $log = Logs::book([[Day::ofNumber($sown)->format(), 'sown', ['crop' => $plan->crop->id, 'count' => $plan->sowing->sites]]]);
    $books = LivedSeason::books($costing, $setup, $log);
    $due = fn (array $soil, array $air, int $today) => (new WeatherNow($books, $log, new WeatherBook, $today, $soil, $air))->due[$plan->crop->id];
    $days = fn (float $celsius): array => array_fill($sown, 4, $celsius);
    $mat = $books->firstMat($plan->stages[0]->place->id)->id ?? '';
    $asPlanned = $due([], [], $sown + 4);
    $cold = $due([$mat => $days(14.0)], [], $sown + 4);
    expect($cold->on)->toBeGreaterThan($asPlanned->on)->and($cold->measured)->toBe(4)->and($asPlanned->measured)->toBe(0)
        // Of days to come nobody has measured anything.
        ->and($due([$mat => $days(14.0)], [], $sown - 1)->on)->toBe($asPlanned->on)
        ->and($due([], ['bench' => $days(30.0)], $sown + 4)->soil_c)->toBeGreaterThan($asPlanned->soil_c)
        ->and($due(['other' => $days(14.0)], ['garage' => $days(14.0)], $sown + 4)->on)->toBe($asPlanned->on);
    // What is seen is seen.
    $seen = Logs::book([[Day::ofNumber($sown)->format(), 'sown', ['crop' => $plan->crop->id, 'count' => $plan->sowing->sites]],
        [Day::ofNumber($sown + 4)->format(), 'up', ['crop' => $plan->crop->id, 'count' => 1]]]);
    expect((new WeatherNow(LivedSeason::books($costing, $setup, $seen), $seen, new WeatherBook, $sown + 5))->due)->toBe([]);
});

it('begins to look when it is due, looks on while it is late, and asks then whether to sow again', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $costing = new SeasonCosting($season);
    $setup = array_column($season->setups, null, 'id')['bench'];
    $plan = $costing->books($setup)->plans[0];
    $sown = $plan->sowOn();
    $log = Logs::book([[Day::ofNumber($sown)->format(), 'sown', ['crop' => $plan->crop->id, 'count' => $plan->sowing->sites]]]);
    $books = LivedSeason::books($costing, $setup, $log);
    $mat = $books->firstMat($plan->stages[0]->place->id)->id ?? '';
    $looks = function (array $soil, int $today) use ($books, $log, $plan): array {
        $jobs = (new Jobs($books, $log, new WeatherNow($books, $log, new WeatherBook, $today, $soil)))->all();

        return array_values(array_filter($jobs, fn (Job $job): bool => $job->group->value === 'look' && $job->crop === $plan->crop->id && $job->count !== null));
    };
    $planned = $looks([], $sown);
    $cold = $looks([$mat => array_fill($sown, 4, 12.0)], $sown + 4);
    expect($cold[0]->date)->toBeGreaterThan($planned[0]->date)->and($planned[0]->detail)->toContain('due Apr')->and($cold[0]->asks_again)->toBeFalse();
    $late = $looks([], $sown + 20);
    $last = array_values(array_filter($late, fn (Job $job): bool => $job->date === Day::ofNumber($sown + 20)->format()))[0];
    expect($last->asks_again)->toBeTrue()->and($last->detail)->toContain('sow again');
});

it('takes what is lowest and highest for a day only where they can be', function (float $low, float $high, string $why) {
    expect(fn () => DayWeather::checked($low, $high))->toThrow(InvalidArgumentException::class, $why);
})->with([[-91, 0, 'that cold'], [0, 61, 'that hot'], [10, 9.9, 'other way round'], [-20, 41, 'swings'], [NAN, 3, 'that cold'], [-INF, INF, 'that cold']]);

it('learns how far the forecast is off in this garden, and forgets what it could not have known', function () {
    $measured = evenly('2027-04-02', '2027-05-31', 2.0, 15.0);
    $forecasts = [];
    foreach (range(dayOf('2027-04-01'), dayOf('2027-05-30')) as $made) {
        $forecasts[$made] = [$made + 1 => new DayWeather(5.0, 15.0)];
    }
    $book = new WeatherBook($measured, $forecasts);
    $after = ForecastTrust::fromWeather($book, dayOf('2027-05-31'));
    // Sixty nights of three degrees: 180 / 70, and what that leaves unexplained.
    expect($after->nights)->toBe(60)->and($after->colder_c)->toBeNear(180 / 70)
        ->and($after->spread_c)->toBeNear(sqrt((40 + 60 * (3 - 180 / 70) ** 2) / 70))
        ->and(ForecastTrust::fromWeather($book, dayOf('2027-04-01'))->nights)->toBe(0)
        ->and(ForecastTrust::fromWeather($book, dayOf('2027-04-02'))->nights)->toBe(1)
        ->and(ForecastTrust::fresh()->spread_c)->toBe(2.0);
});

it('brings in what is not hardened off, covers what is planted, and says of what it is and why', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $setup = $season->setups[0];
    $books = $costing->books($setup);
    $tonight = function (string $on, float $low, array $entries = []) use ($costing, $setup): array {
        $log = Logs::book($entries);
        $books = LivedSeason::books($costing, $setup, $log);
        $now = new WeatherNow($books, $log, new WeatherBook([], [dayOf($on) => [dayOf($on) + 1 => new DayWeather($low, $low + 15)]]), dayOf($on));
        $jobs = array_values(array_filter((new Jobs($books, $log, $now))->all(), fn (Job $job): bool => $job->kind->value === 'bring_in'));

        return [$now->tonight(), $jobs[0] ?? null];
    };
    // By the plan alone: tomatoes harden off from May 26, zinnias are nearly done, lettuce is in the bed.
    [$night, $job] = $tonight('2027-05-28', 1.0);
    expect(array_column($night->bring_in, 'crop'))->toBe(['copper-kettle', 'sunday-sauce', 'paint-box'])->and(array_column($night->cover, 'crop'))->toBe([])
        ->and($job->words)->toStartWith('34 °F by dawn: bring in ')->and($job->detail)->toContain('stays out down to')
        // Twenty degrees Fahrenheit more, and nothing is to do.
        ->and($tonight('2027-05-28', 12.5)[1])->toBeNull();
    // Half hardened off, a tomato stands halfway between 8 and 4 °C.
    $limits = array_column($tonight('2027-05-31', 1.0)[0]->bring_in, 'limit_c', 'crop');
    $stage = array_slice(array_column($books->plans, null, null)[0]->stages, -1)[0];
    expect($limits['copper-kettle'])->toBeNear(8.0 - 4.0 * (dayOf('2027-05-31') - $stage->start) / $stage->days());
    // By the log: only what is really there, where it really stands.
    $sown = ['2027-04-11', 'sown', ['crop' => 'copper-kettle', 'count' => 9]];
    expect($tonight('2027-05-28', 1.0, [['2027-05-01', 'note', ['note' => 'x']]])[0])->toBeNull();
    [$night] = $tonight('2027-05-28', -4.0, [$sown, ['2027-04-20', 'up', ['crop' => 'copper-kettle', 'count' => 8]],
        ['2027-05-27', 'planted', ['crop' => 'copper-kettle', 'count' => 5]]]);
    expect(array_column($night->bring_in, 'count'))->toBe([3])->and(array_column($night->cover, 'count'))->toBe([5])->and($night->cover_may_fail)->toBeTrue()
        ->and($night->minutes)->toBeNear(2 + 0.6 + 1 + 0.5);
    // Lost or given away, there is nothing to bring in.
    expect($tonight('2027-05-28', -4.0, [$sown, ['2027-04-20', 'up', ['crop' => 'copper-kettle', 'count' => 8]],
        ['2027-05-20', 'lost', ['crop' => 'copper-kettle', 'count' => 8, 'cause' => 'frozen']]])[0])->toBeNull();
});

it('leaves out in a warmer place what would have to come in from the open', function () {
    $file = Seasons::demo();
    $file['places'][] = ['id' => 'tunnel', 'name' => 'Tunnel', 'outdoors' => true, 'temp_c' => array_map(fn ($t) => $t + 3.5, $file['places'][3]['temp_c'])];
    $file['setups'][0]['overrides'] = [...$file['setups'][0]['overrides'], 'glasshouse-bib' => 'jugs'];
    $jugs = array_search('jugs', array_column($file['methods'], 'id'), true);
    $called = function (string $place) use ($file, $jugs): array {
        $file['methods'][$jugs]['stages'][0]['place'] = $file['methods'][$jugs]['stages'][1]['place'] = $place;
        $season = Seasons::read($file);
        $books = (new SeasonCosting($season))->books($season->setups[0]);
        $plan = $books->plans[$books->grown['glasshouse-bib']];
        $on = $plan->sown->up + 1;
        // Lettuce that came up outdoors stands −3 °C.
        $night = (new WeatherNow($books, new LogBook([]), new WeatherBook([], [$on => [$on + 1 => new DayWeather(-3.0, 12.0)]]), $on))->tonight();

        return array_column($night->bring_in ?? [], 'chance', 'crop');
    };
    expect($called('yard')['glasshouse-bib'])->toBeNear(0.5)->and($called('tunnel'))->not->toHaveKey('glasshouse-bib');
});

it('counts how its calls came out, by what was known in the evening', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $from = dayOf('2027-05-28');
    // Called and cold, called and mild, not called and cold, and one whose dawn nobody has measured.
    $said = [1.0, 1.0, 14.0, 1.0];
    $came = [1.0, 12.0, 1.0, null];
    $measured = $forecasts = [];
    foreach ($said as $i => $low) {
        $forecasts[$from + $i] = [$from + $i + 1 => new DayWeather($low, 20.0)];
        $came[$i] === null ?: $measured[$from + $i + 1] = new DayWeather($came[$i], 20.0);
    }
    $now = new WeatherNow($books, new LogBook([]), new WeatherBook($measured, $forecasts), $from + 4);
    expect($now->record())->toBe(['nights' => 3, 'called' => 2, 'right' => 1, 'missed' => 1]);
    // Seen from the second evening, the dawns after it are not known yet.
    $then = new WeatherNow($books, new LogBook([]), new WeatherBook($measured, $forecasts), $from + 1);
    expect($then->record()['nights'])->toBe(1)->and($then->tonight()?->on)->toBe('2027-05-29');
});

it('hardens off by days that are mild enough, and moves planting out by those that are not', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $plan = $books->plans[$books->grown['copper-kettle']];
    $start = $plan->stages[count($plan->stages) - 1]->start;
    $out = $plan->plantOutOn();
    $with = fn (array $highs): WeatherNow => new WeatherNow($books, new LogBook([]), new WeatherBook([], [$start => array_combine(range($start, $start + count($highs) - 1),
        array_map(fn (float $high): DayWeather => new DayWeather(2.0, $high), $highs))]), $start);
    $mild = $with([20, 20, 20, 20, 20, 20, 20])->hardening['copper-kettle'];
    expect($mild->moved)->toBe(0)->and(array_column($mild->days, 'hours')[0])->toBe(1.0)->and($mild->days[count($mild->days) - 1]->hours)->toBe(10.0)
        ->and(array_column($mild->days, 'shade'))->toBe([true, true, true, ...array_fill(0, count($mild->days) - 3, false)]);
    // A tomato that is not hardened stands 8 °C: it wants a day of 11.
    $cold = $with([20, 10.9, 11.0, 5, 20, 20, 20]);
    expect($cold->hardening['copper-kettle']->moved)->toBe(2)->and(array_slice(array_column($cold->hardening['copper-kettle']->days, 'hours'), 0, 4))
        ->toBe([1.0, null, $mild->days[1]->hours, null])->and($cold->movedOut()['copper-kettle'])->toBe(2);
    $jobs = array_column((new Jobs($books, new LogBook([]), $cold))->all(), null, 'id');
    expect($jobs['copper-kettle-plant_out']->date)->toBe(Day::ofNumber($out + 2)->format())
        ->and($jobs['copper-kettle-plant_out']->detail)->toContain('later by 2 days')
        ->and($jobs['harden-'.Day::ofNumber($start + 1)->format()]->words)->toContain('too cold to go out: ')
        ->and($jobs['harden-'.Day::ofNumber($start)->format()]->words)->toContain('out for 1 hour: ');
    // However cold, it is not put off for ever.
    expect($with(array_fill(0, 8, 0.0))->hardening['copper-kettle']->moved)->toBe(8);
});

it('says where the bed is too cold to plant out into', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $plan = $books->plans[$books->grown['copper-kettle']];
    $today = $plan->plantOutOn() - 2;
    $at = fn (float $mean) => (new WeatherNow($books, new LogBook([]), new WeatherBook(evenly('2027-05-01', Day::ofNumber($today)->format(), $mean - 5, $mean + 5),
        [$today => array_combine(range($today, $today + 7), array_fill(0, 8, new DayWeather($mean - 5, $mean + 5)))]), $today));
    expect($at(10.0)->coldBeds['copper-kettle']['want'])->toBe(15.0)->and($at(10.0)->coldBeds['copper-kettle']['have'])->toBeNear(10.0, 0.3)
        ->and($at(14.6)->coldBeds)->not->toHaveKey('copper-kettle');
    $jobs = array_column((new Jobs($books, new LogBook([]), $at(10.0)))->all(), null, 'id');
    expect($jobs['copper-kettle-plant_out']->detail)->toContain('the bed has about 50 °F and it wants 59 °F');
});

it('offers the frosts of past years with what they would move, and nothing where they say what is known', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $measured = [];
    foreach (range(2015, 2026) as $i => $year) {
        $measured += evenly("{$year}-01-01", "{$year}-12-31", 5.0, 20.0);
        $measured[dayOf("{$year}-05-1".($i % 10))] = new DayWeather(-1.0, 10.0);
        $measured[dayOf("{$year}-10-0".(1 + $i % 9))] = new DayWeather(-0.5, 10.0);
    }
    ksort($measured);
    $book = new WeatherBook($measured);
    [$last, $first] = [Frosts::fromYears(FrostYears::last($book, $season->lastFrost)), Frosts::fromYears(FrostYears::first($book, $season->lastFrost))];
    $offer = FrostOffer::forSetup($costing, $season->setups[0], $last, $first);
    expect($offer->last_frost)->toBe($last->median)->and($offer->days)->toBe(dayOf($last->median) - $season->lastFrost->number)->and($offer->years)->toBe(12)
        ->and($offer->crops)->toBeGreaterThan(5)->and($offer->first_frost)->toBe($first->median)->and($offer->per_finished_now)->not->toBeNull();
    // Taken over, there is nothing left to offer.
    $taken = $season->with(lastFrost: Day::parse($offer->last_frost), lastFrostSpreadDays: $offer->last_frost_spread_days,
        firstFrost: Day::parse((string) $offer->first_frost));
    expect(FrostOffer::forSetup(new SeasonCosting($taken), $season->setups[0], $last, $first))->toBeNull()
        ->and(FrostOffer::forSetup($costing, $season->setups[0], Frosts::fromYears(FrostYears::last(new WeatherBook, $season->lastFrost)), $first))->toBeNull();
});

it('weighs each day of planting out: waiting as the season costs it, and the risk of a night that kills', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $setup = $season->setups[0];
    $out = GoingOut::weigh($costing, $setup, new WeatherBook, ['copper-kettle'], false, 2.0);
    $days = array_column($out->days, null, 'shift');
    $chance = FrostChance::fromWeather(new WeatherBook, $season, 0.0);
    // Seven days later, with the same day of sowing, costed whole.
    $crop = array_column($season->crops, null, 'id')['copper-kettle'];
    $plan = $costing->books($setup)->plans[0];
    $later = $season->withCrop($crop->with(sowOn: Day::ofNumber($plan->sowOn()), plantOutOffsetDays: $crop->plantOutOffsetDays + 7));
    $cost = fn (Season $season): float => (new SeasonCosting($season))->setup($season->setups[0])->fill_cost;
    expect($days[7]->waiting)->toBeNear($cost($later) - $cost($season), 1e-6)->and($days[3]->waiting)->toBeNear($days[7]->waiting * 3 / 7, 1e-9)
        ->and($days[0]->waiting)->toBe(0.0)->and(array_keys($days))->toBe(range(-21, 28))
        ->and($days[7]->frost)->toBeNear($out->buy_anew * $chance->from($plan->plantOutOn() + 7), 1e-9)->and($days[7]->on)->toBe(Day::ofNumber($plan->plantOutOn() + 7)->format());
    foreach ($out->days as $day) {
        expect($day->waiting + $day->frost)->toBeGreaterThanOrEqual($out->best->waiting + $out->best->frost - 1e-9)
            ->and($day->waiting + $day->covered)->toBeGreaterThanOrEqual($out->best_covered->waiting + $out->best_covered->covered - 1e-9)
            ->and($day->covered - 2.0)->toBeLessThanOrEqual($day->frost + 1e-9);
    }
    // At the end of June only the cover's price is left.
    expect($days[28]->covered)->toBeNear(2.0, 0.001)->and($out->cover_worth)->toBeNear($out->best->waiting + $out->best->frost - $out->best_covered->waiting - $out->best_covered->covered + 2.0, 1e-9)
        ->and($out->edits)->toBe([['path' => ['crops', 'copper-kettle', 'plant_out_offset_days'], 'to' => $crop->plantOutOffsetDays + $out->best->shift]]);
    // What is sown does not grow faster; all that frost kills goes out together; and there must be something to weigh.
    expect(array_column(GoingOut::weigh($costing, $setup, new WeatherBook, ['copper-kettle'], true)->days, 'shift'))->toBe(range(0, 28))
        ->and(GoingOut::weigh($costing, $setup, new WeatherBook, [], false)->crops)->toContain('copper-kettle', 'paint-box')->not->toContain('stone-button');
    expect(fn () => GoingOut::weigh($costing, $setup, new WeatherBook, ['autumn-bib'], false))->toThrow(InvalidArgumentException::class, 'no day to choose');
    // Where nobody knows the risk, the earliest day is not simply the best.
    $unknown = new SeasonCosting($season->with(lastFrostSpreadDays: 0.0));
    expect(fn () => GoingOut::weigh($unknown, $setup, new WeatherBook, ['copper-kettle'], false))
        ->toThrow(InvalidArgumentException::class, 'Nobody knows yet');
});

it('knows of every species how cold it may stand, sooner and later, with where that is from', function () {
    foreach ((new Catalogue)->species() as $species) {
        $cold = Hardiness::forSpecies($species, $species->tender);
        expect($cold->hardenedC)->toBeLessThan($cold->standsC, $species->id)->and($cold->source)->toContain('common practice')
            ->and($cold->limit(0.0))->toBe($cold->standsC)->and($cold->limit(1.0))->toBe($cold->hardenedC)->and($cold->limit(2.0))->toBe($cold->hardenedC)
            ->and($cold->soilC)->toBeGreaterThanOrEqual(4.0);
        // What frost kills wants a warmer bed than what it does not.
        $species->tender ? expect($cold->soilC)->toBeGreaterThanOrEqual(10.0) : expect($cold->hardenedC)->toBeLessThanOrEqual(0.0, $species->id);
    }
    expect(Hardiness::forSpecies(null, true)->standsC)->toBe(8.0)->and(Hardiness::forSpecies(null, false)->standsC)->toBe(0.0);
});

it('looks at a season from today, and at one that is far away from the last day of its log', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $log = Logs::book([['2027-04-20', 'note', ['note' => 'x']], ['2027-05-02', 'note', ['note' => 'y']]]);
    $seen = fn (string $today, LogBook $log): string => SeenFrom::day($books, $log, Day::parse($today))->format();
    expect($seen('2027-05-10', $log))->toBe('2027-05-10')->and($seen('2026-06-01', $log))->toBe('2027-05-02')->and($seen('2029-06-01', $log))->toBe('2027-05-02')
        ->and($seen('2026-06-01', new LogBook([])))->toBe('2027-02-18');
});

it('believes next year what was measured, month by month, beside what was planned', function () {
    $file = Seasons::demo();
    $file['places'][] = ['id' => 'tunnel', 'name' => 'Tunnel', 'outdoors' => true, 'temp_c' => array_map(fn ($t) => $t + 3.5, $file['places'][3]['temp_c'])];
    $season = Seasons::read($file);
    $yard = $season->places[3];
    $measured = [];
    // Every May day of nine years was 3 °C warmer than planned; nothing else was measured.
    foreach (range(2018, 2026) as $year) {
        foreach (range(dayOf("{$year}-05-01"), dayOf("{$year}-05-31")) as $day) {
            $measured[$day] = new DayWeather($yard->airOn($day) - 4.0, $yard->airOn($day) + 10.0);
        }
    }
    [$belief] = OpenAirBelief::months($season, new WeatherBook($measured));
    $moved = round(3.0 * 279 / (279 + 90), 1);
    expect($belief->of)->toBe(279)->and($belief->edits[0]['path'])->toBe(['places', 'yard', 'temp_c'])
        ->and($belief->edits[0]['to'])->toEqual([...array_slice($yard->tempC, 0, 4), $yard->tempC[4] + $moved, ...array_slice($yard->tempC, 5)])
        ->and($belief->edits[1]['to'][4])->toBeNear($season->places[4]->tempC[4] + $moved)->and($belief->believed - $belief->planned)->toBeNear($moved / 12, 1e-9);
    // As planned, or too few days: nothing to believe anew.
    expect(OpenAirBelief::months($season, new WeatherBook(array_slice($measured, 0, 59, true))))->toBe([])->and(OpenAirBelief::months($season, new WeatherBook))->toBe([]);
});

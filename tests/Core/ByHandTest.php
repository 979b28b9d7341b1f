<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\MadeToFit;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Seasons;

// The rules worked through once by hand for the one-crop season, each intermediate number written down. Its packet is as good as
// known (a million tested), and neither luck nor mishaps are reckoned with; those are worked out further below.

it('germinates as worked by hand', function () {
    $crop = Seasons::result(Seasons::small())->crops[0];
    // Soil: 20 °C room + 6 °C mat = 26, but the thermostat stops at 25.
    // Halfway between the rows 20 °C (8 days, 98 %) and 30 °C (6 days, 84 %):
    // rate (1/8 + 1/6) / 2 = 7/48 a day, so 48/7 = 6.857 days; percent 91 of the best 98.
    // Seed of this year: 0.9 alive, and nine of ten tested came up. g = 0.9 · 91/98 = 0.835714.
    expect($crop->g)
        ->toBeNear((0.9 * 91) / 98)
        ->and($crop->q)
        ->toBeNear(0.8357142857);
    // ceil(6.857) + 1 extra day = 8 days.
    expect($crop->stages[0]->start)->toBe('2027-04-22')->and($crop->stages[0]->end)->toBe('2027-04-30');
});

it('sizes the sowing as worked by hand', function () {
    $crop = Seasons::result(Seasons::small())->crops[0];
    // A seed finishes with p = 0.835714 · 0.95 · 0.96 · 0.97 = 0.739306, r = 1 - p = 0.260694.
    [$p, $r] = [0.7393063, 0.2606937];
    // P(3 or more of 4) = 4 p³ r + p⁴ = 0.420 + 0.299 = 0.720; of 5 = 10 p³ r² + 5 p⁴ r + p⁵ = 0.8849, still below 0.9;
    expect(10 * $p ** 3 * $r ** 2 + 5 * $p ** 4 * $r + $p ** 5)->toBeNear(0.8849, 2e-4);
    // of 6 = 20 p³ r³ + 15 p⁴ r² + 6 p⁵ r + p⁶ = 0.9565: six it is.
    expect($crop->sites)
        ->toBe(6)
        ->and($crop->seeds)
        ->toBe(6)
        ->and($crop->p_enough)
        ->toBeNear(20 * $p ** 3 * $r ** 3 + 15 * $p ** 4 * $r ** 2 + 6 * $p ** 5 * $r + $p ** 6, 1e-6)
        ->and($crop->p_enough)
        ->toBeNear(0.9565, 1e-4);
    // On average 6 p = 4.4358 finish. Short by 3, 2 or 1: 3 r⁶ + 2 · 6 p r⁵ + 15 p² r⁴.
    expect($crop->finished)
        ->toBeNear(4.4358, 1e-4)
        ->and($crop->shortfall)
        ->toBeNear(3 * $r ** 6 + 12 * $p * $r ** 5 + 15 * $p ** 2 * $r ** 4, 1e-6)
        ->and($crop->useful)
        ->toBeNear(3 - $crop->shortfall)
        ->and($crop->surplus)
        ->toBeNear(4.4358 - $crop->useful, 1e-4);
});

it('lays the stages back from the frost as worked by hand', function () {
    $stages = Seasons::result(Seasons::small())->crops[0]->stages;
    // Last frost 20 May + 7 days = 27 May; back 7, 20 and 8 days.
    expect(array_map(fn ($s) => [$s->start, $s->end], $stages))->toBe([
        ['2027-04-22', '2027-04-30'],
        ['2027-04-30', '2027-05-20'],
        ['2027-05-20', '2027-05-27'],
    ]);
    // Six cells of six to a unit on 0.1 flat.
    expect($stages[0]->flats)->toBeNear(0.1);
});

it('costs every head as worked by hand', function () {
    $result = Seasons::result(Seasons::small());
    $heads = $result->heads;
    expect($heads['seed'])
        ->toBeNear(3 / 4) // six of thirty seeds are 0.60, but what is left is dead after four years
        ->and($heads['mix'])
        ->toBeNear((6 * 0.05 * 1.1 * 8) / 20) // 0.33 L at 0.40 = 0.132
        ->and($heads['feed'])
        ->toBeNear(((0.1 * 1 * 0.7 * 20) / 7) * 0.005 * 10) // 0.2 L of feed, 0.001 L of product = 0.01
        ->and($heads['extras'])
        ->toBeNear(0.05) // one label of a hundred for 5
        ->and($heads['containers'])
        ->toBeNear(2 / 4) // one unit over four seasons
        ->and($heads['light_power'])
        ->toBeNear(28 * 0.6 * 0.2) // 28 days of 0.6 kWh = 3.36
        ->and($heads['heat_power'])
        ->toBeNear(((8 * 0.02 * 24 * (25 - 20)) / 6) * 0.2) // 8 days, on 5/6 of the time = 0.64
        ->and($heads['lights'])
        ->toBeNear(30 / 6)
        ->and($heads['mats'])
        ->toBeNear(24 / 4);
    expect($result->cost)
        ->toBeNear(0.75 + 0.132 + 0.01 + 0.05 + 0.5 + 3.36 + 0.64 + 5 + 6)
        ->and($result->per_finished)
        ->toBeNear(16.442 / $result->useful)
        ->and($result->kwh['light'] + $result->kwh['heat'])
        ->toBeNear(20.0)
        ->and($result->cash_now)
        ->toBeNear(3 + 8 + 10 + 5 + 2 + 30 + 24)
        ->and($result->lights[0]['dli'])
        ->toBeNear(((0.75 * 80) / (2 * 0.129032)) * 15 * 0.0036);
    // Hours: 6 sites at half a minute, 0.1 flat for 28 days at 1 and 7 days at 2 minutes = 7.2 minutes.
    expect($result->hours)->toBeNear(7.2 / 60);
});

it('compares with buying as worked by hand', function () {
    $result = Seasons::result(Seasons::small());
    expect($result->crops[0]->buy_cost)
        ->toBeNear(5.0)
        ->and($result->buy_total)
        ->toBeNear(8.0)
        ->and($result->nursery_per_plant)
        ->toBeNear(8 / 3)
        ->and($result->fill_cost)
        // However many are missing, a six-pack at 5 it is; and then the trip at 3.
        ->toBeNear(16.442 + (1 - $result->crops[0]->p_enough) * (5 + 3))
        ->and($result->keep)
        ->toBeNear(8 - 16.442 - (1 - $result->crops[0]->p_enough) * (5 + 3))
        ->and($result->same_per_plant)
        ->toBeNear((8 - $result->keep) / 3)
        ->and($result->crops[0]->verdict)
        ->toBe('buy');
});

/** @return array<string, mixed> two stations in a bed, one seed to each, of a tested packet; the crop so many times over */
function bed(int $crops, string $second = '2027-05-01'): array
{
    $crop = fn (int $i, string $on): array => ['id' => "c{$i}", 'lot' => 'lot', 'wanted' => 2, 'plant_out_offset_days' => 0,
        'sow_on' => $on, 'sow' => ['method' => 'bed', 'sites' => 2], 'split' => ['keep' => 0, 'give' => 1, 'sell' => 1],
        'sale_price' => 2.0, 'nursery' => ['one']];

    return [
        'format' => 'jolly-penny/season', 'version' => 1, 'name' => 'Bed', 'currency' => 'USD', 'year' => 2027,
        'last_frost' => '2027-05-20', 'luck' => 0.1, 'mishap' => 0.03, 'nursery_trip_cost' => 1, 'electricity' => ['rate' => 0.2],
        'places' => [['id' => 'yard', 'name' => 'Yard', 'temp_c' => null, 'outdoors' => true]],
        'species' => [['id' => 'pea', 'name' => 'Pea', 'fresh_germination' => 0.8]],
        'seed_lots' => [['id' => 'lot', 'species' => 'pea', 'variety' => 'Tin Whistle', 'packet_price' => 6, 'seeds_per_packet' => 30,
            'packed_for' => 2027, 'test' => ['sown' => 15, 'sprouted' => 12]]],
        'methods' => [['id' => 'bed', 'name' => 'In the bed', 'pattern' => 'per_site', 'seeds_per_site' => 1, 'stages' => [
            ['name' => 'Grow', 'place' => 'yard', 'days' => 3, 'survival' => 0.9]]]],
        'nursery' => [['id' => 'one', 'name' => 'One', 'plants' => 1, 'price' => 4]],
        'crops' => [$crop(0, '2027-05-01'), ...($crops > 1 ? [$crop(1, $second)] : [])],
        'setups' => [['id' => 'bed', 'name' => 'Bed', 'method' => 'bed']],
    ];
}

it('lets losses come together as worked by hand', function () {
    $result = Seasons::result(bed(1));
    $crop = $result->crops[0];
    // v = (20 · 0.8 + 12)/35 = 0.8, known like 35 seeds: d = sqrt(0.16/36) = 0.0667, so 0.6667 in one packet of five, else 0.8333.
    // A season: S = 0.9, d = sqrt(0.1 · 0.09) = 0.0949, so 0.7103 or 0.9474. One station lives with 0.4735 (bad, bad; weight 0.04),
    // 0.5919 (0.16), 0.6316 (0.16) or 0.7895 (0.64).
    $none = 0.04 * 0.277193 + 0.16 * 0.166557 + 0.16 * 0.135702 + 0.64 * 0.044298;
    $both = 0.04 * 0.224211 + 0.16 * 0.350329 + 0.16 * 0.398947 + 0.64 * 0.623355;
    // Three batches of a hundred are lost whole.
    expect($crop->p_enough)
        ->toBeNear(0.97 * $both, 1e-6)
        ->toBeNear(0.511966, 1e-6)
        ->and($crop->shortfall)
        ->toBeNear(2 * (0.97 * $none + 0.03) + 0.97 * (1 - $none - $both), 1e-6)
        ->and($crop->useful)
        ->toBeNear(1.3968, 1e-6)
        ->and([$crop->useful_low, $crop->useful_high])
        ->toBe([0, 2]);
    // Two of thirty seeds would be 0.40; the packet is dead in three years: 2.00.
    expect($result->cost)
        ->toBeNear(2.0)
        ->and($crop->per_finished)
        ->toBeNear(2 / 1.3968, 1e-6)
        ->and($crop->per_finished_low)
        ->toBeNear(1.0)
        ->and($crop->per_finished_high)
        ->toBeNull();
    // One missing costs 4, two 8: 4 · 0.372868 + 8 · 0.115166; the trip where any is missing; one sold at 2 where both live.
    expect($crop->shortfall_cost)
        ->toBeNear(2.4128, 1e-6)
        ->and($result->fill_cost)
        ->toBeNear(4.900834, 1e-6)
        ->and($result->keep)
        // The trip after a plant that fails is paid too: 9 − 2 − 2.4128 − 0.488034.
        ->toBeNear(4.099166, 1e-6)
        ->and($result->same_per_plant)
        ->toBeNear((9 - 4.099166) / 2, 1e-6)
        ->and($result->p_keep)
        ->toBeNear(0.884834, 1e-6)
        ->and($result->income)
        ->toBeNear(1.023932, 1e-6);
});

it('counts what is sown in one week in one place as one batch', function () {
    // 1 May 2027 is a Saturday; Monday the third begins another week.
    expect(Seasons::result(bed(2))->p_all_enough)
        ->toBeNear(0.280179, 1e-5)
        ->and(Seasons::result(bed(2, '2027-05-02'))->p_all_enough)
        ->toBeNear(0.280179, 1e-5)
        ->and(Seasons::result(bed(2, '2027-05-03'))->p_all_enough)
        ->toBeNear(0.271773, 1e-5);
});

it('brings seed up day by day in a place that warms', function () {
    // Means of 5 °C in April and 15 in May, the 15th of each; 1 May is 16/30 of the way, 10.33 °C. The table runs from no growth at
    // 8 °C to 10 days at 18: a day at t °C does (t - 8)/100 of it.
    $file = bed(1);
    $file['places'][0]['temp_c'] = [...array_fill(0, 4, 5), ...array_fill(0, 8, 15)];
    $file['species'][0]['germination'] = [['temp_c' => 8, 'days' => null, 'percent' => 0], ['temp_c' => 18, 'days' => 10, 'percent' => 90]];
    $sum = $weighted = 0.0;
    for ($n = 0; $sum < 1; $n++) {
        $celsius = min(15.0, 5 + (10 * (16 + $n)) / 30);
        $sum += ($celsius - 8) / 100;
        $weighted += (($celsius - 8) / 100) * 9 * ($celsius - 8);
    }
    $crop = Seasons::result($file)->crops[0];
    expect($crop->stages[0]->end)
        ->toBe(date('Y-m-d', (int) strtotime("2027-05-01 +{$n} days")))
        ->and($crop->g)
        ->toBeNear((0.8 * $weighted) / $sum / 90);
});

it('sows a tender crop neither too early in the open nor silently before the frost', function () {
    $file = bed(1);
    $file['species'][0]['tender'] = true;
    $file['first_frost'] = '2027-09-20';
    // Sown on 1 May and up on the fourth: the last frost is on the twentieth.
    $crop = Seasons::result($file)->crops[0];
    expect([$crop->grown, $crop->warnings, $crop->verdict])->toBe([false, ['frost'], 'buy_only']);
    // Up on the day of the last frost itself it lives; planted out on the day of the first frost it is warned of.
    $file['crops'][0]['sow_on'] = '2027-05-17';
    expect(Seasons::result($file)->crops[0]->warnings)->toBe([]);
    $file['crops'][0]['sow_on'] = '2027-09-17';
    expect(Seasons::result($file)->crops[0]->warnings)->toBe(['frost']);
    $file['crops'][0]['anchor'] = 'first_frost';
    $file['crops'][0]['sow_on'] = '2027-05-01';
    expect(Seasons::result($file)->crops[0]->warnings)->toBe([]);
});

it('rests a stage for what growth needs', function () {
    $file = Seasons::small();
    $file['species'][0]['weeks'] = 6.5;
    $file['methods'][0]['stages'][1]['days'] = 'rest';
    // Seed in the best warmth is up in 6 days, one more under cover, 7 to harden: of the 46 days of growth 32 are left. In this room it takes 7 + 1.
    $stages = fn (array $file): array => array_map(fn ($s) => [$s->start, $s->end], Seasons::result($file)->crops[0]->stages);
    expect($stages($file))->toBe([['2027-04-10', '2027-04-18'], ['2027-04-18', '2027-05-20'], ['2027-05-20', '2027-05-27']]);
    // Sown late from a day of one's own it still takes what growth needs, and goes out ten days after the target.
    $late = Seasons::result(['crops' => [['sow_on' => '2027-04-20'] + $file['crops'][0]]] + $file)->crops[0];
    expect([$late->stages[1]->end, $late->plant_out_on, $late->late_days])->toBe(['2027-05-30', '2027-06-06', 10])
        ->and($late->warnings)->toContain('late');
    // A grower who sets them out young: ceil(45.5 · 0.6) = 28 days of growth, 14 of rest.
    $young = $file;
    $young['methods'][0]['weeks_share'] = 0.6;
    expect($stages($young)[1])->toBe(['2027-05-06', '2027-05-20']);
    // Two weeks are too few: a day of rest it is, and all of it earlier.
    $file['species'][0]['weeks'] = 2;
    expect($stages($file))->toBe([['2027-05-11', '2027-05-19'], ['2027-05-19', '2027-05-20'], ['2027-05-20', '2027-05-27']]);
    // From a day of one's own it lasts until the target, and at least a day.
    $file['crops'][0]['sow_on'] = '2027-05-01';
    expect($stages($file)[1])->toBe(['2027-05-09', '2027-05-20']);
    $file['crops'][0]['sow_on'] = '2027-05-25';
    expect($stages($file)[1])
        ->toBe(['2027-06-02', '2027-06-03'])
        ->and(Seasons::result($file)->crops[0]->warnings)
        ->toContain('late');
});

it('makes a crowded set-up fit with more of its own lamps', function () {
    $file = Seasons::small();
    // Six cells of 0.1 flat each way: make them 5.2 flats under a lamp for two and a mat for one.
    $file['containers'][0]['flats_per_unit'] = 5.2;
    $file['places'][0]['flats'] = null;
    $file['lights'][0]['owned'] = true;
    $file['lights'][] = ['id' => 'lamp+2'] + $file['lights'][0];
    $season = Seasons::read($file);
    $fitted = (new MadeToFit(new SeasonCosting($season), $season->setups[0]))->season();
    $setup = $fitted->setups[1];
    expect([$setup->id, $setup->name, $setup->lights])
        ->toBe(['bench-fit', 'Bench, made to fit', ['lamp', 'lamp+1', 'lamp+3']])
        ->and($setup->mats)
        ->toBe(['mat', 'mat+1', 'mat+2', 'mat+3', 'mat+4', 'mat+5'])
        ->and(array_column($fitted->lights, 'owned'))
        ->toBe([true, true, false, false])
        ->and((new SeasonCosting($fitted))->setup($setup)->crowded_days)
        ->toBe(0)
        ->and((new MadeToFit(new SeasonCosting($fitted), $fitted->setups[0]))->season())
        ->toBeNull();
    [$code, $out] = jolly('fit - --setup bench', Seasons::json($file));
    expect($code)->toBe(0)->and(json_decode($out, true)['setups'][1]['lights'])->toBe($setup->lights);
    expect(jolly('fit - --setup bench', $out)[0])->toBe(2);
});

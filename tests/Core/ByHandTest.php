<?php

declare(strict_types=1);

use Tests\Seasons;

// The rules worked through once by hand for the one-crop season, each intermediate number written down.

it('germinates as worked by hand', function () {
    $crop = Seasons::result(Seasons::small())->crops[0];
    // Soil: 20 °C room + 6 °C mat = 26, but the thermostat stops at 25.
    // Halfway between the rows 20 °C (8 days, 98 %) and 30 °C (6 days, 84 %):
    // rate (1/8 + 1/6) / 2 = 7/48 a day, so 48/7 = 6.857 days; percent 91 of the best 98.
    // Seed of this year: 0.9 alive. g = 0.9 · 91/98 = 0.835714.
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
        ->toBeNear((6 * 3) / 30) // 0.60
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
        ->toBeNear(0.6 + 0.132 + 0.01 + 0.05 + 0.5 + 3.36 + 0.64 + 5 + 6)
        ->and($result->per_finished)
        ->toBeNear(16.292 / $result->useful)
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
        ->toBeNear(16.292 + ($result->crops[0]->shortfall * 5) / 3)
        ->and($result->keep)
        ->toBeNear(8 - $result->fill_cost)
        ->and($result->crops[0]->verdict)
        ->toBe('buy');
});

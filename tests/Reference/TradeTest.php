<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Energy\DailyLightIntegral;
use JollyPenny\Core\Plan\Germination\TemperatureResponse;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Units\Measure;
use Tests\Seasons;

// Facts of the trade: common practice, no source.

it('brings seed up when gardeners see it come up', function (string $id, float $fahrenheit, float $from, float $to) {
    $species = species($id);
    $celsius = Measure::Fahrenheit->toCore($fahrenheit);
    $days = $species->germination === [] ? $species->daysToEmerge : 1 / TemperatureResponse::at($species->germination, $celsius)->rate;
    expect($days)->toBeGreaterThanOrEqual($from)->toBeLessThanOrEqual($to);
})->with([
    'tomato at 71 °F' => ['tomato', 71, 6, 10],
    'lettuce at 70 °F' => ['lettuce', 70, 2, 3],
    'radish' => ['radish', 77, 2, 4],
    'sweet pepper without heat' => ['sweet_pepper', 70, 7, 21],
    'kale in warm late-summer soil' => ['kale', 86, 2, 4],
    'scabious' => ['scabious', 70, 10, 12],
    'hot pepper' => ['hot_pepper', 62, 14, 21],
    'eggplant' => ['eggplant', 75, 7, 12],
]);

it('lifts a tray as mats do: at 72 °F to 82 to 85, at 50 °F to 60 to 65', function () {
    foreach (array_filter((new Catalogue())->mats(), fn (array $mat): bool => $mat['lift_c'] > 0) as $mat) {
        foreach ([[72, 81.5, 85], [50, 59.5, 65]] as [$room, $from, $to]) {
            $tray = Measure::Fahrenheit->fromCore(Measure::Fahrenheit->toCore($room) + $mat['lift_c']);
            expect($tray)->toBeGreaterThanOrEqual($from)->toBeLessThanOrEqual($to);
        }
    }
});

it('takes mix as containers of the trade do', function () {
    $containers = (new Catalogue())->containers();
    $cell = $containers['cell72']['volume_l'];
    expect($containers['yogurt']['volume_l'] / $cell)
        ->toBeGreaterThanOrEqual(5.0)
        ->toBeLessThanOrEqual(6.0)
        ->and($containers['pot9']['volume_l'] / $cell)
        ->toEqualWithDelta(10, 1.0)
        // A 162-cell tray is 13 x 26 in; a dry brick makes 2 US gallons.
        ->and($containers['cell162']['flats_per_unit'])
        ->toBeNear((13 * 26) / 200)
        ->and((new Catalogue())->supplies()['coir']['pack_amount'] * (new Catalogue())->supplies()['coir']['expansion'])
        ->toEqualWithDelta(2 * 3.785411784, 0.01);
});

it('fills a catch tray a quarter inch deep with 0.8 L, and feeds a tablespoon to the gallon', function () {
    expect(DailyLightIntegral::FLAT_M2 * Measure::Inch->toCore(0.25) * 1000)
        ->toEqualWithDelta(0.8, 0.03)
        ->and(Measure::Tablespoon->toCore(1) / Measure::Gallon->toCore(1))
        ->toEqualWithDelta(0.004, 1e-4);
    // A bottle of 1.00 that makes 180 L of feed costs 0.0056 a litre.
    $file = Seasons::small();
    $file['supplies'][1] = ['pack_price' => 1.0, 'pack_amount' => 180] + $file['supplies'][1];
    $file['feed']['dose_per_l'] = 1.0;
    $litres = (0.1 * 0.7 * 20) / 7;
    expect(Seasons::result($file)->heads['feed'] / $litres)->toEqualWithDelta(0.0056, 5e-5);
});

it('gives the same light for about half the watts by LED', function () {
    $lamps = array_column(JollyPenny\Core\Season\Catalogue\CatalogueFile::rows('lamps'), null, 'id');
    $watts = fn (string $id): float => $lamps[$id]['watts'] / $lamps[$id]['lumens'];
    expect($watts('led_shop') / $watts('t12_twin'))
        ->toBeGreaterThan(0.4)
        ->toBeLessThan(0.65)
        ->and($lamps['led_shop']['life_seasons'])
        ->toBeGreaterThanOrEqual($lamps['t8_twin']['life_seasons'])
        ->and($lamps['t5_four']['flats'])
        ->toBe(6);
});

it('has nine cells sown for six plants of usual seed', function () {
    $file = Seasons::small();
    $file['crops'][0]['wanted'] = 6;
    foreach ($file['methods'][0]['stages'] as $i => $stage) {
        $file['methods'][0]['stages'][$i]['survival'] = 0.97;
    }
    expect(Seasons::result($file)->crops[0]->sites)
        ->toBeGreaterThanOrEqual(8)
        ->toBeLessThanOrEqual(11);
});

it('starts as many weeks before planting out as packets say', function () {
    // Common practice, no source: 6 to 8 weeks, 6 to 10 for the slow; brassicas 4 to 6; slow flowers 10 to 12, statice 8; hardy crops go
    // out four weeks before the last frost.
    $species = (new Catalogue())->species();
    $weeks = fn (string $id): array => [$species[$id]->weeksFrom, $species[$id]->weeksTo];
    expect([$weeks('tomato'), $weeks('sweet_pepper'), $weeks('kale'), $weeks('petunia'), $weeks('statice')[0]])
        ->toBe([[6, 8], [8, 10], [4, 6], [10, 12], 8])
        ->and($species['cabbage']->plantOutOffsetDays)
        ->toBe(-28);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Energy\PhotonFlux;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Things\GerminationRow;
use JollyPenny\Core\Season\Things\Outlet;
use JollyPenny\Core\Season\Units\Measure;
use JollyPenny\Core\Showing\Bench\Bench;
use JollyPenny\Core\Showing\Bench\CircuitLoad;
use JollyPenny\Core\Showing\Bench\LampSwap;
use JollyPenny\Core\Showing\Bench\SoilWishes;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

it('shares the power of lamps, mats and fans among them so that it adds up to the heads and the bill', function () {
    foreach ([Seasons::demo(), ...array_map(fn (int $seed) => (new SeasonGenerator($seed))->season(), range(91_000, 91_040))] as $file) {
        $season = Seasons::read($file);
        $costing = new SeasonCosting($season);
        foreach ($season->setups as $setup) {
            $books = $costing->books($setup);
            $bench = Bench::fromBooks($books);
            $result = $costing->setup($setup);
            $sum = fn (string $kind, string $key): float => array_sum(array_map(
                fn ($place) => array_sum(array_column(array_filter($place->things, fn ($thing) => $thing->kind === $kind), $key)),
                $bench->places,
            ));
            // A blender's few minutes belong to no day of the bench.
            $blended = $result->kwh['appliance'] - $sum('appliances', 'kwh');
            expect(array_sum(array_column($bench->bill, 'kwh')))->toEqualWithDelta(array_sum($result->kwh) - $blended, 1e-6)
                ->and($blended)->toBeGreaterThanOrEqual(-1e-9)
                ->and(array_filter($bench->bill, fn ($month) => $month->kwh < 0.0 || $month->credit > 1e-12))->toBe([]);
            $whole = array_sum(array_map(fn ($month) => $month->light + $month->heat + $month->appliance, $bench->bill));
            expect(array_sum(array_column($bench->bill, 'cost')))->toEqualWithDelta($whole, 1e-9)->and($bench->billed['cost'])->toEqualWithDelta($whole, 1e-9)
                ->and($bench->billed['kwh'])->toEqualWithDelta(array_sum(array_column($bench->bill, 'kwh')), 1e-9);
            foreach (['lights', 'mats', 'appliances'] as $kind) {
                expect($sum($kind, 'cost'))->toEqualWithDelta($sum($kind, 'power') + $sum($kind, 'share'), 1e-9);
            }
            expect($sum('lights', 'kwh'))->toEqualWithDelta($result->kwh['light'], 1e-6)
                ->and($sum('mats', 'kwh'))->toEqualWithDelta($result->kwh['heat'], 1e-6)
                ->and(array_sum(array_column($bench->bill, 'light')))->toEqualWithDelta($sum('lights', 'power'), 1e-6)
                ->and(array_sum(array_column($bench->bill, 'heat')))->toEqualWithDelta($sum('mats', 'power'), 1e-6);
        }
    }
});

it('says how many of a hundred come up in the soil as it is', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $wishes = 0;
    foreach (Bench::fromBooks($books)->places as $place) {
        foreach ($place->soil ?? [] as $wish) {
            $plan = $books->plans[$books->grown[$wish->crop]];
            foreach (array_filter([$wish->without, $wish->with]) as $given) {
                $wishes++;
                // Never more than come up of a fresh packet at its best, and as a whole number.
                expect($given->of_hundred)->toBeGreaterThan(0)->toBeLessThanOrEqual((int) round(100 * $plan->viability->value));
            }
        }
    }
    expect($wishes)->toBeGreaterThan(3);
});

it('says of a mat that it hinders where clearly fewer come up on it', function () {
    $said = ['hinders' => 0, 'helps' => 0];
    foreach ([Seasons::demo(), ...array_map(fn (int $seed) => (new SeasonGenerator($seed))->season(), range(91_000, 91_040))] as $file) {
        $season = Seasons::read($file);
        $bench = Bench::fromBooks((new SeasonCosting($season))->books($season->setups[0]));
        foreach (array_merge(...array_map(fn ($place) => $place->soil ?? [], $bench->places)) as $wish) {
            $fewer = $wish->without === null || $wish->with === null ? 0 : $wish->without->of_hundred - $wish->with->of_hundred;
            expect($wish->mat_hinders)->toBe($fewer > 2);
            $said[$wish->mat_hinders ? 'hinders' : 'helps']++;
        }
    }
    expect(min($said))->toBeGreaterThan(0);
});

it('finds the hour from which a lamp is cheapest', function () {
    $file = Seasons::demo();
    $file['electricity'] = ['rate' => 0.3, 'windows' => [['from' => '00:30', 'to' => '08:30', 'rate' => 0.1]]];
    $file['lights'][0]['hours_per_day'] = 8;
    $file['lights'][0]['on_at'] = '12:00';
    $season = Seasons::read($file);
    $things = array_column(Bench::fromBooks((new SeasonCosting($season))->books($season->setups[0]))->places[0]->things, null, 'id');
    // Eight hours in the eight cheap ones: two thirds of the money are saved.
    expect($things['led']->best_hour->on_at)->toBe('00:30')
        ->and($things['led']->best_hour->saves)->toBeNear($things['led']->power * 2 / 3);
    $file['electricity']['windows'] = [];
    $season = Seasons::read($file);
    $things = array_column(Bench::fromBooks((new SeasonCosting($season))->books($season->setups[0]))->places[0]->things, null, 'id');
    expect($things['led']->best_hour)->toBeNull();
});

it('gives the dose and the hours to reach it by their definition', function () {
    // PPFD is µmol over m² and s; a day's dose PPFD · hours · 3600 / 1e6. The demo's lamp: 75 µmol/s, 0.75 of it on two flats of 0.129032 m².
    $season = Seasons::read(Seasons::demo());
    $lamp = array_column(Bench::fromBooks((new SeasonCosting($season))->books($season->setups[0]))->places[0]->things, null, 'id')['led'];
    $ppfd = 0.75 * 75 / (2 * 0.129032);
    expect($lamp->ppfd)->toBeNear($ppfd)
        ->and($lamp->dose)->toBeNear($ppfd * 16 * 3600 / 1e6)
        ->and($lamp->hours_to_dose)->toBeNear(10 * 1e6 / ($ppfd * 3600));
});

it('estimates light from lumens after the published factors', function () {
    // Thimijan and Heins (HortScience, 1983), from memory: 74 lux to a µmol/m²/s under cool white tubes, 76 under warm white ones.
    expect(PhotonFlux::ofLumens(5600, 4100))->toBeNear(5600 / 74)
        ->and(PhotonFlux::ofLumens(1600, 2700))->toBeNear(1600 / 76)
        ->and(PhotonFlux::ofLumens(1600, null))->toBeNear(1600 / 74);
});

it('lets an outlet carry what the rule for continuous loads allows', function () {
    // NFPA 70, 210.20(A), from memory: a continuous load is at most 80 of 100 of the rating: 12 A on a 15 A circuit, 16 A on 20 A.
    expect(CircuitLoad::most(new Outlet(120, 15)))->toBeNear(12.0)
        ->and(CircuitLoad::most(new Outlet(120, 20)))->toBeNear(16.0)
        ->and(CircuitLoad::most(new Outlet(230, 16)))->toBeNear(16.0)
        ->and(CircuitLoad::most(new Outlet(100, 10)))->toBeNear(8.0)
        ->and(CircuitLoad::most(new Outlet(130, 10)))->toBeNear(8.0)
        ->and(CircuitLoad::forWatts(1440, new Outlet(120, 15))->over)->toBeFalse()
        ->and(CircuitLoad::forWatts(1441, new Outlet(120, 15))->over)->toBeTrue()
        ->and(CircuitLoad::forWatts(1440, null)->amps)->toBeNull();
});

it('breaks even with a new lamp when the annuity of what it saves is worth its price', function () {
    // Present worth of an annuity, engineering-economy tables (from memory): (P/A, 8 %, 10) = 6.7101, (P/A, 10 %, 5) = 3.7908.
    expect(LampSwap::cheaperFrom(12.0, 2.0, 67.10, 0.08))->toBe(10)
        ->and(LampSwap::cheaperFrom(12.0, 2.0, 67.11, 0.08))->toBe(11)
        ->and(LampSwap::cheaperFrom(12.0, 2.0, 37.90, 0.10))->toBe(5)
        ->and(LampSwap::cheaperFrom(12.0, 2.0, 30.0, 0.0))->toBe(3)
        ->and(LampSwap::cheaperFrom(2.0, 12.0, 1.0, 0.0))->toBeNull();
});

it('wants of the soil what growers say each wants', function (string $species, float $low, float $high) {
    // Common practice, no source: peppers at 80 to 85 °F, tomatoes at 72, lettuce cool; most seeds between 65 and 75 °F.
    $table = array_map(fn (array $row) => new GerminationRow(...array_values($row)), (new Catalogue())->species()[$species]->germination);
    [$from, $to] = SoilWishes::range($table);
    expect($from)->toBeLessThanOrEqual(Measure::Fahrenheit->toCore($low))->and($to)->toBeGreaterThanOrEqual(Measure::Fahrenheit->toCore($high));
})->with([['sweet_pepper', 80, 85], ['tomato', 65, 75], ['lettuce', 50, 70], ['zinnia', 68, 84]]);

it('says what the mat gives and takes', function () {
    $season = Seasons::read(Seasons::demo());
    $soil = array_column(Bench::fromBooks((new SeasonCosting($season))->books($season->setups[0]))->places[0]->soil, null, 'crop');
    // Pepper at 20 °C: 13 days in the table; between 20 and 25 °C faster. The mat costs it something; lettuce stands beside.
    expect($soil['porch-lantern']->without->days)->toBe(13)
        ->and($soil['porch-lantern']->with->days)->toBeLessThan(13)
        ->and($soil['porch-lantern']->mat_each)->toBeGreaterThan(0.0)
        ->and($soil['glasshouse-bib']->on_mat)->toBeFalse();
});

it('says from which season a new lamp is cheaper than the tube in the cellar', function () {
    $season = Seasons::read(Seasons::demo());
    $things = array_column(Bench::fromBooks((new SeasonCosting($season))->books($season->setups[1]))->places[0]->things, null, 'id');
    $tube = $things['tube'];
    // By hand: the catalogue's LED lamp lights as many flats with 42 W instead of 76; what that saves a season, against 31.00.
    $saved = $tube->power * (1 - 42 / 76);
    expect($tube->instead->name)->toContain('LED')->and($tube->instead->price)->toBe(31.0)
        ->and($tube->instead->cheaper_from)->toBe((int) ceil(31 / $saved))
        ->and($things['led']->instead)->toBeNull();
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\DeviceReport;
use JollyPenny\Core\Living\Devices\Measured;
use JollyPenny\Core\Living\Devices\SimulatedMeter;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Seasons;

const APRIL_9 = 1_807_228_800;

/** What a simulated device measures, in spans of ten minutes. */
function measured(DeviceKind $kind, float $level, float $hours, int $days, int $seed = 1): Measured
{
    $spans = [];
    foreach ((new SimulatedMeter($kind, $level, $hours, Measured::SPAN, seed: $seed))->posts(APRIL_9, $days * 144) as $post) {
        foreach ($post as ['at' => $at, 'value' => $value]) {
            $spans[(int) strtotime($at)] = $value;
        }
    }
    ksort($spans);

    return new Measured(array_map(fn (int $at, float $value): array => [$at, $value], array_keys($spans), $spans));
}

it('says what a lamp draws, what it used by day beside the plan, and offers what differs', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $lamp = $season->lights[0];
    $measured = measured(DeviceKind::Meter, 36.4, $lamp->hoursPerDay, 5);
    expect($measured->wattsOn())->toBeNear(36.4, 0.02);
    $report = DeviceReport::compare($books, DeviceKind::Meter, 'lights', $lamp->id, $measured, null);
    expect($report->offers)->toHaveCount(1)->and($report->offers[0]['path'])->toBe(['lights', $lamp->id, 'watts'])
        ->and($report->offers[0]['now'])->toBe($lamp->watts)->and($report->offers[0]['real'])->toBeNear(36.4, 0.02)
        ->and($report->days)->toHaveCount(5)
        // 36.4 W for 16 of 24 h, but for the two readings of a hundred that are missing.
        ->and($report->days[1]['kwh'])->toBeNear(36.4 * $lamp->hoursPerDay / 1000, 0.06)
        ->and($report->days[1]['planned'])->toBeNear($lamp->watts * $lamp->hoursPerDay / 1000);
    // A lamp that is off most of the day draws when on what it draws when on.
    expect(measured(DeviceKind::Meter, 36.4, 8, 5)->wattsOn())->toBeNear(36.4, 0.02);
    // As planned within three of a hundred there is nothing to tell; too few readings say nothing.
    expect(DeviceReport::compare($books, DeviceKind::Meter, 'lights', $lamp->id, measured(DeviceKind::Meter, $lamp->watts, 16, 3), null)->offers)->toBe([])
        ->and((new Measured([[APRIL_9, 40.0]]))->wattsOn())->toBeNull()
        ->and(DeviceReport::compare($books, DeviceKind::Meter, 'lights', 'gone', $measured, null)->offers)->toBe([]);
});

it('says how much a mat lifts above the air of its place', function () {
    $season = Seasons::read(Seasons::demo());
    $books = (new SeasonCosting($season))->books($season->setups[0]);
    $soil = measured(DeviceKind::Soil, 22.3, 24, 4, 2);
    $air = measured(DeviceKind::Air, 17.9, 24, 4, 3);
    $offers = DeviceReport::compare($books, DeviceKind::Soil, 'mats', $season->mats[0]->id, $soil, $air)->offers;
    expect($offers[0]['path'])->toBe(['mats', $season->mats[0]->id, 'lift_c'])->and($offers[0]['real'])->toBeNear(4.4, 0.1)
        ->and(DeviceReport::compare($books, DeviceKind::Soil, 'mats', $season->mats[0]->id, $soil, null)->offers)->toBe([]);
    $offers = DeviceReport::compare($books, DeviceKind::Air, 'places', 'bench', $air, null)->offers;
    expect($offers[0]['path'])->toBe(['places', 'bench', 'temp_c'])->and($offers[0]['real'])->toBeNear(17.9, 0.05);
});

it('simulates the same posts for the same seed, with noise, gaps, repeats and restarts', function () {
    $posts = fn (int $seed): array => iterator_to_array((new SimulatedMeter(DeviceKind::Meter, 40.0, seed: $seed))->posts(APRIL_9, 20_000), false);
    $one = $posts(5);
    $times = array_column(array_merge(...$one), 'at');
    expect($posts(5))->toBe($one)->and($posts(6))->not->toBe($one)
        ->and(count($times))->toBeGreaterThan(count(array_unique($times)), 'something is sent twice')
        ->and(count(array_unique($times)))->toBeLessThan(20_000, 'something is missing')->toBeGreaterThan(19_000)
        ->and(max(array_map(count(...), $one)))->toBeLessThanOrEqual(20);
});

it('knows nonsense', function () {
    expect(DeviceKind::Meter->isSense(-1.0))->toBeFalse()->and(DeviceKind::Meter->isSense(99_999.0))->toBeFalse()
        ->and(DeviceKind::Soil->isSense(120.0))->toBeFalse()->and(DeviceKind::Air->isSense(-10.0))->toBeTrue()
        ->and(DeviceKind::Meter->isSense(NAN))->toBeFalse();
});

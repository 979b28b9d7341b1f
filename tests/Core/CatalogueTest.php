<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Germination\TemperatureResponse;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\CatalogueFile;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
use JollyPenny\Core\Season\Catalogue\TemperatureRange;
use JollyPenny\Core\Season\Things\GerminationRow;
use JollyPenny\Core\Season\Units\Measure;
use Tests\Seasons;

it('gives a source in every row and no id twice', function (string $file) {
    $rows = CatalogueFile::rows($file);
    expect($rows)->not->toBe([]);
    foreach ($rows as $row) {
        expect($row['source'])->toBeString()->not->toBe('');
    }
    if (! in_array($file, ['germination', 'recipes'], true)) {
        $key = ['temperature-ranges' => 'range', 'price-levels' => 'currency'][$file] ?? 'id';
        expect(array_unique(array_column($rows, $key)))->toHaveCount(count($rows));
    }
})->with(['species', 'germination', 'temperature-ranges', 'containers', 'supplies', 'recipes', 'lamps', 'mats', 'gear', 'nursery',
    'price-levels', 'label-sheets', 'appliances', 'packets', 'not-from-seed']);

it('knows at least eighty species of vegetables, herbs and flowers, in sensible ranges', function () {
    $species = (new Catalogue())->species();
    expect(count($species))
        ->toBeGreaterThanOrEqual(80)
        ->and(array_values(array_unique(array_map(fn ($facts) => $facts->kind, $species))))
        ->toBe(['vegetable', 'herb', 'flower'])
        ->and($species)
        ->toHaveKeys(['sweet_pepper', 'hot_pepper']);
    foreach ($species as $id => $facts) {
        expect($facts->freshGermination)
            ->toBeGreaterThan(0.2)
            ->toBeLessThanOrEqual(1.0)
            ->and($facts->longevityYears)
            ->toBeGreaterThanOrEqual(1.0)
            ->toBeLessThanOrEqual(8.0)
            ->and($facts->daysToEmerge)
            ->toBeGreaterThanOrEqual(1.0)
            ->toBeLessThanOrEqual(30.0)
            ->and($facts->weeksTo)
            ->toBeGreaterThanOrEqual($facts->weeksFrom)
            ->toBeLessThanOrEqual(16)
            ->and(abs($facts->plantOutOffsetDays))
            ->toBeLessThanOrEqual(35)
            // Covered two to five times as deep as the seed is wide, nothing that wants light at all: common practice, no source.
            ->and($facts->sowingDepthMm)
            ->toBeGreaterThanOrEqual($facts->light === 'light' ? 0.0 : 2 * $facts->seedWidthMm - 0.1, $id)
            ->toBeLessThanOrEqual($facts->light === 'light' ? 0.0 : max(12.0, 5 * $facts->seedWidthMm), $id)
            ->and($facts->light)
            ->toBeIn(['light', 'dark', 'any'])
            ->and($facts->coldDays)
            ->toBeLessThanOrEqual(60)
            ->and($facts->spacingCm)
            ->toBeGreaterThan(0.0)
            ->and($facts->germination)
            ->not->toBe([], "{$id} answers to temperature")
            ->and($facts->freshGermination)
            ->toBeGreaterThan($facts->legalMinimum ?? 0.0, $id)
            ->and($facts->germinationSource)
            ->not->toBeNull();
    }
});

it('can be put into a season as it is', function () {
    $catalogue = new Catalogue();
    $file = Seasons::small();
    foreach (
        [
            ['species', $catalogue->species()],
            ['containers', $catalogue->containers()],
            ['supplies', $catalogue->supplies()],
            ['mixes', $catalogue->recipes()],
            ['lights', $catalogue->lamps()],
            ['mats', $catalogue->mats()],
        ] as [$list, $rows]
    ) {
        $kept = array_column($file[$list] ?? [], 'id');
        foreach ($rows as $id => $row) {
            $row = is_object($row) ? $row->seasonRow() : $row;
            in_array($id, $kept, true) ?: ($file[$list][] = $row + (in_array($list, ['lights', 'mats'], true) ? ['place' => 'room'] : []));
        }
    }
    expect(Seasons::faults($file))->toBe([]);
});

it('stands as many containers on a flat as a grid of whole rows holds', function () {
    // The inside of a standard 10 x 20 in flat, 25.4 by 50.8 cm; common practice, no source.
    foreach (CatalogueFile::rows('containers') as $row) {
        // The open tops of what stands on a flat cover no more than the flat (0.129032 m²).
        expect($row['sites_per_unit'] * $row['top_area_m2'])->toBeLessThanOrEqual($row['flats_per_unit'] * 0.129032 * 1.001, $row['id']);
        if ($row['width_cm'] !== null) {
            [$a, $b] = [$row['width_cm'], $row['length_cm']];
            $grid = max(floor(25.4 / $a + 1e-9) * floor(50.8 / $b + 1e-9), floor(25.4 / $b + 1e-9) * floor(50.8 / $a + 1e-9));
            expect(1 / $row['flats_per_unit'])->toBeNear($grid, 1e-9);
        }
    }
    $perFlat = fn (string $id): int => (int) round(1 / (new Catalogue())->containers()[$id]['flats_per_unit']);
    expect(array_map($perFlat, ['block5', 'pot9', 'pot9_true', 'pot7']))->toBe([50, 18, 10, 21])
        ->and((int) round(6 / (new Catalogue())->containers()['sixpack_jumbo']['flats_per_unit']))->toBe(36);
});

it('has packets as they are sold, by species and not by the seed', function (string $id, int $least, int $most) {
    // Common practice, no source.
    expect((new Catalogue())->species()[$id]->seedsPerPacket)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([
    ['tomato', 20, 30], ['sweet_pepper', 20, 30], ['eggplant', 20, 30], ['petunia_pelleted', 10, 10], ['zinnia', 50, 100], ['marigold', 50, 100],
    ['onion', 100, 200], ['cabbage', 100, 200], ['beet', 100, 200], ['chard', 100, 200], ['lettuce', 300, 500], ['parsnip', 300, 500],
    ['carrot', 300, 500], ['snap_bean', 60, 100], ['sweet_corn', 60, 100], ['pea', 150, 150],
]);

it('expects of bought seed what comes up, not what the law asks', function (string $id, float $least, float $most, ?float $law) {
    // What comes up: common practice, no source. The law: minimum germination of 7 CFR 201.31 (Federal Seed Act), from memory.
    $facts = (new Catalogue())->species()[$id];
    expect($facts->freshGermination)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most)->and($facts->legalMinimum)->toBe($law);
})->with([
    ['tomato', 0.85, 0.95, 0.75], ['sweet_pepper', 0.8, 0.9, 0.55], ['eggplant', 0.8, 0.9, 0.6], ['parsnip', 0.6, 0.7, 0.6],
    ['petunia_pelleted', 0.8, 0.9, null], ['lettuce', 0.85, 0.95, 0.8], ['tomatillo', 0.8, 0.95, 0.5], ['chives', 0.7, 0.95, 0.5],
    ['kohlrabi', 0.8, 0.95, 0.75], ['chinese_cabbage', 0.85, 0.95, 0.75], ['pak_choi', 0.85, 0.95, 0.75], ['bunching_onion', 0.8, 0.95, 0.7],
    ['celeriac', 0.7, 0.95, 0.55], ['dill', 0.7, 0.95, 0.6], ['sage', 0.7, 0.95, 0.6],
]);

it('answers to temperature between minimum, optimum and maximum', function (string $id, float $minimum, float $optimum, float $maximum) {
    // Knott's Handbook, soil temperatures for germination of squash and pumpkin, °F; from memory. What lies between is a rule of ours.
    $table = array_map(fn (array $row) => new GerminationRow(...array_values($row)), (new Catalogue())->species()[$id]->germination);
    $at = fn (float $fahrenheit) => TemperatureResponse::at($table, Measure::Fahrenheit->toCore($fahrenheit));
    expect($at($minimum - 1)->rate)->toBe(0.0)
        ->and($at($maximum + 1)->rate)->toBe(0.0)
        ->and(1 / $at($optimum)->rate)->toEqualWithDelta(5.0, 0.05)
        ->and($at($optimum)->percent)->toBeNear(100.0)
        // Half-way to the optimum half the rate; at the ends two fifths of the percent.
        ->and($at(($minimum + $optimum) / 2)->rate / $at($optimum)->rate)->toEqualWithDelta(0.5, 0.01)
        ->and($at($minimum + 0.4)->percent)->toEqualWithDelta(40.0, 3.0);
})->with([['summer_squash', 60, 95, 100], ['pumpkin', 60, 95, 100]]);

it('lets lamps last as long as their rated hours, at most fifteen seasons, and lights little with a bare bulb', function () {
    $lamps = (new Catalogue())->lamps();
    foreach ($lamps as $id => $lamp) {
        // Light of white lamps: 0.014 to 0.02 µmol a lumen; common practice, no source.
        $emitted = array_column(CatalogueFile::rows('lamps'), 'lumens', 'id')[$id] * 0.0155;
        expect($lamp['life_seasons'])->toBeLessThanOrEqual(15)->and($lamp['ppf_umol_s'])->toBeLessThanOrEqual(1.3 * $emitted, $id);
        if (in_array($id, ['led_bulb', 'cfl'], true)) {
            expect($lamp['ppf_umol_s'])->toBeLessThan(0.5 * $emitted);
        }
    }
});

it('limes what is mixed from peat', function () {
    // 3 to 6 g a litre; common practice, no source.
    foreach ((new Catalogue())->recipes() as $recipe) {
        $peat = array_sum(array_map(fn (array $part) => $part['supply'] === 'peat' ? $part['parts'] : 0, $recipe['parts']));
        $others = array_sum(array_column($recipe['parts'], 'parts')) - $peat;
        if ($peat > $others) {
            $lime = array_column($recipe['additives'] ?? [], 'amount_per_l', 'supply')['lime'] ?? 0.0;
            expect($lime)->toBeGreaterThanOrEqual(0.003, $recipe['id'])->toBeLessThanOrEqual(0.006);
        }
    }
});

it('writes prices abroad as shops there do, and leaves dollars alone', function () {
    // Worked by hand from price-levels.csv: 2.49 × 0.7 = 1.743, in steps of 5 pence 1.75; 3.33 × 150 = 499.5, in steps of 5 krónur 500.
    expect(PriceLevel::forCurrency('USD')->price(2.49))->toBe(2.49)
        ->and(PriceLevel::forCurrency('GBP')->price(2.49))->toBe(1.75)
        ->and(PriceLevel::forCurrency('ISK')->price(3.33))->toBe(500.0)
        // Less than a step is not rounded up to one.
        ->and(PriceLevel::forCurrency('SEK')->price(0.031))->toBe(0.279);
});

it('comes up more slowly on both sides of the optimum, on each by its own slope', function () {
    // By hand: 10 days at 25 °C between 10 and 35. At 20 °C the rate is 10/15 of the best, at 30 °C it is 5/10: 15 and 20 days.
    $range = TemperatureRange::fromRow(['minimum_c' => 10, 'optimum_low_c' => 20, 'optimum_high_c' => 30, 'optimum_c' => 25, 'maximum_c' => 35, 'source' => '']);
    $rows = $range->table(10.0);
    expect(array_column($rows, 'temp_c'))->toEqual([10, 10.1, 20, 25, 30, 34.9, 35])
        ->and($rows[2]['days'])->toBeNear(15.0)->and($rows[4]['days'])->toBeNear(20.0)->and($rows[3]['percent'])->toBeNear(100.0);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Catalogue\Catalogue;
use JollyPenny\Core\Catalogue\CatalogueFile;
use Tests\Seasons;

it('gives a source in every row and no id twice', function (string $file) {
    $rows = CatalogueFile::rows($file);
    expect($rows)->not->toBe([]);
    foreach ($rows as $row) {
        expect($row['source'])->toBeString()->not->toBe('');
    }
    if (! in_array($file, ['germination', 'recipes'], true)) {
        expect(array_unique(array_column($rows, 'id')))->toHaveCount(count($rows));
    }
})->with(['species', 'germination', 'containers', 'supplies', 'recipes', 'lamps', 'mats']);

it('knows at least forty species of vegetables, herbs and flowers, in sensible ranges', function () {
    $species = (new Catalogue())->species();
    $tables = array_column(CatalogueFile::rows('species'), 'germination_table', 'id');
    expect(count($species))
        ->toBeGreaterThanOrEqual(40)
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
            ->toBeGreaterThanOrEqual(2.0)
            ->toBeLessThanOrEqual(30.0)
            ->and($facts->weeksTo)
            ->toBeGreaterThanOrEqual($facts->weeksFrom)
            ->toBeLessThanOrEqual(14)
            ->and($facts->weeksBefore)
            ->toBeIn(['plant_out', 'last_frost'])
            ->and(abs($facts->plantOutOffsetDays))
            ->toBeLessThanOrEqual(35)
            ->and($facts->sowingDepthMm)
            ->toBe($facts->light === 'light' ? 0.0 : round(2 * $facts->seedWidthMm, 1), $id)
            ->and($facts->light)
            ->toBeIn(['light', 'dark', 'any'])
            ->and($facts->start)
            ->toBeIn(['indoors', 'direct', 'either'])
            ->and($facts->coldDays)
            ->toBeLessThanOrEqual(60)
            ->and($facts->spacingCm)
            ->toBeGreaterThan(0.0)
            ->and($tables[$id] === null || $facts->germination !== [])
            ->toBeTrue("{$id} names a table that is not there");
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

it('measures containers as they fit a flat', function () {
    foreach ((new Catalogue())->containers() as $id => $row) {
        // The open tops of what stands on a flat cover no more than the flat (0.129032 m²).
        expect($row['sites_per_unit'] * $row['top_area_m2'])
            ->toBeLessThanOrEqual($row['flats_per_unit'] * 0.129032 * 1.001, $id)
            ->and($row['volume_l'])
            ->toBeLessThanOrEqual(6.0);
    }
});

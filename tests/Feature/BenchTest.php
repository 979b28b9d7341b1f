<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Drafting\Things;

it('answers with places, lamps and pots of a set-up', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $bench = $this->getJson("/api/seasons/{$season->id}/setups/bench/bench")->assertOk()->json();
    expect(array_column($bench['places'], 'id'))->toBe(['bench', 'sill', 'garage', 'yard'])
        ->and($bench['tariff'])->toHaveCount(48)
        ->and($bench['places'][0]['days']['all'])->not->toBe([]);
    $pots = $this->getJson("/api/seasons/{$season->id}/setups/bench/pots")->assertOk()->json();
    expect($pots['in_use'])->toContain('cell72')->and($pots['litres'])->toBeGreaterThan(10);
    $this->getJson("/api/seasons/{$season->id}/setups/none/bench")->assertNotFound();
    $this->getJson("/api/seasons/{$season->id}/setups/none/pots")->assertNotFound();
});

it('adds things of every list, from the catalogue and one\'s own, several at once, each undone in one step', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $catalogue = $this->getJson('/api/catalogue')->json('things');
    foreach (Things::lists() as $list) {
        foreach ([null, $catalogue[$list][0]['id'] ?? null] as $id) {
            $before = count($this->getJson("/api/seasons/{$season->id}")->json("season.{$list}"));
            $state = $this->postJson("/api/seasons/{$season->id}/things", array_filter(['list' => $list, 'catalogue' => $id, 'setup' => 'bench', 'count' => 2]))
                ->assertOk()->json();
            expect($state['season'][$list])->toHaveCount($before + 2, $list)
                ->and(array_column($state['season'][$list], 'id'))->toContain($state['added']);
            if (in_array($list, ['lights', 'mats', 'appliances', 'gear'], true)) {
                expect($state['season']['setups'][0][$list])->toContain($state['added']);
            }
            $this->postJson("/api/seasons/{$season->id}/undo")->assertOk();
            expect($this->getJson("/api/seasons/{$season->id}")->json("season.{$list}"))->toHaveCount($before);
        }
    }
    foreach ([['list' => 'crops'], ['list' => 'lights', 'catalogue' => 'rocket'], ['list' => 'lights', 'count' => 99], ['list' => ['x']], []] as $bad) {
        $this->postJson("/api/seasons/{$season->id}/things", $bad)->assertStatus(422);
    }
});

it('works out what a measured pot holds and what a lamp gives, as long as nobody has said otherwise', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $row = fn (string $list, string $id) => array_column($this->getJson("/api/seasons/{$season->id}")->json("season.{$list}"), null, 'id')[$id];
    $change = fn (array $path, mixed $from, mixed $to) => $this->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => $path, 'from' => $from, 'to' => $to]]]);
    $change(['containers', 'yogurt', 'measured'], null, ['round' => false, 'rim_mm' => 83, 'base_mm' => 83, 'height_mm' => 100])->assertOk();
    $pot = $row('containers', 'yogurt');
    expect($pot['volume_l'])->toEqualWithDelta(0.9 * 0.6889, 1e-3)->and(1 / $pot['flats_per_unit'])->toEqualWithDelta(18, 1e-3);
    expect([round($pot['volume_l'], 4), round($pot['flats_per_unit'], 6)])->toEqual([$pot['volume_l'], $pot['flats_per_unit']]);
    $this->postJson("/api/seasons/{$season->id}/undo")->assertOk();
    expect($row('containers', 'yogurt')['volume_l'])->toEqual(0.4);
    // A tray of 72 cells of 42.3 mm: six by twelve stand on a flat, so that the whole insert takes one.
    $cells = array_column($this->getJson("/api/seasons/{$season->id}")->json('season.containers'), null, 'sites_per_unit')[72];
    $change(['containers', $cells['id'], 'measured'], null, ['round' => false, 'rim_mm' => 42.3, 'base_mm' => 30, 'height_mm' => 45])->assertOk();
    expect($row('containers', $cells['id'])['flats_per_unit'])->toEqualWithDelta(1.0, 1e-6)
        // 42.3² mm² to the square millimetre.
        ->and($row('containers', $cells['id'])['top_area_m2'])->toBe(0.001789);
    // A box that is half as wide as long has its shorter sides beside the measures: half of the square's mix and of its place in a tray, in either order.
    $square = ['round' => false, 'rim_mm' => 80, 'base_mm' => 80, 'height_mm' => 100];
    $change(['containers', 'yogurt', 'measured'], null, $square)->assertOk();
    $whole = $row('containers', 'yogurt');
    $change(['containers', 'yogurt', 'meta'], $whole['meta'] ?? null, ['narrow' => ['rim_mm' => 40, 'base_mm' => 40]])->assertOk();
    $half = $row('containers', 'yogurt');
    expect($half['volume_l'] / $whole['volume_l'])->toEqualWithDelta(0.5, 1e-3)
        ->and($half['top_area_m2'] / $whole['top_area_m2'])->toEqualWithDelta(0.5, 1e-3)
        ->and($whole['flats_per_unit'] / $half['flats_per_unit'])->toEqualWithDelta(2.0, 1e-3);
    // A volume of one's own stays when something else is kept beside the pot.
    $change(['containers', 'yogurt', 'volume_l'], $half['volume_l'], 0.3)->assertOk();
    $change(['containers', 'yogurt', 'meta'], $half['meta'], [...$half['meta'], 'note' => 'from the attic'])->assertOk();
    expect($row('containers', 'yogurt')['volume_l'])->toEqual(0.3);
    $change(['containers', 'yogurt', 'measured'], $square, ['round' => true, 'rim_mm' => 0, 'base_mm' => 5, 'height_mm' => 5])->assertStatus(422);
    // The lamp says 75 µmol/s itself: lumens change nothing of that.
    $change(['lights', 'led', 'lumens'], null, 4200)->assertOk();
    expect($row('lights', 'led')['ppf_umol_s'])->toEqual(75);
    $change(['lights', 'led', 'ppf_umol_s'], 75, null)->assertOk();
    $change(['lights', 'led', 'kelvin'], null, 5000)->assertOk();
    expect($row('lights', 'led')['ppf_umol_s'])->toEqualWithDelta(4200 / 74, 0.06);
});

it('makes a method of its own for one crop', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $state = $this->postJson("/api/seasons/{$season->id}/methods", ['copy' => 'cells-pots', 'crop' => 'ink-pot', 'setup' => 'bench'])->assertOk()->json();
    expect($state['season']['setups'][0]['overrides']['ink-pot'])->toBe($state['added']);
    $growth = $this->getJson("/api/seasons/{$season->id}/setups/bench/methods/{$state['added']}/growth")->assertOk()->json();
    expect($growth['crops'])->toBe(['ink-pot'])->and(end($growth['stages'])['alive_of_hundred'])->toBe(89)
        ->and(end($growth['stages'])['alive_bad'])->toBeLessThan(80);
    $this->postJson("/api/seasons/{$season->id}/undo")->assertOk();
    expect($this->getJson("/api/seasons/{$season->id}")->json('season.setups.0.overrides'))->not->toHaveKey('ink-pot');
});

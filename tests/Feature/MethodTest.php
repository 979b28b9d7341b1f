<?php

declare(strict_types=1);

use JollyPenny\Core\Season\Catalogue\Catalogue;

it('takes every school\'s method with what it needs, and a copy', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    foreach (
        [...array_map(fn (string $id) => ['school' => $id], array_keys((new Catalogue())->methods())), ['copy' => 'blocks']] as $input
    ) {
        $answer = $this->postJson("/api/seasons/{$season->id}/methods", $input + ['setup' => 'bench'])
            ->assertOk()
            ->json();
        expect(array_column($answer['season']['methods'], 'id'))->toContain($answer['added']);
        $growth = $this->getJson("/api/seasons/{$season->id}/setups/bench/methods/{$answer['added']}/growth?crop=ink-pot")
            ->assertOk()
            ->json('stages');
        expect($growth)->toHaveCount(count(array_column($answer['season']['methods'], null, 'id')[$answer['added']]['stages']));
    }
    $this->postJson("/api/seasons/{$season->id}/methods", ['school' => 'rocketry'])->assertStatus(422);
});

it('costs a plant stage by stage, ending at what it costs', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $growth = $this->getJson("/api/seasons/{$season->id}/setups/bench/methods/cells-pots/growth")
        ->assertOk()
        ->json();
    $crop = $this->getJson("/api/seasons/{$season->id}?setup=bench")->json('result.setups.0.crops.0');
    expect($growth['crop'])->toBe($crop['id'])->and(end($growth['stages'])['per_finished'])->toBeNear($crop['per_finished']);
    $this->getJson("/api/seasons/{$season->id}/setups/bench/methods/none/growth")->assertNotFound();
});

it('sets survival over the whole method as people say it', function (string $preset, float $share) {
    [$user, $season] = gardener();
    $methods = $this->actingAs($user)
        ->putJson("/api/seasons/{$season->id}/methods/cells-pots/survival", ['preset' => $preset, 'setup' => 'bench'])
        ->assertOk()
        ->json('season.methods');
    // Common practice, no source: a first year brings half of the plants through, a usual one eight of ten.
    expect(array_product(array_column(array_column($methods, null, 'id')['cells-pots']['stages'], 'survival')))->toEqualWithDelta(
        $share,
        1e-5,
    );
    $this->putJson("/api/seasons/{$season->id}/methods/cells-pots/survival", ['preset' => 'perfect'])->assertStatus(422);
})->with([['first_year', 0.5], ['usual', 0.8], ['careful', 0.9]]);

<?php

declare(strict_types=1);

use App\Models\Season;
use App\Models\Work;

it('reckons by what was paid, written down and measured, and begins the next season with it', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $id = $this->postJson('/api/seasons', ['from' => 'demo', 'demo' => 'may'])->json('id');
    $state = $this->getJson("/api/seasons/{$id}/setups/bench/reckoning")->assertOk()->json();
    $steps = array_column($state['came_to']['steps'], null, 'key');
    expect($steps['prices']['known'])->toBeGreaterThan(15)->and($steps['power']['known'])->toBeGreaterThan(1)->and($steps['lived']['known'])->toBe(4)
        ->and($steps['planned']['per_finished'] + array_sum(array_column($steps, 'moved')))->toBeNear($steps['lived']['per_finished'], 1e-9);
    $beliefs = array_map(fn (array $one): string => "{$one['key']} {$one['id']}", $state['beliefs']);
    expect($beliefs)->toContain('luck luck', 'measured lights.led.watts');
    $lot = array_values(array_filter($state['beliefs'], fn (array $one): bool => $one['key'] === 'survival'))[0];
    $next = $this->postJson("/api/seasons/{$id}/setups/bench/next", ['take' => ["survival {$lot['id']}", 'measured lights.led.watts',
        'nothing such']])->assertStatus(201)->json('id');
    $document = Season::query()->findOrFail($next)->document;
    $method = array_column($document->methods, null, 'id')[$lot['id']];
    expect(array_product(array_column($method->stages, 'survival')))->toBeNear($lot['believed'], 1e-3)->and($document->year)->toBe(2028)
        ->and($document->luck)->toBe(0.1);
    // Pressed again it is the same season, with what is taken then.
    expect($this->postJson("/api/seasons/{$id}/setups/bench/next", ['take' => ['luck luck']])->assertStatus(201)->json('id'))->toBe($next)
        ->and(Season::query()->findOrFail($next)->document->luck)->toBeLessThan(0.1);
    $this->postJson("/api/seasons/{$id}/setups/bench/next", [])->assertStatus(422);
});

it('works out advice, what it hangs on, room and ten thousand seasons as jobs', function (string $kind, string $key) {
    [$user, $season] = gardener();
    $work = $this->actingAs($user)->postJson("/api/seasons/{$season->id}/work", ['kind' => $kind, 'setup' => 'bench'])->assertStatus(202)->json();
    $done = $this->getJson("/api/seasons/{$season->id}/work/{$work['id']}")->assertOk()->json();
    expect($done['state'])->toBe('done')->and($done[$kind])->not->toBe([])->and(json_encode($done[$kind]))->toContain("\"{$key}\"");
})->with([['advice', 'saves'], ['hangs_on', 'levers'], ['simulation', 'p_keep'], ['room', 'over_life']]);

it('opens its figures, asks what is known at the end, and has a season that is over', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $id = $this->postJson('/api/seasons', ['from' => 'demo', 'demo' => 'october'])->assertStatus(201)->json('id');
    $state = $this->getJson("/api/seasons/{$id}/setups/bench/reckoning")->assertOk()->json();
    $steps = array_column($state['came_to']['steps'], null, 'key');
    expect([$steps['used']['known'], $steps['up']['known'], $steps['lived']['known']])->toBe([12, 12, 12])
        ->and(array_column($state['end'], 'said', 'job')['season-hours'])->toBe(13.5)
        ->and(array_column($state['beliefs'], null, 'key')['life']['id'])->toBe('containers cell72');
    $working = $this->getJson("/api/seasons/{$id}/setups/bench/workings/came_lived")->assertOk()->json();
    expect($working['value'])->toBe($steps['lived']['per_finished'])->and($working['terms'][0]['working'])->toBe('came_up');
    $this->getJson("/api/seasons/{$id}/setups/bench/workings/came_soon")->assertNotFound();
    $this->getJson("/api/seasons/{$id}/setups/bench/workings/cost?crop=nobody")->assertNotFound();
});

it('shows advice while it is found', function () {
    [$user, $season] = gardener();
    $work = Work::query()->create(['user_id' => $user->id, 'season_id' => $season->id, 'kind' => 'advice', 'setup' => 'bench',
        'revision' => $season->revision, 'state' => 'working']);
    $asked = "/api/seasons/{$season->id}/work/{$work->id}";
    expect($this->actingAs($user)->getJson($asked)->assertOk()->json())->not->toHaveKey('advice');
    $work->fill(['result' => ['changes' => [['words' => 'Buy it', 'saves' => 1.0]], 'left_out' => []]])->save();
    expect($this->getJson($asked)->json('advice.changes.0.words'))->toBe('Buy it')->and($this->getJson($asked)->json('state'))->toBe('working');
});

it('says so when what worked at it is gone, and begins anew', function () {
    [$user, $season] = gardener();
    $work = Work::query()->create(['user_id' => $user->id, 'season_id' => $season->id, 'kind' => 'advice', 'setup' => 'bench',
        'revision' => $season->revision, 'state' => 'working']);
    $asked = "/api/seasons/{$season->id}/work/{$work->id}";
    expect($this->actingAs($user)->getJson($asked)->json('state'))->toBe('working');
    $this->travel(3)->minutes();
    expect($this->getJson($asked)->json('state'))->toBe('failed');
    $again = $this->postJson("/api/seasons/{$season->id}/work", ['kind' => 'advice', 'setup' => 'bench'])->assertStatus(202)->json();
    expect($again['id'])->not->toBe($work->id)->and($this->getJson("/api/seasons/{$season->id}/work/{$again['id']}")->json('state'))->toBe('done');
});

<?php

declare(strict_types=1);

use App\Models\Device;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\PersonalAccessToken;

/** @return array{int, string} a device's id and token */
function device(object $test, int $season, array $like = []): array
{
    $made = $test->postJson("/api/seasons/{$season}/devices", [...['name' => 'Meter', 'kind' => 'meter', 'list' => 'lights',
        'thing' => 'led'], ...$like])->assertStatus(201);

    return [$made->json('id'), $made->json('token')];
}

function reading(int $minutes, mixed $value = 38.5): array
{
    // From one moment on, so that the same reading sent again is the same also a second later.
    static $now = null;
    $now ??= time();

    return ['at' => gmdate('Y-m-d\TH:i:s\Z', $now - 60 * $minutes), 'value' => $value];
}

it('takes readings by a device\'s token, each once, and counts what makes no sense', function () {
    [$user, $season] = gardener();
    [$id, $token] = device($this->actingAs($user), $season->id);
    auth()->logout();
    $post = fn (array $readings) => $this->withToken($token)->postJson('/api/device/readings', ['readings' => $readings]);
    expect($post([reading(3), reading(2), reading(1)])->assertOk()->json())->toBe(['kept' => 3, 'known' => 0, 'refused' => 0])
        ->and($post([reading(2), reading(1), reading(0)])->json())->toBe(['kept' => 1, 'known' => 2, 'refused' => 0])
        ->and($post([reading(5), reading(5), reading(6, -4), reading(7, 'much'), reading(8, null), reading(-60 * 24 * 3), ['at' => 'noon',
            'value' => 3], 'x',
            // A day that does not exist, in the last February that is over for sure.
            ['at' => gmdate('Y', time() - 200 * 86400).'-02-30T06:00:00Z', 'value' => 3]])->json())
        ->toBe(['kept' => 1, 'known' => 1, 'refused' => 7]);
    $device = Device::query()->findOrFail($id);
    expect($device->refused)->toBe(7)->and($device->heard_at)->not->toBeNull()->and(DB::table('readings')->where('device_id', $id)->count())->toBe(5);
    $post([])->assertStatus(422);
    $post(array_map(reading(...), range(1, 101)))->assertStatus(422);
});

it('listens to no other token, nor to one that was taken back', function () {
    [$user, $season] = gardener();
    [$id, $token] = device($this->actingAs($user), $season->id);
    $post = fn (?string $token) => $this->flushHeaders()->withHeaders($token === null ? [] : ['Authorization' => "Bearer {$token}"])
        ->postJson('/api/device/readings', ['readings' => [reading(1)]]);
    $post(null)->assertStatus(401);
    $post('1|nonsense')->assertStatus(401);
    $post($token)->assertOk();
    // The token may write readings and nothing else.
    auth()->logout();
    $this->flushHeaders()->withToken($token)->getJson("/api/seasons/{$season->id}")->assertStatus(401);
    $this->flushHeaders()->actingAs($user)->deleteJson("/api/seasons/{$season->id}/devices/{$id}")->assertNoContent();
    $post($token)->assertStatus(401);
    expect(PersonalAccessToken::query()->where('tokenable_id', $id)->count())->toBe(0)->and(DB::table('readings')->where('device_id', $id)->count())->toBe(0);
});

it('knows devices at things that are there, and of one\'s own seasons', function () {
    [$user, $season] = gardener();
    [$other] = gardener();
    $this->actingAs($user);
    foreach ([['thing' => 'gone'], ['kind' => 'radar'], ['list' => 'crops'], ['name' => '']] as $wrong) {
        $this->postJson("/api/seasons/{$season->id}/devices", [...['name' => 'Meter', 'kind' => 'meter', 'list' => 'lights',
            'thing' => 'led'], ...$wrong])->assertStatus(422);
    }
    [$id] = device($this, $season->id);
    $this->actingAs($other)->deleteJson("/api/seasons/{$season->id}/devices/{$id}")->assertNotFound();
    $this->postJson("/api/seasons/{$season->id}/devices", ['name' => 'M', 'kind' => 'meter', 'list' => 'lights', 'thing' => 'led'])->assertNotFound();
    expect(Device::query()->where('season_id', $season->id)->count())->toBe(1);
});

it('keeps the first of two readings of one moment', function () {
    [$user, $season] = gardener();
    [$id, $token] = device($this->actingAs($user), $season->id);
    $this->withToken($token)->postJson('/api/device/readings', ['readings' => [reading(9, 10.0), reading(9, 20.0)]])->assertOk();
    expect(DB::table('readings')->where('device_id', $id)->pluck('value')->all())->toEqual([10.0]);
});

it('measures a mat by the air at its own place', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $state = $this->getJson("/api/seasons/{$season->id}")->json('season');
    $mat = $state['mats'][0];
    $elsewhere = array_values(array_filter($state['places'], fn (array $place): bool => $place['id'] !== $mat['place']))[0]['id'];
    $tokens = [
        'soil' => device($this, $season->id, ['kind' => 'soil', 'list' => 'mats', 'thing' => $mat['id']])[1],
        'here' => device($this, $season->id, ['kind' => 'air', 'list' => 'places', 'thing' => $mat['place']])[1],
        'there' => device($this, $season->id, ['kind' => 'air', 'list' => 'places', 'thing' => $elsewhere])[1],
    ];
    foreach (['soil' => 24.0, 'here' => 12.5, 'there' => 3.5] as $key => $value) {
        foreach (array_chunk(range(0, 287), 96) as $some) {
            $this->flushHeaders()->withToken($tokens[$key])->postJson('/api/device/readings', [
                'readings' => array_map(fn (int $n): array => reading(10 * $n, $value), $some)])->assertOk();
        }
    }
    $devices = $this->flushHeaders()->actingAs($user)->getJson("/api/seasons/{$season->id}/setups/bench/devices")->assertOk()->json('devices');
    $soil = array_column($devices, null, 'kind')['soil'];
    expect($soil['report']['offers'][0])->toMatchArray(['path' => ['mats', $mat['id'], 'lift_c'], 'real' => 11.5]);
});

it('tells days beside the plan and offers what was measured', function () {
    [$user, $season] = gardener();
    [, $token] = device($this->actingAs($user), $season->id);
    foreach (array_chunk(range(0, 287), 96) as $some) {
        $this->withToken($token)->postJson('/api/device/readings', ['readings' => array_map(fn (int $n): array => reading(10 * $n, 30.0), $some)])->assertOk();
    }
    $device = $this->flushHeaders()->actingAs($user)->getJson("/api/seasons/{$season->id}/setups/bench/devices")->assertOk()->json('devices.0');
    expect($device['report']['offers'][0])->toMatchArray(['path' => ['lights', 'led', 'watts'], 'now' => 42.0, 'real' => 30.0])
        ->and(array_sum(array_column($device['report']['days'], 'kwh')))->toBeNear(30.0 * 48 / 1000, 0.01);
});

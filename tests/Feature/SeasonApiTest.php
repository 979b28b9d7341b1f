<?php

declare(strict_types=1);

use App\Models\User;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Seasons;

it('answers a season with the figures the core gives for it', function () {
    [$user, $season] = gardener();
    $core = json_decode((string) json_encode((new SeasonCosting(Seasons::read(Seasons::demo())))->result()), true);
    foreach ($core['setups'] as $setup) {
        $answer = $this->actingAs($user)
            ->getJson("/api/seasons/{$season->id}?setup={$setup['id']}")
            ->assertOk()
            ->json();
        expect($answer['revision'])
            ->toBe(1)
            ->and($answer['season']['crops'])
            ->toHaveCount(12)
            ->and($answer['result']['setups'])
            ->toEqual([$setup]);
    }
    // Only what is on screen is reckoned: without a word the first.
    expect(array_column($this->getJson("/api/seasons/{$season->id}")->json('result.setups'), 'id'))->toBe([$core['setups'][0]['id']]);
});

it('saves a change and recomputes in one round trip', function () {
    [$user, $season] = gardener();
    $before = $this->actingAs($user)
        ->getJson("/api/seasons/{$season->id}?setup=bench")
        ->json();
    $led = array_column($before['season']['lights'], null, 'id')['led'];
    $answer = $this->patchJson("/api/seasons/{$season->id}", hoursOfLed($led['hours_per_day'], 10) + ['setup' => 'bench'])
        ->assertOk()
        ->json();
    expect($answer['revision'])
        ->toBe(2)
        ->and($answer['result']['setups'])
        ->toHaveCount(1)
        ->and($answer['result']['setups'][0]['kwh']['light'])
        ->toBeLessThan($before['result']['setups'][0]['kwh']['light']);
    $file = Seasons::demo();
    foreach ($file['lights'] as $i => $light) {
        $light['id'] === 'led' && ($file['lights'][$i]['hours_per_day'] = 10);
    }
    $core = Seasons::result($file, (int) array_search('bench', array_column($file['setups'], 'id'), true));
    expect($answer['result']['setups'][0]['cost'])
        ->toBeNear($core->cost)
        ->and($this->getJson("/api/seasons/{$season->id}")->json('revision'))
        ->toBe(2);
});

it('keeps the last good value where a change cannot be used, and says what to do', function (mixed $to, string $says) {
    [$user, $season] = gardener();
    $answer = $this->actingAs($user)
        ->patchJson("/api/seasons/{$season->id}", hoursOfLed(16.0, $to))
        ->assertStatus(422);
    expect($answer->headers->get('Content-Type'))
        ->toContain('application/problem+json')
        ->and($answer->json('faults.0.path'))
        ->toContain('hours_per_day')
        ->and($answer->json('detail'))
        ->toContain($says)
        ->and($this->getJson("/api/seasons/{$season->id}")->json('revision'))
        ->toBe(1);
})->with([[25, '24'], [-1, '0'], ['ten', 'number'], [1e9, '24']]);

it('never overwrites silently what another window changed', function () {
    [$user, $season] = gardener();
    $this->actingAs($user)
        ->patchJson("/api/seasons/{$season->id}", hoursOfLed(16.0, 12))
        ->assertOk();
    $this->patchJson("/api/seasons/{$season->id}", hoursOfLed(16.0, 10))
        ->assertStatus(409)
        ->assertJsonPath('revision', 2);
});

it('hides one person\'s season from any other, on every route', function () {
    [, $season] = gardener();
    $other = User::query()->create(['trial' => true]);
    $this->actingAs($other)
        ->getJson("/api/seasons/{$season->id}")
        ->assertNotFound();
    $this->patchJson("/api/seasons/{$season->id}", hoursOfLed(16.0, 12))->assertNotFound();
    $this->getJson("/api/seasons/{$season->id}/setups/bench/workings/cost")->assertNotFound();
    expect($this->getJson('/api/seasons')->json('seasons'))->toBe([]);
});

it('answers problems as problem details, never a trace', function () {
    [$user, $season] = gardener();
    $this->getJson("/api/seasons/{$season->id}")
        ->assertStatus(401)
        ->assertHeader('Content-Type', 'application/problem+json');
    $this->actingAs($user);
    foreach (
        [
            "/api/seasons/{$season->id}?setup=none",
            "/api/seasons/{$season->id}/setups/bench/workings/none",
            '/api/seasons/999999',
            '/api/nothing',
        ] as $url
    ) {
        $problem = $this->getJson($url)->assertNotFound()->json();
        expect($problem)
            ->toHaveKeys(['type', 'title', 'status', 'detail'])
            ->and(json_encode($problem))
            ->not->toContain('.php');
    }
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => []])->assertStatus(422);
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => ['nothing', 'here', 'x'], 'to' => 1]]])->assertStatus(422);
});

it('explains every figure a screen shows', function () {
    [$user, $season] = gardener();
    $state = $this->actingAs($user)
        ->getJson("/api/seasons/{$season->id}?setup=bench")
        ->json();
    foreach (
        [
            'per_finished',
            'per_wanted',
            'nursery_per_plant',
            'keep',
            'cash_now',
            'kwh',
            'cost',
            'fill_cost',
            'hours',
            'implied_wage',
            'filled',
            'p_all_enough',
            'crowded_days',
            ...array_keys(array_filter($state['result']['setups'][0]['heads'])),
        ] as $figure
    ) {
        $working = $this->getJson("/api/seasons/{$season->id}/setups/bench/workings/{$figure}")
            ->assertOk()
            ->json();
        expect($working['rule'])->not->toBe('')->and($working['terms'])->not->toBe([], $figure);
        $shown = $state['result']['setups'][0][$figure] ?? ($state['result']['setups'][0]['heads'][$figure] ?? null);
        is_numeric($shown) && expect((float) $working['value'])->toBeNear((float) $shown);
    }
    $crop = $state['result']['setups'][0]['crops'][0];
    foreach (
        ['g', 'seeds', 'p_enough', 'buy_cost', 'cost', 'per_finished', 'extra_cost', ...array_keys(array_filter($crop['heads']))] as $figure
    ) {
        $working = $this->getJson("/api/seasons/{$season->id}/setups/bench/workings/{$figure}?crop={$crop['id']}")
            ->assertOk()
            ->json();
        expect($working['value'])
            ->toBeNear($crop[$figure] ?? $crop['heads'][$figure], 1e-9)
            ->and($working['terms'])
            ->not->toBe([]);
    }
    foreach ($state['result']['setups'][0]['crops'] as $crop) {
        $line = $state['pictures']['bench']['crops'][$crop['id']]['line'] + [
            'keep' => $state['pictures']['bench']['crops'][$crop['id']]['till']['keep'],
        ];
        foreach (['nursery_each', 'keep', 'saves'] as $figure) {
            $answer = $this->getJson("/api/seasons/{$season->id}/setups/bench/workings/{$figure}?crop={$crop['id']}");
            $line[$figure] === null ? $answer->assertNotFound() : expect($answer->json('value'))->toBeNear($line[$figure]);
        }
    }
});

it('begins a season with a list, and says what has to be asked and what is guessed', function () {
    $user = account();
    $read = $this->actingAs($user)->postJson('/api/list', ['text' => "8 tomato\n2 rows of carrots\n3 whatsit", 'metric' => true])->assertOk()->json('lines');
    expect(array_column($read, 'name'))->toBe(['Tomato', 'Carrot', null])->and($read[0]['wanted'])->toBe(8)->and($read[0]['question'])->toBeNull()
        ->and($read[1]['question'])->toContain('A metre of a row')->and($read[2]['question'])->toContain('not in the catalogue');
    $answers = ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.21, 'have' => [], 'metric' => true];
    $made = $this->postJson('/api/seasons', $answers + ['list' => "8 tomato\n3 whatsit"])->assertCreated()->json();
    expect(array_column($made['asked'], 'text'))->toBe(['3 whatsit']);
    $season = $this->getJson("/api/seasons/{$made['id']}")->json('season');
    expect(array_column($season['crops'], 'wanted'))->toBe([8]);
    $setup = $season['setups'][0]['id'];
    $plain = $this->getJson("/api/seasons/{$made['id']}/setups/{$setup}/guesses")->assertOk()->json('guesses');
    $ranked = $this->getJson("/api/seasons/{$made['id']}/setups/{$setup}/guesses?ranked=1")->assertOk()->json('guesses');
    expect(count($plain))->toBe(count($ranked))->and(array_sum(array_column($plain, 'moves')))->toEqual(0)
        ->and($ranked[0]['moves'])->toBeGreaterThan(0);
    $this->getJson("/api/seasons/{$made['id']}/setups/none/guesses")->assertNotFound();
    $this->postJson('/api/seasons', $answers + ['list' => str_repeat('a', 20_001)])->assertStatus(422);
});

<?php

declare(strict_types=1);

use App\Models\User;
use Tests\Seasons;

it('makes seasons from the demo, from a file and from three answers', function () {
    [$user] = gardener();
    $this->actingAs($user);
    foreach (
        [
            ['from' => 'demo'],
            ['from' => 'demo', 'demo' => 'gullsend'],
            ['from' => 'file', 'text' => Seasons::json(Seasons::small())],
            ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.21, 'have' => ['led', 'saved_pots']],
        ] as $input
    ) {
        $id = $this->postJson('/api/seasons', $input)->assertStatus(201)->json('id');
        $this->getJson("/api/seasons/{$id}")->assertOk();
    }
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(5);
});

it('gives no two seasons one name', function () {
    [$user] = gardener();
    $this->actingAs($user);
    foreach ([1, 2, 3] as $_) {
        $this->postJson('/api/seasons', ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.21])->assertStatus(201);
    }
    $names = array_column($this->getJson('/api/seasons')->json('seasons'), 'name');
    expect(array_unique($names))->toHaveCount(4)->and($names)->toContain('Spring 2027', 'Spring 2027 (2)', 'Spring 2027 (3)');
});

it('moves the catalogue\'s prices with the currency, leaves one\'s own, and takes all of it back', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $id = $this->postJson('/api/seasons', ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.21, 'have' => ['led']])->json('id');
    $state = fn () => $this->getJson("/api/seasons/{$id}")->json('season');
    $price = fn (array $season, string $list, string $row, string $key) => array_column($season[$list], $key, 'id')[$row];
    $change = fn (array $changes) => $this->patchJson("/api/seasons/{$id}", ['changes' => $changes])->assertOk();
    $this->postJson("/api/seasons/{$id}/crops", ['text' => '6 lettuce'])->assertOk();
    $before = $state();
    $change([['path' => ['supplies', 'starter', 'pack_price'], 'from' => 8.49, 'to' => 3.0]]);
    $change([['path' => ['currency'], 'from' => 'USD', 'to' => 'JPY']]);
    $after = $state();
    expect($price($after, 'supplies', 'starter', 'pack_price'))->toEqual(3.0)
        ->and($price($after, 'lights', 'led-shop', 'price'))->toBeGreaterThan(2000)
        ->and($price($after, 'nursery', 'six', 'price') / 10)->toEqual(round($price($after, 'nursery', 'six', 'price') / 10));
    $this->postJson("/api/seasons/{$id}/undo")->assertOk();
    expect($price($state(), 'lights', 'led-shop', 'price'))->toEqual($price($before, 'lights', 'led-shop', 'price'));
});

it('says every fault of a file, and makes nothing of it', function (string $text, string $path) {
    [$user] = gardener();
    $answer = $this->actingAs($user)
        ->postJson('/api/seasons', ['from' => 'file', 'text' => $text])
        ->assertStatus(422);
    expect(array_column($answer->json('faults'), 'path'))
        ->toContain($path)
        ->and($this->getJson('/api/seasons')->json('seasons'))
        ->toHaveCount(1);
})->with([
    'no JSON' => ['{"format"', '$'],
    'two faults' => [
        fn () => Seasons::json(['confidence' => 3, 'crops' => [['wanted' => 0] + Seasons::small()['crops'][0]]] + Seasons::small()),
        '$.crops[0].wanted',
    ],
    'empty' => ['', 'text'],
]);

it('says what an answer can be, where it is given another', function (array $answers, string $says) {
    [$user] = gardener();
    $faults = $this->actingAs($user)
        ->postJson('/api/seasons', $answers + ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.21])
        ->assertStatus(422)
        ->json('faults');
    expect($faults[0]['problem'])->toContain($says);
})->with([
    'what nobody has' => [['have' => ['greenhouse']], 'led, old_lamp'],
    'no guess' => [['guessed' => ['crops']], 'electricity.rate'],
    'no beginning' => [['from' => 'nowhere'], 'demo, file, answers'],
    'no example' => [['from' => 'demo', 'demo' => 'june'], 'may'],
]);

it('counts an answer that was left to the program as a guess until it is typed over or said to be right', function () {
    $this->actingAs(account());
    $id = $this->postJson('/api/seasons', ['from' => 'answers', 'last_frost' => '2027-05-15', 'rate' => 0.18, 'have' => [],
        'guessed' => ['last_frost', 'electricity.rate'], 'list' => "12 tomatoes\n4 basil"])->assertStatus(201)->json('id');
    $setup = $this->getJson("/api/seasons/{$id}")->json('season.setups.0.id');
    $guessed = fn (): array => array_map(fn (array $one): string => implode('.', $one['path']),
        $this->getJson("/api/seasons/{$id}/setups/{$setup}/guesses")->assertOk()->json('guesses'));
    // Every date hangs on the frost, so it stands first.
    expect($guessed()[0])->toBe('last_frost')->and($guessed())->toContain('electricity.rate');
    $edit = fn (array $path, mixed $from, mixed $to) => $this->patchJson("/api/seasons/{$id}", ['changes' => [compact('path', 'from', 'to')]])->assertOk();
    $edit(['electricity', 'rate'], 0.18, 0.31);
    expect($guessed())->toContain('last_frost')->not->toContain('electricity.rate');
    $edit(['meta'], ['guess' => ['last_frost' => '2027-05-15', 'electricity.rate' => 0.18]], ['guess' => ['electricity.rate' => 0.18]]);
    expect($guessed())->not->toContain('last_frost')->not->toContain('electricity.rate');
});

it('refuses answers that cannot be', function (array $input) {
    [$user] = gardener();
    $this->actingAs($user)
        ->postJson('/api/seasons', $input + ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.2])
        ->assertStatus(422);
})->with([
    [['last_frost' => '2027-02-30']],
    [['rate' => -1]],
    [['rate' => 'cheap']],
    [['have' => ['rocket']]],
    [['from' => 'nowhere']],
    [['currency' => 'XTS']],
    [['currency' => 'KPW']],
]);

it('copies, puts away, deletes and has back', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $copy = $this->postJson("/api/seasons/{$season->id}/copy")
        ->assertStatus(201)
        ->json('id');
    expect($this->getJson("/api/seasons/{$copy}")->json('season.name'))->toBe('Plot 17, spring 2027, copy');
    $this->putJson("/api/seasons/{$copy}/archived", ['archived' => true])->assertNoContent();
    expect($this->getJson('/api/seasons')->json('seasons.1.archived'))->toBeTrue();
    $this->deleteJson("/api/seasons/{$season->id}")->assertNoContent();
    // RFC 9110, 15.5.11: there was one, and there is none any more.
    expect($this->getJson("/api/seasons/{$season->id}")->assertStatus(410)->json('detail'))->toContain('Plot 17, spring 2027');
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => ['year'], 'from' => 2027, 'to' => 2028]]])->assertStatus(410);
    $this->actingAs(User::query()->create(['trial' => true]))->getJson("/api/seasons/{$season->id}")->assertNotFound();
    $this->actingAs($user);
    $this->postJson("/api/seasons/{$season->id}/restore")->assertNoContent();
    $this->getJson("/api/seasons/{$season->id}")->assertOk();
});

it('gives a season out as a file that is the same season', function () {
    [$user, $season] = gardener();
    $file = $this->actingAs($user)
        ->get("/api/seasons/{$season->id}/file")
        ->assertOk();
    expect($file->headers->get('Content-Disposition'))
        ->toContain('plot-17-spring-2027.json')
        ->and(Seasons::read(json_decode((string) $file->getContent(), true)))
        ->toEqual(Seasons::read(Seasons::demo()));
});

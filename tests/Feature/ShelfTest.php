<?php

declare(strict_types=1);

use App\Models\Season;
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

it('hides everything of one person from any other', function (string $verb, string $path, array $input) {
    [, $season] = gardener();
    $this->actingAs(User::query()->create(['trial' => true]));
    $this->json($verb, "/api/seasons/{$season->id}{$path}", $input)->assertNotFound();
    expect(Season::query()->find($season->id)?->revision)->toBe(1);
})->with([
    ['GET', '', []],
    ['PATCH', '', ['changes' => [['path' => ['name'], 'from' => 'a', 'to' => 'b']]]],
    ['DELETE', '', []],
    ['POST', '/restore', []],
    ['POST', '/copy', []],
    ['PUT', '/archived', ['archived' => true]],
    ['GET', '/file', []],
    ['POST', '/undo', []],
    ['POST', '/redo', []],
    ['POST', '/crops', ['text' => '3 kale']],
    ['POST', '/lots', ['like' => 'egg']],
    ['POST', '/crops/copper-kettle/rounds', ['every_days' => 7, 'times' => 2]],
    ['PUT', '/crops/copper-kettle/sow', ['words' => 'nine for six', 'setup' => 'bench']],
    ['GET', '/setups/bench/crops/copper-kettle/choices', []],
    ['GET', '/setups/bench/workings/cost', []],
    ['POST', '/work', ['kind' => 'mix', 'setup' => 'bench']],
    ['GET', '/work/1', []],
    ['DELETE', '/work/1', []],
    ['GET', '/compare', []],
    ['POST', '/methods', ['school' => 'bed']],
    ['PUT', '/methods/blocks/survival', ['preset' => 'usual']],
    ['GET', '/setups/bench/methods/blocks/growth', []],
    ['GET', '/difference?from=bench&to=kit', []],
    ['PUT', '/setups/bench/crops/copper-kettle/bar', ['by' => 1]],
    ['GET', '/years?seasons=3', []],
    ['GET', '/setups/bench/bench', []],
    ['GET', '/setups/bench/pots', []],
    ['POST', '/things', ['list' => 'lights']],
    ['POST', '/setups', ['ready_made' => 'buy_it_all']],
    ['GET', '/setups/bench/calendar', []],
    ['GET', '/setups/bench/calendar.ics', []],
    ['PUT', '/setups/bench/feed', []],
    ['DELETE', '/setups/bench/feed', []],
    ['GET', '/setups/bench/shopping', []],
    ['GET', '/setups/bench/shopping.csv', []],
    ['PUT', '/purchases/token-0001', ['kind' => 'gear', 'thing' => 'x', 'name' => 'x', 'packs' => 1, 'paid' => 1, 'on' => '2027-03-01']],
    ['DELETE', '/purchases/token-0001', []],
    ['GET', '/setups/bench/ledger', []],
    ['GET', '/setups/bench/ledger.csv', []],
    ['GET', '/setups/bench/result.json', []],
    ['GET', '/setups/bench/workbook.xlsx', []],
    ['POST', '/workbook', ['file' => 'UEs=']],
    ['GET', '/setups/bench/prices', []],
    ['GET', '/setups/bench/leftovers', []],
    ['GET', '/setups/bench/seed-worth', []],
    ['GET', '/shed', []],
    ['POST', '/roll', ['setup' => 'bench']],
    ['GET', '/setups/bench/reckoning', []],
    ['POST', '/setups/bench/next', ['take' => []]],
    ['GET', '/setups/bench/today', []],
    ['GET', '/setups/bench/trays', []],
    ['PUT', '/setups/bench/trays', ['do' => 'keep']],
    ['GET', '/setups/bench/labels.pdf?sheet=a4_70x36', []],
    ['GET', '/setups/bench/crops/copper-kettle/sow-again?on=2027-04-21', []],
    ['GET', '/log', []],
    ['POST', '/log', ['entries' => [[]]]],
    ['GET', '/log.csv', []],
    ['POST', '/log/table', ['file' => '']],
    ['PUT', '/photos/picture-0001', ['on' => '2027-04-21', 'image' => 'x']],
    ['GET', '/photos/picture-0001', []],
    ['DELETE', '/photos/picture-0001', []],
    ['GET', '/setups/bench/devices', []],
    ['POST', '/devices', ['name' => 'M', 'kind' => 'meter', 'list' => 'lights', 'thing' => 'led']],
    ['DELETE', '/devices/1', []],
]);

it('has a test of another person\'s 404 for every route of a season', function () {
    $tested = 64;
    $routes = array_filter(
        iterator_to_array(app('router')->getRoutes()),
        fn ($route) => str_starts_with($route->uri(), 'api/seasons/{season}'),
    );
    expect(count($routes))->toBe($tested);
});

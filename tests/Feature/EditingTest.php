<?php

declare(strict_types=1);

use App\Seasons\SeasonShelf;
use Illuminate\Support\Facades\Cache;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SeasonSchema;

/** @return array<string, mixed> */
function change(array $path, mixed $from, mixed $to): array
{
    return [
        'changes' => [['path' => $path, 'from' => $from, 'to' => $to]],
        'label' => implode(' ', array_filter($path, is_string(...))),
        'setup' => 'bench',
    ];
}

/** The season without its revision. */
function document(object $test, int $id): array
{
    return $test->getJson("/api/seasons/{$id}?setup=bench")->json('season');
}

it('takes back and does again whatever was changed', function (array $path, mixed $from, mixed $to) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $before = document($this, $season->id);
    $this->patchJson("/api/seasons/{$season->id}", change($path, $from, $to))->assertOk();
    $after = document($this, $season->id);
    expect($after)->not->toEqual($before);
    $undone = $this->postJson("/api/seasons/{$season->id}/undo?setup=bench")->assertOk();
    expect($undone->json('season'))
        ->toEqual($before)
        ->and($undone->json('history.undo'))
        ->toBeNull()
        ->and($undone->json('history.redo'))
        ->not->toBeNull();
    expect($this->postJson("/api/seasons/{$season->id}/redo?setup=bench")->json('season'))
        ->toEqual($after)
        ->and($this->postJson("/api/seasons/{$season->id}/undo?setup=bench")->json('season'))
        ->toEqual($before);
})->with([
    'a number' => [['lights', 'led', 'hours_per_day'], 16, 12],
    'a date' => [['last_frost'], '2027-05-28', '2027-05-20'],
    'a split' => [['crops', 'copper-kettle', 'split'], null, ['keep' => 4, 'give' => 2, 'sell' => 0]],
    'a stage' => [['methods', 'cells-pots', 'stages', 1, 'days'], 18, 20],
    'an override' => [['setups', 'bench', 'overrides', 'ink-pot'], null, 'blocks'],
    'days to sow on, where the season keeps nothing of the kind' => [['meta'], null, ['habits' => ['sow_days' => [6], 'away' => []]]],
    'a guess that is right, where the lamp says nothing of guesses' => [['lights', 'led', 'meta'], null, ['known' => ['watts']]],
    'a packet to own seed' => [['seed_lots', 'egg', 'test'], null, ['sown' => 20, 'sprouted' => 17]],
]);

it('tells whoever knows the season before only what a change did to it', function (array $path, mixed $to, array $keys) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $known = document($this, $season->id);
    $revision = $season->fresh()->revision;
    $from = array_reduce($path, fn (array $at, string $key): mixed => $at[$key] ?? array_column($at, null, 'id')[$key] ?? null, $known);
    $url = "/api/seasons/{$season->id}";
    $answer = $this->patchJson($url, [...change($path, $from, $to), 'knows' => $revision])->assertOk()->json();
    expect($answer)->not->toHaveKey('season')->and($answer['part']['since'])->toBe($revision)
        ->and(array_keys($answer['part']['keys']))->toEqualCanonicalizing($keys);
    expect([...$known, ...$answer['part']['keys']])->toEqual(document($this, $season->id));
    // Who knows another revision, or says nothing, gets the whole.
    foreach ([['knows' => $revision], ['knows' => $revision + 7], []] as $knows) {
        $again = $this->patchJson($url, [...change(['name'], 'Plot 17, spring 2027', 'Plot 18'), ...$knows])->assertOk();
        expect($again->json())->not->toHaveKey('part')->and($again->json('season.name'))->toBe('Plot 18');
    }
})->with([
    'a number' => [['lights', 'led', 'hours_per_day'], 12, ['lights']],
    'a feed that is given up' => [['feed'], null, ['feed']],
    'a crop taken out, with what is said of it elsewhere' => [['crops', 'copper-kettle'], null, ['crops', 'setups']],
    'a lamp taken out of its set-ups too' => [['lights', 'led'], null, ['lights', 'setups']],
]);

it('undoes the newest of several steps first, and does the oldest of the undone again first', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $hours = fn (): mixed => array_column(document($this, $season->id)['lights'], 'hours_per_day', 'id')['led'];
    $url = "/api/seasons/{$season->id}";
    foreach ([[16, 12], [12, 11], [11, 10]] as [$from, $to]) {
        $this->patchJson($url, hoursOfLed($from, $to))->assertOk();
    }
    foreach ([['undo', 11], ['undo', 12], ['undo', 16], ['redo', 12], ['redo', 11], ['undo', 12]] as [$step, $then]) {
        $this->postJson("{$url}/{$step}")->assertOk();
        expect($hours())->toEqual($then, $step);
    }
});

it('takes a crop out with what a set-up said of it, and puts it back in its place', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $before = document($this, $season->id);
    $row = array_column($before['crops'], null, 'id')['glasshouse-bib'];
    $this->patchJson("/api/seasons/{$season->id}", change(['crops', 'glasshouse-bib'], $row, null))->assertOk();
    $without = document($this, $season->id);
    expect(array_column($without['crops'], 'id'))
        ->not->toContain('glasshouse-bib')
        ->and($without['setups'][0]['overrides'])
        ->not->toHaveKey('glasshouse-bib');
    expect($this->postJson("/api/seasons/{$season->id}/undo?setup=bench")->json('season'))->toEqual($before);
});

it('forgets what was taken back once something else is changed', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->patchJson("/api/seasons/{$season->id}", change(['confidence'], 0.9, 0.8));
    $this->postJson("/api/seasons/{$season->id}/undo");
    $this->patchJson("/api/seasons/{$season->id}", change(['year'], 2027, 2028));
    $answer = $this->postJson("/api/seasons/{$season->id}/redo?setup=bench")->assertOk();
    expect($answer->json('history'))
        ->toBe(['undo' => 'year', 'redo' => null])
        ->and($answer->json('season.confidence'))
        ->toBe(0.9);
});

it('shows both values where two windows changed the same, and takes the choice', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'led', 'hours_per_day'], 16, 12))->assertOk();
    $conflict = $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'led', 'hours_per_day'], 16, 10))
        ->assertStatus(409)
        ->json('conflicts.0');
    expect($conflict)->toEqual(['path' => ['lights', 'led', 'hours_per_day'], 'was' => 16, 'theirs' => 12.0, 'yours' => 10, 'gone' => false]);
    $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'led', 'hours_per_day'], $conflict['theirs'], 10))->assertOk();
    // Two windows that change different things do not disturb each other.
    $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'led', 'watts'], 42, 40))->assertOk();
});

it('says that what was changed is gone, where another window took it out', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $crop = array_column(document($this, $season->id)['crops'], null, 'id')['copper-kettle'];
    $this->patchJson("/api/seasons/{$season->id}", change(['crops', 'copper-kettle'], $crop, null))->assertOk();
    $conflicts = $this->patchJson("/api/seasons/{$season->id}", change(['crops', 'copper-kettle', 'wanted'], 6, 9))->assertStatus(409)->json('conflicts');
    expect(array_column($conflicts, 'gone'))->toBe([true]);
    // A row that somebody else took out is out; that is no conflict.
    $this->patchJson("/api/seasons/{$season->id}", change(['crops', 'copper-kettle'], $crop, null))->assertOk();
});

it('adds a pasted list, says what it did not understand, and undoes all of it at once', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $before = document($this, $season->id);
    $answer = $this->postJson("/api/seasons/{$season->id}/crops", [
        'text' => "8 sweet pepper, 6 paste tomato\n3 moonfruit",
        'setup' => 'bench',
    ])->assertOk();
    expect($answer->json('asked.*.text'))
        ->toBe(['3 moonfruit'])
        ->and($answer->json('asked.0.question'))
        ->toContain('not in the catalogue')
        ->and($answer->json('asked.0.nearest'))
        ->toHaveCount(3)
        ->and($answer->json('season.crops'))
        ->toHaveCount(14)
        ->and($answer->json('result.setups.0.crops.13.grown'))
        ->toBeTrue();
    expect($this->postJson("/api/seasons/{$season->id}/undo?setup=bench")->json('season'))->toEqual($before);
});

it('says how much to sow in words, with the odds as the answer', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $state = $this->putJson("/api/seasons/{$season->id}/crops/copper-kettle/sow", ['words' => 'nine for six', 'setup' => 'bench'])
        ->assertOk()
        ->json();
    $crop = $state['result']['setups'][0]['crops'][0];
    expect($state['season']['crops'][0]['sow'])
        ->toBe(['method' => 'cells-pots', 'sites' => 9])
        ->and($crop['sites'])
        ->toBe(9)
        ->and($crop['p_enough'])
        ->toBeLessThan(0.99);
    expect(
        $this->putJson("/api/seasons/{$season->id}/crops/copper-kettle/sow", ['words' => 'lots', 'setup' => 'bench'])
            ->assertStatus(422)
            ->json('detail'),
    )->toContain('nine for six');
    expect(
        $this->putJson("/api/seasons/{$season->id}/crops/copper-kettle/sow", ['words' => 'by rule', 'setup' => 'bench'])->json(
            'season.crops.0.sow',
        ),
    )->toBeNull();
    $this->putJson("/api/seasons/{$season->id}/crops/copper-kettle/sow", ['words' => 'nine', 'setup' => 'nursery'])->assertStatus(422);
});

it('repeats a crop in rounds', function () {
    [$user, $season] = gardener();
    $crops = $this->actingAs($user)
        ->postJson("/api/seasons/{$season->id}/crops/glasshouse-bib/rounds", ['every_days' => 14, 'times' => 3, 'setup' => 'bench'])
        ->assertOk()
        ->json('season.crops');
    expect($crops)
        ->toHaveCount(15)
        ->and(array_column(array_slice($crops, -3), 'plant_out_offset_days'))
        ->toBe([-14, 0, 14]);
    $this->postJson("/api/seasons/{$season->id}/crops/glasshouse-bib/rounds", ['every_days' => 0, 'times' => 3])->assertStatus(422);
    $this->postJson("/api/seasons/{$season->id}/crops/nothing/rounds", ['every_days' => 7, 'times' => 3])->assertNotFound();
});

it('puts a fresh packet beside the one in the drawer', function () {
    [$user, $season] = gardener();
    $lots = array_column(
        $this->actingAs($user)
            ->postJson("/api/seasons/{$season->id}/lots", ['like' => 'tom-sauce'])
            ->assertOk()
            ->json('season.seed_lots'),
        null,
        'id',
    );
    $old = collect($season->document->seed_lots)->firstWhere('id', 'tom-sauce');
    expect($lots['tom-sauce-fresh'])->toMatchArray([
        'packed_for' => 2027,
        'packets_owned' => 0,
        'test' => null,
        'species' => $old->species,
        'variety' => $old->variety,
    ]);
    $this->postJson("/api/seasons/{$season->id}/lots", ['like' => 'none'])->assertNotFound();
});

it('costs the other ways of a crop, with the cautions that go with it', function () {
    [$user, $season] = gardener();
    $choices = $this->actingAs($user)
        ->getJson("/api/seasons/{$season->id}/setups/bench/crops/red-whistle/choices")
        ->assertOk()
        ->json();
    expect(array_column($choices['methods'], 'id'))
        ->toContain('cells-pots')
        ->not->toContain('nursery')
        ->and($choices['lots'])
        ->toHaveCount(2)
        ->and(array_column($choices['cautions'], 'id'))
        ->toContain('electricity')
        ->toContain('boiling_water');
});

it('says of each number in a working where it came from', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $id = $this->postJson('/api/seasons', ['from' => 'answers', 'last_frost' => '2027-05-10', 'rate' => 0.21, 'have' => []])->json('id');
    $state = $this->postJson("/api/seasons/{$id}/crops", ['text' => '6 tomato'])->json();
    $setup = 'trays-led-mat';
    $origins = fn (string $figure): array => array_column(
        $this->getJson("/api/seasons/{$id}/setups/{$setup}/workings/{$figure}?crop=tomato")
            ->assertOk()
            ->json('terms'),
        'origin',
        'label',
    );
    expect($origins('g')['alive when fresh'])->toBe('catalogue')->and($origins('light_power')['price of a kWh'])->toBe('you');
    $lot = $state['season']['seed_lots'][0]['id'];
    $this->patchJson("/api/seasons/{$id}", [
        'changes' => [
            ['path' => ['species', 'tomato', 'fresh_germination'], 'from' => 0.92, 'to' => 0.9],
            ['path' => ['seed_lots', $lot, 'test'], 'from' => null, 'to' => ['sown' => 20, 'sprouted' => 17]],
        ],
    ])->assertOk();
    expect($origins('g'))->toMatchArray(['alive when fresh' => 'you', 'your test: came up' => 'test']);
    $source = collect($this->getJson("/api/seasons/{$id}/setups/{$setup}/workings/lights?crop=tomato")->json('terms'))->firstWhere(
        'origin',
        'catalogue',
    )['source'];
    expect($source)->toContain('memory');
});

it('takes the strange and refuses the impossible', function (array $path, mixed $from, mixed $to, int $status) {
    [$user, $season] = gardener();
    $this->actingAs($user)
        ->patchJson("/api/seasons/{$season->id}", change($path, $from, $to))
        ->assertStatus($status);
})->with([
    'wanted 0' => [['crops', 'copper-kettle', 'wanted'], 6, 0, 422],
    'a packet of no seeds' => [['seed_lots', 'egg', 'seeds_per_packet'], 20, 0, 422],
    'a frost on 29 February of no leap year' => [['last_frost'], '2027-05-28', '2027-02-29', 422],
    'a frost on 29 February' => [['last_frost'], '2027-05-28', '2028-02-29', 422],
    'a frost after the autumn\'s' => [['last_frost'], '2027-05-28', '2027-09-20', 422],
    'a frost long ago' => [['last_frost'], '2027-05-28', '1999-05-28', 422],
    'a frost two centuries off' => [['first_frost'], '2027-09-20', '0202-09-20', 422],
    'a frost nine centuries on' => [['first_frost'], '2027-09-20', '2927-09-20', 422],
    'a rate too small to divide by' => [['discount_rate'], 0, 1e-17, 422],
    'the smallest rate' => [['discount_rate'], 0, 0.0001, 200],
    'a rate beyond reason' => [['discount_rate'], 0, 0.6, 422],
    'prices of 0' => [['nursery', 'six', 'price'], 5.49, 0, 200],
    'a set-up without lamps' => [['setups', 'bench', 'lights'], ['led', 'led2'], [], 200],
    'everything bought' => [['setups', 'bench', 'method'], 'cells-pots', 'nursery', 200],
    'nothing can be bought' => [['crops', 'copper-kettle', 'nursery'], ['single', 'six'], [], 200],
    'yen' => [['currency'], 'USD', 'JPY', 200],
    'three decimals' => [['currency'], 'USD', 'KWD', 200],
    'a name of 200 letters, right to left, with markup' => [['seed_lots', 'egg', 'variety'], 'Ink Pot', str_repeat('<b>ש</b>', 25), 200],
]);

it('keeps every key of the format, with what a new row leaves to its default', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $bare = [
        'id' => 'lamp',
        'name' => 'Lamp',
        'place' => 'bench',
        'watts' => 20,
        'flats' => 1,
        'hours_per_day' => 14,
        'price' => 9,
        'life_seasons' => 5,
    ];
    $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'lamp'], null, $bare))->assertOk();
    $row = array_column(document($this, $season->id)['lights'], null, 'id')['lamp'];
    expect($row)
        ->toMatchArray([...$bare, 'on_at' => '06:00', 'owned' => false])
        ->toHaveKeys(['ppf_umol_s', 'lift_c']);
});

it('holds the limit of every list also where one row is added', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $document = $season->document;
    $most = SeasonSchema::get()->lists['setups']->maxItems;
    $document->setups = array_map(
        fn (int $n) => (object) ['id' => "way-{$n}", 'name' => "Way {$n}", 'method' => 'nursery'],
        range(1, $most),
    );
    $full = SeasonShelf::keep($user, $document);
    $answer = $this->patchJson(
        "/api/seasons/{$full->id}",
        change(['setups', 'more'], null, ['id' => 'more', 'name' => 'More', 'method' => 'nursery']),
    )->assertStatus(422);
    expect($answer->json('faults.0.path'))
        ->toBe('$.setups')
        ->and($answer->json('detail'))
        ->toContain("{$most} or fewer");
});

it('refuses what is no edit of a season', function (array $path, mixed $to) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $before = document($this, $season->id);
    $now = (fn (mixed $value) => $value)((new DocumentPath($path))->get($season->document));
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => $path, 'from' => $now, 'to' => $to]]])->assertStatus(422);
    expect(document($this, $season->id))->toEqual($before);
})->with([
    'an id' => [['lights', 'led', 'id'], 'other'],
    'an id that nothing names' => [['setups', 'kit', 'id'], 'other'],
    'a row under another id' => [
        ['lights', 'one'],
        [
            'id' => 'two',
            'name' => 'Two',
            'place' => 'bench',
            'watts' => 1,
            'flats' => 1,
            'hours_per_day' => 1,
            'price' => 1,
            'life_seasons' => 1,
        ],
    ],
    'a whole list' => [['lights'], []],
    'a row by its number' => [['lights', 0, 'watts'], 10],
    'a row that is no object' => [['lights', 'led'], 'lamp'],
    'one of a list of ids' => [['setups', 'bench', 'lights', 0], 'led2'],
    'the format' => [['version'], 2],
    'a key of its own' => [['lights', 'led', 'colour'], 'red'],
    'below a number' => [['confidence', 'x'], 1],
    'a part of meta' => [['meta', 'habits'], 1],
    'a stage by its name' => [['methods', 'cells-pots', 'stages', 'first', 'days'], 3],
]);

it('makes no step of setting what is there already', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $answer = $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'led', 'hours_per_day'], 16, 16))->assertOk();
    expect($answer->json('revision'))->toBe(1)->and($answer->json('history.undo'))->toBeNull();
});

it('keeps what plants are for in step with how many are wanted', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $crop = fn ($answer) => array_intersect_key($answer->assertOk()->json('season.crops.0'), ['wanted' => 0, 'split' => 0]);
    $path = fn (string $key) => ['crops', 'copper-kettle', $key];
    expect(
        $crop($this->patchJson("/api/seasons/{$season->id}", change($path('split'), null, ['keep' => 4, 'give' => 3, 'sell' => 2]))),
    )->toEqual(['split' => ['give' => 3, 'keep' => 4, 'sell' => 2], 'wanted' => 9]);
    expect($crop($this->patchJson("/api/seasons/{$season->id}", change($path('wanted'), 9, 7))))->toEqual([
        'split' => ['give' => 3, 'keep' => 2, 'sell' => 2],
        'wanted' => 7,
    ]);
    expect($crop($this->patchJson("/api/seasons/{$season->id}", change($path('wanted'), 7, 4))))->toEqual(['split' => null, 'wanted' => 4]);
    $this->patchJson("/api/seasons/{$season->id}", change($path('split'), null, ['keep' => 4, 'give' => 3, 'sell' => 2]))->assertOk();
    expect(
        $crop(
            $this->patchJson(
                "/api/seasons/{$season->id}",
                change($path('split'), ['keep' => 4, 'give' => 3, 'sell' => 2], ['keep' => 4, 'give' => 0, 'sell' => 0]),
            ),
        ),
    )->toEqual(['split' => null, 'wanted' => 4]);
    $this->patchJson("/api/seasons/{$season->id}", change($path('split'), null, ['keep' => -1, 'give' => 5, 'sell' => 0]))->assertStatus(
        422,
    );
});

it('says by how much a change moved the till', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $before = $this->getJson("/api/seasons/{$season->id}?setup=bench")->json('pictures.bench');
    $answer = $this->patchJson("/api/seasons/{$season->id}", change(['lights', 'led', 'hours_per_day'], 16, 8))->assertOk();
    $after = $answer->json('pictures.bench');
    foreach (['per_finished', 'difference', 'keep', 'cash_now', 'kwh'] as $figure) {
        expect($answer->json("moved.till.{$figure}"))->toBeNear($after['till'][$figure] - $before['till'][$figure], 1e-9);
    }
    expect($answer->json('moved.setup'))
        ->toBe('bench')
        ->and($answer->json('moved.till.per_finished'))
        ->toBeLessThan(0.0)
        ->and($answer->json('moved.crops.copper-kettle.per_finished'))
        ->toBeNear(
            $after['crops']['copper-kettle']['till']['per_finished'] - $before['crops']['copper-kettle']['till']['per_finished'],
            1e-9,
        );
});

it('says by how much the last of two changes moved the till, whether the one before is still known or not', function (bool $isKnown) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $tills = [$this->getJson("/api/seasons/{$season->id}?setup=bench")->json('pictures.bench')];
    foreach ([[16, 12], [12, 4]] as [$from, $to]) {
        $isKnown ?: Cache::store('array')->clear();
        $answer = $this->patchJson("/api/seasons/{$season->id}", hoursOfLed($from, $to) + ['setup' => 'bench'])->assertOk();
        $tills[] = $answer->json('pictures.bench');
        [$before, $after] = array_slice($tills, -2);
        expect($answer->json('moved.till.kwh'))->toEqualWithDelta($after['till']['kwh'] - $before['till']['kwh'], 1e-9)
            ->and($answer->json('moved.till.cash_now'))->toEqualWithDelta($after['till']['cash_now'] - $before['till']['cash_now'], 1e-9)
            ->and($answer->json('moved.crops'))->toHaveCount(count($after['crops']));
        foreach ($answer->json('moved.crops') as $crop => $moved) {
            $keep = fn (array $picture): float => $picture['crops'][$crop]['till']['keep'] ?? 0.0;
            expect($moved['keep'] ?? 0.0)->toEqualWithDelta($keep($after) - $keep($before), 1e-9);
        }
    }
    expect(abs($answer->json('moved.till.kwh')))->toBeGreaterThan(1.0);
})->with([true, false]);

it('asks what becomes of prices in other money, and takes the change back whole', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $price = fn (array $answer): float => (float) $answer['season']['seed_lots'][0]['packet_price'];
    $was = $this->getJson("/api/seasons/{$season->id}")->json();
    $put = fn (array $body) => $this->putJson("/api/seasons/{$season->id}/currency", $body + ['setup' => 'bench']);
    $put(['to' => 'ZZZ'])->assertStatus(422);
    $put(['to' => 'GBP', 'rate' => 0])->assertStatus(422);
    $converted = $put(['to' => 'GBP', 'rate' => 0.8])->assertOk()->json();
    expect($converted['season']['currency'])->toBe('GBP')->and($price($converted))->toBe(round(0.8 * $price($was), 2))
        ->and($converted['season']['electricity']['rate'])->toBe(round(0.8 * $was['season']['electricity']['rate'], 4));
    $back = $this->postJson("/api/seasons/{$season->id}/undo")->assertOk()->json();
    expect($back['season']['currency'])->toBe('USD')->and($back['season']['seed_lots'])->toBe($was['season']['seed_lots'])
        ->and($back['season']['electricity'])->toBe($was['season']['electricity']);
    $kept = $put(['to' => 'GBP', 'rate' => null])->assertOk()->json();
    expect($price($kept))->toBe($price($was))->and($kept['season']['currency'])->toBe('GBP');
});

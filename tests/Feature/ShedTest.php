<?php

declare(strict_types=1);

use App\Accounts\Garden;
use App\Models\Season;

it('rolls a season on by one confirmation, and back as if nothing had been', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->postJson('/api/shed', ['kind' => 'seed', 'name' => 'Long Fringe', 'amount' => 150, 'packed_for' => 2024, 'place' => 'tin, top shelf'])->assertOk();
    $before = $this->getJson('/api/shed')->json();
    $plain = fn (): array => json_decode((string) json_encode(Season::query()->find($season->id)->document), true);
    $document = $plain();
    $left = array_column(array_map(fn (array $one): array => ["{$one['kind']} {$one['id']}", $one], $this->getJson("/api/seasons/{$season->id}/setups/bench/leftovers")->assertOk()->json('leftovers')), 1, 0);
    expect($left['seed kale']['left'])->toEqual(136.0);

    $made = $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench', 'cracked' => ['container pot9' => 2]])->assertCreated()->json('id');
    $next = $this->getJson("/api/seasons/{$made}")->assertOk()->json('season');
    $shed = $this->getJson('/api/shed')->json();
    $items = array_column($shed['items'], null, 'name');
    expect($next['year'])->toBe(2028)->and(array_column($next['containers'], 'owned_units', 'id')['pot9'])->toBe(70)
        ->and($items['Long Fringe']['amount'])->toEqual(136.0)->and($items['Long Fringe']['place'])->toBe('tin, top shelf')->and($items['Long Fringe']['served'])->toBe(1)
        ->and($items['LED shop light, 4 ft']['amount'])->toEqual(1.0)
        ->and($this->getJson("/api/seasons/{$made}/shed")->json('offers'))->toBe([]);
    $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench'])->assertStatus(422);

    $this->deleteJson("/api/rolls/{$shed['rolled']['id']}")->assertOk();
    $this->getJson("/api/seasons/{$made}")->assertStatus(410);
    expect($this->getJson('/api/shed')->json())->toBe($before)->and($plain() == $document)->toBeTrue();
});

it('undoes a roll without touching what the roll did not change', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $put = fn (string $kind, string $name, float $amount, array $more = []) => $this
        ->postJson('/api/shed', [...compact('kind', 'name', 'amount'), ...$more])->assertOk();
    $put('seed', 'Long Fringe', 150, ['packed_for' => 2024]);
    $put('gear', 'Dibber', 1);
    $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench'])->assertCreated();
    $items = fn (): array => array_column($this->getJson('/api/shed')->json('items'), 'amount', 'name');
    expect($items()['Long Fringe'])->toEqual(136.0)->and($items())->toHaveKey('Perlite, 59 qt');
    // What comes after the roll: something new, a count by hand, something thrown out.
    $put('gear', 'Watering can', 2);
    $put('supply', 'Perlite, 59 qt', 3);
    $shed = $this->getJson('/api/shed')->json();
    $pots = array_column($shed['items'], 'id', 'name')['3.5 in pot'] ?? array_column(array_filter($shed['items'], fn (array $one): bool => $one['kind'] === 'container'), 'id')[0];
    $this->patchJson("/api/shed/{$pots}", ['gone' => 'cracked'])->assertOk();
    $undone = $this->deleteJson("/api/rolls/{$shed['rolled']['id']}")->assertOk()->json();
    $names = array_column($undone['stays'], 'name');
    expect($items())->toEqual(['Dibber' => 1.0, 'Long Fringe' => 150.0, 'Perlite, 59 qt' => 3.0, 'Watering can' => 2.0])
        ->and($names)->toHaveCount(2)->and($names)->toContain('Perlite, 59 qt')
        ->and($undone['gone'])->toHaveCount(1)
        ->and(array_column($undone['items'], 'served', 'name')['Long Fringe'])->toBe(0);
});

it('keeps an account\'s shed when a roll brought along from a trial garden is undone', function () {
    $account = account();
    $this->actingAs($account)->postJson('/api/shed', ['kind' => 'gear', 'name' => 'Barrow', 'amount' => 1]);
    $this->postJson('/api/shed', ['kind' => 'supply', 'name' => 'Perlite, 59 qt', 'amount' => 7]);
    [$trial, $season] = gardener();
    $this->actingAs($trial)->postJson('/api/shed', ['kind' => 'gear', 'name' => 'Dibber', 'amount' => 1]);
    $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench'])->assertCreated();
    app(Garden::class)->bringAlong($trial, $account);
    $this->actingAs($account);
    $shed = $this->getJson('/api/shed')->json();
    expect(array_column($shed['items'], 'amount', 'name'))->toMatchArray(['Barrow' => 1, 'Dibber' => 1, 'Perlite, 59 qt' => 7]);
    $undone = $this->deleteJson("/api/rolls/{$shed['rolled']['id']}")->assertOk()->json();
    expect(array_column($undone['items'], 'amount', 'name'))->toEqual(['Barrow' => 1, 'Dibber' => 1, 'Perlite, 59 qt' => 7]);
});

it('takes what was bought as there until it rolls on, and tells a season what the shed has', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->putJson("/api/seasons/{$season->id}/purchases/token-0001", ['kind' => 'supply', 'thing' => 'starter', 'name' => 'Seed-starting mix', 'packs' => 2, 'paid' => 16, 'on' => '2027-03-02'])->assertNoContent();
    expect($this->getJson('/api/shed')->json('bought.0'))->toMatchArray(['name' => 'Seed-starting mix', 'packs' => 2]);
    $this->postJson('/api/shed', ['kind' => 'supply', 'name' => 'Perlite, 59 qt', 'amount' => 25])->assertOk();
    $this->postJson('/api/shed', ['kind' => 'light', 'name' => 'LED shop light, 4 ft', 'amount' => 1])->assertOk();
    $offers = array_column($this->getJson("/api/seasons/{$season->id}/shed")->assertOk()->json('offers'), null, 'name');
    expect($offers['Perlite, 59 qt'])->toMatchArray(['path' => ['supplies', 'perlite', 'in_stock'], 'now' => 10, 'shed' => 25])
        ->and($offers['LED shop light, 4 ft']['to'])->toBeTrue();
});

it('knows a thing of the season in the shed however it was spelled, and says where a season has not begun', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->postJson('/api/shed', ['kind' => 'supply', 'name' => 'perlite 59 QT', 'amount' => 25])->assertOk();
    expect($this->getJson("/api/seasons/{$season->id}/shed")->json('offers.0.path'))->toBe(['supplies', 'perlite', 'in_stock']);
    $leftovers = "/api/seasons/{$season->id}/setups/bench/leftovers";
    expect($this->getJson($leftovers)->assertOk()->json('begun'))->toBeFalse();
    $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [['id' => 'entry-0001', 'on' => '2027-04-08', 'at' => '2027-04-08T09:00:00Z', 'kind' => 'note',
        'note' => 'first day']]])->assertOk();
    expect($this->getJson($leftovers)->json('begun'))->toBeTrue();
});

it('leaves a count made by hand as it is, unless something was used or bought later', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $left = function (string $kind, string $id) use ($season): array {
        $all = $this->getJson("/api/seasons/{$season->id}/setups/bench/leftovers")->json('leftovers');

        return array_values(array_filter($all, fn (array $one): bool => [$one['kind'], $one['id']] === [$kind, $id]))[0];
    };
    $write = fn (string $id, string $on, array $more) => $this->postJson("/api/seasons/{$season->id}/log", ['entries' => [
        ['id' => $id, 'on' => $on, 'at' => "{$on}T09:00:00Z", ...$more]]])->assertOk();
    $crop = $season->document->crops[0];
    $lot = $left('seed', $crop->lot);
    $this->travelTo('2027-02-01');
    $seed = ['kind' => 'seed', 'name' => $lot['name'], 'amount' => 17, 'packed_for' => $lot['packed_for']];
    $this->postJson('/api/shed', $seed)->assertOk();
    // Before the season has begun it says nothing of what the season will leave.
    expect($left('seed', $crop->lot)['left'])->toEqual($lot['left']);
    $write('entry-0001', '2027-04-08', ['kind' => 'sown', 'crop' => $crop->id, 'count' => 4, 'seeds' => 4]);
    expect($left('seed', $crop->lot)['known'])->not->toBe('counted');
    $this->travelTo('2027-06-01');
    $this->postJson('/api/shed', $seed)->assertOk();
    expect($left('seed', $crop->lot))->toMatchArray(['left' => 17, 'known' => 'counted']);
    // What was thrown out since is no count any more.
    $item = array_column($this->getJson('/api/shed')->json('items'), 'id', 'name')[$lot['name']];
    $this->patchJson("/api/shed/{$item}", ['gone' => 'mouldy'])->assertOk();
    expect($left('seed', $crop->lot)['known'])->not->toBe('counted');
    $this->patchJson("/api/shed/{$item}", ['back' => true])->assertOk();
    // Another crop's sowing uses no seed of this packet; its own does.
    $write('entry-0002', '2027-06-20', ['kind' => 'note', 'note' => 'hot']);
    expect($left('seed', $crop->lot)['known'])->toBe('counted');
    $write('entry-0003', '2027-06-21', ['kind' => 'sown', 'crop' => $crop->id, 'count' => 2, 'seeds' => 2]);
    expect($left('seed', $crop->lot)['known'])->toBe('logged');
    $this->travelTo('2027-07-01');
    $this->postJson('/api/shed', $seed)->assertOk();
    $pots = $left('container', 'pot9');
    $this->postJson('/api/shed', ['kind' => 'container', 'name' => $pots['name'], 'amount' => 50])->assertOk();
    expect($left('container', 'pot9')['left'])->toEqual(50);
    $made = $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench', 'cracked' => ['container pot9' => 2]])->assertCreated()->json('id');
    $next = $this->getJson("/api/seasons/{$made}")->json('season');
    expect(array_column($next['containers'], 'owned_units', 'id')['pot9'])->toEqual(48)
        ->and(array_column($this->getJson('/api/shed')->json('items'), 'amount', 'name')[$lot['name']])->toEqual(17);
});

it('keeps tests with their days, and what was thrown out can come back', function () {
    [$user] = gardener();
    $this->actingAs($user);
    $id = $this->postJson('/api/shed', ['kind' => 'seed', 'name' => 'Old Leek', 'amount' => 40, 'packed_for' => 2023])->json('items.0.id');
    $item = $this->patchJson("/api/shed/{$id}", ['test' => ['on' => '2027-01-20', 'sown' => 10, 'sprouted' => 4]])->assertOk()->json('items.0');
    expect($item['tests'])->toEqual([['on' => '2027-01-20', 'sown' => 10, 'sprouted' => 4]])->and($item['amount'])->toEqual(30.0);
    $this->patchJson("/api/shed/{$id}", ['test' => ['on' => '2027-01-20', 'sown' => 10, 'sprouted' => 11]])->assertStatus(422);
    $this->patchJson("/api/shed/{$id}", ['amount' => -1])->assertStatus(422);
    expect($this->patchJson("/api/shed/{$id}", ['gone' => 'too old'])->json('items'))->toBe([])
        ->and($this->patchJson("/api/shed/{$id}", ['back' => true])->json('items.0.name'))->toBe('Old Leek');
});

it('says what old seed is worth, in the season', function () {
    [$user, $season] = gardener();
    $lots = $this->actingAs($user)->getJson("/api/seasons/{$season->id}/setups/bench/seed-worth")->assertOk()->json('lots');
    expect(array_column($lots, 'lot'))->toBe(['kale', 'tom-sauce'])->and($lots[0]['age'])->toBe(3)->and($lots[0]['with_it'])->toBeGreaterThan(50);
});

it('shows and changes nothing of another shed', function () {
    [$user, $season] = gardener();
    [$other] = gardener();
    $id = $this->actingAs($user)->postJson('/api/shed', ['kind' => 'gear', 'name' => 'Dibber', 'amount' => 1])->json('items.0.id');
    $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench'])->assertCreated();
    $roll = $this->getJson('/api/shed')->json('rolled.id');
    $this->actingAs($other);
    expect($this->getJson('/api/shed')->json('items'))->toBe([]);
    $this->patchJson("/api/shed/{$id}", ['amount' => 5])->assertNotFound();
    $this->deleteJson("/api/rolls/{$roll}")->assertNotFound();
    $this->postJson("/api/seasons/{$season->id}/roll", ['setup' => 'bench'])->assertNotFound();
});

it('offers seed of another year where the season has none of its own, with its year', function () {
    [$user, $season] = gardener();
    $lot = $season->document->seed_lots[0];
    $this->actingAs($user)->postJson('/api/shed', ['kind' => 'seed', 'name' => mb_strtoupper($lot->variety), 'amount' => 12, 'packed_for' => 2024])->assertOk();
    $this->postJson('/api/shed', ['kind' => 'seed', 'name' => $lot->variety, 'amount' => 20, 'packed_for' => 2025])->assertOk();
    $this->postJson('/api/shed', ['kind' => 'seed', 'name' => $lot->variety, 'amount' => 0, 'packed_for' => 2026])->assertOk();
    $set = fn (float $packets) => $this->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => ['seed_lots', $lot->id, 'packets_owned'],
        'from' => $season->refresh()->document->seed_lots[0]->packets_owned ?? null, 'to' => $packets]]])->assertOk();
    $offer = fn (): array => array_values(array_filter($this->getJson("/api/seasons/{$season->id}/shed")->json('offers'),
        fn (array $one): bool => $one['path'][1] === $lot->id));
    $set(0.0);
    expect($offer())->toHaveCount(1)->and($offer()[0]['name'])->toBe("{$lot->variety}, packed for 2025")->and($offer()[0]['shed'])->toEqual(20)
        ->and($offer()[0]['also'])->toBe([['path' => ['seed_lots', $lot->id, 'packed_for'], 'to' => 2025]])
        ->and($offer()[0]['to'])->toEqualWithDelta(20 / $lot->seeds_per_packet, 1e-4);
    // With seed of its own, older seed is not put in its place.
    $set(1.0);
    expect($offer())->toBe([]);
});

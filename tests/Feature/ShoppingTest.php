<?php

declare(strict_types=1);

use App\Models\Purchase;

/** @return array<string, mixed> */
function ofStarter(array $changed = []): array
{
    return [...['kind' => 'supply', 'thing' => 'starter', 'name' => 'Seed-starting mix', 'packs' => 1, 'paid' => 7.49, 'on' => '2027-03-02', 'shop' => 'Corner'], ...$changed];
}

it('keeps what was bought once, however often it is sent, and takes it back', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $url = "/api/seasons/{$season->id}";
    $before = $this->getJson("{$url}/setups/bench/shopping")->assertOk()->json('shopping');
    foreach ([1, 2, 3] as $_) {
        $this->putJson("{$url}/purchases/token-0001", ofStarter())->assertNoContent();
    }
    $state = $this->getJson("{$url}/setups/bench/shopping")->json();
    $item = array_column($state['shopping']['items'], null, 'id')['starter'];
    expect($state['purchases'])->toHaveCount(1)
        ->and($state['shops'])->toBe(['Corner'])
        ->and($item['bought'])->toBe(1)->and($item['left'])->toBe(0)->and($item['paid'])->toBe(7.49)
        ->and($state['shopping']['paid'])->toBeNear(7.49)
        ->and($state['shopping']['planned'])->toBeNear($before['planned'])
        ->and($state['shopping']['over'])->toBeNear(7.49 - $item['planned']);
    // In the order in which things were bought, whichever was typed first.
    $this->putJson("{$url}/purchases/token-0002", ofStarter(['on' => '2027-02-20']))->assertNoContent();
    expect(array_column($this->getJson("{$url}/setups/bench/shopping")->json('purchases'), 'id'))->toBe(['token-0002', 'token-0001']);
    $this->deleteJson("{$url}/purchases/token-0002")->assertNoContent();
    $this->deleteJson("{$url}/purchases/token-0001")->assertNoContent();
    $this->deleteJson("{$url}/purchases/token-0001")->assertNoContent();
    expect($this->getJson("{$url}/setups/bench/shopping")->json('shopping'))->toBe($before);
});

it('refuses what cannot have been bought, in words', function (array $wrong, string $key) {
    [$user, $season] = gardener();
    $this->actingAs($user)->putJson("/api/seasons/{$season->id}/purchases/token-0001", ofStarter($wrong))
        ->assertStatus(422)->assertJsonPath('faults.0.path', $key);
})->with([
    [['packs' => 0], 'packs'],
    [['packs' => 1.5], 'packs'],
    [['paid' => -1], 'paid'],
    [['paid' => 'much'], 'paid'],
    [['on' => '2027-02-30'], 'on'],
    [['on' => '1999-02-03'], 'on'],
    [['kind' => 'house'], 'kind'],
    [['name' => ''], 'name'],
    [['name' => str_repeat('a', 201)], 'name'],
]);

it('shows and changes nothing of another garden', function () {
    [, $season] = gardener();
    [$other] = gardener();
    $this->actingAs($other);
    $this->getJson("/api/seasons/{$season->id}/setups/bench/shopping")->assertNotFound();
    $this->putJson("/api/seasons/{$season->id}/purchases/token-0001", ofStarter())->assertNotFound();
    expect(Purchase::query()->where('season_id', $season->id)->count())->toBe(0);
});

it('writes the list as a table that adds up, in which no text is a formula', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $this->putJson("/api/seasons/{$season->id}/purchases/token-0001", ofStarter(['thing' => 'x', 'kind' => 'gear', 'name' => '=HYPERLINK("x"),"y"']))->assertNoContent();
    $text = (string) $this->get("/api/seasons/{$season->id}/setups/bench/shopping.csv")->assertOk()->getContent();
    expect($text)->toStartWith("\u{FEFF}");
    $rows = array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\r\n", trim(substr($text, 3))));
    $head = array_shift($rows);
    $total = array_pop($rows);
    $column = fn (string $name): float => (float) array_sum(array_column($rows, array_search($name, $head, true)));
    expect($column('cost'))->toBeNear((float) $total[5], 1e-6)->and($column('paid'))->toBeNear((float) $total[8], 1e-6)
        ->and($column('still to pay'))->toBeNear((float) $total[10], 1e-6)
        ->and(array_column($rows, 2))->toContain('\'=HYPERLINK("x"),"y"');
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Season\Catalogue\Catalogue;

it('compares all set-ups in one size of coin, with the cheapest way of each crop and the advice', function () {
    [$user, $season] = gardener();
    $answer = $this->actingAs($user)
        ->getJson("/api/seasons/{$season->id}/compare")
        ->assertOk()
        ->json();
    $comparison = $answer['comparison'];
    $results = array_column($answer['result']['setups'], null, 'id');
    expect($answer['stacks']['coin'])
        ->toBe(0.05)
        ->and($comparison['advice']['setup'])
        ->toBe('saved')
        ->and(array_column($comparison['setups'], 'fair', 'id'))
        ->toMatchArray(['bench' => true, 'jugs' => false, 'nursery' => false]);
    foreach ($comparison['setups'] as $setup) {
        // As many coins as the price has, each of the same amount, credit taken off the top.
        $stack = $answer['stacks']['setups'][$setup['id']];
        $coins = array_sum(array_column($stack['groups'], 'coins')) - $stack['credit_coins'];
        expect($stack['coin'])
            ->toBe(0.05)
            ->and(abs($coins - $results[$setup['id']]['same_per_plant'] / 0.05))
            ->toBeLessThanOrEqual(0.5 + 1e-9)
            ->and($coins)
            ->toBeLessThanOrEqual(50);
    }
    // A crop's cheapest way is one that can be followed: it supplies the list and has room, if made to fit.
    $followed = array_column(array_filter($comparison['setups'], fn ($row) => $row['qualifies']), 'id');
    foreach ($comparison['cheapest'] as $cheapest) {
        expect($followed)->toContain($cheapest);
    }
    expect($followed)->not->toContain('jugs')->not->toContain('kit');
    // The jugs cannot supply the crop that nobody sells.
    expect(array_column($comparison['setups'], 'unsupplied', 'id')['jugs'])->toBe(['red-whistle']);
});

it('tells what makes two set-ups differ, largest first, adding up to the penny', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $difference = $this->getJson("/api/seasons/{$season->id}/difference?from=bench&to=blocks")
        ->assertOk()
        ->json();
    $by = array_column($difference['parts'], 'by');
    expect(round(array_sum($by), 2))->toBe(round($difference['total'], 2))->and(array_map(abs(...), $by))->toBe(
        (function () use ($by) {
            $sizes = array_map(abs(...), $by);
            rsort($sizes);

            return $sizes;
        })(),
    );
    $this->getJson("/api/seasons/{$season->id}/difference?from=bench&to=none")->assertNotFound();
});

it('adds every ready-made set-up, a copy, and mix and match, and takes each back', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $before = $this->getJson("/api/seasons/{$season->id}")->json('season');
    foreach (
        [
            ...array_map(fn (string $id) => ['ready_made' => $id], array_keys((new Catalogue())->setups())),
            ['copy' => 'bench'],
            ['work' => 'saved'],
        ] as $input
    ) {
        if (isset($input['work'])) {
            $work = $this->postJson("/api/seasons/{$season->id}/work", ['kind' => 'mix', 'setup' => $input['work']]);
            $input = ['work' => $work->assertStatus(202)->assertJsonPath('state', 'done')->json('id')];
        }
        $answer = $this->postJson("/api/seasons/{$season->id}/setups", $input)
            ->assertOk()
            ->json();
        expect($answer['result']['setups'][0]['id'])->toBe($answer['added']);
        expect($this->postJson("/api/seasons/{$season->id}/undo")->json('season'))->toEqual($before);
    }
    $this->postJson("/api/seasons/{$season->id}/setups", ['ready_made' => 'rocket'])->assertStatus(422);
});

it('goes over the years', function () {
    [$user, $season] = gardener();
    $years = $this->actingAs($user)
        ->getJson("/api/seasons/{$season->id}/years?seasons=5&price_rise=0.03")
        ->assertOk()
        ->json('setups');
    expect($years)->toHaveCount(7)->and($years[0]['seasons'])->toHaveCount(5);
    foreach (['seasons=0', 'seasons=11', 'seasons=3&price_rise=5'] as $query) {
        $this->getJson("/api/seasons/{$season->id}/years?{$query}")->assertStatus(422);
    }
});

it('puts a crowded set-up beside, made to fit, once, as bin/jolly fit does', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $compared = fn () => array_column($this->getJson("/api/seasons/{$season->id}/compare")->json('comparison.setups'), null, 'id');
    $fitted = $compared()['blocks']['fitted'];
    $added = $this->postJson("/api/seasons/{$season->id}/setups", ['fit' => 'blocks'])->assertOk()->json('added');
    expect($added)->toBe('blocks-fit');
    $results = array_column($this->getJson("/api/seasons/{$season->id}/compare")->json('result.setups'), null, 'id');
    expect($results['blocks-fit']['crowded_days'])->toBe(0)
        ->and($results['blocks-fit']['per_wanted'])->toEqualWithDelta($fitted['per_wanted'], 1e-9)
        ->and($compared()['blocks']['fitted'])->toBeNull();
    $this->postJson("/api/seasons/{$season->id}/setups", ['fit' => 'blocks'])->assertStatus(422);
    $this->postJson("/api/seasons/{$season->id}/setups", ['fit' => 'nowhere'])->assertStatus(404);
    $this->postJson("/api/seasons/{$season->id}/undo")->assertOk();
    expect($compared())->not->toHaveKey('blocks-fit');
});

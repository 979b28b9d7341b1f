<?php

declare(strict_types=1);

use App\Jobs\DoWork;
use App\Models\Purchase;
use App\Models\Season;
use App\Models\Work;
use App\Work\WorkKind;

/** @param  array<string, mixed>  $like */
function asks(Season $season, array $like = []): Work
{
    return Work::query()->create([...['user_id' => $season->user_id, 'season_id' => $season->id, 'revision' => $season->revision, 'kind' => 'advice',
        'setup' => 'bench', 'expected' => 0.5], ...$like]);
}

it('gives up what was asked of a season that has changed since', function () {
    [, $season] = gardener();
    $work = asks($season, ['revision' => $season->revision + 1]);
    (new DoWork(false))->handle();
    expect($work->refresh())->state->toBe('failed')->result->toBeNull();
});

it('gives up what a worker took that ended without a word, and asks again', function () {
    [$user, $season] = gardener();
    $lost = asks($season, ['state' => 'working']);
    $this->actingAs($user)->getJson("/api/seasons/{$season->id}/work/{$lost->id}")->assertJsonPath('state', 'working');
    $this->travel(3)->minutes();
    $this->getJson("/api/seasons/{$season->id}/work/{$lost->id}")->assertJsonPath('state', 'failed');
});

it('keeps a limit by what is paid and what is still to pay', function () {
    [, $season] = gardener();
    Purchase::query()->create(['season_id' => $season->id, 'token' => 'token-0001', 'kind' => 'supply', 'thing' => 'starter',
        'name' => 'Seed-starting mix', 'packs' => 1, 'paid' => '27.4900', 'bought_on' => '2027-03-02', 'shop' => '', 'note' => '']);
    $work = asks($season, ['kind' => 'budget', 'amount' => '90']);
    (new DoWork(false))->handle();
    $result = $work->refresh()->result;
    expect($work->state)->toBe('done')
        ->and($result->limit)->toBe(90.0)->and($result->paid)->toBe(27.49)->and($result->kept)->toBeTrue()
        ->and($result->after->cash)->toBeLessThanOrEqual(90.0 - 27.49)
        // A limit that leaves room is not saved on either.
        ->and($result->after->cash)->toBeGreaterThan(0.5 * (90.0 - 27.49));
});

it('expects a long list to take longer', function (WorkKind $kind) {
    expect($kind->expectedSeconds(200))->toBeGreaterThan(10 * $kind->expectedSeconds(12));
})->with(WorkKind::cases());

<?php

declare(strict_types=1);

use App\Models\LogRow;
use App\Models\Roll;
use App\Models\Season;
use App\Models\User;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonEditor;
use App\Shed\Rolls;
use App\Shed\Shed;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Plan\Editing\Change;
use JollyPenny\Core\Season\File\DocumentPath;

// Two connections to the same rows: what the second does in the midst of the first either waits or counts. Each fails without its lock.

/** The garden is committed, so that a second connection sees it, and deleted afterwards. */
beforeEach(function (): void {
    DB::rollBack();
    config(['database.connections.second' => [...config('database.connections.pgsql'), 'options' => []]]);
    DB::connection('second')->statement("SET lock_timeout = '400ms'");
    [$this->user, $this->season] = gardener();
});

afterEach(function (): void {
    DB::setDefaultConnection('pgsql');
    User::query()->whereKey($this->user->id)->delete();
    DB::purge('second');
});

/**
 * Does the second over a connection of its own as soon as the first has asked such a query.
 *
 * @return ?bool whether the second had to wait for the first; null where it never began
 */
function inTheMidst(string $query, callable $first, callable $second): ?bool
{
    $waited = null;
    $began = false;
    DB::listen(function (QueryExecuted $asked) use ($query, $second, &$waited, &$began): void {
        if ($began || $asked->connectionName !== 'pgsql' || ! str_starts_with($asked->sql, $query)) {
            return;
        }
        $began = true;
        DB::setDefaultConnection('second');
        try {
            $second();
            $waited = false;
        } catch (QueryException $e) {
            // 55P03, lock_not_available: PostgreSQL 15, appendix A.
            $waited = $e->getCode() === '55P03' ? true : throw $e;
        } finally {
            DB::setDefaultConnection('pgsql');
        }
    });
    $first();

    return $waited;
}

it('loses neither of two edits of one revision', function () {
    $hours = fn (float $to) => app(SeasonEditor::class)->apply(
        $this->season->id, [new Change(new DocumentPath(['lights', 'led', 'hours_per_day']), 16, $to)], 'hours',
    );
    $waited = inTheMidst('select * from "seasons"', fn () => $hours(12), fn () => $hours(10));
    $season = Season::query()->findOrFail($this->season->id);
    expect($waited)->toBeTrue()->and($season->revision)->toBe(2)
        ->and(array_column($season->document->lights, 'hours_per_day', 'id')['led'])->toEqual(12);
});

it('rolls a season on once, though asked twice at once', function () {
    $kept = KeptSeason::fromModel(Season::query()->findOrFail($this->season->id));
    $roll = fn () => app(Rolls::class)->roll($this->user, $kept, app(Shed::class)->leftovers($kept, $kept->file->setups[0]));
    $waited = inTheMidst('select * from "users"', $roll, $roll);
    expect($waited)->toBeTrue()->and(Roll::query()->where('user_id', $this->user->id)->count())->toBe(1)
        ->and(Season::query()->where('user_id', $this->user->id)->count())->toBe(2);
});

it('undoes a roll once, though asked twice at once', function () {
    $kept = KeptSeason::fromModel(Season::query()->findOrFail($this->season->id));
    app(Rolls::class)->roll($this->user, $kept, app(Shed::class)->leftovers($kept, $kept->file->setups[0]));
    $undo = fn () => app(Rolls::class)->undo($this->user, Roll::query()->where('user_id', $this->user->id)->firstOrFail());
    expect(inTheMidst('select * from "users"', $undo, $undo))->toBeTrue()->and(Roll::query()->where('user_id', $this->user->id)->count())->toBe(0);
});

it('keeps a log within its limit, and a correction that arrives beside the batch it corrects', function () {
    $entry = fn (string $id, array $more = []): array => [...['id' => $id, 'on' => '2027-04-21', 'at' => '2027-04-21T10:00:00Z', 'kind' => 'up',
        'crop' => 'copper-kettle', 'count' => 3], ...$more];
    $send = fn (array $entries) => $this->actingAs(User::query()->findOrFail($this->user->id))
        ->postJson("/api/seasons/{$this->season->id}/log", ['entries' => $entries]);
    $filler = array_map(fn (int $n): array => ['season_id' => $this->season->id, 'token' => sprintf('filler-%05d', $n), 'day' => '2027-04-20',
        'written_at' => '2027-04-20T10:00:00Z', 'kind' => 'note'], range(1, LogRow::MOST - 2));
    foreach (array_chunk($filler, 500) as $rows) {
        LogRow::query()->insert($rows);
    }
    $correction = $entry('correction-0001', ['count' => 2, 'corrects' => 'phone-one-00001', 'at' => '2027-04-21T10:05:00Z']);
    // Both find room for two; together they would be three.
    $second = null;
    inTheMidst('select count(*) as aggregate from "log_entries"', function () use ($send, $entry): void {
        expect($send([$entry('phone-one-00001'), $entry('phone-one-00002', ['kind' => 'note'])])->json('refused'))->toBe([]);
    }, function () use ($send, $correction, &$second): void {
        $second = $send([$correction])->status();
    });
    // It had to wait, and was told to come back.
    expect($second)->toBeGreaterThanOrEqual(500)->and(LogRow::query()->where('season_id', $this->season->id)->count())->toBe(LogRow::MOST);
    // Sent again with room for it, the correction stands in the place of what it corrects.
    LogRow::query()->where('season_id', $this->season->id)->where('token', 'filler-00001')->delete();
    expect($send([$correction])->json('refused'))->toBe([]);
    $standing = array_column(LogRow::book($this->season->id)->entries, 'count', 'id');
    expect($standing)->toHaveKey('correction-0001', 2)->not->toHaveKey('phone-one-00001');
});

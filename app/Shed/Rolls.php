<?php

declare(strict_types=1);

namespace App\Shed;

use App\Models\Roll;
use App\Models\Season;
use App\Models\ShedItem;
use App\Models\User;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonShelf;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Shed\Leftover;
use JollyPenny\Core\Living\Shed\NextSeason;

/** Rolls a season on into the next, and takes that back by undoing what the roll itself changed in the shed. */
final readonly class Rolls
{
    /**
     * The season ends: what is left goes into the shed with one more season's work, and the next season begins with it.
     *
     * @param  list<Leftover>  $leftovers
     */
    public function roll(User $user, KeptSeason $kept, array $leftovers): Season
    {
        return DB::transaction(function () use ($user, $kept, $leftovers): Season {
            // One at a time for a garden: two presses roll once.
            User::query()->whereKey($user->id)->lockForUpdate()->first();
            if (Roll::query()->where('season_id', $kept->model->id)->exists()) {
                throw ValidationException::withMessages(['setup' => "“{$kept->file->name}” was carried over already. Undo that first."]);
            }
            $moves = array_map(fn (Leftover $left): array => $this->store($user, $left), $leftovers);
            $made = SeasonShelf::add($user, NextSeason::begin($kept->model->document, $leftovers));
            Roll::query()->create(['user_id' => $user->id, 'season_id' => $kept->model->id, 'made_id' => $made->id, 'moves' => $moves]);

            return $made;
        });
    }

    /**
     * Undoes what the roll changed, puts the season it made into the bin, and leaves alone what was changed after it.
     *
     * @return list<array{name: string, why: string}> what stays as it is
     */
    public function undo(User $user, Roll $roll): array
    {
        return DB::transaction(function () use ($user, $roll): array {
            User::query()->whereKey($user->id)->lockForUpdate()->first();
            $stays = $roll->moves === null
                ? [['name' => 'The shed', 'why' => 'This roll was made by an older version, which did not note what it changed. Count the shed by hand.']]
                : array_values(array_filter(array_map(fn (array $move): ?array => self::moveBack($user, $move), $roll->moves)));
            Season::query()->where('user_id', $user->id)->whereKey($roll->made_id)->delete();
            $roll->delete();

            return $stays;
        });
    }

    /** @return array<string, mixed> the movement, as it is kept */
    private function store(User $user, Leftover $left): array
    {
        $item = ShedItem::query()->firstOrNew([
            'user_id' => $user->id, 'kind' => $left->kind, 'name' => $left->name, 'packed_for' => $left->packed_for ?? 0,
        ]);
        $before = $item->exists ? [...$item->only(['amount', 'gone_why']), 'gone_on' => $item->gone_on?->format('Y-m-d')] : null;
        $served = $left->served ? 1 : 0;
        $item->fill(['amount' => (string) round($left->left, 4), 'unit' => $left->unit, 'served' => ($item->served ?? 0) + $served,
            'gone_on' => null, 'gone_why' => ''])->save();

        return ['item' => $item->id, 'name' => $left->name, 'before' => $before, 'amount' => $item->amount, 'served' => $served];
    }

    /**
     * @param  array<string, mixed>  $move
     * @return ?array{name: string, why: string} where it stays as it is
     */
    private static function moveBack(User $user, array $move): ?array
    {
        $stays = fn (string $why): array => ['name' => $move['name'], 'why' => $why];
        /** @var ?ShedItem $item */
        $item = ShedItem::query()->where('user_id', $user->id)->find($move['item']);
        if ($item === null) {
            return $stays('It is not in the shed any more.');
        }
        $item->served = max(0, $item->served - (int) $move['served']);
        $isAsTheRollLeftIt = (float) $item->amount === (float) $move['amount'] && $item->gone_on === null;
        if ($isAsTheRollLeftIt && $move['before'] === null && $item->tests === [] && $item->place === '') {
            $item->delete();

            return null;
        }
        if ($isAsTheRollLeftIt && $move['before'] !== null) {
            $item->fill($move['before']);
        }
        $item->save();

        return $isAsTheRollLeftIt && $move['before'] !== null ? null : $stays('It was changed after the roll and stays as it is now.');
    }
}

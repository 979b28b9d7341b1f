<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\LogRow;
use App\Models\Season;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\File\SeasonWriter;
use stdClass;

/** A person's seasons as they stand on the shelf. */
final class SeasonShelf
{
    private const MOST = 200;

    private const MOST_WITH_DELETED = 600;

    /** So that a number has room behind it. */
    private const LONGEST_NAME = 190;

    /** Text of all of a garden's seasons. */
    private const MOST_BYTES = 50_000_000;

    /** @return list<array<string, mixed>> the last changed first, archived ones at the end */
    public static function lines(User $user): array
    {
        $lines = [];
        /** @var Season $season */
        foreach ($user->seasons()->orderByRaw('archived_at IS NOT NULL, updated_at DESC, id DESC')->get(Season::LINE) as $season) {
            $lines[] = [
                ...$season->only(['id', 'name', 'revision', 'year', 'last_frost', 'crops', 'plants', 'setups']),
                'changed_at' => $season->updated_at?->toIso8601String(),
                'archived' => $season->archived_at !== null,
            ];
        }

        return $lines;
    }

    /** @throws ValidationException where the shelf is full */
    public static function add(User $user, stdClass $document): Season
    {
        if ($user->seasons()->count() >= self::MOST || Season::withTrashed()->where('user_id', $user->id)->count() >= self::MOST_WITH_DELETED) {
            throw ValidationException::withMessages([
                'from' => 'There are '.self::MOST.' seasons here already, or many more among the deleted ones, which are cleared after 30 days.'
                    .' Delete one you no longer need.',
            ]);
        }

        // What lies in the bin takes room too, until it is cleared.
        $bytes = (int) Season::withTrashed()->where('user_id', $user->id)->selectRaw('coalesce(sum(octet_length(document::text)), 0) AS bytes')->value('bytes');
        if ($bytes > self::MOST_BYTES) {
            throw ValidationException::withMessages([
                'from' => 'Your garden holds '.
                    intdiv($bytes, 1_000_000).
                    ' MB, which is all there is room for. Delete a season you no longer need.',
            ]);
        }

        /** @var list<string> $names */
        $names = $user->seasons()->pluck('name')->all();
        $document->name = SeasonDraft::freeAmong($names, mb_substr(Cell::text($document->name), 0, self::LONGEST_NAME));

        return self::keep($user, $document);
    }

    /** Takes a document that has passed the core's checks. Its log goes to where several hands can write it. */
    public static function keep(User $user, stdClass $document): Season
    {
        $log = (new SeasonReader)->log($document);
        $document->log = [];

        return DB::transaction(function () use ($user, $document, $log): Season {
            $season = $user->seasons()->create(['document' => SeasonSchema::get()->complete($document)]);
            LogRow::add($season->id, $log);

            return $season;
        });
    }

    public static function copy(KeptSeason $kept): Season
    {
        /** @var User $user */
        $user = $kept->model->user()->firstOrFail();
        $document = (new SeasonWriter())->document($kept->file);
        $document->name = mb_substr($kept->file->name, 0, 190).', copy';

        return self::add($user, $document);
    }
}

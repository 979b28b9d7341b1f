<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Season\File\SeasonWriter;
use stdClass;

/** A person's seasons as they stand on the shelf. */
final class SeasonShelf
{
    private const MOST = 200;

    public function __construct(private readonly SeasonStore $store)
    {
    }

    /** @return list<array<string, mixed>> the last changed first, archived ones at the end */
    public function lines(User $user): array
    {
        $query = $user->seasons()
            ->select(['id', 'name', 'revision', 'year', 'last_frost', 'updated_at', 'archived_at'])
            ->selectRaw('(SELECT count(*) FROM crops WHERE crops.season_id = seasons.id) AS crops, (SELECT coalesce(sum(wanted), 0) FROM crops WHERE crops.season_id = seasons.id) AS plants, '
                .'(SELECT count(*) FROM setups WHERE setups.season_id = seasons.id) AS setups')
            ->orderByRaw('archived_at IS NOT NULL, updated_at DESC, id DESC');
        $lines = [];
        /** @var Season $season */
        foreach ($query->get() as $season) {
            $lines[] = ['id' => $season->id, 'name' => $season->name, 'revision' => $season->revision,
                'year' => (int) $season->getAttribute('year'), 'last_frost' => (string) $season->getAttribute('last_frost'),
                'crops' => (int) $season->getAttribute('crops'), 'plants' => (int) $season->getAttribute('plants'), 'setups' => (int) $season->getAttribute('setups'),
                'changed_at' => $season->updated_at?->toIso8601String(), 'archived' => $season->archived_at !== null];
        }

        return $lines;
    }

    public function add(User $user, stdClass $document): Season
    {
        if ($user->seasons()->count() >= self::MOST) {
            throw ValidationException::withMessages(['from' => 'There are '.self::MOST.' seasons here already. Delete one you no longer need.']);
        }

        return $this->store->import($user, $document);
    }

    public function copy(KeptSeason $kept): Season
    {
        /** @var User $user */
        $user = $kept->model->user()->firstOrFail();
        $document = (new SeasonWriter)->document($kept->file);
        $document->name = mb_substr($kept->file->name, 0, 190).', copy';

        return $this->add($user, $document);
    }
}

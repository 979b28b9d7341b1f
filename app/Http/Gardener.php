<?php

declare(strict_types=1);

namespace App\Http;

use App\Health\Standby;
use App\Models\Season;
use App\Models\User;
use App\Seasons\KeptSeason;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\GoneHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Who asks, and what is theirs: anything else is not found. */
final readonly class Gardener
{
    /** The revision of the season that whoever asks has seen. */
    public const REVISION = 'X-Revision';

    public function __construct(private Request $request)
    {
    }

    public function user(): User
    {
        $user = $this->request->user();

        return $user instanceof User ? $user : throw new NotFoundHttpException;
    }

    public function season(int $id): Season
    {
        return $this->theirs($id, ['*']);
    }

    /** That it is theirs, without its document: for what locks and reads it afterwards. */
    public function seasonId(int $id): int
    {
        return $this->theirs($id, ['id', 'revision', 'name', 'deleted_at'])->id;
    }

    /** @param  list<string>  $columns */
    private function theirs(int $id, array $columns): Season
    {
        $season = self::find($this->user()->id, $id, $columns);
        if (Standby::isReadNow() && ($season === null || $season->revision < (int) $this->request->header(self::REVISION))) {
            // The standby has not heard yet of what this page has seen.
            DB::setDefaultConnection('pgsql');
            $season = self::find($this->user()->id, $id, $columns);
        }
        $season ??= throw (new ModelNotFoundException)->setModel(Season::class, [$id]);

        return $season->trashed() ? throw new GoneHttpException("“{$season->name}” is deleted. You can have it back.") : $season;
    }

    /** @param  list<string>  $columns */
    private static function find(int $user, int $id, array $columns): ?Season
    {
        /** @var ?Season */
        return Season::withTrashed()->where('user_id', $user)->find($id, $columns);
    }

    public function kept(int $id): KeptSeason
    {
        return KeptSeason::fromModel($this->season($id));
    }
}

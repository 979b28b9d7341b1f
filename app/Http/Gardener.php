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
        $season = self::find($this->user()->id, $id);
        if (Standby::isReadNow() && ($season === null || $season->revision < (int) $this->request->header(self::REVISION))) {
            // The standby has not heard yet of what this page has seen.
            DB::setDefaultConnection('pgsql');
            $season = self::find($this->user()->id, $id);
        }
        $season ??= throw (new ModelNotFoundException)->setModel(Season::class, [$id]);

        return $season->trashed() ? throw new GoneHttpException("“{$season->name}” is deleted. You can have it back.") : $season;
    }

    private static function find(int $user, int $id): ?Season
    {
        /** @var ?Season */
        return Season::withTrashed()->where('user_id', $user)->find($id);
    }

    public function kept(int $id): KeptSeason
    {
        return KeptSeason::of($this->season($id));
    }
}

<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Season;
use App\Models\User;
use App\Seasons\KeptSeason;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\GoneHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Who asks, and what is theirs: anything else is not found. */
final readonly class Gardener
{
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
        /** @var Season $season */
        $season = Season::withTrashed()->where('user_id', $this->user()->id)->findOrFail($id);

        return $season->trashed() ? throw new GoneHttpException("“{$season->name}” is deleted. You can have it back.") : $season;
    }

    public function kept(int $id): KeptSeason
    {
        return KeptSeason::of($this->season($id));
    }
}

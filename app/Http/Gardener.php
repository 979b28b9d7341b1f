<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Season;
use App\Models\User;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonAssembler;
use Illuminate\Http\Request;
use JollyPenny\Core\Season\File\SeasonReader;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Who asks, and what is theirs: anything else is not found. */
final readonly class Gardener
{
    public function __construct(private Request $request, private SeasonAssembler $assembler)
    {
    }

    public function user(): User
    {
        $user = $this->request->user();

        return $user instanceof User ? $user : throw new NotFoundHttpException;
    }

    public function season(int $id): Season
    {
        /** @var Season */
        return $this->user()->seasons()->findOrFail($id);
    }

    public function kept(int $id): KeptSeason
    {
        $model = $this->season($id);
        $document = $this->assembler->document($model);

        return new KeptSeason($model, $document, (new SeasonReader)->trusted($document));
    }
}

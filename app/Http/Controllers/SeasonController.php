<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeSeasonRequest;
use App\Models\Season;
use App\Models\User;
use App\Seasons\SeasonAssembler;
use App\Seasons\SeasonEditor;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JollyPenny\Core\Costing\SeasonCosting;
use JollyPenny\Core\Pictures\SeasonPictures;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season as SeasonFile;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A person's seasons: the list, one season with its figures, and changes to it. */
final class SeasonController
{
    public function __construct(private readonly SeasonAssembler $assembler)
    {
    }

    public function index(Request $request): JsonResponse
    {
        return self::json(['seasons' => self::user($request)->seasons()->get(['id', 'name', 'revision'])->sortBy('id')->values()]);
    }

    public function show(Request $request, int $season): JsonResponse
    {
        /** @var Season $model */
        $model = self::user($request)->seasons()->findOrFail($season);
        $document = $this->assembler->document($model);

        return self::state($model, $document, (new SeasonReader)->trusted($document), $request->query('setup'));
    }

    public function update(ChangeSeasonRequest $request, SeasonEditor $editor, int $season): JsonResponse
    {
        /** @var Season $owned */
        $owned = self::user($request)->seasons()->findOrFail($season);
        [$model, $document, $file] = $editor->apply($owned->id, $request->changes());

        return self::state($model, $document, $file, $request->input('setup'));
    }

    /** The season as it is kept, with the figures of one set-up, or of all. */
    private static function state(Season $model, stdClass $document, SeasonFile $season, mixed $setup): JsonResponse
    {
        if ($setup !== null && ! in_array($setup, array_column($season->setups, 'id'), true)) {
            throw new NotFoundHttpException;
        }
        $result = (new SeasonCosting($season))->result(is_string($setup) ? $setup : null);

        return self::json(['id' => $model->id, 'revision' => $model->revision, 'season' => $document, 'result' => $result,
            'pictures' => (object) SeasonPictures::of($result['setups'], $season)]);
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new NotFoundHttpException;
    }

    private static function json(mixed $data): JsonResponse
    {
        $response = new JsonResponse($data);
        $response->setEncodingOptions(JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);

        return $response;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Season;
use App\Models\User;
use App\Seasons\SeasonAssembler;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JollyPenny\Core\Costing\SeasonCosting;
use JollyPenny\Core\Costing\SetupCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Workings\CropWorkings;
use JollyPenny\Core\Workings\NoSuchFigure;
use JollyPenny\Core\Workings\SetupWorkings;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** How a figure of a set-up, or of one of its crops, comes about. */
final class WorkingController
{
    public function __invoke(Request $request, SeasonAssembler $assembler, int $season, string $setup, string $figure): JsonResponse
    {
        $user = $request->user();
        $model = $user instanceof User ? $user->seasons()->findOrFail($season) : null;
        if (! $model instanceof Season) {
            throw new NotFoundHttpException;
        }
        $costing = new SeasonCosting((new SeasonReader)->trusted($assembler->document($model)));
        $row = array_column($costing->season->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException;
        $books = $costing->books($row);
        $result = SetupCosting::of($books);
        try {
            $crop = $request->query('crop');
            if ($crop === null) {
                return new JsonResponse((new SetupWorkings($books, $result))->of($figure));
            }
            $cropResult = array_column($result->crops, null, 'id')[is_string($crop) ? $crop : ''] ?? throw new NotFoundHttpException;

            return new JsonResponse((new CropWorkings($books, $cropResult))->of($figure));
        } catch (NoSuchFigure $e) {
            throw new NotFoundHttpException($e->getMessage(), $e);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Gardener;
use App\Http\Json;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JollyPenny\Core\Results\SetupCosting;
use JollyPenny\Core\Workings\BuyingWorkings;
use JollyPenny\Core\Workings\CropWorkings;
use JollyPenny\Core\Workings\NoSuchFigure;
use JollyPenny\Core\Workings\Origins;
use JollyPenny\Core\Workings\SetupWorkings;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** How a figure of a set-up, or of one of its crops, comes about. */
final class WorkingController
{
    #[
        OA\Get(
            path: '/api/seasons/{season}/setups/{setup}/workings/{figure}',
            operationId: 'working',
            summary: 'The rule, the formula and its numbers, each with where it came from',
            tags: ['Workings'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'figure', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[
        OA\Parameter(
            name: 'crop',
            in: 'query',
            required: false,
            description: 'a crop\'s figure instead of the set-up\'s',
            schema: new OA\Schema(type: 'string'),
        ),
    ]
    #[OA\Response(response: 200, description: 'The working', content: new OA\JsonContent(ref: '#/components/schemas/Working'))]
    #[OA\Response(response: 404, ref: '#/components/responses/NotFound')]
    public function __invoke(Request $request, Gardener $gardener, int $season, string $setup, string $figure): JsonResponse
    {
        $kept = $gardener->kept($season);
        $costing = $kept->costing;
        $books = $costing->books(array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException());
        $result = SetupCosting::of($books);
        $crop = $request->query('crop');
        try {
            if ($crop === null) {
                $working = (new SetupWorkings($books, $result))->of($figure);
            } else {
                $line = array_column($result->crops, null, 'id')[is_string($crop) ? $crop : ''] ?? throw new NotFoundHttpException();
                $working = BuyingWorkings::explains($figure)
                    ? (new BuyingWorkings($books, $line))->of($figure)
                    : (new CropWorkings($books, $line))->of($figure);
            }
        } catch (NoSuchFigure $e) {
            throw new NotFoundHttpException($e->getMessage(), $e);
        }

        return Json::of((new Origins($kept->document))->of($working));
    }
}

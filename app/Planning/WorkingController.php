<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Http\Json;
use App\Reckoning\Reckoned;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JollyPenny\Core\Showing\Workings\AllWorkings;
use JollyPenny\Core\Showing\Workings\NoSuchFigure;
use JollyPenny\Core\Showing\Workings\Origins;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * How a figure of a set-up, or of one of its crops, comes about.
 *
 * @phpstan-type TermShape array{
 *     label: string,
 *     value: float|string|null,
 *     unit: string,
 *     path: ?list<string|int>,
 *     working: ?string,
 *     origin: 'you'|'catalogue'|'test'|'computed',
 *     source: ?string,
 * }
 * @phpstan-type WorkingShape array{
 *     figure: string,
 *     title: string,
 *     value: ?float,
 *     unit: string,
 *     rule: string,
 *     formula: string,
 *     terms: list<TermShape>,
 * }
 */
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
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException();
        $crop = $request->query('crop');
        try {
            $working = (new AllWorkings($kept->costing->books($row), fn () => Reckoned::forSetup($kept, $row)->cameTo()))
                ->explain($figure, $crop === null ? null : (is_string($crop) ? $crop : ''));
        } catch (NoSuchFigure $e) {
            throw new NotFoundHttpException($e->getMessage(), $e);
        }

        return Json::response((new Origins($kept->document))->trace($working));
    }
}

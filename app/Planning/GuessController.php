<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Http\Json;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JollyPenny\Core\Deciding\Advising\Guesses;
use JollyPenny\Core\Showing\Workings\Origins;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Numbers of a plan that are the catalogue's and that nobody has looked at yet.
 *
 * @phpstan-type GuessesShape array{
 *     guesses: list<array{
 *         path: list<string>,
 *         name: string,
 *         value: ?float,
 *         // money that it may well move what is saved by
 *         moves: float,
 *     }>,
 * }
 */
final class GuessController
{
    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/guesses',
        operationId: 'guesses',
        summary: 'What is still a guess of the catalogue\'s',
        tags: ['Seasons'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(
        name: 'ranked',
        in: 'query',
        required: false,
        description: 'whether it is worked out what each moves',
        schema: new OA\Schema(type: 'boolean'),
    )]
    #[OA\Response(response: 200, description: 'The guesses', content: new OA\JsonContent(ref: '#/components/schemas/Guesses'))]
    #[OA\Response(response: 404, ref: '#/components/responses/NotFound')]
    public function __invoke(Request $request, Gardener $gardener, int $season, string $setup): JsonResponse
    {
        $kept = $gardener->kept($season);
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException();

        return Json::response(['guesses' => (new Guesses($kept->file, $row, (new Origins($kept->document))->isGuess(...)))->all($request->boolean('ranked'))]);
    }
}

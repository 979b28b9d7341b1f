<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Http\Gardener;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Undo and redo of a season's changes. */
final class HistoryController
{
    public function __construct(
        private readonly Gardener $gardener,
        private readonly SeasonState $state,
        private readonly SeasonEditor $editor,
    ) {
    }

    #[OA\Post(path: '/api/seasons/{season}/undo', operationId: 'undo', summary: 'Take the last change back', tags: ['Seasons'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[
        OA\Response(
            response: 200,
            description: 'The season as it is now',
            content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
        ),
    ]
    public function undo(Request $request, int $season): JsonResponse
    {
        return $this->state->answer($this->editor->undo($this->gardener->season($season)->id), $request->query('setup'));
    }

    #[OA\Post(path: '/api/seasons/{season}/redo', operationId: 'redo', summary: 'Do again what was taken back', tags: ['Seasons'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[
        OA\Response(
            response: 200,
            description: 'The season as it is now',
            content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
        ),
    ]
    public function redo(Request $request, int $season): JsonResponse
    {
        return $this->state->answer($this->editor->redo($this->gardener->season($season)->id), $request->query('setup'));
    }
}

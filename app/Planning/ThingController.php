<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\Things;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use OpenApi\Attributes as OA;
use stdClass;

/**
 * New lamps, mats, pots, supplies, places and offers.
 *
 * @phpstan-type NewThingShape array{list: string, catalogue?: string, name?: string, place?: string, setup?: string, count?: int}
 */
final class ThingController
{
    private const MOST_AT_ONCE = 20;

    #[OA\Post(
        path: '/api/seasons/{season}/things',
        operationId: 'addThing',
        summary: 'A thing of the catalogue, or one of one\'s own to fill in; several of a kind at once',
        tags: ['Bench'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewThing'))]
    #[OA\Response(
        response: 200,
        description: 'The season as it is now; `added` is the thing\'s id',
        content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
    )]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, Gardener $gardener, SeasonEditor $editor, SeasonState $state, int $season): JsonResponse
    {
        $input = $request->validate([
            'list' => ['required', Rule::in(Things::lists())],
            'catalogue' => ['nullable', 'string', 'max:100'],
            'name' => ['nullable', 'string', 'max:150'],
            'place' => ['nullable', 'string', 'max:100'],
            'setup' => ['nullable', 'string', 'max:100'],
            'count' => ['nullable', 'integer', 'between:1,'.self::MOST_AT_ONCE],
        ], ['count.*' => 'Add 1 to '.self::MOST_AT_ONCE.' at once.']);
        $added = '';
        $kept = $editor->edit($gardener->seasonId($season), 'something new', function (stdClass $document) use ($input, &$added): array {
            $draft = new SeasonDraft($document);
            try {
                $added = (new Things($draft))->add($input['list'], $input['catalogue'] ?? null, (string) ($input['name'] ?? ''),
                    $input['place'] ?? null, $input['setup'] ?? null, (int) ($input['count'] ?? 1));
            } catch (NotInCatalogue $e) {
                throw ValidationException::withMessages(['catalogue' => $e->getMessage()]);
            }

            return $draft->edits();
        });

        return $state->answer($kept, $input['setup'] ?? null, ['added' => $added]);
    }
}

<?php

declare(strict_types=1);

namespace App\Reckoning;

use App\Http\Gardener;
use App\Http\Json;
use App\Models\Roll;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use App\Shed\Rolls;
use App\Shed\Shed;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use JollyPenny\Core\Deciding\Advising\LitWorth;
use JollyPenny\Core\Living\Reckoning\Belief;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Living\Reckoning\EndQuestion;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\Setup;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * What the season came to, and what the next one believes.
 *
 * @phpstan-import-type AskedCropShape from SeasonState
 *
 * @phpstan-type ReckoningStateShape array{came_to: CameTo, beliefs: list<Belief>, end: list<EndQuestion>, worth: list<LitWorth>}
 * @phpstan-type NextBeliefsShape array{
 *     // key and id of a belief, with a space between
 *     take: list<string>,
 * }
 * @phpstan-type SeasonMadeShape array{id: int, asked?: list<AskedCropShape>}
 */
final class ReckoningController
{
    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/reckoning',
        operationId: 'reckoning',
        summary: 'Planned, step by step with what was written down, and what it came to; where plants were lost; what next year believes',
        tags: ['Reckoning'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The reckoning', content: new OA\JsonContent(ref: '#/components/schemas/ReckoningState'))]
    public function show(int $season, string $setup): JsonResponse
    {
        [$kept, $row] = $this->find($season, $setup);
        $reckoned = Reckoned::forSetup($kept, $row);

        return Json::response([
            'came_to' => $reckoned->cameTo(),
            'beliefs' => $reckoned->beliefs()->all(),
            'end' => $reckoned->end()->questions(),
            'worth' => LitWorth::fromBooks($kept->costing->books($row), $kept->costing->setup($row)),
        ]);
    }

    #[OA\Post(
        path: '/api/seasons/{season}/setups/{setup}/next',
        operationId: 'beginNext',
        summary: 'The next season, begun from this one (or the one that was), believing what is named',
        tags: ['Reckoning'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NextBeliefs'))]
    #[OA\Response(response: 201, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonMade'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function next(Request $request, Shed $shed, Rolls $rolls, SeasonEditor $editor, int $season, string $setup): JsonResponse
    {
        $input = $request->validate(['take' => ['present', 'array', 'max:2000'], 'take.*' => ['string', 'max:250']]);
        [$kept, $row] = $this->find($season, $setup);
        $beliefs = Reckoned::forSetup($kept, $row)->beliefs()->all();
        $made = Roll::query()->where('season_id', $season)->value('made_id');
        $next = is_int($made) ? $made : $rolls->roll($this->gardener->user(), $kept, $shed->leftovers($kept, $row))->id;
        $taken = array_filter($beliefs, fn (Belief $one): bool => in_array("{$one->key} {$one->id}", $input['take'], true));
        $edits = array_merge(...array_map(fn (Belief $one): array => $one->edits, array_values($taken)));
        $editor->edit($next, 'what was counted', fn (stdClass $document): array => array_values(array_filter($edits,
            function (array $edit) use ($document): bool {
                // What is no longer there, or has a packet of the new year, is left as it is.
                $parent = count($edit['path']) < 3 ? null : (new DocumentPath([$edit['path'][0], $edit['path'][1]]))->get($document);

                return count($edit['path']) < 3 || ($parent instanceof stdClass && ($edit['path'][2] !== 'test' || $parent->packed_for < $document->year));
            })));

        return Json::response(['id' => $next], 201);
    }

    /** @return array{KeptSeason, Setup} */
    private function find(int $season, string $setup): array
    {
        $kept = $this->gardener->kept($season);

        return [$kept, array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException()];
    }
}

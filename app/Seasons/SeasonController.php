<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Models\LogRow;
use App\Models\Season;
use App\Planning\CropController;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use JollyPenny\Core\Plan\Drafting\Kit;
use JollyPenny\Core\Plan\Drafting\OtherCurrency;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Units\Currency;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * A person's seasons.
 *
 * @phpstan-type KitShape array{
 *     // ids of its packets
 *     lots: list<string>,
 *     // money for all of them
 *     price: float,
 *     // the set-up on screen
 *     setup: ?string,
 * }
 * @phpstan-type NewCurrencyShape array{
 *     to: string,
 *     // of the new money for one of the old; null keeps the numbers
 *     rate?: ?float,
 *     setup?: string,
 * }
 * @phpstan-type SeasonLineShape array{
 *     id: int,
 *     name: string,
 *     revision: int,
 *     year: int,
 *     last_frost: string,
 *     crops: int,
 *     plants: int,
 *     setups: int,
 *     changed_at: ?string,
 *     archived: bool,
 * }
 * @phpstan-type SeasonListShape array{seasons: list<SeasonLineShape>}
 * @phpstan-type NewSeasonShape array{
 *     from: 'demo'|'file'|'answers',
 *     demo?: string,
 *     text?: string,
 *     name?: string,
 *     // where there is no frost: when spring's first plants go out
 *     last_frost?: string,
 *     first_frost?: string,
 *     frostless?: bool,
 *     rate?: float,
 *     currency?: string,
 *     metric?: bool,
 *     have?: list<string>,
 *     guessed?: list<string>,
 *     // the first grow list, as people write it
 *     list?: string,
 * }
 * @phpstan-type ArchivedShape array{archived: bool}
 * @phpstan-type ChangeShape array{path: list<string|int>, from: mixed, to: mixed}
 * @phpstan-type ChangesShape array{
 *     changes: list<ChangeShape>,
 *     label?: string,
 *     setup?: ?string,
 *     // the revision one has: of the season itself only what has changed since is answered then
 *     knows?: ?int,
 * }
 */
final class SeasonController
{
    public function __construct(private readonly Gardener $gardener, private readonly SeasonState $state)
    {
    }

    #[OA\Get(path: '/api/seasons', operationId: 'listSeasons', summary: 'Your seasons, the last changed first', tags: ['Seasons'])]
    #[OA\Response(response: 200, description: 'The list', content: new OA\JsonContent(ref: '#/components/schemas/SeasonList'))]
    public function index(): JsonResponse
    {
        return Json::response(['seasons' => SeasonShelf::lines($this->gardener->user())]);
    }

    #[
        OA\Post(
            path: '/api/seasons',
            operationId: 'createSeason',
            summary: 'A new season: from the demo, from a season file, or from a few answers and a first list',
            tags: ['Seasons'],
        ),
    ]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewSeason'))]
    #[OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/SeasonMade'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(NewSeasonRequest $request): JsonResponse
    {
        $season = SeasonShelf::add($this->gardener->user(), $request->document());
        DemoSeason::furnish($season, $request->demo());

        return Json::response(['id' => $season->id, 'asked' => array_map(CropController::asked(...), $request->asked)], 201);
    }

    #[OA\Get(path: '/api/seasons/{season}', operationId: 'showSeason', summary: 'A season with its figures', tags: ['Seasons'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[
        OA\Parameter(
            name: 'setup',
            in: 'query',
            required: false,
            description: 'only this set-up\'s figures',
            schema: new OA\Schema(type: 'string'),
        ),
    ]
    #[OA\Response(response: 200, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'))]
    #[OA\Response(response: 404, ref: '#/components/responses/NotFound')]
    public function show(Request $request, int $season): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        $setup = $request->query('setup');
        if ($setup !== null && ! in_array($setup, array_column($kept->file->setups, 'id'), true)) {
            throw new NotFoundHttpException('This season has no such set-up.');
        }

        return $this->state->answer($kept, $setup);
    }

    #[
        OA\Patch(
            path: '/api/seasons/{season}',
            operationId: 'changeSeason',
            summary: 'Change values: all of them or none',
            tags: ['Seasons'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Changes'))]
    #[
        OA\Response(
            response: 200,
            description: 'The season as it is now',
            content: new OA\JsonContent(ref: '#/components/schemas/ChangedSeason'),
        ),
    ]
    #[OA\Response(response: 409, ref: '#/components/responses/Conflict')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function update(ChangeSeasonRequest $request, SeasonEditor $editor, int $season): JsonResponse
    {
        $edited = $editor->apply($this->gardener->seasonId($season), $request->changes(), $request->label(), Text::in($request, 'setup'));

        return $this->state->changed($edited, $request->input('setup'), $request->integer('knows'));
    }

    #[OA\Put(
        path: '/api/seasons/{season}/currency',
        operationId: 'otherCurrency',
        summary: 'Another currency: prices of one\'s own at a rate, or with their numbers kept; the catalogue\'s follow',
        tags: ['Seasons'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewCurrency'))]
    #[OA\Response(response: 200, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function currency(Request $request, SeasonEditor $editor, int $season): JsonResponse
    {
        $id = $this->gardener->seasonId($season);
        $input = $request->validate([
            'to' => ['required', 'string', Rule::in(array_column(Currency::all(), 'code'))],
            'rate' => ['nullable', 'numeric', 'between:0.000001,1000000'],
            'setup' => ['nullable', 'string'],
        ]);
        $edited = $editor->edit($id, "currency, {$input['to']}", fn (stdClass $document): array => isset($input['rate'])
            ? OtherCurrency::edits($document, $input['to'], (float) $input['rate'])
            : [['path' => ['currency'], 'to' => $input['to']]]);

        return $this->state->answer($edited, $input['setup'] ?? null);
    }

    #[OA\Put(
        path: '/api/seasons/{season}/kit',
        operationId: 'kit',
        summary: 'Packets bought together at one price: each bears its share, to the coin',
        tags: ['Seasons'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Kit'))]
    #[OA\Response(response: 200, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function kit(Request $request, SeasonEditor $editor, int $season): JsonResponse
    {
        $id = $this->gardener->seasonId($season);
        $input = $request->validate([
            'lots' => ['required', 'array', 'between:1,1000'],
            'lots.*' => ['string', 'max:100'],
            'price' => ['required', 'numeric', 'between:0,1000000000'],
            'setup' => ['nullable', 'string'],
        ]);
        $edited = $editor->edit($id, 'a kit of packets', fn (stdClass $document): array => Kit::edits($document, $input['lots'], (float) $input['price']));

        return $this->state->answer($edited, $input['setup'] ?? null);
    }

    #[
        OA\Delete(
            path: '/api/seasons/{season}',
            operationId: 'deleteSeason',
            summary: 'Delete a season; it can be had back for 30 days',
            tags: ['Seasons'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 204, description: 'Deleted')]
    public function destroy(int $season): Response
    {
        $this->gardener->season($season)->delete();

        return new Response(status: 204);
    }

    #[
        OA\Post(
            path: '/api/seasons/{season}/restore',
            operationId: 'restoreSeason',
            summary: 'Have a deleted season back',
            tags: ['Seasons'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 204, description: 'It is back')]
    public function restore(int $season): Response
    {
        /** @var Season $deleted */
        $deleted = Season::onlyTrashed()
            ->where('user_id', $this->gardener->user()->id)
            ->findOrFail($season);
        $deleted->restore();

        return new Response(status: 204);
    }

    #[
        OA\Post(
            path: '/api/seasons/{season}/copy',
            operationId: 'copySeason',
            summary: 'A copy, for next year or to try things on',
            tags: ['Seasons'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/SeasonMade'))]
    public function copy(int $season): JsonResponse
    {
        return Json::response(['id' => SeasonShelf::copy($this->gardener->kept($season))->id], 201);
    }

    #[
        OA\Put(
            path: '/api/seasons/{season}/archived',
            operationId: 'archiveSeason',
            summary: 'Put a season away, or take it out again',
            tags: ['Seasons'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Archived'))]
    #[OA\Response(response: 204, description: 'Done')]
    public function archive(Request $request, int $season): Response
    {
        $this->gardener->season($season)->update(['archived_at' => $request->boolean('archived') ? now() : null]);

        return new Response(status: 204);
    }

    #[OA\Get(path: '/api/seasons/{season}/file', operationId: 'downloadSeason', summary: 'The season file', tags: ['Seasons'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'A season file', content: new OA\JsonContent(ref: '#/components/schemas/Season'))]
    public function file(int $season): Response
    {
        $kept = $this->gardener->kept($season);
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($kept->model->name)), '-') ?: 'season';

        return new Response((new SeasonWriter())->toJson($kept->file->with(log: LogRow::book($season)->inOrder())), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="'.substr($name, 0, 80).'.json"',
        ]);
    }
}

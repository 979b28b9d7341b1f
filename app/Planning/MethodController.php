<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Deciding\Choosing\GrownStage;
use JollyPenny\Core\Deciding\Choosing\MethodGrowth;
use JollyPenny\Core\Plan\Drafting\Schools;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Sowing\SurvivalPreset;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Methods: the schools' to begin from, what they cost stage by stage, and survival as people say it.
 *
 * @phpstan-type NewMethodShape array{school?: string, copy?: string, setup?: ?string, crop?: string}
 * @phpstan-type SurvivalShape array{preset: 'first_year'|'usual'|'careful', setup?: ?string}
 * @phpstan-type GrowthShape array{crop: ?string, stages: list<GrownStage>, used_by: list<string>, crops: list<string>}
 */
final class MethodController
{
    public function __construct(private readonly Gardener $gardener, private readonly SeasonEditor $editor, private readonly SeasonState $state)
    {
    }

    #[OA\Post(
        path: '/api/seasons/{season}/methods',
        operationId: 'addMethod',
        summary: 'A school\'s method, with what it needs; or a copy of one of the season\'s',
        tags: ['Methods'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewMethod'))]
    #[OA\Response(
        response: 200,
        description: 'The season as it is now; `added` is the method\'s id',
        content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
    )]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, int $season): JsonResponse
    {
        $input = $request->validate(array_fill_keys(['school', 'copy', 'setup', 'crop'], ['nullable', 'string']));
        $added = '';
        $kept = $this->editor->edit($this->gardener->seasonId($season), 'a method', function (stdClass $document) use ($input, &$added): array {
            $draft = new SeasonDraft($document);
            if (isset($input['copy'])) {
                $copy = clone (array_column($draft->rows('methods'), null, 'id')[$input['copy']] ?? throw new NotFoundHttpException);
                $crop = $input['crop'] ?? null;
                $copy->name = $draft->freeName('methods', mb_substr($copy->name, 0, 180).($crop === null ? ', changed' : ', its own way'));
                unset($copy->meta);
                $added = $draft->add('methods', $copy);
                if ($crop !== null) {
                    $draft->set(['setups', (string) ($input['setup'] ?? ''), 'overrides', $crop], $added);
                }
            } else {
                try {
                    $added = (new Schools($draft))->ensure((string) ($input['school'] ?? ''));
                } catch (NotInCatalogue $e) {
                    throw ValidationException::withMessages(['school' => $e->getMessage()]);
                }
            }

            return $draft->edits();
        });

        return $this->state->answer($kept, $input['setup'] ?? null, ['added' => $added]);
    }

    #[OA\Put(
        path: '/api/seasons/{season}/methods/{method}/survival',
        operationId: 'setSurvival',
        summary: 'Survival over the whole method by a plain preset',
        tags: ['Methods'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'method', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Survival'))]
    #[OA\Response(
        response: 200,
        description: 'The season as it is now',
        content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
    )]
    public function survival(Request $request, int $season, string $method): JsonResponse
    {
        $input = $request->validate(['preset' => ['required', new Enum(SurvivalPreset::class)], 'setup' => ['nullable', 'string']]);
        $now = $this->gardener->kept($season);
        $row = array_column($now->file->methods, null, 'id')[$method] ?? throw new NotFoundHttpException;
        $edits = [];
        foreach (SurvivalPreset::from($input['preset'])->stages($row) as $stage => $survival) {
            $edits[] = ['path' => ['methods', $method, 'stages', $stage, 'survival'], 'to' => $survival];
        }

        return $this->state->answer($this->editor->edit($now->model->id, "survival, {$row->name}", fn (): array => $edits), $input['setup'] ?? null);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/methods/{method}/growth',
        operationId: 'methodGrowth',
        summary: 'What one plant costs after each stage',
        tags: ['Methods'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'method', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'crop', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The growth, for one crop', content: new OA\JsonContent(ref: '#/components/schemas/Growth'))]
    public function growth(Request $request, int $season, string $setup, string $method): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException;
        if (! in_array($method, array_column($kept->file->methods, 'id'), true)) {
            throw new NotFoundHttpException;
        }
        $crop = Text::in($request, 'crop') ?: MethodGrowth::example($kept->file, $row, $method);
        if ($crop !== null && ! in_array($crop, array_column($kept->file->crops, 'id'), true)) {
            throw new NotFoundHttpException;
        }

        return Json::response(['crop' => $crop, 'stages' => $crop === null ? [] : (new MethodGrowth($kept->file))->forCrop($row, $method, $crop),
            'used_by' => MethodGrowth::usedBy($kept->file, $method), 'crops' => MethodGrowth::crops($kept->file, $row, $method)]);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\SeasonState;
use App\Seasons\SeasonEditor;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Catalogue\NotInCatalogue;
use JollyPenny\Core\Choosing\Comparison;
use JollyPenny\Core\Choosing\Difference;
use JollyPenny\Core\Choosing\MixAndMatch;
use JollyPenny\Core\Drafting\ReadyMade;
use JollyPenny\Core\Drafting\SeasonDraft;
use JollyPenny\Core\Pictures\ComparedStacks;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Years\YearsCosting;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** All set-ups side by side, what makes them differ, how they do over the years; and new ones beside them. */
final class CompareController
{
    private const MOST_SEASONS = 10;

    private const MIX_SECONDS = 120;

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(path: '/api/seasons/{season}/compare', operationId: 'compare', summary: 'All set-ups side by side', tags: ['Compare'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(
        response: 200,
        description: 'Every set-up\'s result, stacks in one size of coin, and the advice',
        content: new OA\JsonContent(ref: '#/components/schemas/Compared'),
    )]
    public function show(int $season): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        $result = (new SeasonCosting($kept->file))->result();

        $comparison = Comparison::of($result['setups'], $kept->file);

        return Json::of(['revision' => $kept->model->revision, 'result' => $result, 'comparison' => $comparison,
            'stacks' => ComparedStacks::of($result['setups'], $comparison->nursery, $kept->file->currency)]);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/difference',
        operationId: 'difference',
        summary: 'What makes two set-ups differ, largest first',
        tags: ['Compare'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'from', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'to', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The difference', content: new OA\JsonContent(ref: '#/components/schemas/Difference'))]
    public function difference(Request $request, int $season): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        $setups = array_column($kept->file->setups, null, 'id');
        $costing = new SeasonCosting($kept->file);
        $result = fn (string $key) => $costing->setup($setups[$request->string($key)->value()] ?? throw new NotFoundHttpException);

        return Json::of(Difference::between($result('from'), $result('to'), $kept->file->currency));
    }

    #[OA\Get(
        path: '/api/seasons/{season}/years',
        operationId: 'years',
        summary: 'The same set-ups over one to ten seasons',
        tags: ['Compare'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'seasons', in: 'query', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'price_rise', in: 'query', required: false, schema: new OA\Schema(type: 'number'))]
    #[OA\Response(
        response: 200,
        description: 'Cumulative cost against buying',
        content: new OA\JsonContent(ref: '#/components/schemas/Years'),
    )]
    public function years(Request $request, int $season): JsonResponse
    {
        $input = $request->validate(
            ['seasons' => ['required', 'integer', 'between:1,'.self::MOST_SEASONS], 'price_rise' => ['nullable', 'numeric', 'between:-0.5,1']],
            ['seasons.*' => 'Give 1 to '.self::MOST_SEASONS.' seasons.', 'price_rise.*' => 'Give the rise per season, from -50 to 100 percent.'],
        );

        return Json::of((new YearsCosting($this->gardener->kept($season)->file, (int) $input['seasons'], (float) ($input['price_rise'] ?? 0)))->result());
    }

    #[OA\Post(
        path: '/api/seasons/{season}/setups',
        operationId: 'addSetup',
        summary: 'One more set-up: ready-made, a copy, or mix and match',
        tags: ['Compare'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewSetup'))]
    #[OA\Response(
        response: 200,
        description: 'The season as it is now; `added` is the set-up\'s id',
        content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
    )]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, SeasonEditor $editor, SeasonState $state, int $season): JsonResponse
    {
        $input = $request->validate(['ready_made' => ['nullable', 'string'], 'copy' => ['nullable', 'string'], 'mix' => ['nullable', 'string']]);
        $added = '';
        // Weighing may take its time: the season is not locked meanwhile.
        $mixed = isset($input['mix']) ? $this->mixed($season, $input['mix']) : null;
        $kept = $editor->edit($this->gardener->season($season)->id, 'a set-up', function (stdClass $document) use ($input, $mixed, &$added): array {
            $draft = new SeasonDraft($document);
            if ($mixed !== null) {
                $added = MixAndMatch::ID;

                return [['path' => ['setups', MixAndMatch::ID], 'to' => $mixed]];
            }
            if (isset($input['copy'])) {
                $copy = clone (array_column($draft->rows('setups'), null, 'id')[$input['copy']] ?? throw new NotFoundHttpException);
                $copy->name = mb_substr($copy->name, 0, 180).', changed';
                $copy->meta = (object) ['copied' => $input['copy']];
                $added = $draft->add('setups', $copy);

                return $draft->edits();
            }
            try {
                $added = (new ReadyMade($draft))->add((string) ($input['ready_made'] ?? ''));
            } catch (NotInCatalogue $e) {
                throw ValidationException::withMessages(['ready_made' => $e->getMessage()]);
            }

            return $draft->edits();
        });

        return $state->answer($kept, $added, ['added' => $added]);
    }

    /** The row of the set-up in which each crop takes its cheapest way. */
    private function mixed(int $season, string $base): stdClass
    {
        set_time_limit(self::MIX_SECONDS);
        $kept = $this->gardener->kept($season);
        $setup = array_column($kept->file->setups, null, 'id')[$base] ?? throw new NotFoundHttpException;
        $matched = (new SeasonWriter)->document((new MixAndMatch($kept->file, $setup))->season());

        return array_column($matched->setups, null, 'id')[MixAndMatch::ID];
    }
}

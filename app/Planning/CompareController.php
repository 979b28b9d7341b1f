<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Models\Work;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Deciding\Choosing\Comparison;
use JollyPenny\Core\Deciding\Choosing\Difference;
use JollyPenny\Core\Deciding\Choosing\MadeToFit;
use JollyPenny\Core\Plan\Drafting\ReadyMade;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Years\SetupYears;
use JollyPenny\Core\Plan\Years\YearsCosting;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Showing\Pictures\ComparedStacks;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * All set-ups side by side, what makes them differ, how they do over the years; and new ones beside them.
 *
 * @phpstan-import-type ResultShape from SeasonState
 *
 * @phpstan-type ComparedShape array{revision: int, result: ResultShape, comparison: Comparison, stacks: ComparedStacks}
 * @phpstan-type YearsShape array{setups: list<SetupYears>}
 * @phpstan-type NewSetupShape array{ready_made?: string, copy?: string, fit?: string, work?: int}
 */
final class CompareController
{
    private const MOST_SEASONS = 10;

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
        $result = $kept->costing->result();

        $comparison = Comparison::forSeason($kept->costing);

        return Json::response(['revision' => $kept->model->revision, 'result' => $result, 'comparison' => $comparison,
            'stacks' => ComparedStacks::fromResults($result['setups'], $comparison->nursery, $kept->file->currency)]);
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
        $costing = $kept->costing;
        $result = fn (string $key) => $costing->setup($setups[Text::in($request, $key)] ?? throw new NotFoundHttpException);

        return Json::response(Difference::between($result('from'), $result('to'), $kept->file->currency));
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

        return Json::response((new YearsCosting($this->gardener->kept($season)->file, (int) $input['seasons'], (float) ($input['price_rise'] ?? 0)))->result());
    }

    #[OA\Post(
        path: '/api/seasons/{season}/setups',
        operationId: 'addSetup',
        summary: 'One more set-up: ready-made, a copy, or one that has been worked out',
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
        $input = $request->validate([
            'ready_made' => ['nullable', 'string', 'max:100'],
            'copy' => ['nullable', 'string', 'max:100'],
            'fit' => ['nullable', 'string', 'max:100'],
            'work' => ['nullable', 'integer'],
        ]);
        $made = isset($input['work']) ? $this->workedOut($season, (int) $input['work']) : null;
        $added = '';
        $kept = $editor->edit($this->gardener->seasonId($season), 'a set-up', function (stdClass $document) use ($input, $made, &$added): array {
            $draft = new SeasonDraft($document);
            if ($made !== null) {
                $added = Cell::text($made->id);

                return [['path' => ['setups', $added], 'to' => $made]];
            }
            if (isset($input['fit'])) {
                $added = self::fit($draft, $input['fit']);

                return $draft->edits();
            }
            $added = isset($input['copy']) ? self::copy($draft, $input['copy']) : self::readyMade($draft, (string) ($input['ready_made'] ?? ''));

            return $draft->edits();
        });

        return $state->answer($kept, $added, ['added' => $added]);
    }

    /** The row of a set-up that has been worked out. */
    private function workedOut(int $season, int $work): stdClass
    {
        $done = Work::query()->where('season_id', $this->gardener->seasonId($season))->where('state', 'done')->findOrFail($work);

        return $done->result instanceof stdClass ? $done->result : throw new NotFoundHttpException;
    }

    private static function copy(SeasonDraft $draft, string $id): string
    {
        $copy = clone (array_column($draft->rows('setups'), null, 'id')[$id] ?? throw new NotFoundHttpException);
        $copy->name = $draft->freeName('setups', mb_substr($copy->name, 0, 180).', changed');
        $copy->meta = (object) ['copied' => $id];

        return $draft->add('setups', $copy);
    }

    /** The set-up made to fit, and the lamps and mats it needs. */
    private static function fit(SeasonDraft $draft, string $id): string
    {
        $season = (new SeasonReader)->readDocument($draft->document);
        $setup = array_column($season->setups, null, 'id')[$id] ?? throw new NotFoundHttpException;
        $fitted = (new MadeToFit(new SeasonCosting($season), $setup))->season()
            ?? throw ValidationException::withMessages(['fit' => 'It stands beside already, made to fit. Show that one.']);
        $document = (new SeasonWriter)->document($fitted);
        foreach (['lights', 'mats', 'setups'] as $list) {
            foreach (array_slice(Cell::rows($document->{$list} ?? []), count($season->{$list})) as $row) {
                $added = $draft->keep($list, $row);
            }
        }

        return $added ?? throw new NotFoundHttpException;
    }

    private static function readyMade(SeasonDraft $draft, string $id): string
    {
        try {
            return (new ReadyMade($draft))->add($id);
        } catch (NotInCatalogue $e) {
            throw ValidationException::withMessages(['ready_made' => $e->getMessage()]);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Trays;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\PublicAddress;
use App\Http\Text;
use App\Models\LogRow;
use App\Models\Photo;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use App\Weather\SeasonWeather;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Living\SowAgain\SowAgain;
use JollyPenny\Core\Living\SowAgain\Sowings;
use JollyPenny\Core\Living\SowAgain\TwoStep;
use JollyPenny\Core\Living\Tasks\Job;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Trays\TrayMoves;
use JollyPenny\Core\Living\Trays\TrayPicture;
use JollyPenny\Core\Living\Trays\Trays;
use JollyPenny\Core\Living\Trials\TrialResult;
use JollyPenny\Core\Living\Trials\Trials;
use JollyPenny\Core\Living\Weather\Due;
use JollyPenny\Core\Living\Weather\Night;
use JollyPenny\Core\Plan\Potting\ContainerStay;
use JollyPenny\Core\Plan\Potting\StandingTime;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Showing\Labels\Label;
use JollyPenny\Core\Showing\Labels\LabelSheet;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * The season at work: the jobs of its days, what stands in which tray, labels, trials, and whether to sow again.
 *
 * @phpstan-type JobsShape array{
 *     jobs: list<Job>,
 *     // entries of the log that stand
 *     written: int,
 *     last_on: ?string,
 *     // the day from which the weather is looked at; null without weather
 *     weather_on: ?string,
 *     tonight: ?Night,
 *     marked: list<array{id: string, crop: ?string, on: string, kind: string, count: ?int, why: string}>,
 * }
 * @phpstan-type TraysStateShape array{
 *     trays: list<TrayPicture>,
 *     // sites beyond the most trays that are laid out
 *     not_laid_out: int,
 *     labels: list<Label>,
 *     sheets: list<LabelSheet>,
 *     facts: array<string, RowFacts>,
 *     // what is sown and not up yet, as the weather has it
 *     due: list<Due>,
 *     // how long each crop may stand in what it was put into
 *     stays: list<ContainerStay>,
 *     trials: list<TrialResult>,
 *     photos: list<PhotoLineShape>,
 * }
 * @phpstan-type TrayChangeShape array{
 *     do: 'keep'|'move'|'columns',
 *     trays?: list<string>,
 *     tray?: string,
 *     row?: int,
 *     to?: string,
 *     to_row?: int,
 *     columns?: int,
 * }
 * @phpstan-type SowAgainStateShape array{again: ?SowAgain, two_step: ?TwoStep}
 * @phpstan-type PhotoLineShape array{id: string, on: string, crop: ?string, tray: ?string, note: string, width: int, height: int}
 */
final class TrayController
{
    private const MOST_UP = 1_000_000;

    /** The gardener's own day, for what the weather says of it. */
    private const ON = ['on' => ['nullable', 'date_format:Y-m-d']];

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/today',
        operationId: 'jobs',
        summary: 'The jobs of all days, as the log has them; which of them a day shows, their dates say',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'on', in: 'query', required: false, description: 'the gardener\'s own day, for what the weather says',
        schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The jobs', content: new OA\JsonContent(ref: '#/components/schemas/Jobs'))]
    public function today(Request $request, int $season, string $setup): JsonResponse
    {
        $on = $request->validate(self::ON)['on'] ?? null;
        [$kept, $row] = $this->find($season, $setup);
        $log = LogRow::book($season);
        $books = $kept->lived($row, $log);
        $weather = SeasonWeather::forSetup($kept, $books, $log, $on);
        $last = $log->entries === [] ? null : $log->entries[count($log->entries) - 1]->on->format();

        return Json::response(['jobs' => (new Jobs($books, $log, $weather))->all(), 'written' => count($log->entries), 'last_on' => $last,
            'marked' => self::marked($log->inSetup($kept->costing->books($row))), 'weather_on' => $weather === null ? null
                : Day::ofNumber($weather->today)->format(), 'tonight' => $weather?->tonight()]);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/trays',
        operationId: 'trays',
        summary: 'What stands in which row of which tray, the labels, what was counted, the trials',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'on', in: 'query', required: false, description: 'the gardener\'s own day, for what the weather says',
        schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The trays', content: new OA\JsonContent(ref: '#/components/schemas/TraysState'))]
    public function show(Request $request, int $season, string $setup): JsonResponse
    {
        $on = $request->validate(self::ON)['on'] ?? null;
        [$kept, $row] = $this->find($season, $setup);
        $log = LogRow::book($season);
        $books = $kept->lived($row, $log);
        $weather = SeasonWeather::forSetup($kept, $books, $log, $on);
        $log = $log->inSetup($books);
        $laid = new Trays($books, $log);
        $trays = $laid->pictures();
        $facts = [];
        foreach ($kept->file->crops as $crop) {
            $facts[$crop->id] = $log->crop($crop->id);
        }

        return Json::response([
            'trays' => $trays,
            'not_laid_out' => $laid->notLaidOut(),
            'labels' => Label::ofTrays($trays, $books, $log),
            'sheets' => LabelSheet::all(),
            'facts' => (object) $facts,
            'due' => array_values($weather->due ?? []),
            'stays' => StandingTime::all($books),
            'trials' => $kept->file->trials === [] ? [] : (new Trials($kept->file, $log, $kept->costing->setup($row)))->results(),
            'photos' => Photo::lines($season),
        ]);
    }

    #[OA\Put(
        path: '/api/seasons/{season}/setups/{setup}/trays',
        operationId: 'layTrays',
        summary: 'Keep the layout, move a crop\'s rows, or say how many sites stand in a row',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/TrayChange'))]
    #[OA\Response(response: 200, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function lay(Request $request, SeasonEditor $editor, SeasonState $state, int $season, string $setup): JsonResponse
    {
        $input = $request->validate([
            'do' => ['required', Rule::in(['keep', 'move', 'columns'])],
            'trays' => ['nullable', 'array', 'max:2000'],
            'trays.*' => ['string', 'max:10'],
            'tray' => ['required_unless:do,keep', 'nullable', 'string', 'max:10'],
            'row' => ['required_if:do,move', 'nullable', 'integer', 'between:1,1000'],
            'to' => ['required_if:do,move', 'nullable', 'string', 'max:10'],
            'to_row' => ['required_if:do,move', 'nullable', 'integer', 'between:1,1000'],
            'columns' => ['required_if:do,columns', 'nullable', 'integer', 'between:1,100'],
        ]);
        [$kept, $row] = $this->find($season, $setup);
        $log = LogRow::book($season);
        $books = $kept->lived($row, $log);
        $moves = new TrayMoves($books, (new Trays($books, $log))->pictures());
        $now = now()->utc()->format('Y-m-d\TH:i:s\Z');
        try {
            $edits = match ($input['do']) {
                'move' => $moves->moved((string) $input['tray'], (int) $input['row'], (string) $input['to'], (int) $input['to_row'], $now),
                'columns' => $moves->columns((string) $input['tray'], (int) $input['columns'], $now),
                default => $moves->kept(array_values($input['trays'] ?? [])),
            };
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['tray' => $e->getMessage()]);
        }
        $label = ['move' => 'rows of a tray', 'columns' => 'cells in a row', 'keep' => 'the layout of trays'][$input['do']];

        return $state->answer($editor->edit($kept->model->id, $label, fn (): array => $edits), $row->id);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/labels.pdf',
        operationId: 'labels',
        summary: 'Labels for sticks or sheets, with a code that opens the row\'s count on a phone',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'sheet', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'trays', in: 'query', required: false, description: 'letters with commas between; all without', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'used', in: 'query', required: false, description: 'labels of the first sheet that are gone', schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'code', in: 'query', required: false, description: '0 without the code', schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'PDF', content: new OA\MediaType(mediaType: 'application/pdf'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function labels(Request $request, int $season, string $setup): Response
    {
        [$kept, $row] = $this->find($season, $setup);
        $sheet = array_column(LabelSheet::all(), null, 'id')[Text::in($request, 'sheet')]
            ?? throw ValidationException::withMessages(['sheet' => 'There is no such sheet. Choose one of the list.']);
        $request->validate(['used' => ['nullable', 'integer', 'between:0,'.($sheet->labelsOnPage() - 1)]]);
        $log = LogRow::book($season);
        $books = $kept->lived($row, $log);
        $wanted = array_filter(explode(',', Text::in($request, 'trays')));
        $trays = array_filter((new Trays($books, $log))->pictures(), fn (TrayPicture $tray): bool => $wanted === []
            || in_array($tray->id, $wanted, true));
        $labels = new LabelPdf(PublicAddress::root($request), $kept->model->id, $kept->file->units->value === 'us');
        $pdf = $labels->render($sheet, Label::ofTrays(array_values($trays), $books, $log),
            $request->integer('used'), Text::in($request, 'code') !== '0');

        return new Response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="jolly-penny-labels.pdf"',
            'Cache-Control' => 'private, no-cache']);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/crops/{crop}/sow-again',
        operationId: 'sowAgain',
        summary: 'Whether to sow again once so many are up, how much, until when',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'crop', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'on', in: 'query', required: true, description: 'the day one would sow', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'up', in: 'query', required: false, description: 'how many are up; as counted without', schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The answer', content: new OA\JsonContent(ref: '#/components/schemas/SowAgainState'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function again(Request $request, int $season, string $setup, string $crop): JsonResponse
    {
        $input = $request->validate(['on' => ['required', 'date_format:Y-m-d'], 'up' => ['nullable', 'integer', 'between:0,'.self::MOST_UP]]);
        [$kept, $row] = $this->find($season, $setup);
        $facts = LogRow::book($season)->inSetup($kept->costing->books($row))->crop($crop);
        $up = isset($input['up']) ? (int) $input['up'] : $facts->up;
        $sowings = new Sowings($kept->costing, $row);
        $of = $sowings->isCommunity($crop) ? $facts->seeds : $facts->sites;

        return Json::response([
            'again' => $up === null ? null : $sowings->again($crop, $up, $of ?: null, $facts->sown_on, $input['on']),
            'two_step' => $facts->sown_on === null ? $sowings->inTwoSteps($crop) : null,
        ]);
    }

    /** @return list<array{id: string, crop: ?string, on: string, kind: string, count: ?int, why: string}> entries that cannot be as they are, to be put right */
    private static function marked(LogBook $log): array
    {
        $marked = array_values(array_filter($log->entries, fn (LogEntry $entry): bool => isset($log->marked[$entry->id])));

        return array_map(fn (LogEntry $entry): array => ['id' => $entry->id, 'crop' => $entry->crop, 'on' => $entry->on->format(),
            'kind' => $entry->kind->value, 'count' => $entry->count, 'why' => $log->marked[$entry->id]], $marked);
    }

    /** @return array{KeptSeason, Setup} */
    private function find(int $season, string $setup): array
    {
        $kept = $this->gardener->kept($season);

        return [$kept, array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException()];
    }
}

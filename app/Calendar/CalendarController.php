<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\PublicAddress;
use App\Models\CalendarFeed;
use App\Models\LogRow;
use App\Models\Season;
use App\Seasons\KeptSeason;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use App\Weather\SeasonWeather;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use JollyPenny\Core\Deciding\Choosing\Relief;
use JollyPenny\Core\Deciding\Choosing\Reliefs;
use JollyPenny\Core\Living\Tasks\Job;
use JollyPenny\Core\Living\Tasks\Jobs;
use JollyPenny\Core\Living\Tasks\Timing;
use JollyPenny\Core\Living\Tasks\TimingNote;
use JollyPenny\Core\Living\Weather\Due;
use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Editing\BarMoves;
use JollyPenny\Core\Season\Setup;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * A set-up's season day by day: tasks, the bench, what would make room; and the tasks for a calendar program.
 *
 * @phpstan-type CalendarShape array{
 *     tasks: list<Job>,
 *     // what is sown and not up yet, as the weather has it
 *     due: list<Due>,
 *     timing: list<TimingNote>,
 *     bench: list<BenchDays>,
 *     relief: list<Relief>,
 *     feed: ?string,
 * }
 * @phpstan-type BarMoveShape array{
 *     // of the method, from 0; null for the sowing
 *     stage?: ?int,
 *     by: int,
 * }
 * @phpstan-type FeedShape array{address: string}
 */
final class CalendarController
{
    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[
        OA\Get(
            path: '/api/seasons/{season}/setups/{setup}/calendar',
            operationId: 'calendar',
            summary: 'Tasks by day, and how full each place is',
            tags: ['Calendar'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'on', in: 'query', required: false, description: 'the gardener\'s own day, for what the weather says',
        schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The calendar', content: new OA\JsonContent(ref: '#/components/schemas/Calendar'))]
    public function show(Request $request, int $season, string $setup): JsonResponse
    {
        $on = $request->validate(['on' => ['nullable', 'date_format:Y-m-d']])['on'] ?? null;
        [$kept, $row] = $this->find($season, $setup);
        $log = LogRow::book($kept->model->id);
        $books = $kept->lived($row, $log);
        $weather = SeasonWeather::forSetup($kept, $books, $log, $on);
        $bench = BenchDays::fromBooks($books);
        $crowding = BenchDays::crowding($bench);
        $feed = CalendarFeed::query()->where('season_id', $kept->model->id)->where('setup', $row->id)->first();

        return Json::response([
            'tasks' => (new Jobs($books, $log, $weather))->all(),
            'due' => array_values($weather->due ?? []),
            'timing' => (new Timing($books))->notes(),
            'bench' => $bench,
            'relief' => $crowding === [] ? [] : (new Reliefs($kept->file))->forCrowding($row, $crowding),
            'feed' => $feed === null ? null : self::address($feed),
        ]);
    }

    #[
        OA\Put(
            path: '/api/seasons/{season}/setups/{setup}/crops/{crop}/bar',
            operationId: 'moveBar',
            summary: 'Move a crop\'s sowing, or the end of one of its stages, by days',
            tags: ['Calendar'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'crop', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/BarMove'))]
    #[OA\Response(response: 200, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function move(Request $request, SeasonEditor $editor, SeasonState $state, int $season, string $setup, string $crop): JsonResponse
    {
        $input = $request->validate([
            'stage' => ['nullable', 'integer', 'between:0,100'],
            'by' => ['required', 'integer', 'between:-3650,3650'],
        ]);
        [$kept, $row] = $this->find($season, $setup);
        $moves = new BarMoves($kept->costing->books($row));
        try {
            $edit = isset($input['stage'])
                ? $moves->stretched($crop, (int) $input['stage'], (int) $input['by'])
                : $moves->sowing($crop, (int) $input['by']);
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['by' => $e->getMessage()]);
        }

        return $state->answer($editor->edit($kept->model->id, $edit['label'], fn (): array => [$edit]), $row->id);
    }

    #[
        OA\Get(
            path: '/api/seasons/{season}/setups/{setup}/calendar.ics',
            operationId: 'calendarFile',
            summary: 'The tasks as an iCalendar file',
            tags: ['Calendar'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'text/calendar')]
    public function file(int $season, string $setup): Response
    {
        [$kept, $row] = $this->find($season, $setup);

        return self::calendar(TaskCalendar::text($kept, $row));
    }

    #[
        OA\Put(
            path: '/api/seasons/{season}/setups/{setup}/feed',
            operationId: 'openFeed',
            summary: 'A private address a calendar program can subscribe to; asked again, a new one that replaces it',
            tags: ['Calendar'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The address', content: new OA\JsonContent(ref: '#/components/schemas/Feed'))]
    public function open(int $season, string $setup): JsonResponse
    {
        [$kept, $row] = $this->find($season, $setup);
        $feed = CalendarFeed::query()->updateOrCreate(['season_id' => $kept->model->id, 'setup' => $row->id], ['token' => Str::random(48)]);

        return Json::response(['address' => self::address($feed)]);
    }

    #[
        OA\Delete(
            path: '/api/seasons/{season}/setups/{setup}/feed',
            operationId: 'closeFeed',
            summary: 'Revoke the address',
            tags: ['Calendar'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'Revoked')]
    public function close(int $season, string $setup): Response
    {
        CalendarFeed::query()
            ->where('season_id', $this->gardener->season($season)->id)
            ->where('setup', $setup)
            ->delete();

        return new Response(status: 204);
    }

    /** What a calendar program reads, without signing in: whoever has the address has the tasks. */
    public function feed(string $token): Response
    {
        $feed = CalendarFeed::query()->where('token', $token)->first() ?? throw new NotFoundHttpException();
        /** @var Season $model */
        $model = Season::query()->findOrFail($feed->season_id);
        $kept = KeptSeason::fromModel($model);

        return self::calendar(
            TaskCalendar::text($kept, array_column($kept->file->setups, null, 'id')[$feed->setup] ?? throw new NotFoundHttpException()),
        );
    }

    /** @return array{KeptSeason, Setup} */
    private function find(int $season, string $setup): array
    {
        $kept = $this->gardener->kept($season);

        return [$kept, array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException()];
    }

    private static function calendar(string $text): Response
    {
        return new Response($text, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="jolly-penny.ics"',
            'Cache-Control' => 'private, no-cache',
        ]);
    }

    private static function address(CalendarFeed $feed): string
    {
        return PublicAddress::root(request())."/calendar/{$feed->token}.ics";
    }
}

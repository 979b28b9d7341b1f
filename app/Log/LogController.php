<?php

declare(strict_types=1);

namespace App\Log;

use App\Http\CsvFile;
use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Models\LogRow;
use App\Models\Photo;
use App\Models\Season;
use App\Prices\NotATable;
use App\Seasons\KeptSeason;
use App\Trays\TrayController;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Log\LogEntry;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;

/**
 * What is written down in a season: added to, corrected by later entries, never changed.
 *
 * @phpstan-import-type PhotoLineShape from TrayController
 *
 * @phpstan-type LogShape array{entries: list<LogEntry & array{stands: bool}>, photos: list<PhotoLineShape>}
 * @phpstan-type NewEntriesShape array{entries: list<LogEntry>}
 * @phpstan-type WrittenShape array{refused: list<array{id: string, why: string}>}
 * @phpstan-type LogTableShape array{
 *     // CSV in base64
 *     file: string,
 * }
 * @phpstan-type LogTableReadShape array{rows: int, new: int, faults: list<array{line: int, why: string}>}
 */
final class LogController
{
    /** In one request. */
    private const AT_ONCE = 100;

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/log',
        operationId: 'log',
        summary: 'All entries in the order in which they count, those that stand no longer marked; and the pictures',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The log', content: new OA\JsonContent(ref: '#/components/schemas/Log'))]
    public function show(int $season): JsonResponse
    {
        $book = LogRow::book($this->gardener->season($season)->id);

        return Json::response(['entries' => self::written($book), 'photos' => Photo::lines($season)]);
    }

    #[OA\Post(
        path: '/api/seasons/{season}/log',
        operationId: 'writeLog',
        summary: 'Up to 100 entries, in order; sent again, each counts once',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewEntries'))]
    #[OA\Response(response: 200, description: 'What of it cannot be kept, and why; all else is',
        content: new OA\JsonContent(ref: '#/components/schemas/Written'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, int $season): JsonResponse
    {
        $model = $this->gardener->season($season);
        $body = json_decode($request->getContent());
        $given = $body instanceof \stdClass ? $body->entries ?? null : null;
        if (! is_array($given) || $given === [] || count($given) > self::AT_ONCE) {
            throw ValidationException::withMessages(['entries' => 'Send 1 to '.self::AT_ONCE.' entries.']);
        }
        [, $refused] = $this->write($model, array_values($given));

        return Json::response(['refused' => $refused]);
    }

    #[OA\Get(path: '/api/seasons/{season}/log.csv', operationId: 'logFile', summary: 'The log as a table', tags: ['Through the season'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'CSV, RFC 4180', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function file(int $season): Response
    {
        return CsvFile::response('log', LogTable::rows(LogRow::book($this->gardener->season($season)->id)->all));
    }

    #[OA\Post(
        path: '/api/seasons/{season}/log/table',
        operationId: 'readLogTable',
        summary: 'Entries out of a table; the same table read again adds nothing',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/LogTable'))]
    #[OA\Response(response: 200, description: 'What was read', content: new OA\JsonContent(ref: '#/components/schemas/LogTableRead'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function table(Request $request, int $season): JsonResponse
    {
        $model = $this->gardener->season($season);
        $bytes = base64_decode(Text::in($request, 'file'), true);
        try {
            $lines = LogTable::read($bytes === false ? '' : $bytes);
        } catch (NotATable $e) {
            throw ValidationException::withMessages(['file' => $e->getMessage()]);
        }
        [$new, $refused] = $this->write($model, array_column($lines, 1));
        $line = array_column(array_map(fn (array $one): array => [$one[1]->id, $one[0]], $lines), 1, 0);

        return Json::response([
            'rows' => count($lines),
            'new' => $new,
            'faults' => array_map(fn (array $one): array => ['line' => $line[$one['id']] ?? 0, 'why' => $one['why']], array_slice($refused, 0, 50)),
        ]);
    }

    /**
     * Keeps what can be kept. One writer at a time, so that two that both find room do not fill the log beyond its limit.
     *
     * @param  list<mixed>  $given
     * @return array{int, list<array{id: string, why: string}>} how many are new, and what cannot be kept
     */
    private function write(Season $model, array $given): array
    {
        return DB::transaction(function () use ($model, $given): array {
            Season::query()->whereKey($model->id)->lockForUpdate()->first(['id']);
            [$good, $refused] = $this->checked($model, $given);
            [$good, $impossible] = $this->possible($model, $good);

            return [LogRow::add($model->id, $good), [...$refused, ...$impossible]];
        });
    }

    /**
     * What breaks the law of plants is refused in words that say what there is; what waited on a device, corrects or takes back is kept
     * all the same, and shown until it is put right.
     *
     * @param  list<LogEntry>  $entries
     * @return array{list<LogEntry>, list<array{id: string, why: string}>}
     */
    private function possible(Season $season, array $entries): array
    {
        $file = KeptSeason::fromModel($season)->file;
        $known = LogRow::entries($season->id);
        $had = array_fill_keys(array_column($known, 'id'), true);
        $refused = [];
        do {
            $marked = (new LogBook([...$known, ...array_filter($entries, fn (LogEntry $one): bool => ! isset($had[$one->id]))]))->inSeason($file)->marked;
            $first = array_values(array_filter($entries, fn (LogEntry $one): bool => isset($marked[$one->id]) && ! isset($had[$one->id])
                && ! $one->waited && $one->corrects === null))[0] ?? null;
            if ($first !== null) {
                $refused[] = ['id' => $first->id, 'why' => $marked[$first->id]];
                $entries = array_values(array_filter($entries, fn (LogEntry $one): bool => $one !== $first));
            }
        } while ($first !== null);

        return [$entries, $refused];
    }

    /**
     * @param  list<mixed>  $given
     * @return array{list<LogEntry>, list<array{id: string, why: string}>} what can be kept, and what cannot
     */
    private function checked(Season $season, array $given): array
    {
        $check = new EntryCheck($season->year);
        $room = LogRow::MOST - LogRow::query()->where('season_id', $season->id)->count();
        $known = LogRow::query()->where('season_id', $season->id)
            ->whereIn('token', array_filter(array_map(fn (mixed $one): mixed => $one->id ?? null, array_filter($given, is_object(...))), is_string(...)))
            ->pluck('token')->all();
        $good = $refused = [];
        $known = array_fill_keys($known, true);
        foreach ($check->readAll($given) as $n => $read) {
            $one = $given[$n];
            $id = is_object($one) && is_string($one->id ?? null) ? mb_substr($one->id, 0, 100) : '';
            if (is_string($read)) {
                $refused[] = ['id' => $id, 'why' => $read];
            } elseif (! isset($known[$id]) && --$room < 0) {
                $refused[] = ['id' => $id, 'why' => 'The log of this season is full: '.LogRow::MOST.' entries.'];
            } else {
                $good[] = $read;
            }
        }

        return [$good, $refused];
    }

    /** @return list<array<string, mixed>> */
    private static function written(LogBook $book): array
    {
        $stands = array_fill_keys(array_column($book->entries, 'id'), true);
        $writer = new SeasonWriter;

        return array_map(fn (LogEntry $entry): array => [...(array) $writer->row($entry), 'stands' => isset($stands[$entry->id])], $book->inOrder());
    }
}

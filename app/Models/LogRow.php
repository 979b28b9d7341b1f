<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;
use JollyPenny\Core\Season\Log\LossCause;

/** An entry of a season's log as the database keeps it; the core reads LogEntry. */
final class LogRow extends Model
{
    /** Of one season; the file's list holds no more. */
    public const MOST = 5000;

    public const UPDATED_AT = null;

    protected $table = 'log_entries';

    protected $guarded = ['id'];

    /** @return list<LogEntry> */
    public static function entries(int $season): array
    {
        /** @var list<\stdClass> $rows */
        $rows = DB::select("SELECT *, to_char(written_at AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"') AS at
            FROM log_entries WHERE season_id = ? ORDER BY id", [$season]);

        return array_map(fn (\stdClass $row): LogEntry => new LogEntry(
            id: $row->token,
            on: Day::parse($row->day),
            at: $row->at,
            kind: LogKind::from($row->kind),
            crop: $row->crop,
            tray: $row->tray,
            row: $row->first_row,
            rows: $row->row_count,
            count: $row->count,
            seeds: $row->seeds,
            amount: $row->amount === null ? null : (float) $row->amount,
            unit: $row->unit,
            cause: LossCause::tryFrom((string) $row->cause),
            job: $row->job,
            until: $row->until_day === null ? null : Day::parse($row->until_day),
            corrects: $row->corrects,
            note: $row->note,
            waited: $row->waited,
        ), $rows);
    }

    public static function book(int $season): LogBook
    {
        return new LogBook(self::entries($season));
    }

    /**
     * Puts entries in that are not there yet.
     *
     * @param  list<LogEntry>  $entries
     * @return int how many are new
     */
    public static function add(int $season, array $entries): int
    {
        $rows = array_map(fn (LogEntry $entry): array => [
            'season_id' => $season, 'token' => $entry->id, 'day' => $entry->on->format(), 'written_at' => $entry->at, 'kind' => $entry->kind->value,
            'crop' => $entry->crop, 'tray' => $entry->tray, 'first_row' => $entry->row, 'row_count' => $entry->rows, 'count' => $entry->count,
            'seeds' => $entry->seeds, 'amount' => $entry->amount, 'unit' => $entry->unit, 'cause' => $entry->cause?->value, 'job' => $entry->job,
            'until_day' => $entry->until?->format(), 'corrects' => $entry->corrects, 'note' => $entry->note, 'waited' => $entry->waited,
        ], $entries);
        $new = 0;
        foreach (array_chunk($rows, 500) as $some) {
            $new += self::query()->insertOrIgnore($some);
        }

        return $new;
    }
}

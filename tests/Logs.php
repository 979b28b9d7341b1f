<?php

declare(strict_types=1);

namespace Tests;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\Log\LogEntry;

/** Logs for tests, of entries written one after the other. */
final class Logs
{
    /** @param  array<string, mixed>  $more  keys of the file */
    public static function entry(int $n, string $on, string $kind, array $more = []): LogEntry
    {
        return (new RowReader)->read(LogEntry::class, (object) [
            'id' => sprintf('entry-%05d', $n), 'on' => $on, 'at' => sprintf('%sT%02d:%02d:00Z', $on, 8 + intdiv($n, 60) % 12, $n % 60),
            'kind' => $kind, ...$more,
        ]);
    }

    /** @param  list<array{0: string, 1: string, 2?: array<string, mixed>}>  $entries  day, kind, keys */
    public static function book(array $entries): LogBook
    {
        return new LogBook(array_map(fn (array $one, int $n): LogEntry => self::entry($n, $one[0], $one[1], $one[2] ?? []), $entries, array_keys($entries)));
    }
}

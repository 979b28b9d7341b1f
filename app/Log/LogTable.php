<?php

declare(strict_types=1);

namespace App\Log;

use App\Prices\CsvTable;
use App\Prices\NotATable;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Log\LogEntry;
use ReflectionClass;
use stdClass;

/** The log as a table, and back: one column for each key of an entry. */
final readonly class LogTable
{
    private const WHOLE = ['row', 'rows', 'count', 'seeds'];

    private const NUMBER = ['amount'];

    /** @return list<string> */
    public static function columns(): array
    {
        return array_column((new ReflectionClass(LogEntry::class))->getConstructor()?->getParameters() ?? [], 'name');
    }

    /**
     * @param  list<LogEntry>  $entries
     * @return list<list<string|int|float|bool|null>> the heading first
     */
    public static function rows(array $entries): array
    {
        $writer = new SeasonWriter;
        $columns = self::columns();
        $rows = [$columns];
        foreach ($entries as $entry) {
            $row = $writer->row($entry);
            /** @var list<string|int|float|bool|null> $cells */
            $cells = array_map(fn (string $column): mixed => $row->{$column} ?? '', $columns);
            $rows[] = $cells;
        }

        return $rows;
    }

    /**
     * @return list<array{int, stdClass}> the line of each, and the entry as the season file writes it
     *
     * @throws NotATable
     */
    public static function read(string $bytes): array
    {
        $table = CsvTable::parse($bytes)->rows;
        [, $heading] = array_shift($table) ?? [0, []];
        $heading = array_map(mb_strtolower(...), $heading);
        $missing = array_diff(['on', 'kind'], $heading);
        if ($missing !== []) {
            throw new NotATable('The first line names no column "'.implode('" and none "', $missing).'". It needs "on" (the day) and "kind"; the others are: '
                .implode(', ', array_diff(self::columns(), ['on', 'kind'])).'.');
        }
        $entries = [];
        foreach ($table as [$line, $cells]) {
            $entry = new stdClass;
            foreach ($heading as $i => $column) {
                $cell = ltrim($cells[$i] ?? '', "'");
                if ($cell !== '' && in_array($column, self::columns(), true)) {
                    $entry->{$column} = self::value($column, $cell);
                }
            }
            // The same line read again is the same entry.
            $mark = hash('sha256', $line.json_encode($entry));
            $entry->id ??= 'table-'.substr($mark, 0, 32);
            $entry->at ??= (is_string($entry->on ?? null) ? $entry->on : '').'T12:00:00Z';
            $entries[] = [$line, $entry];
        }

        return $entries;
    }

    private static function value(string $column, string $cell): string|int|float|bool
    {
        return match (true) {
            in_array($column, self::WHOLE, true) && preg_match('/^-?\d{1,9}$/', $cell) === 1 => (int) $cell,
            in_array($column, self::NUMBER, true) && is_numeric($cell) => (float) $cell,
            $column === 'waited' => in_array(mb_strtolower($cell), ['1', 'true'], true),
            default => $cell,
        };
    }
}

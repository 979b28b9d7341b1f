<?php

declare(strict_types=1);

namespace App\Log;

use JollyPenny\Core\Season\File\Fault;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\File\SchemaCheck;
use JollyPenny\Core\Season\Log\LogEntry;
use stdClass;

/** Whether an entry is one that a season's log can hold, by the season file's schema. */
final readonly class EntryCheck
{
    private const YEARS_AWAY = 2;

    public function __construct(private int $year)
    {
    }

    /**
     * Many at once: the schema is asked of all of them, then of halves, until those that cannot be kept are found.
     *
     * @param  list<mixed>  $entries
     * @return list<LogEntry|string> each entry, or why it is none
     */
    public function readAll(array $entries): array
    {
        $areObjects = array_filter($entries, fn (mixed $one): bool => $one instanceof stdClass) === $entries;
        if (count($entries) > 1 && ! ($areObjects && (new SchemaCheck)->passes((object) ['log' => $entries], ['log']))) {
            [$first, $second] = array_chunk($entries, max(1, intdiv(count($entries) + 1, 2)));

            return [...$this->readAll($first), ...$this->readAll($second)];
        }

        $several = count($entries) > 1;

        return array_map(fn (mixed $one) => $several && $one instanceof stdClass ? $this->inTime($one) : $this->read($one), $entries);
    }

    /** @return LogEntry|string the entry, or why it is none */
    private function read(mixed $entry): LogEntry|string
    {
        if (! $entry instanceof stdClass) {
            return 'This is no entry of a log.';
        }
        $document = (object) ['log' => [$entry]];
        $check = new SchemaCheck;
        if (! $check->passes($document, ['log'])) {
            $faults = array_filter($check->faults($document), fn (Fault $fault): bool => str_starts_with($fault->path, '$.log[0]'));
            $fault = array_values($faults)[0] ?? null;

            return $fault === null ? 'This is no entry of a log.' : str_replace('$.log[0].', '', $fault->path).": {$fault->problem} {$fault->remedy}";
        }

        return $this->inTime($entry);
    }

    private function inTime(stdClass $entry): LogEntry|string
    {
        $read = (new RowReader)->read(LogEntry::class, $entry);

        return abs($read->on->year() - $this->year) > self::YEARS_AWAY
            ? "{$read->on->format()} is more than two years from the season of {$this->year}. Check the year." : $read;
    }
}

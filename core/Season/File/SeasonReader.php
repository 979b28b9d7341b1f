<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Season;
use stdClass;

/** Reads a season file: text, document, checks, value objects. */
final readonly class SeasonReader
{
    /** @throws InvalidSeason with every fault found */
    public function read(string $json): Season
    {
        return $this->readDocument(JsonText::parse($json));
    }

    /** @throws InvalidSeason with every fault found */
    public function readDocument(stdClass $document): Season
    {
        $faults = [...(new SchemaCheck())->faults($document), ...(new MeaningCheck($document))->faults()];
        if ($faults !== []) {
            throw new InvalidSeason(array_slice($faults, 0, SchemaCheck::MOST));
        }

        return $this->trusted($document);
    }

    /**
     * A document that was valid until the rows named were changed: only they are held against the schema.
     *
     * @param  array<string, list<string>>  $changed  ids of changed rows, by list
     *
     * @throws InvalidSeason with every fault found
     */
    public function readChanged(stdClass $document, array $changed): Season
    {
        $part = new stdClass();
        foreach (array_keys($changed) as $key) {
            if (property_exists($document, $key)) {
                $part->{$key} = $document->{$key};
            }
        }
        foreach (SeasonSchema::get()->lists as $list => $node) {
            $rows = (array) ($document->{$list} ?? []);
            if (count($rows) > ($node->maxItems ?? INF)) {
                return $this->readDocument($document);
            }
            if (! isset($changed[$list])) {
                continue;
            }
            $ids = $changed[$list];
            $part->{$list} = array_values(
                array_filter($rows, fn (mixed $row): bool => $row instanceof stdClass && in_array($row->id ?? null, $ids, true)),
            );
        }

        // What is wrong is told by its place in the whole document.
        return (new SchemaCheck())->passes($part, array_map(strval(...), array_keys($changed))) && (new MeaningCheck($document))->faults() === []
            ? $this->trusted($document)
            : $this->readDocument($document);
    }

    /** @return list<LogEntry> the log of a document that has passed the checks */
    public function log(stdClass $document): array
    {
        return (new RowReader())->read(Season::class, $document)->log;
    }

    /** A document known to have passed the checks: one the application has written itself. */
    public function trusted(stdClass $document): Season
    {
        return (new RowReader())->read(Season::class, $document);
    }
}

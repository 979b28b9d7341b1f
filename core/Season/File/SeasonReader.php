<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

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
        $faults = [...(new SchemaCheck)->faults($document), ...(new MeaningCheck($document))->faults()];
        if ($faults !== []) {
            throw new InvalidSeason(array_slice($faults, 0, SchemaCheck::MOST));
        }

        return $this->trusted($document);
    }

    /** A document known to have passed the checks: one the application has written itself. */
    public function trusted(stdClass $document): Season
    {
        return (new RowReader)->read(Season::class, $document);
    }
}

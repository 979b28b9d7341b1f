<?php

declare(strict_types=1);

namespace App\Seasons;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Showing\Pictures\SetupTills;
use stdClass;

/** A season after a change, and what it was before, so that the till can say by how much it moved. */
final readonly class EditedSeason
{
    /**
     * @param  string  $before  the document before the change, as text
     * @param  list<string>  $changed  keys of the document in which something changed
     * @param  ?string  $undoes  what undo would take back, where that was just done; null to be looked up
     */
    public function __construct(
        public KeptSeason $kept,
        public int $revisionBefore,
        private string $before,
        public array $changed,
        public ?string $undoes,
    ) {
    }

    /** @return array{since: int, keys: object} what has changed of the document: a key that is emptied stays, as null */
    public function part(): array
    {
        $keys = array_intersect_key(get_object_vars($this->kept->document), array_flip($this->changed));

        return ['since' => $this->revisionBefore, 'keys' => (object) $keys];
    }

    /** Null where the set-up was not there before. */
    public function tillsBefore(string $setup): ?SetupTills
    {
        $document = json_decode($this->before);
        assert($document instanceof stdClass);
        $season = (new SeasonReader)->trusted($document);
        $row = array_column($season->setups, null, 'id')[$setup] ?? null;

        return $row === null ? null : SetupTills::ofResult((new SeasonCosting($season))->setup($row));
    }
}

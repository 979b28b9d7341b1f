<?php

declare(strict_types=1);

namespace JollyPenny\Core\Drafting;

use JollyPenny\Core\Catalogue\Cell;
use JollyPenny\Core\Catalogue\NotInCatalogue;
use stdClass;

/** Puts a school's method into a season: its stages with the season's own places, and what it is raised in. */
final readonly class Schools
{
    public function __construct(private SeasonDraft $draft)
    {
    }

    /**
     * @return string the method's id in the season
     *
     * @throws NotInCatalogue
     */
    public function ensure(string $id): string
    {
        foreach ($this->draft->rows('methods') as $row) {
            if (SeasonDraft::markOf($row) === $id) {
                return Cell::text($row->id);
            }
        }
        $method = SeasonDraft::object(
            $this->draft->catalogue->methods()[$id] ?? throw new NotInCatalogue("The catalogue has no method \"{$id}\"."),
        );
        unset($method->school, $method->source);
        $method->meta = (object) [SeasonDraft::MARK => $id];
        $method->needs = array_map(fn (string $gear): string => $this->draft->ensure('gear', $gear), Cell::texts($method->needs ?? []));
        foreach (Cell::rows($method->extras ?? []) as $extra) {
            $extra->supply = $this->draft->ensure('supplies', Cell::text($extra->supply));
        }
        array_map($this->stage(...), Cell::rows($method->stages));

        return $this->draft->add('methods', $method);
    }

    private function stage(stdClass $stage): void
    {
        $stage->place = $this->draft->place(Cell::text($stage->place));
        if (isset($stage->container)) {
            $stage->container = $this->draft->ensure('containers', Cell::text($stage->container));
        }
        if (isset($stage->mix)) {
            $stage->mix = $this->draft->ensureMix(Cell::text($stage->mix));
        }
        if (($stage->top_dressing ?? null) instanceof stdClass) {
            $stage->top_dressing->supply = $this->draft->ensure('supplies', Cell::text($stage->top_dressing->supply));
        }
        $stage->trayware = array_map(
            fn (string $tray): string => $this->draft->ensure('trayware', $tray),
            Cell::texts($stage->trayware ?? []),
        );
    }
}

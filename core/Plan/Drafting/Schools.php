<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use stdClass;

/** Puts a school's method into a season: its stages with the season's own places, and what it is raised in. */
final readonly class Schools
{
    private const CELLS = ['cell72', 'cell72_heavy'];

    private const BOUGHT_POTS = ['pot6', 'pot7', 'pot9', 'pot10'];

    /** What is done otherwise, where the name of the method has to say it. */
    private const WORDS = [
        'sill' => 'on the sill',
        'no_mat' => 'without a mat',
        'big_tub' => 'to saved tubs',
        'newspaper' => 'to paper pots',
    ];

    /** The school whose survivals hold at a window. */
    private const OF_A_SILL = 'kit_sill';

    public function __construct(private SeasonDraft $draft)
    {
    }

    /**
     * The school's method as it is done with what there is.
     *
     * @return string the method's id in the season
     *
     * @throws NotInCatalogue
     */
    public function ensure(string $id, Means $means = new Means(true, true)): string
    {
        $method = SeasonDraft::object(
            $this->draft->catalogue->methods()[$id] ?? throw new NotInCatalogue("The catalogue has no method \"{$id}\"."),
        );
        $changed = [];
        $standsIn = '';
        $wasOnSill = false;
        foreach (Cell::rows($method->stages) as $i => $stage) {
            $standsIn = Cell::text($stage->container ?? $standsIn);
            $adapted = $this->adapt($stage, $means, $standsIn);
            $isMoved = in_array('sill', $adapted, true);
            if ($isMoved || $wasOnSill) {
                $this->survivesAsOnASill($stage, $i === 0);
            }
            $wasOnSill = $wasOnSill || $isMoved;
            array_push($changed, ...$adapted);
        }
        $words = array_values(array_unique($changed));
        $mark = implode(':', [$id, ...$words]);
        foreach ($this->draft->rows('methods') as $row) {
            if (SeasonDraft::markOf($row) === $mark) {
                return Cell::text($row->id);
            }
        }
        $name = implode(', ', [Cell::text($method->name), ...array_filter(array_map(fn (string $word): string => self::WORDS[$word] ?? '', $words))]);
        $method->name = $this->draft->localName($name);
        unset($method->school, $method->source);
        $method->meta = (object) [SeasonDraft::MARK => $mark];
        $method->needs = array_map(fn (string $gear): string => $this->draft->ensure('gear', $gear), Cell::texts($method->needs ?? []));
        foreach (Cell::rows($method->extras ?? []) as $extra) {
            $extra->supply = $this->draft->ensure('supplies', Cell::text($extra->supply));
        }
        array_map($this->stage(...), Cell::rows($method->stages));

        return $this->draft->add('methods', $method);
    }

    /** What is moved to a window survives no better than what was meant for one, and is no sturdier when it goes out. */
    private function survivesAsOnASill(stdClass $stage, bool $isFirst): void
    {
        $stages = Cell::rows(SeasonDraft::object($this->draft->catalogue->methods()[self::OF_A_SILL])->stages);
        $like = $stages[match (true) {
            $isFirst => 0,
            $stage->place === 'sill' => 1,
            default => 2,
        }];
        $stage->survival = min($stage->survival, $like->survival);
    }

    /** @return list<string> what is done otherwise */
    private function adapt(stdClass $stage, Means $means, string $standsIn): array
    {
        $changed = [];
        if (! $means->mats && ($stage->mat ?? false)) {
            $stage->mat = false;
            $changed[] = 'no_mat';
        }
        if (! $means->lamps && ($stage->light ?? false)) {
            $stage->light = false;
            $stage->place = ($stage->mat ?? false) ? 'bench' : 'sill';
            $changed[] = 'sill';
        }
        if (! $means->trayware && ($stage->trayware ?? []) !== [] && ! in_array($standsIn, self::CELLS, true)) {
            $stage->trayware = [];
            $changed[] = 'no_trays';
        }
        if ($means->pots !== null && in_array($stage->container ?? '', self::BOUGHT_POTS, true)) {
            $stage->container = $means->pots;
            $changed[] = $means->pots;
        }
        if ($means->mix !== null && isset($this->draft->catalogue->recipes()[Cell::text($stage->mix ?? '')])) {
            $stage->mix = $means->mix;
            $changed[] = $means->mix;
        }

        return $changed;
    }

    private function stage(stdClass $stage): void
    {
        $stage->name = $this->draft->localName(Cell::text($stage->name));
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

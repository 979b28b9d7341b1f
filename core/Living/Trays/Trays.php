<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Crops\TrayRun;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;
use stdClass;

/**
 * Which row of which tray holds what. What was really sown stands where it was sown, in that number; what somebody has laid out or
 * labelled stands there; the rest is laid out by itself: what is sown in one week, equally warm, leaves in one week and lies equally
 * deep together, one row or more to a crop, and what does not fill a tray is continued within a fortnight.
 */
final class Trays
{
    /** What is sown so many days later may still join a tray. Common practice, no source. */
    private const JOIN_DAYS = 14;

    /** More are not laid out: nobody labels them one by one, and a slip of the pen must not lay out a million. */
    public const MOST = 400;

    private const OPTIONS = 'trays';

    /** @var array<array-key, Layout> by letters */
    private array $trays = [];

    /** @var list<Run> */
    private array $runs = [];

    /** @var array<int, int> sites of a run that stand nowhere yet, by place in `runs` */
    private array $left = [];

    private int $letters = 0;

    /** @var ?array<array-key, int> letters of trays that are laid out or written down */
    private ?array $taken = null;

    /** @var array<string, list<LogEntry>> entries by which a run was filled, by crop and stage */
    private array $filled = [];

    private readonly bool $labelRow;

    private readonly LogBook $log;

    public function __construct(private readonly SetupBooks $books, LogBook $log, private readonly Catalogue $catalogue = new Catalogue)
    {
        $this->log = $log->inSetup($books);
        $options = $books->season()->meta->{self::OPTIONS} ?? null;
        $this->labelRow = $options instanceof stdClass && ($options->label_row ?? false) === true;
        foreach ($books->plans as $order => $plan) {
            array_push($this->runs, ...Run::ofPlan($plan, $order, $this->depth($plan->lot->species)));
        }
        foreach ($this->runs as $i => $run) {
            $this->left[$i] = $this->sites($run);
        }
        // What was moved after it was sown stands where it was moved; what was sown elsewhere than laid out stands there.
        $this->placeByHand(true);
        $this->placeWhatWasFilled();
        $this->placeByHand(false);
        $this->placeTheRest();
    }

    /** @return list<TrayPicture> in the order in which they are first filled */
    public function pictures(): array
    {
        $places = [];
        foreach ($this->trays as $tray) {
            foreach ($tray->placed as $placed) {
                $key = "{$placed['run']->plan->crop->id}|{$placed['run']->index}";
                $places[$key] = ($places[$key] ?? 0) + 1;
            }
        }
        $pictures = [];
        $shown = [];
        foreach ($this->trays as $tray) {
            $picture = $this->picture($tray, $places, $shown);
            $picture === null ?: $pictures[] = $picture;
        }
        usort($pictures, fn (TrayPicture $a, TrayPicture $b): int => [$a->from, strlen($a->id), $a->id] <=> [$b->from, strlen($b->id), $b->id]);

        return $pictures;
    }

    /** Sites that stand in no tray, because there would be too many trays. */
    public function notLaidOut(): int
    {
        return (int) array_sum($this->left);
    }

    /** How many of a crop a stage fills: what was written down, else what the plan says. */
    private function sites(Run $run): int
    {
        $counts = array_map(fn (LogEntry $entry): int => $entry->count ?? 0, $this->filledBy($run));

        return $counts === [] ? $run->stage->sites : (int) array_sum($counts);
    }

    /** @return list<LogEntry> by which a run was sown, or moved into its container */
    private function filledBy(Run $run): array
    {
        $job = (string) JobId::ofCrop($run->plan->crop->id, TaskKind::Stage, $run->index);

        return $this->filled[$job] ??= array_values(array_filter(
            $this->log->byCrop[$run->plan->crop->id] ?? [],
            fn (LogEntry $entry): bool => ($entry->count ?? 0) > 0 && ($run->index === 0
                ? $entry->kind === LogKind::Sown
                : $entry->kind->isMove() && $entry->job === $job),
        ));
    }

    private function placeWhatWasFilled(): void
    {
        foreach ($this->runs as $i => $run) {
            foreach ($this->filledBy($run) as $entry) {
                if ($entry->tray === null) {
                    continue;
                }
                $tray = $this->tray($entry->tray, $run);
                $sites = min($entry->count ?? 0, $this->left[$i]);
                $rows = $tray->grid->rowsFor($sites);
                [$row, $free] = $entry->row !== null && $tray->fits($entry->row, $rows) ? [$entry->row, $rows] : $tray->firstFree($rows);
                $this->put($tray, $i, $row, min($sites, $free * $tray->grid->columns), true);
            }
        }
    }

    /** @param  bool  $moved  only what was moved after it was filled */
    private function placeByHand(bool $moved): void
    {
        foreach ($this->books->season()->trays as $said) {
            foreach ($said->runs as $one) {
                foreach ($this->runs as $i => $run) {
                    if (! $run->is($one->crop, $one->stage, $said->container) || $this->left[$i] === 0 || $moved !== $this->isMoved($run, $one)) {
                        continue;
                    }
                    $tray = $this->tray($said->id, $run);
                    // More or fewer are sown now than when it was laid out: as many as fit from there on.
                    $rows = $tray->grid->rowsFor(min($one->sites, $this->left[$i]));
                    while ($rows > 0 && ! $tray->fits($one->row, $rows)) {
                        $rows--;
                    }
                    $this->put($tray, $i, $one->row, min($one->sites, $this->left[$i], $rows * $tray->grid->columns), $this->filledBy($run) !== []);
                }
            }
        }
    }

    private function isMoved(Run $run, TrayRun $said): bool
    {
        $filled = $this->filledBy($run);

        return $said->at !== null && $filled !== [] && $said->at > max(array_column($filled, 'at'));
    }

    private function placeTheRest(): void
    {
        $order = array_keys($this->runs);
        usort($order, fn (int $a, int $b): int => $this->runs[$a]->sortKey() <=> $this->runs[$b]->sortKey());
        foreach ($order as $i) {
            while ($this->left[$i] > 0) {
                $run = $this->runs[$i];
                $tray = $this->roomFor($run) ?? (count($this->trays) < self::MOST ? $this->tray($this->nextLetters(), $run) : null);
                if ($tray === null) {
                    break;
                }
                [$row, $free] = $tray->firstFree($tray->grid->rowsFor($this->left[$i]));
                $this->put($tray, $i, $row, min($this->left[$i], $free * $tray->grid->columns), $this->filledBy($run) !== []);
            }
        }
    }

    private function put(Layout $tray, int $i, int $row, int $sites, bool $filled): void
    {
        if ($sites > 0) {
            $tray->put($this->runs[$i], $row, $sites, $filled);
            $this->left[$i] -= $sites;
        }
    }

    private function roomFor(Run $run): ?Layout
    {
        foreach ($this->trays as $tray) {
            if ($tray->companions === $run->companions() && $tray->firstFree(1)[1] > 0 && $tray->since !== null
                && abs($run->stage->start - $tray->since) <= self::JOIN_DAYS) {
                return $tray;
            }
        }

        return null;
    }

    private function tray(string $id, Run $run): Layout
    {
        $said = array_column($this->books->season()->trays, null, 'id')[$id] ?? null;
        $columns = $said !== null && $said->container === $run->container->id ? $said->columns : null;
        $grid = Grid::forContainer($run->container, $columns);

        return $this->trays[$id] ??= new Layout($id, $run->container->id, $grid, $this->labelRow && ! $grid->byTens && $grid->rows > 1, $said !== null);
    }

    /** A, B, … Z, AA, AB, …: the first that no tray has, laid out, written down or made. */
    private function nextLetters(): string
    {
        do {
            $letters = '';
            for ($n = $this->letters++; $n >= 0; $n = intdiv($n, 26) - 1) {
                $letters = chr(65 + $n % 26).$letters;
            }
        } while (isset($this->trays[$letters]) || $this->isTaken($letters));

        return $letters;
    }

    private function isTaken(string $letters): bool
    {
        $this->taken ??= array_flip([...array_column($this->books->season()->trays, 'id'), ...array_filter(array_column($this->log->entries, 'tray'))]);

        return isset($this->taken[$letters]);
    }

    /**
     * @param  array<string, int>  $places  in how many trays each run stands
     * @param  array<string, int>  $shown  plants in the rows before, by crop, and by crop and tray
     */
    private function picture(Layout $tray, array $places, array &$shown): ?TrayPicture
    {
        $placed = $tray->placed;
        usort($placed, fn (array $a, array $b): int => $a['row'] <=> $b['row']);
        $runs = [];
        foreach ($placed as $rows) {
            $runs[] = $this->rows($tray, $rows, $places, $shown);
        }
        if ($runs === []) {
            return null;
        }
        $first = $placed[0]['run'];
        $name = $this->books->index->containers[$tray->container]->name;

        return new TrayPicture(
            id: $tray->id,
            container: $tray->container,
            name: $name,
            columns: $tray->grid->columns,
            rows: $tray->grid->rows,
            sites: $tray->grid->sites,
            by_tens: $tray->grid->byTens,
            label_row: $tray->hasLabelRow(),
            place: $first->stage->place->id,
            mat: $first->stage->stage->mat,
            light: $first->stage->stage->light,
            from: min(array_map(fn (RowPicture $run): string => $run->from, $runs)),
            to: max(array_map(fn (RowPicture $run): string => $run->to, $runs)),
            by_hand: $tray->byHand,
            runs: $runs,
            free_rows: $tray->freeAtEnd(),
        );
    }

    /**
     * Rows of a tray that hold one crop.
     *
     * @param  array{run: Run, row: int, rows: int, sites: int, filled: bool}  $placed
     * @param  array<string, int>  $places  in how many trays each run stands
     * @param  array<string, int>  $shown  plants in the rows before, by crop, and by crop and tray
     */
    private function rows(Layout $tray, array $placed, array $places, array &$shown): RowPicture
    {
        ['run' => $run, 'row' => $row, 'rows' => $rows, 'sites' => $sites, 'filled' => $filled] = $placed;
        $plan = $run->plan;
        $facts = $this->log->crop($plan->crop->id, [$tray->id]);
        $left = $this->hasLeft($run);
        $last = $row + $rows - 1;
        $isThick = $run->index === 0 && $plan->method->pattern === Pattern::Community;
        $countOf = $isThick ? $this->seedsIn($run, $facts, $sites) : $sites * ($run->index === 0 ? 1 : $run->stage->stage->plantsPerSite);
        $plants = $left ? 0 : $this->plants($run, $filled, $facts, $countOf, $tray->id, $shown);

        return new RowPicture(
            crop: $plan->crop->id,
            stage: $run->index,
            code: $tray->id.$row.($last > $row ? "–{$last}" : ''),
            row: $row,
            rows: $rows,
            sites: $sites,
            seeds_per_site: $run->index === 0 ? $plan->method->seedsPerSite : $run->stage->stage->plantsPerSite,
            seeds: $run->index > 0 ? 0 : ($isThick ? $countOf : $sites * $plan->method->seedsPerSite),
            from: Day::ofNumber($run->stage->start)->format(),
            to: Day::ofNumber($run->end)->format(),
            filled: $filled,
            continued: $places["{$plan->crop->id}|{$run->index}"] > 1,
            up: $facts->up,
            plants: $plants,
            count_of: $countOf,
            unit: $isThick ? 'seeds' : 'sites',
            expected: $countOf * ($run->index === 0 ? $plan->sowing->q : 1.0),
            own_seed: $plan->lot->packetPrice <= 0.0,
            left: $left,
        );
    }

    /**
     * What of a crop stands here: as counted in this row, else its part of what stands of the crop in rows that are not known. All rows
     * together show no more than there are. Null before a count, and where they are still to be moved to.
     *
     * @param  array<string, int>  $shown  in the rows before
     */
    private function plants(Run $run, bool $filled, RowFacts $here, int $countOf, string $tray, array &$shown): ?int
    {
        $crop = $this->log->crop($run->plan->crop->id);
        if ($crop->alive === null || ($run->index > 0 && ! $filled)) {
            return null;
        }
        $each = $run->index === 0 ? 1 : $run->stage->stage->plantsPerSite;
        $all = $run->index === 0 && $run->plan->method->pattern === Pattern::Community ? max($crop->seeds, $run->plan->sowing->seeds) : $this->sites($run) * $each;
        $part = $here->alive ?? (int) round($countOf * $crop->alive / max(1, $all));
        $id = $run->plan->crop->id;
        $plants = min($countOf, $part, $crop->alive - ($shown[$id] ?? 0), $here->alive === null ? $part : $here->alive - ($shown["{$id} {$tray}"] ?? 0));
        foreach ([$id, "{$id} {$tray}"] as $key) {
            $shown[$key] = ($shown[$key] ?? 0) + $plants;
        }

        return $plants;
    }

    /** Seeds of what is sown thick in these pots: as written down, else their part of the plan's. */
    private function seedsIn(Run $run, RowFacts $here, int $sites): int
    {
        return $here->seeds > 0 ? $here->seeds : (int) round($run->plan->sowing->seeds * $sites / max(1, $run->plan->sowing->sites));
    }

    /** Its plants were moved into the next container, or none is left. */
    private function hasLeft(Run $run): bool
    {
        foreach ($this->runs as $other) {
            if ($other->plan === $run->plan && $other->index > $run->index && $this->filledBy($other) !== []) {
                return true;
            }
        }
        $facts = $this->log->crop($run->plan->crop->id);

        return $facts->alive === 0 && $facts->gone + $facts->lost > 0;
    }

    private function depth(string $species): float
    {
        $row = $this->books->index->species[$species];

        return $this->catalogue->recognise(SeasonDraft::kinIn($row->meta), $row->name)->sowingDepthMm ?? 0.0;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Log;

use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;

/**
 * Where the plants of one crop are, entry by entry: the law of plants of docs/after.md. Counts are of sites where plants are raised one by
 * one, of seeds and then plants where they are sown thick. A row is known by its tray's letters; what is known of the crop as a
 * whole only stands under ''.
 */
final class PlantLedger
{
    public ?string $sownOn = null;

    public ?string $countedOn = null;

    /** @var array<array-key, int> sites sown, by row */
    public array $sown = [];

    public int $seeds = 0;

    /** @var array<array-key, int> seeds sown, by row */
    public array $seedsIn = [];

    /** @var ?array<array-key, int> what stands there, by row; null before anything is counted */
    public ?array $there = null;

    /** @var array<array-key, int> the most that ever was up, by row */
    public array $upIn = [];

    /** The most that ever was up; null before a count. */
    public ?int $up = null;

    public int $bought = 0;

    /** @var array<array-key, array<string, int>> planted, given, sold, composted and lost, by row */
    public array $gone = [];

    /** @var array<array-key, array<string, int>> lost, by row and cause */
    public array $causes = [];

    /** @var array<string, int> how many really left by an entry that says so, by its id */
    public array $leftBy = [];

    /** Planted, or given or sold out of the last stage. */
    public int $finished = 0;

    /** Which move the last entry belongs to; entries of one move leave from the same rows. */
    private ?string $move = null;

    /** @var list<array-key> the rows that move leaves from */
    private array $from = [];

    /**
     * @param  bool  $oneByOne  whether each site holds one plant, so that no more can be up than sites were sown
     * @param  ?int  $lastStageFrom  day from which what is given or sold is a finished seedling; null for all
     */
    public function __construct(private readonly bool $oneByOne, private readonly ?int $lastStageFrom = null)
    {
    }

    /** @return ?string what the entry says that cannot be, in words; it counts for as many as there are */
    public function apply(LogEntry $entry): ?string
    {
        $count = $entry->count;
        $row = $entry->tray ?? '';
        $this->move = $entry->kind->isMove() ? $this->move : null;
        if ($entry->kind === LogKind::Sown) {
            $this->sownOn ??= $entry->on->format();
            $this->sown[$row] = ($this->sown[$row] ?? 0) + ($count ?? 0);
            $this->seeds += $entry->seeds ?? 0;
            $this->seedsIn[$row] = ($this->seedsIn[$row] ?? 0) + ($entry->seeds ?? 0);

            return null;
        }
        if ($count === null) {
            return null;
        }

        return match (true) {
            $entry->kind === LogKind::Bought => $this->buy($row, $count),
            $entry->kind->isMove() => $this->moveTo($entry, $row, $count),
            $entry->kind->isCount() => $this->count($entry, $row, $count),
            $entry->kind->leaves() => $this->leave($entry, $row, $count),
            default => null,
        };
    }

    public function standing(): ?int
    {
        return $this->there === null ? null : array_sum($this->there);
    }

    public function allGone(): int
    {
        return array_sum(array_map(array_sum(...), $this->gone));
    }

    public function allSown(): int
    {
        return array_sum($this->sown);
    }

    private function buy(string $row, int $count): null
    {
        $this->bought += $count;
        if ($this->there !== null) {
            $this->there[$row] = ($this->there[$row] ?? 0) + $count;
        }

        return null;
    }

    /** So many stand there now: in one row, or in all. */
    private function count(LogEntry $entry, string $row, int $count): ?string
    {
        [$others, $why] = [$this->othersThan($row), null];
        $most = $this->oneByOne && $this->allSown() > 0 ? $this->allSown() + $this->bought - $this->allGone() - $others : null;
        if ($most !== null && $count > $most) {
            $why = "{$this->allSown()} were sown".($this->allGone() > 0 ? " and {$this->allGone()} are gone" : '')
                .($others > 0 ? ", {$others} stand in other trays" : '').': '.max(0, $most)." can stand here, not {$count}. Were more sown than written?";
            $count = max(0, $most);
        }
        if ($row === '') {
            $this->there = ['' => $count];
        } else {
            $this->there ??= [];
            $unknown = max(0, ($this->there[''] ?? 0) - $count);
            unset($this->there['']);
            $this->there[$row] = $count;
            $unknown > 0 && $this->there[''] = $unknown;
        }
        if ($entry->kind === LogKind::Up) {
            $this->countedOn = $entry->on->format();
            $this->upIn[$row] = max($this->upIn[$row] ?? 0, $count + array_sum($this->gone[$row] ?? []));
        }
        $this->seenUp();

        return $why;
    }

    /** They leave the rows they stood in and stand in this one; what is not moved stays. */
    private function moveTo(LogEntry $entry, string $row, int $count): ?string
    {
        // Nothing was counted where a move began: what it brings is all that is known.
        if ($this->there === null || ($this->from === [] && $this->move === $this->moveOf($entry))) {
            $unseen = $this->allSown() + $this->bought - $this->allGone() - (int) $this->standing();
            $most = $this->oneByOne && $this->allSown() > 0 ? max(0, $unseen) : $count;
            $this->there ??= [];
            $this->there[$row] = ($this->there[$row] ?? 0) + min($count, $most);
            $this->seenUp();
            $this->move = $this->moveOf($entry);
            $this->from = [];

            return $count > $most ? $this->tooMany($most, $count) : null;
        }
        if ($this->move === null || $this->move !== $this->moveOf($entry)) {
            $this->move = $this->moveOf($entry);
            $this->from = array_keys($this->there);
        }
        $available = array_sum(array_intersect_key($this->there, array_flip($this->from)));
        $moved = min($count, $available);
        // A place is told without a row where all go outdoors: they stand in the rows they stood in.
        if ($row !== '') {
            $left = $moved;
            foreach ($this->from as $source) {
                $taken = min($left, $this->there[$source] ?? 0);
                $this->there[$source] = ($this->there[$source] ?? 0) - $taken;
                $left -= $taken;
                if ($this->there[$source] === 0) {
                    unset($this->there[$source]);
                }
            }
            $this->there[$row] = ($this->there[$row] ?? 0) + $moved;
        }

        return $count > $available ? $this->tooMany($available, $count) : null;
    }

    private function moveOf(LogEntry $entry): string
    {
        return $entry->job ?? $entry->kind->value;
    }

    /** They stand there no longer. */
    private function leave(LogEntry $entry, string $row, int $count): ?string
    {
        $all = $this->standing() ?? ($this->allSown() > 0 ? max(0, $this->allSown() + $this->bought - $this->allGone()) : $count);
        $here = $this->there !== null && $row !== '' && isset($this->there[$row]) ? $this->there[$row] : $all;
        $left = min($count, $here);
        $kind = $entry->kind->value;
        $this->leftBy[$entry->id] = $left;
        $this->gone[$row][$kind] = ($this->gone[$row][$kind] ?? 0) + $left;
        if ($entry->kind === LogKind::Lost) {
            $cause = $entry->cause->value ?? 'other';
            $this->causes[$row][$cause] = ($this->causes[$row][$cause] ?? 0) + $left;
        } elseif ($entry->kind === LogKind::Planted || (in_array($entry->kind, [LogKind::Given, LogKind::Sold], true)
            && ($this->lastStageFrom === null || $entry->on->number >= $this->lastStageFrom))) {
            $this->finished += $left;
        }
        if ($this->there !== null) {
            if ($row !== '' && isset($this->there[$row])) {
                $this->there[$row] -= $left;
            } elseif (count($this->there) === 1) {
                $this->there[array_key_first($this->there)] -= $left;
            } else {
                // Nobody said which rows they left: how many stand in each is not known until they are counted.
                $this->there = ['' => $all - $left];
            }
        }

        return $count > $here ? $this->tooMany($here, $count) : null;
    }

    private function tooMany(int $there, int $count): string
    {
        return ($there === 1 ? '1 is there' : "{$there} are there").", not {$count}. Count again, or give at most {$there}.";
    }

    private function othersThan(string $row): int
    {
        return $row === '' || $this->there === null ? 0 : array_sum(array_diff_key($this->there, [$row => 0, '' => 0]));
    }

    private function seenUp(): void
    {
        $this->up = max($this->up ?? 0, (int) $this->standing() + $this->allGone() - $this->bought);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

use InvalidArgumentException;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Units\Ceiling;

/** What laying out by hand changes in a season: rows moved, a layout kept as it is, sites in a row counted. */
final readonly class TrayMoves
{
    /** @param  list<TrayPicture>  $trays  as they stand */
    public function __construct(private SetupBooks $books, private array $trays)
    {
    }

    /**
     * The layout as it is, so that it stays: what was labelled is found by its label.
     *
     * @param  list<string>  $letters  of trays; empty for all
     * @return list<array{path: list<string|int>, to: mixed}>
     */
    public function kept(array $letters): array
    {
        $edits = [];
        foreach ($this->trays as $tray) {
            if ($letters === [] || in_array($tray->id, $letters, true)) {
                $edits[] = $this->edit($tray, self::runs($tray->runs), $this->columnsSaid($tray->id));
            }
        }

        return $edits;
    }

    /**
     * @param  string  $at  when, ISO 8601 in UTC
     * @return list<array{path: list<string|int>, to: mixed}>
     *
     * @throws InvalidArgumentException in words
     */
    public function columns(string $letters, int $columns, string $at): array
    {
        $tray = $this->tray($letters);
        if ($tray->by_tens) {
            throw new InvalidArgumentException('Pots and packs are taken by tens; only a tray has rows of its own.');
        }
        if ($columns > $tray->sites) {
            throw new InvalidArgumentException("Tray {$letters} has {$tray->sites} cells. Give as many as stand in one row.");
        }

        // As they follow each other, in as many rows as they take now; what finds no room any more is laid out by itself.
        $runs = [];
        $row = $tray->label_row ? 2 : 1;
        $rows = Ceiling::roundUp($tray->sites / $columns);
        foreach ($tray->runs as $run) {
            $needed = Ceiling::roundUp($run->sites / $columns);
            if ($row + $needed - 1 <= $rows) {
                $runs[] = self::run($run, $row, $at);
                $row += $needed;
            }
        }

        return [$this->edit($tray, $runs, $columns)];
    }

    /**
     * A crop's rows to another place; what stands there moves down, as far as there is room.
     *
     * @param  int  $row  first of the rows that are moved
     * @param  string  $at  when, ISO 8601 in UTC
     * @return list<array{path: list<string|int>, to: mixed}>
     *
     * @throws InvalidArgumentException in words
     */
    public function moved(string $from, int $row, string $to, int $toRow, string $at): array
    {
        [$source, $target] = [$this->tray($from), $this->tray($to)];
        $moved = array_values(array_filter($source->runs, fn (RowPicture $run): bool => $run->row === $row))[0]
            ?? throw new InvalidArgumentException("Nothing begins in row {$row} of tray {$from}.");
        if ($source->container !== $target->container) {
            throw new InvalidArgumentException("Tray {$to} is another kind of container: {$target->name}.");
        }
        $rest = array_values(array_filter($source->runs, fn (RowPicture $run): bool => $run !== $moved));
        $there = $source->id === $target->id ? $rest : $target->runs;
        $first = $target->label_row ? 2 : 1;
        $needed = $moved->rows + array_sum(array_column($there, 'rows'));
        if ($needed > $target->rows - $first + 1) {
            throw new InvalidArgumentException("There is no room in tray {$to}: {$moved->rows} rows are needed. Move something out first.");
        }
        $runs = self::placed($there, $moved, max($first, $toRow), $first, $target->rows, $at);

        return [
            ...($source->id === $target->id ? [] : [$this->edit($source, self::runs($rest, $at), $this->columnsSaid($from))]),
            $this->edit($target, $runs, $this->columnsSaid($to)),
        ];
    }

    /**
     * @param  list<RowPicture>  $there
     * @return list<array{crop: string, row: int, sites: int, stage: int, at: ?string}>
     */
    private static function placed(array $there, RowPicture $moved, int $row, int $first, int $rows, string $at): array
    {
        $order = [...array_filter($there, fn (RowPicture $run): bool => $run->row < $row), $moved,
            ...array_filter($there, fn (RowPicture $run): bool => $run->row >= $row)];
        $place = [];
        $next = $first;
        foreach ($order as $i => $run) {
            $place[$i] = max($next, $run === $moved ? $row : $run->row);
            $next = $place[$i] + $run->rows;
        }
        // What was pushed over the end pushes back.
        $last = $rows + 1;
        for ($i = count($order) - 1; $i >= 0; $i--) {
            $place[$i] = min($place[$i], $last - $order[$i]->rows);
            $last = $place[$i];
        }

        return array_map(fn (RowPicture $run, int $row): array => self::run($run, $row, $at), $order, $place);
    }

    /**
     * @param  list<RowPicture>  $runs
     * @return list<array{crop: string, row: int, sites: int, stage: int, at: ?string}>
     */
    private static function runs(array $runs, ?string $at = null): array
    {
        return array_map(fn (RowPicture $run): array => self::run($run, $run->row, $at), $runs);
    }

    /** @return array{crop: string, row: int, sites: int, stage: int, at: ?string} */
    private static function run(RowPicture $run, int $row, ?string $at): array
    {
        return ['crop' => $run->crop, 'row' => $row, 'sites' => $run->sites, 'stage' => $run->stage, 'at' => $at];
    }

    /**
     * @param  list<array{crop: string, row: int, sites: int, stage: int, at: ?string}>  $runs
     * @return array{path: list<string|int>, to: mixed}
     */
    private function edit(TrayPicture $tray, array $runs, ?int $columns): array
    {
        return ['path' => ['trays', $tray->id], 'to' => (object) [
            'id' => $tray->id,
            'container' => $tray->container,
            'columns' => $columns,
            'runs' => array_map(fn (array $run): object => (object) $run, $runs),
        ]];
    }

    private function columnsSaid(string $letters): ?int
    {
        return (array_column($this->books->season()->trays, null, 'id')[$letters] ?? null)?->columns;
    }

    private function tray(string $letters): TrayPicture
    {
        return array_column($this->trays, null, 'id')[$letters] ?? throw new InvalidArgumentException("There is no tray {$letters}.");
    }
}

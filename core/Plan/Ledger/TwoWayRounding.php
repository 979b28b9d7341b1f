<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Ledger;

/**
 * A table rounded so that every row and every column still adds up to its rounded total: each figure goes to the coin below or above
 * it. Controlled rounding after L. H. Cox, "A constructive procedure for unbiased controlled rounding", JASA 82 (1987), 520-524, with
 * the smaller step taken instead of a drawn one, so that the same table is always rounded the same.
 */
final class TwoWayRounding
{
    private const EPSILON = 1e-7;

    /** @var array<int, array<int, float>> what is still to be rounded, from 0 to 1, with a last row and column that take the sums' rest */
    private array $rest = [];

    /** @var array<int, array<int, true>> places of cells that are not whole yet */
    private array $looseInRow = [];

    /** @var array<int, array<int, true>> */
    private array $looseInColumn = [];

    /** @var list<list<int>> whole coins */
    private array $floor = [];

    /**
     * @param  list<list<float>>  $table  rows of equal length, in coins
     * @return array{list<list<int>>, list<int>, list<int>, int} cells, sums of rows, sums of columns, the whole
     */
    public static function controlled(array $table): array
    {
        $cells = (new self($table))->round();
        $rows = array_map(fn (array $row): int => (int) array_sum($row), $cells);
        $columns = [];
        foreach ($cells as $row) {
            foreach ($row as $n => $cell) {
                $columns[$n] = ($columns[$n] ?? 0) + $cell;
            }
        }

        return [$cells, $rows, array_values($columns), array_sum($rows)];
    }

    /** @param  list<list<float>>  $table */
    private function __construct(array $table)
    {
        $columns = count($table[0] ?? []);
        $last = array_fill(0, $columns + 1, 0.0);
        foreach ($table as $row) {
            $row[] = -array_sum($row);
            foreach ($row as $n => $cell) {
                $last[$n] -= $cell;
            }
            $this->add($row);
        }
        $this->add(array_values($last));
        foreach ($this->rest as $row => $cells) {
            foreach ($cells as $column => $rest) {
                $this->set($row, $column, $rest);
            }
        }
    }

    /** @param  list<float>  $row */
    private function add(array $row): void
    {
        $floors = array_map(fn (float $cell): int => (int) floor($cell + self::EPSILON), $row);
        $this->floor[] = $floors;
        $this->rest[] = array_map(fn (float $cell, int $floor): float => max(0.0, $cell - $floor), $row, $floors);
    }

    /** @return list<list<int>> without the last row and column */
    private function round(): array
    {
        for ($row = 0; $row < count($this->rest);) {
            $column = $this->loose($row, -1);
            if ($column === null) {
                $row++;

                continue;
            }
            $this->turn($this->cycle($row, $column));
        }
        $cells = [];
        foreach (array_slice($this->floor, 0, -1) as $n => $floors) {
            $cells[] = array_map(
                fn (int $floor, float $rest): int => $floor + (int) round($rest),
                array_slice($floors, 0, -1),
                array_slice(array_values($this->rest[$n]), 0, -1),
            );
        }

        return $cells;
    }

    /** A cell of the row that is not whole yet, other than one. */
    private function loose(int $row, int $but): ?int
    {
        return self::other($this->looseInRow[$row] ?? [], $but);
    }

    /** @param  array<int, true>  $places */
    private static function other(array $places, int $but): ?int
    {
        foreach ($places as $place => $_) {
            if ($place !== $but) {
                return $place;
            }
        }

        return null;
    }

    private function set(int $row, int $column, float $rest): void
    {
        $this->rest[$row][$column] = $rest;
        if ($this->isLoose($rest)) {
            $this->looseInRow[$row][$column] = $this->looseInColumn[$column][$row] = true;
        } else {
            unset($this->looseInRow[$row][$column], $this->looseInColumn[$column][$row]);
        }
    }

    private function isLoose(float $rest): bool
    {
        return $rest > self::EPSILON && $rest < 1.0 - self::EPSILON;
    }

    /**
     * Cells that are not whole, along a row, then a column, and so on, back to the first.
     *
     * @return list<array{int, int}>
     */
    private function cycle(int $row, int $column): array
    {
        $path = [[$row, $column]];
        $seen = ["{$row} {$column}" => 0];
        for ($alongRow = true; ; $alongRow = ! $alongRow) {
            if ($alongRow) {
                $column = $this->loose($row, $column);
            } else {
                $row = self::other($this->looseInColumn[$column] ?? [], $row);
            }
            if ($row === null || $column === null) {
                // Only the float's last digits can leave a cell alone: it goes to the nearer coin.
                [$r, $c] = end($path);
                $this->set($r, $c, round($this->rest[$r][$c]));

                return [];
            }
            $key = "{$row} {$column}";
            if (isset($seen[$key])) {
                $cycle = array_slice($path, $seen[$key]);

                // An odd one began in the middle of a line; its first cell is passed over.
                return count($cycle) % 2 === 0 ? $cycle : array_slice($cycle, 1);
            }
            $seen[$key] = count($path);
            $path[] = [$row, $column];
        }
    }

    /** @param  list<array{int, int}>  $cycle  every other cell goes up, the others down, as far as the first of them is whole */
    private function turn(array $cycle): void
    {
        if ($cycle === []) {
            return;
        }
        $up = $down = 1.0;
        foreach ($cycle as $n => [$row, $column]) {
            $rest = $this->rest[$row][$column];
            [$more, $less] = $n % 2 === 0 ? [1.0 - $rest, $rest] : [$rest, 1.0 - $rest];
            $up = min($up, $more);
            $down = min($down, $less);
        }
        $by = $up <= $down ? $up : -$down;
        foreach ($cycle as $n => [$row, $column]) {
            $this->set($row, $column, $this->rest[$row][$column] + ($n % 2 === 0 ? $by : -$by));
        }
    }
}

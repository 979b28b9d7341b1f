<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

/** A tray while it is being filled: which rows are taken by what. */
final class Layout
{
    /** @var list<array{run: Run, row: int, rows: int, sites: int, filled: bool}> by row */
    public array $placed = [];

    /** @var array<int, true> rows that are taken */
    private array $taken = [];

    public function __construct(
        public readonly string $id,
        public readonly string $container,
        public readonly Grid $grid,
        private readonly bool $labelRow,
        public readonly bool $byHand,
        public ?string $companions = null,
        public ?int $since = null,
    ) {
        if ($labelRow) {
            $this->taken[1] = true;
        }
    }

    public function hasLabelRow(): bool
    {
        return $this->labelRow;
    }

    /** True where these rows are there and free. */
    public function fits(int $row, int $rows): bool
    {
        for ($r = $row; $r < $row + $rows; $r++) {
            if ($r < 1 || $r > $this->grid->rows || isset($this->taken[$r])) {
                return false;
            }
        }

        return true;
    }

    /**
     * The first row of as many free ones as there are together, and how many.
     *
     * @return array{int, int}
     */
    public function firstFree(int $wanted): array
    {
        $best = [1, 0];
        for ($row = 1; $row <= $this->grid->rows; $row++) {
            $free = 0;
            while ($free < $wanted && $this->fits($row + $free, 1)) {
                $free++;
            }
            if ($free > $best[1]) {
                $best = [$row, $free];
            }
            if ($free === $wanted) {
                break;
            }
        }

        return $best;
    }

    public function put(Run $run, int $row, int $sites, bool $filled): void
    {
        $rows = $this->grid->rowsFor($sites);
        $this->placed[] = ['run' => $run, 'row' => $row, 'rows' => $rows, 'sites' => $sites, 'filled' => $filled];
        for ($r = $row; $r < $row + $rows; $r++) {
            $this->taken[$r] = true;
        }
        $this->companions ??= $run->companions();
        $this->since ??= $run->stage->start;
    }

    public function freeAtEnd(): int
    {
        $free = 0;
        for ($row = $this->grid->rows; $row >= 1 && ! isset($this->taken[$row]); $row--) {
            $free++;
        }

        return $free;
    }
}

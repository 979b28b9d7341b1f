<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Units\Ceiling;

/** How the sites of a tray lie: so many in a row, so many rows. Packs and single pots are taken by tens. */
final readonly class Grid
{
    private const TEN = 10;

    /** Containers of up to so many sites are handled by tens. */
    private const SMALL = 12;

    /** Pots stand five and five. */
    private const POTS_IN_A_ROW = 5;

    /** A flat is twice as long as wide, and so are its cells in number. */
    private const LONG = 2.0;

    /** Longer than this, no two numbers multiply to it well: the last row is short. */
    private const TOO_LONG = 4.0;

    /** Of two as good the squarer. */
    private const SAME = 1e-9;

    private function __construct(public int $columns, public int $rows, public int $sites, public bool $byTens)
    {
    }

    /** @param  ?int  $columns  as somebody counted them */
    public static function forContainer(Container $container, ?int $columns = null): self
    {
        $sites = $container->sitesPerUnit;
        if ($sites === 1) {
            return new self(self::POTS_IN_A_ROW, intdiv(self::TEN, self::POTS_IN_A_ROW), self::TEN, true);
        }
        if ($sites <= self::SMALL) {
            return new self($sites, self::TEN, $sites * self::TEN, true);
        }
        $columns ??= self::columns($sites);

        return new self($columns, Ceiling::roundUp($sites / $columns), $sites, false);
    }

    /** Rows that so many sites take. */
    public function rowsFor(int $sites): int
    {
        return Ceiling::roundUp($sites / $this->columns);
    }

    private static function columns(int $sites): int
    {
        $best = null;
        for ($columns = 1; $columns * $columns <= $sites; $columns++) {
            if ($sites % $columns === 0 && ($best === null || self::off($columns, $sites) <= self::off($best, $sites) + self::SAME)) {
                $best = $columns;
            }
        }
        $best ??= 1;

        return $sites / $best / $best > self::TOO_LONG ? max(1, (int) round(sqrt($sites / self::LONG))) : $best;
    }

    private static function off(int $columns, int $sites): float
    {
        return abs(log($sites / $columns / $columns / self::LONG));
    }
}

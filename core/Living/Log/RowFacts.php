<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Log;

/** What is known of a crop, or of its rows in some trays, by the law of plants (docs/after.md). */
final readonly class RowFacts
{
    /**
     * @param  ?string  $sown_on  first day of sowing; null where none is written down
     * @param  int  $sites  sown
     * @param  int  $seeds  sown
     * @param  ?int  $up  the most that ever was up; null where nothing was counted
     * @param  ?string  $counted_on  day of the last count of what is up
     * @param  int  $up_of  sites sown in the trays that were counted
     * @param  ?int  $alive  stands there now; null before anything is counted
     * @param  int  $lost  after it was up, of all causes
     * @param  list<array{cause: string, count: int}>  $causes
     * @param  int  $bought  plants, to replace what failed
     * @param  int  $finished  planted, and given or sold grown
     * @param  int  $gone  planted, given, sold and composted
     */
    private function __construct(
        public ?string $sown_on,
        public int $sites,
        public int $seeds,
        public ?int $up,
        public ?string $counted_on,
        public int $up_of,
        public ?int $alive,
        public int $lost,
        public array $causes,
        public int $planted,
        public int $given,
        public int $sold,
        public int $composted,
        public int $bought,
        public int $finished,
        public int $gone,
    ) {
    }

    /** @param  bool  $isOver  whether its owner said that the season is over: what is left then is composted */
    public static function fromLedger(PlantLedger $ledger, bool $isOver): self
    {
        $left = $isOver ? (int) $ledger->standing() : 0;
        // A count of the whole crop, not of a tray, is of all that was sown.
        $of = isset($ledger->upIn['']) ? $ledger->allSown() : array_sum(array_intersect_key($ledger->sown, $ledger->upIn));

        return self::sum(
            ledger: $ledger,
            rows: array_keys($ledger->gone),
            sownOn: $ledger->sownOn,
            sites: $ledger->allSown(),
            seeds: $ledger->seeds,
            up: $ledger->up,
            upOf: $of,
            alive: $ledger->there === null ? null : (int) $ledger->standing() - $left,
            left: $left,
        );
    }

    /** @param  list<string>  $trays  letters */
    public static function inTrays(PlantLedger $ledger, array $trays): self
    {
        $here = array_flip($trays);
        [$sown, $up] = [array_intersect_key($ledger->sown, $here), array_intersect_key($ledger->upIn, $here)];
        $there = array_intersect_key($ledger->there ?? [], $here);

        return self::sum(
            ledger: $ledger,
            rows: $trays,
            sownOn: $sown === [] ? null : $ledger->sownOn,
            sites: array_sum($sown),
            seeds: array_sum(array_intersect_key($ledger->seedsIn, $here)),
            up: $up === [] ? null : array_sum($up),
            upOf: array_sum(array_intersect_key($sown, $up)),
            alive: $ledger->there === null || ($there === [] && $up === []) ? null : array_sum($there),
            left: 0,
        );
    }

    /** @param  list<array-key>  $rows */
    private static function sum(PlantLedger $ledger, array $rows, ?string $sownOn, int $sites, int $seeds, ?int $up, int $upOf, ?int $alive, int $left): self
    {
        $gone = array_fill_keys(['planted', 'given', 'sold', 'composted', 'lost'], 0);
        $causes = [];
        foreach ($rows as $row) {
            foreach ($ledger->gone[$row] ?? [] as $kind => $n) {
                $gone[$kind] += $n;
            }
            foreach ($ledger->causes[$row] ?? [] as $cause => $n) {
                $causes[$cause] = ($causes[$cause] ?? 0) + $n;
            }
        }
        $composted = $gone['composted'] + $left;

        return new self(
            sown_on: $sownOn,
            sites: $sites,
            seeds: $seeds,
            up: $up,
            counted_on: $ledger->countedOn,
            up_of: $upOf,
            alive: $alive,
            lost: $gone['lost'],
            causes: array_map(fn (string $cause, int $n): array => ['cause' => $cause, 'count' => $n], array_keys($causes), array_values($causes)),
            planted: $gone['planted'],
            given: $gone['given'],
            sold: $gone['sold'],
            composted: $composted,
            bought: $ledger->bought,
            finished: $ledger->finished,
            gone: $gone['planted'] + $gone['given'] + $gone['sold'] + $composted,
        );
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Log;

use JollyPenny\Core\Season\LogEntry;
use JollyPenny\Core\Season\LogKind;

/**
 * What is known of a crop (or of its rows in some trays). A count says how many there are; a loss, a gift, a sale or planting out
 * takes off from there. Counts of several trays stand side by side.
 */
final readonly class RowFacts
{
    /**
     * @param  ?string  $sown_on  first day of sowing; null where none is written down
     * @param  int  $sites  sown
     * @param  int  $seeds  sown
     * @param  ?int  $up  counted last, in all trays that were counted; null where none was
     * @param  ?string  $counted_on  day of the last count of what is up
     * @param  int  $up_of  sites sown in the trays that were counted
     * @param  ?int  $alive  now, by counts and losses; null before anything is counted
     * @param  int  $lost  after it was up, of all causes
     * @param  list<array{cause: string, count: int}>  $causes
     * @param  int  $finished  planted, given, sold and composted
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
        public int $finished,
    ) {
    }

    /** @param  list<LogEntry>  $entries  that stand, in their order */
    public static function of(array $entries): self
    {
        $sownOn = $countedOn = $moved = null;
        $seeds = $lost = 0;
        $sites = $up = $alive = $causes = [];
        $gone = array_fill_keys(['planted', 'given', 'sold', 'composted'], 0);
        foreach ($entries as $entry) {
            $tray = $entry->tray ?? '';
            $count = $entry->count ?? 0;
            if ($entry->kind === LogKind::Sown) {
                $sownOn ??= $entry->on->format();
                $sites[$tray] = ($sites[$tray] ?? 0) + $count;
                $seeds += $entry->seeds ?? 0;
            } elseif ($entry->kind->isCount() && $entry->count !== null) {
                if ($entry->kind === LogKind::Up) {
                    $up[$tray] = $count;
                    $countedOn = $entry->on->format();
                }
                // A move empties what they stood in before; what is moved by the same job stands side by side.
                $move = $entry->kind->isMove() ? $entry->job ?? $entry->kind->value : null;
                $alive = $tray === '' || ($move !== null && $move !== $moved) ? [$tray => $count] : [...$alive, $tray => $count];
                $moved = $move ?? $moved;
            } elseif ($entry->kind->leaves()) {
                $left = $alive[$tray] ?? null;
                $from = $left === null ? array_key_first($alive) : $tray;
                $from === null ?: $alive[$from] = max(0, $alive[$from] - $count);
                if ($entry->kind === LogKind::Lost) {
                    $lost += $count;
                    $cause = $entry->cause->value ?? 'other';
                    $causes[$cause] = ($causes[$cause] ?? 0) + $count;
                } else {
                    $gone[$entry->kind->value] = ($gone[$entry->kind->value] ?? 0) + $count;
                }
            }
        }
        $counted = array_intersect_key($sites, $up);

        return new self(
            $sownOn,
            array_sum($sites),
            $seeds,
            $up === [] ? null : array_sum($up),
            $countedOn,
            // A count of the whole crop, not of a tray, is of all that was sown.
            isset($up['']) ? array_sum($sites) : array_sum($counted),
            $alive === [] ? null : array_sum($alive),
            $lost,
            array_map(fn (string $cause, int $n): array => ['cause' => $cause, 'count' => $n], array_keys($causes), array_values($causes)),
            $gone['planted'],
            $gone['given'],
            $gone['sold'],
            $gone['composted'],
            array_sum($gone),
        );
    }
}

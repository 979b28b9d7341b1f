<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Log\LogEntry;
use JollyPenny\Core\Season\Log\LogKind;

/** Something of the shed that was counted by hand on a day: so much is there from then on, whatever a season reckons (docs/after.md). */
final readonly class HandCount
{
    /**
     * @param  int  $packedFor  of seed, its year; else 0
     * @param  float  $amount  in the unit of the thing
     */
    public function __construct(public string $kind, public string $name, public int $packedFor, public float $amount, public Day $on)
    {
    }

    /**
     * What is left, with the counts in place of what was reckoned, where nothing of the thing was bought or used after them.
     *
     * @param  list<Leftover>  $left
     * @param  list<self>  $counts
     * @param  list<Purchase>  $purchases
     * @param  array<string, int>  $cracked  told now, so newer than any count; by kind and id
     * @return list<Leftover>
     */
    public static function insteadOf(array $left, array $counts, SetupBooks $books, array $purchases, LogBook $log, array $cracked = []): array
    {
        $begun = $log->firstDay();
        if ($begun === null || $counts === []) {
            return $left;
        }

        return array_map(function (Leftover $line) use ($counts, $books, $purchases, $log, $begun, $cracked): Leftover {
            foreach ($counts as $count) {
                if ($count->isOf($line) && $count->on->number >= max($begun, self::lastFact($line, $books, $purchases, $log))) {
                    $there = max(0.0, $count->amount - ($cracked["{$line->kind} {$line->id}"] ?? 0));

                    return $line->with(left: $there, used: max(0.0, $line->before + $line->bought - $there), known: 'counted');
                }
            }

            return $line;
        }, $left);
    }

    private function isOf(Leftover $line): bool
    {
        return $line->kind === $this->kind && $line->name === $this->name && ($line->packed_for ?? 0) === $this->packedFor;
    }

    /**
     * The last day on which the thing was bought or used; of pots and supplies any entry may have used some.
     *
     * @param  list<Purchase>  $purchases
     */
    private static function lastFact(Leftover $line, SetupBooks $books, array $purchases, LogBook $log): int
    {
        $days = [0];
        foreach ($purchases as $one) {
            if ($one->kind === $line->kind && $one->thing === $line->id) {
                $days[] = Day::parse($one->on)->number;
            }
        }
        $lots = array_column($books->season()->crops, 'lot', 'id');
        $uses = fn (LogEntry $entry): bool => $line->kind !== 'seed'
            || $entry->kind === LogKind::Sown && ($lots[$entry->crop ?? ''] ?? null) === $line->id;
        foreach (array_filter($log->entries, $uses) as $entry) {
            $days[] = $entry->on->number;
        }

        return max($days);
    }
}

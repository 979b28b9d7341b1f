<?php

declare(strict_types=1);

namespace JollyPenny\Core\Advising;

use Closure;
use JollyPenny\Core\Books\SetupBooks;
use JollyPenny\Core\Choosing\BudgetTotals;
use JollyPenny\Core\Choosing\SetupTotals;
use JollyPenny\Core\Choosing\Soundness;
use JollyPenny\Core\Reckoning\Altered;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Throwable;

/**
 * What could be done otherwise, by what it saves: every single change costed as a whole season, the best in pairs too where they save
 * more together than one by one. Nothing that breaks the list is kept from sight, and nothing of it is unsaid.
 */
final readonly class Savings
{
    /** Less is not worth saying, in money. */
    public const LEAST = 0.05;

    /** As many are shown. */
    private const MOST = 50;

    /** Of so many of the best, every two together. */
    private const PAIRED = 8;

    /** A plant missing, in plants; a change of the odds that one would want to know. */
    private const PLANT = 0.5;

    private const ODDS = 0.01;

    private SeasonCosting $costing;

    private SetupBooks $books;

    private SetupTotals $totals;

    private BudgetTotals $before;

    private Altered $altered;

    private Soundness $soundness;

    public function __construct(private Season $season, private Setup $setup)
    {
        $this->costing = new SeasonCosting($season);
        $this->books = $this->costing->books($setup);
        $this->totals = SetupTotals::of($this->books);
        $this->before = BudgetTotals::of($this->books, $this->totals, 0);
        $this->altered = new Altered($season);
        $this->soundness = new Soundness($this->books);
    }

    /**
     * @param  ?Closure(int, int, Closure(): list<Weighed>=): void  $progress  of so many changes so many are weighed, and what is found;
     *                                                                         what it throws ends it
     * @return list<Weighed> by what they save, most first, down to a nickel; those that break the list after those that do not
     */
    public function all(?Closure $progress = null): array
    {
        $changes = iterator_to_array((new Changes($this->books))->all(), false);
        $found = [];
        foreach ($changes as $i => $change) {
            $progress === null ?: $progress($i, count($changes), fn (): array => array_slice(self::sorted($found), 0, self::MOST));
            $weighed = $this->weigh($change->kind, $change->crop, $change->words, $change->edits);
            if ($weighed !== null) {
                $found[] = $weighed;
            }
        }
        $found = self::sorted($found);
        $pairs = [];
        $best = array_values(array_filter(array_slice($found, 0, 3 * self::PAIRED), fn (Weighed $one): bool => $one->breaks === []));
        foreach (array_slice($best, 0, self::PAIRED) as $i => $one) {
            foreach (array_slice($best, $i + 1, self::PAIRED - $i - 1) as $other) {
                if ($one->crop !== null && $one->crop === $other->crop) {
                    continue;
                }
                $pair = $this->weigh('pair', null, "{$one->words}, and ".lcfirst($other->words), [...$one->edits, ...$other->edits]);
                // Those that only work together: more than both by themselves.
                if ($pair !== null && $pair->saves >= $one->saves + $other->saves + self::LEAST) {
                    $pairs[] = [$pair, [$one->words, $other->words]];
                }
            }
        }

        return array_slice(self::sorted([...$found, ...self::apart($pairs)]), 0, self::MOST);
    }

    /**
     * @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits
     * @return ?Weighed null where the season cannot be costed so, where a grower would not advise it, or where it saves next to nothing
     */
    private function weigh(string $kind, ?string $crop, string $words, array $edits): ?Weighed
    {
        try {
            $season = $this->altered->with($edits);
            $costing = new SeasonCosting($season, $this->costing, array_column(array_column($edits, 'path'), 0));
            $books = $costing->books(array_column($season->setups, null, 'id')[$this->setup->id]);
        } catch (Throwable) {
            return null;
        }
        $totals = SetupTotals::of($books);
        if (! $this->soundness->isSound($books)) {
            return null;
        }
        if ($this->totals->fillCost - $totals->fillCost < self::LEAST) {
            return null;
        }
        $after = BudgetTotals::of($books, $totals, 0);
        [$enough, $enoughBefore] = [self::enough($books), self::enough($this->books)];
        $missing = $after->missing - $this->before->missing;
        $crowded = $totals->crowdedDays - $this->totals->crowdedDays;
        $dropped = count($season->crops) < count($this->season->crops);
        $breaks = array_keys(array_filter([
            'dropped' => $dropped,
            'missing' => ! $dropped && $missing > self::PLANT,
            'crowded' => $crowded > 0,
            'odds' => ! $dropped && ($enough ?? 1.0) < min($enoughBefore ?? 1.0, $this->season->confidence) - self::ODDS,
        ]));

        return new Weighed($kind, $crop, $words, $this->before->fill_cost - $after->fill_cost, $after->hours - $this->before->hours,
            $after->cash - $this->before->cash, $enough, $enoughBefore, $missing, $crowded, $breaks, $edits);
    }

    /** The chance of enough of all that is raised; null where nothing is. */
    private static function enough(SetupBooks $books): ?float
    {
        return $books->plans === [] ? null : $books->together->allEnough(array_keys($books->plans));
    }

    /**
     * Pairs of which no change is in a better one.
     *
     * @param  list<array{Weighed, array{string, string}}>  $pairs
     * @return list<Weighed>
     */
    private static function apart(array $pairs): array
    {
        usort($pairs, fn (array $a, array $b): int => $b[0]->saves <=> $a[0]->saves);
        $kept = $taken = [];
        foreach ($pairs as [$pair, $words]) {
            if (array_intersect($words, $taken) === []) {
                $kept[] = $pair;
                $taken = [...$taken, ...$words];
            }
        }

        return $kept;
    }

    /**
     * @param  list<Weighed>  $of
     * @return list<Weighed>
     */
    private static function sorted(array $of): array
    {
        usort($of, fn (Weighed $a, Weighed $b): int => [$a->breaks !== [], $b->saves, $a->words] <=> [$b->breaks !== [], $a->saves, $b->words]);

        return $of;
    }
}

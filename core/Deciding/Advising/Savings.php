<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Closure;
use JollyPenny\Core\Deciding\Choosing\BudgetTotals;
use JollyPenny\Core\Deciding\Choosing\SetupTotals;
use JollyPenny\Core\Deciding\Choosing\Soundness;
use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\UnitSystem;
use Throwable;

/**
 * What could be done otherwise, by what it saves: every single change costed as a whole season. Nothing that breaks the list is kept
 * from sight; what a grower would not advise is counted, and said why.
 */
final class Savings
{
    /** Less is not worth saying, in money. */
    public const LEAST = 0.05;

    /** As many are shown. */
    private const MOST = 50;

    /** A plant missing, in plants; a change of the odds that one would want to know. */
    private const PLANT = 0.5;

    private const ODDS = 0.01;

    private readonly SeasonCosting $costing;

    private readonly SetupBooks $books;

    private readonly SetupTotals $totals;

    private readonly BudgetTotals $before;

    private readonly Altered $altered;

    private readonly Soundness $soundness;

    /** @var array<string, int> by warning */
    private array $leftOut = [];

    public function __construct(private readonly Season $season, private readonly Setup $setup)
    {
        $this->costing = new SeasonCosting($season);
        $this->books = $this->costing->books($setup);
        $this->totals = SetupTotals::fromBooks($this->books);
        $this->before = BudgetTotals::fromBooks($this->books, $this->totals, 0);
        $this->altered = new Altered($season);
        $this->soundness = new Soundness($this->books);
    }

    /**
     * @param  ?Closure(int, int, Closure(): WeighedChanges=): void  $progress  of so many changes so many are weighed, and what is found; what it
     *                                                                   throws ends it
     */
    public function advice(?Closure $progress = null): WeighedChanges
    {
        $changes = iterator_to_array((new Changes($this->books))->all(), false);
        $this->leftOut = [];
        $found = [];
        foreach ($changes as $i => $change) {
            $progress === null ?: $progress($i, count($changes),
                fn (): WeighedChanges => new WeighedChanges(array_slice(self::sorted($found), 0, self::MOST), $this->leftOut));
            $found = [...$found, ...array_filter([$this->weigh($change)])];
        }

        return new WeighedChanges(array_slice(self::sorted($found), 0, self::MOST), $this->leftOut);
    }

    /** @return ?Weighed null where the season cannot be costed so, where a grower would not advise it, or where it saves next to nothing */
    private function weigh(Change $change): ?Weighed
    {
        try {
            $season = $this->altered->with($change->edits);
            $costing = new SeasonCosting($season, $this->costing, array_column(array_column($change->edits, 'path'), 0));
            $books = $costing->books(array_column($season->setups, null, 'id')[$this->setup->id]);
        } catch (Throwable) {
            return null;
        }
        $totals = SetupTotals::fromBooks($books);
        if ($this->totals->fillCost - $totals->fillCost < self::LEAST) {
            return null;
        }
        $troubles = array_merge(...array_values($this->soundness->newTroubles($books)));
        if ($troubles !== []) {
            $this->leftOut[$troubles[0]] = ($this->leftOut[$troubles[0]] ?? 0) + 1;

            return null;
        }

        return $this->weighed($change, $season, $books, $totals);
    }

    private function weighed(Change $change, Season $season, SetupBooks $books, SetupTotals $totals): Weighed
    {
        $after = BudgetTotals::fromBooks($books, $totals, 0);
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

        return new Weighed(
            kind: $change->kind,
            group: AdviceGroup::forKind($change->kind),
            crop: $change->crop,
            words: $this->deed($change, $books),
            saves: $this->before->fill_cost - $after->fill_cost,
            hours: $after->hours - $this->before->hours,
            cash: $after->cash - $this->before->cash,
            enough: $enough,
            enough_before: $enoughBefore,
            missing: $missing,
            crowded: $crowded,
            breaks: $breaks,
            edits: $change->edits,
        );
    }

    /** What is to do, with the day on which it is then sown. */
    private function deed(Change $change, SetupBooks $books): string
    {
        $at = $books->grown[$change->crop ?? ''] ?? null;
        $format = $this->season->units === UnitSystem::Us ? 'F j' : 'j F';

        return $at === null ? $change->words : str_replace(Change::SOWING_DAY, gmdate($format, 86400 * $books->plans[$at]->sowOn()), $change->words);
    }

    /** The chance of enough of all that is raised; null where nothing is. */
    private static function enough(SetupBooks $books): ?float
    {
        return $books->plans === [] ? null : $books->together->allEnough(array_keys($books->plans));
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

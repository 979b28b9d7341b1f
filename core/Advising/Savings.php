<?php

declare(strict_types=1);

namespace JollyPenny\Core\Advising;

use Closure;
use JollyPenny\Core\Reckoning\Altered;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Results\SetupResult;
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

    private SetupResult $before;

    private SeasonCosting $costing;

    public function __construct(private Season $season, private Setup $setup)
    {
        $this->costing = new SeasonCosting($season);
        $this->before = $this->costing->setup($setup);
    }

    /**
     * @param  ?Closure(int, int): void  $progress  of so many changes so many are weighed; what it throws ends it
     * @return list<Weighed> by what they save, most first, down to a nickel; those that break the list after those that do not
     */
    public function all(?Closure $progress = null): array
    {
        $changes = iterator_to_array((new Changes($this->costing->books($this->setup)))->all(), false);
        $found = [];
        foreach ($changes as $i => $change) {
            $progress === null ?: $progress($i, count($changes));
            $weighed = $this->weigh($change->kind, $change->crop, $change->words, $change->edits);
            if ($weighed !== null && $weighed->saves >= self::LEAST) {
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
                $pair = $this->weigh('pair', null, "{$one->words}, and {$other->words}", [...$one->edits, ...$other->edits]);
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
     * @return ?Weighed null where the season cannot be costed so
     */
    public function weigh(string $kind, ?string $crop, string $words, array $edits): ?Weighed
    {
        try {
            $season = Altered::season($this->season, $edits);
            $setup = array_column($season->setups, null, 'id')[$this->setup->id];
            $onlySetup = array_filter($edits, fn (array $edit): bool => $edit['path'][0] !== 'setups') === [];
            $after = (new SeasonCosting($season, $onlySetup ? $this->costing : null))->setup($setup);
        } catch (Throwable) {
            return null;
        }
        $before = $this->before;
        $dropped = count($season->crops) < count($this->season->crops);
        $breaks = array_keys(array_filter([
            'dropped' => $dropped,
            'missing' => ! $dropped && $after->missing > $before->missing + self::PLANT,
            'crowded' => $after->crowded_days > $before->crowded_days,
            'odds' => ! $dropped && ($after->p_all_enough ?? 1.0) < min($before->p_all_enough ?? 1.0, $this->season->confidence) - self::ODDS,
        ]));

        return new Weighed($kind, $crop, $words, $before->fill_cost - $after->fill_cost, $after->hours - $before->hours, $after->cash_now - $before->cash_now,
            $after->p_all_enough, $before->p_all_enough, $after->missing - $before->missing, $after->crowded_days - $before->crowded_days, $breaks, $edits);
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

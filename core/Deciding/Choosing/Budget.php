<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use Closure;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/**
 * A spending limit for what is bought now: what to grow, buy or leave out, and which lamps and mats to leave in the shop, so that the
 * till stays within it; of all such ways the one with the fewest plants missing, then the cheapest to fill the list, then the fewest
 * hours. As in mix and match, each crop takes a method that any set-up uses for it, the nursery, or is left out. Where the choices are
 * at most 50,000 each is weighed; what is not sound is left out (Soundness); beyond, it is a search, which never goes above the limit and says that it is one.
 */
final class Budget
{
    public const LEAVE = 'leave';

    public const MOST = 50_000;

    private const TELL = 200;

    /** Plants that must be gained for shelves and fans to be put off. */
    private const A_PLANT = 1.0;

    private const SURELY = 1e-6;

    private readonly SeasonCosting $costing;

    private readonly Choices $choices;

    /** @var array<array-key, list<string>> ways by crop */
    private array $ways = [];

    /** @var array<string, float> at the checkout, by what is chosen */
    private array $cash = [];

    /** @var array<array-key, int> plants by crop */
    private readonly array $wanted;

    /** @var array<string, SeasonCosting> of the season without what is left out */
    private array $without = [];

    /** @var array<string, ?BudgetTotals> */
    private array $known = [];

    /** @var ?array{array<array-key, string>, list<string>, list<string>, BudgetTotals} */
    private ?array $best = null;

    private int $weighed = 0;

    private readonly int $withoutRoom;

    private readonly Soundness $soundness;

    /** Ways weighed that nobody should be advised. */
    private int $unsound = 0;

    /**
     * @param  ?Closure(int, int): void  $progress  told how many of how many choices are weighed
     * @param  bool  $forSeason  the limit is for the whole season, electricity included; else for what is bought now
     */
    public function __construct(
        private readonly Season $season,
        private readonly Setup $base,
        private readonly float $limit,
        private readonly ?Closure $progress = null,
        private readonly bool $forSeason = false,
    ) {
        $this->costing = new SeasonCosting($season);
        $books = $this->costing->books($base);
        $this->withoutRoom = SetupTotals::fromBooks($books)->daysWithoutRoom();
        $this->soundness = new Soundness($books);
        $this->choices = new Choices($season, $base, []);
        foreach ($this->choices->methods as $crop => $ways) {
            $this->ways[$crop] = [...$ways, self::LEAVE];
        }
        $this->wanted = array_column($season->crops, 'wanted', 'id');
    }

    /** Where plants would be missing for the limit, shelves and fans may be put off as well, if a plant fewer is missing then. */
    public function result(): Budgeted
    {
        $all = $this->run();
        $bare = $this->base->with(gear: [], appliances: []);
        if (($all->kept && $all->after->missing < $all->before->missing + self::A_PLANT) || ($this->base->gear === [] && $this->base->appliances === [])) {
            return $all;
        }
        $less = (new self($this->season, $bare, $this->limit, $this->progress, $this->forSeason))->run();
        if (! $less->kept || ($all->kept && $less->after->missing > $all->after->missing - self::A_PLANT)) {
            return $all;
        }
        $put = new BudgetStep('gear', '', 'with', 'without', $less->before->cash - $all->before->cash, $less->before->missing - $all->before->missing,
            $less->before->fill_cost - $all->before->fill_cost, $less->before->hours - $all->before->hours);

        return new Budgeted(
            limit: $this->limit,
            kept: true,
            search: $less->search,
            weighed: $all->weighed + $less->weighed,
            unsound: $all->unsound + $less->unsound,
            overrides: $less->overrides,
            left_out: $less->left_out,
            lights: $less->lights,
            mats: $less->mats,
            bare: true,
            before: $all->before,
            after: $less->after,
            lost: $less->after->missing - $all->before->missing,
            steps: [$put, ...$less->steps],
        );
    }

    private function run(): Budgeted
    {
        $asItIs = array_map(fn (array $ways): string => $ways[0], $this->ways);
        $before = $this->totals($asItIs, $this->base->lights, $this->base->mats) ?? throw new \LogicException('The set-up itself breaks no rule.');
        $count = array_product(array_map(count(...), $this->ways)) * 2.0 ** (count($this->base->lights) + count($this->base->mats));
        $search = $count > self::MOST;
        $this->consider($asItIs, $this->base->lights, $this->base->mats, (int) min($count, PHP_INT_MAX), $search);
        $search ? $this->search($asItIs) : $this->weighAll((int) $count);
        [$ways, $lights, $mats, $after] = $this->best ?? [$asItIs, $this->base->lights, $this->base->mats, $before];
        $left = array_map(strval(...), array_keys($ways, self::LEAVE, true));
        /** @var array<string, string> $overrides */
        $overrides = array_filter($ways, fn (string $way): bool => $way !== self::LEAVE);

        return new Budgeted(
            limit: $this->limit,
            kept: $this->best !== null,
            search: $search,
            weighed: $this->weighed,
            unsound: $this->unsound,
            overrides: $overrides,
            left_out: $left,
            lights: $lights,
            mats: $mats,
            bare: false,
            before: $before,
            after: $after,
            lost: $after->missing - $before->missing,
            steps: $this->steps($asItIs, $ways, $lights, $mats, $before),
        );
    }

    private function weighAll(int $count): void
    {
        foreach ($this->choices->lists() as [$lights, $mats]) {
            foreach ($this->assignments() as $ways) {
                $this->consider($ways, $lights, $mats, $count, false);
            }
        }
    }

    /** @return \Generator<array<array-key, string>> */
    private function assignments(): \Generator
    {
        $crops = array_keys($this->ways);
        $at = array_fill(0, count($crops), 0);
        do {
            $ways = [];
            foreach ($crops as $i => $crop) {
                $ways[$crop] = $this->ways[$crop][$at[$i]];
            }
            yield $ways;
            for ($i = count($crops) - 1; $i >= 0; $i--) {
                if (++$at[$i] < count($this->ways[$crops[$i]])) {
                    break;
                }
                $at[$i] = 0;
            }
        } while ($i >= 0);
    }

    /**
     * From the set-up, from one common way for all, and from nothing at all: one crop, lamp or mat at a time, as long as that is better.
     *
     * @param  array<array-key, string>  $asItIs
     */
    private function search(array $asItIs): void
    {
        $beginnings = [...$this->choices->beginnings(), [array_fill_keys(array_keys($asItIs), self::LEAVE), [], []]];
        foreach ($beginnings as [$ways, $lights, $mats]) {
            $now = $this->consider($ways, $lights, $mats, 0, true);
            do {
                $better = false;
                foreach ($this->around($ways, $lights, $mats) as [$w, $l, $m]) {
                    $found = $now !== null && ($this->leavesOutMore($w, $now) || $this->costsTooMuch($w, $l, $m, $now)) ? null
                        : $this->consider($w, $l, $m, 0, true);
                    if ($found !== null && ($now === null || $this->closer($found, $now))) {
                        [$ways, $lights, $mats, $now, $better] = [$w, $l, $m, $found, true];
                    }
                }
            } while ($better);
        }
    }

    /**
     * @param  array<array-key, string>  $ways
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @return \Generator<array{array<array-key, string>, list<string>, list<string>}>
     */
    private function around(array $ways, array $lights, array $mats): \Generator
    {
        yield from $this->choices->steps($ways, $lights, $mats);
        foreach ($ways as $crop => $way) {
            if ($way !== self::LEAVE) {
                yield [array_replace($ways, [$crop => self::LEAVE]), $lights, $mats];
                yield [array_replace($ways, [$crop => self::LEAVE]), [], []];
            }
        }
        // A crop back in that needs what was left in the shop.
        foreach ($ways as $crop => $way) {
            foreach ($this->ways[$crop] as $other) {
                if ($other !== $way) {
                    yield [array_replace($ways, [$crop => $other]), $this->base->lights, $this->base->mats];
                }
            }
        }
    }

    /**
     * Within the limit nothing is better with more plants missing, and those of the crops left out are missing for certain: what leaves out
     * too much need not be reckoned.
     *
     * @param  array<array-key, string>  $ways
     */
    private function leavesOutMore(array $ways, BudgetTotals $now): bool
    {
        return $now->within($this->limit, $this->forSeason)
            && array_sum(array_intersect_key($this->wanted, array_flip(array_keys($ways, self::LEAVE, true)))) > $now->missing + self::SURELY;
    }

    /**
     * Within the limit nothing beyond it is better, and beyond it nothing that is neither within it nor cheaper. What is paid at the checkout
     * is known long before the rest, which only adds to it; what leaves a place dark that wants light is no way at all, and is not reckoned.
     *
     * @param  array<array-key, string>  $ways
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     */
    private function costsTooMuch(array $ways, array $lights, array $mats, BudgetTotals $now): bool
    {
        $cash = $this->cash[(string) json_encode([$ways, $lights, $mats])] ??= $this->keepsLit($ways, $lights, $mats)
            ? BudgetTotals::cash($this->books($ways, $lights, $mats)[0])
            : INF;

        return $cash > $this->limit + self::SURELY
            && ($now->within($this->limit, $this->forSeason) || $cash >= $now->spent($this->forSeason));
    }

    /**
     * Whether no place goes dark or cold in which something is raised that wants light or warmth, and that could have it.
     *
     * @param  array<array-key, string>  $ways
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     */
    private function keepsLit(array $ways, array $lights, array $mats): bool
    {
        return $this->choices->keepsLit(array_diff($ways, [self::LEAVE]), $lights, $mats);
    }

    /** Within the limit before beyond it; beyond it, nearer to it; within, better. */
    private function closer(BudgetTotals $a, BudgetTotals $b): bool
    {
        return match (true) {
            $a->within($this->limit, $this->forSeason) !== $b->within($this->limit, $this->forSeason) => $a->within($this->limit, $this->forSeason),
            $a->within($this->limit, $this->forSeason) => $a->beats($b),
            default => $a->spent($this->forSeason) < $b->spent($this->forSeason) - 1e-9,
        };
    }

    /**
     * @param  array<array-key, string>  $ways
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     */
    private function consider(array $ways, array $lights, array $mats, int $count, bool $keep): ?BudgetTotals
    {
        $key = $keep ? (string) json_encode([$ways, $lights, $mats]) : '';
        if ($keep && array_key_exists($key, $this->known)) {
            return $this->known[$key];
        }
        $totals = $this->keepsLit($ways, $lights, $mats) ? $this->totals($ways, $lights, $mats) : null;
        if ($totals !== null && $totals->within($this->limit, $this->forSeason) && ($this->best === null || $totals->beats($this->best[3]))) {
            $this->best = [$ways, $lights, $mats, $totals];
        }
        if ($keep) {
            $this->known[$key] = $totals;
        }
        if (++$this->weighed % self::TELL === 0 && $this->progress !== null) {
            ($this->progress)($this->weighed, $count);
        }

        return $totals;
    }

    /**
     * @param  array<array-key, string>  $ways
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @return ?BudgetTotals null where a grower would not advise it, or it has less room than the set-up has
     */
    private function totals(array $ways, array $lights, array $mats): ?BudgetTotals
    {
        [$books, $left] = $this->books($ways, $lights, $mats);
        if (! $this->soundness->isSound($books)) {
            $this->unsound++;

            return null;
        }
        $totals = SetupTotals::fromBooks($books);

        return $totals->daysWithoutRoom() > $this->withoutRoom ? null : BudgetTotals::fromBooks($books, $totals, $left);
    }

    /**
     * @param  array<array-key, string>  $ways
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @return array{SetupBooks, int} books, and plants left out
     */
    private function books(array $ways, array $lights, array $mats): array
    {
        $grows = array_diff($ways, [Setup::NURSERY, self::LEAVE]) !== [];
        $setup = new Setup($this->base->id, $this->base->name, $this->base->method, array_filter($ways, fn (string $way): bool => $way !== self::LEAVE),
            $lights, $mats, $grows ? $this->base->appliances : [], $grows ? $this->base->gear : []);
        $left = array_flip(array_keys($ways, self::LEAVE, true));
        $key = implode(' ', array_keys($left));
        $this->without[$key] ??= new SeasonCosting(
            $this->season->with(crops: array_values(array_filter($this->season->crops, fn (Crop $crop): bool => ! isset($left[$crop->id])))),
            $this->costing,
        );
        $plants = array_sum(array_map(fn (Crop $crop): int => isset($left[$crop->id]) ? $crop->wanted : 0, $this->season->crops));

        return [$this->without[$key]->books($setup), $plants];
    }

    /**
     * What is done otherwise, in the order in which it saves most at the till; each on top of the ones before, so that they add up.
     *
     * @param  array<array-key, string>  $from
     * @param  array<array-key, string>  $to
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @return list<BudgetStep>
     */
    private function steps(array $from, array $to, array $lights, array $mats, BudgetTotals $now): array
    {
        $open = [];
        foreach ($to as $crop => $way) {
            $way === $from[$crop] || $open[] = ['crop', (string) $crop, $from[$crop], $way];
        }
        foreach (['light' => [$this->base->lights, $lights], 'mat' => [$this->base->mats, $mats]] as $kind => [$had, $has]) {
            foreach (array_diff($had, $has) as $id) {
                $open[] = [$kind, $id, 'with', 'without'];
            }
        }
        $steps = [];
        $state = [$from, $this->base->lights, $this->base->mats];
        while ($open !== []) {
            $tried = [];
            foreach ($open as $n => $one) {
                [$ways, $l, $m] = self::apply($state, $one);
                [$books, $left] = $this->books($ways, $l, $m);
                $tried[$n] = BudgetTotals::fromBooks($books, SetupTotals::fromBooks($books), $left);
            }
            uasort($tried, fn (BudgetTotals $a, BudgetTotals $b): int => $a->cash <=> $b->cash);
            $n = (int) array_key_first($tried);
            $then = $tried[$n];
            $steps[] = new BudgetStep(...[...$open[$n], $then->cash - $now->cash, $then->missing - $now->missing, $then->fill_cost - $now->fill_cost,
                $then->hours - $now->hours]);
            $state = self::apply($state, $open[$n]);
            $now = $then;
            unset($open[$n]);
        }

        return $steps;
    }

    /**
     * @param  array{array<array-key, string>, list<string>, list<string>}  $state
     * @param  array{string, string, string, string}  $step
     * @return array{array<array-key, string>, list<string>, list<string>}
     */
    private static function apply(array $state, array $step): array
    {
        [$kind, $id, , $to] = $step;

        return match ($kind) {
            'crop' => [array_replace($state[0], [$id => $to]), $state[1], $state[2]],
            'light' => [$state[0], self::less($state[1], $id), $state[2]],
            default => [$state[0], $state[1], self::less($state[2], $id)],
        };
    }

    /**
     * @param  list<string>  $ids
     * @return list<string>
     */
    private static function less(array $ids, string $id): array
    {
        return array_values(array_diff($ids, [$id]));
    }
}

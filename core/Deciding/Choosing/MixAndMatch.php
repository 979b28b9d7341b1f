<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use Closure;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use stdClass;

/**
 * Each crop its cheapest sound way that there is room for, with only those lamps and mats that still pay. Costing rules, section 11.
 * Where there are few enough choices the answer is the true minimum; beyond, a search that never stands behind the set-up it is built
 * on, nor behind buying everything.
 */
final class MixAndMatch
{
    public const ID = 'mix';

    /** So many choices are weighed one by one. */
    public const MOST = 50_000;

    private const SAME = 1e-9;

    /** How often, in choices weighed, progress is told. */
    private const TELL = 500;

    private readonly SeasonCosting $costing;

    private readonly SetupTotals $named;

    private readonly Choices $choices;

    private readonly Soundness $soundness;

    /** Ways weighed that nobody should be advised. */
    private int $unsound = 0;

    /** @var ?array{Setup, SetupTotals} the best so far */
    private ?array $best = null;

    private int $weighed = 0;

    /** @var array<string, ?SetupTotals> null where a set-up breaks a rule */
    private array $known = [];

    /** @param  ?Closure(int, int): void  $progress  told how many of how many choices are weighed */
    public function __construct(private readonly Season $season, private readonly Setup $base, private readonly ?Closure $progress = null)
    {
        $this->costing = new SeasonCosting($season);
        $books = $this->costing->books($base);
        $this->named = SetupTotals::fromBooks($books);
        $this->soundness = new Soundness($books);
        $this->choices = new Choices($season, $base, [...array_keys($books->grown), ...array_keys($books->bought)]);
    }

    /** The set-up `mix`; `meta.search` says whether it was searched for rather than weighed against every other. */
    public function setup(): Setup
    {
        $count = $this->choices->count();
        $search = $count > self::MOST;
        $search ? $this->search() : $this->weighAll((int) $count);
        [$setup] = $this->best ?? [$this->base, $this->named];
        $grows = array_diff($setup->overrides, [Setup::NURSERY]) !== [];
        $meta = new stdClass();
        $meta->search = $search;
        $meta->unsound = $this->unsound;

        return $grows
            ? new Setup(
                id: self::ID,
                name: 'Mix and match',
                method: $this->base->method,
                overrides: $setup->overrides,
                lights: $setup->lights,
                mats: $setup->mats,
                appliances: $this->base->appliances,
                gear: $this->base->gear,
                meta: $meta,
            )
            : new Setup(self::ID, 'Mix and match', $this->base->method, $setup->overrides, meta: $meta);
    }

    /** The season with that set-up in it; one that was called so before is replaced. */
    public function season(): Season
    {
        $others = array_values(array_filter($this->season->setups, fn (Setup $setup): bool => $setup->id !== self::ID));

        return $this->season->with(setups: [...$others, $this->setup()]);
    }

    private function weighAll(int $count): void
    {
        foreach ($this->choices->lists() as [$lights, $mats]) {
            foreach ($this->choices->assignments() as $methods) {
                $this->weigh($methods, $lights, $mats);
                if (++$this->weighed % self::TELL === 0 && $this->progress !== null) {
                    ($this->progress)($this->weighed, $count);
                }
            }
        }
    }

    /** From several beginnings, one crop, lamp or mat at a time, as long as that gets cheaper. */
    private function search(): void
    {
        foreach ($this->choices->beginnings() as [$methods, $lights, $mats]) {
            $this->climb($methods, $lights, $mats);
        }
    }

    /**
     * @param  array<array-key, string>  $methods
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     */
    private function climb(array $methods, array $lights, array $mats): void
    {
        $now = $this->weigh($methods, $lights, $mats);
        do {
            $better = false;
            foreach ($this->choices->steps($methods, $lights, $mats) as [$m, $l, $t]) {
                $found = $this->weigh($m, $l, $t);
                if ($found !== null && ($now === null || self::beats($found, $now))) {
                    [$methods, $lights, $mats, $now, $better] = [$m, $l, $t, $found, true];
                }
                if (++$this->weighed % self::TELL === 0 && $this->progress !== null) {
                    ($this->progress)($this->weighed, 0);
                }
            }
        } while ($better);
    }

    /**
     * @param  array<array-key, string>  $methods  by crop
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @return ?SetupTotals null where that breaks a rule
     */
    private function weigh(array $methods, array $lights, array $mats): ?SetupTotals
    {
        $key = (string) json_encode([$methods, $lights, $mats]);
        if (array_key_exists($key, $this->known)) {
            return $this->known[$key];
        }
        $totals = null;
        if ($this->choices->keepsLit($methods, $lights, $mats)) {
            $grows = array_diff($methods, [Setup::NURSERY]) !== [];
            $setup = new Setup(
                $this->base->id,
                $this->base->name,
                $this->base->method,
                $methods,
                $lights,
                $mats,
                $grows ? $this->base->appliances : [],
                $grows ? $this->base->gear : [],
            );
            $books = $this->costing->books($setup);
            $totals = SetupTotals::fromBooks($books);
            $supplied = array_diff_key($this->choices->mustSupply, $books->grown, $books->bought) === [];
            $isSound = $this->soundness->isSound($books);
            $isSound ?: $this->unsound++;
            if (! $supplied || ! $isSound) {
                $totals = null;
            } elseif ($this->best === null || self::beats($totals, $this->best[1])) {
                $this->best = [$setup, $totals];
            }
        }
        if ($this->choices->count() > self::MOST) {
            $this->known[$key] = $totals;
        }

        return $totals;
    }

    /** More room first: what has none is no answer. Then cheaper to fill the list, or as cheap with fewer hours. */
    private static function beats(SetupTotals $a, SetupTotals $b): bool
    {
        $room = $a->daysWithoutRoom() <=> $b->daysWithoutRoom();

        return $room !== 0 ? $room < 0 : $a->fillCost < $b->fillCost - self::SAME ||
            ($a->fillCost <= $b->fillCost + self::SAME && $a->hours < $b->hours - self::SAME);
    }
}

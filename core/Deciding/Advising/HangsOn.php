<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Closure;
use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Throwable;

/**
 * What "grow or buy" hangs on. Every input that the set-up uses is moved over what it may well be (measured ±5 %, your word ±15 %, a guess
 * ±40 %; what comes up and what lives from its bad value to its good one)
 * and the season costed anew; and where the verdict turns, found on a grid and then by bisection, since it goes in steps.
 */
final readonly class HangsOn
{
    private const RANGE = ['measured' => 0.05, 'you' => 0.15, 'guess' => 0.4];

    /** As many are shown. */
    private const SHOWN = 10;

    /** Factors at which the verdict is looked at. */
    private const GRID = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.15, 1.3, 1.5, 1.75, 2.0, 2.5, 3.0, 4.0, 6.0, 10.0];

    /** To a four thousandth of a step of the grid: to the penny. */
    private const HALVINGS = 12;

    private SeasonCosting $costing;

    private SetupBooks $books;

    private Altered $altered;

    /** @param  Closure(list<string|int>): string  $source  measured, you or guess, of a path */
    public function __construct(private Season $season, private Setup $setup, private Closure $source)
    {
        $this->costing = new SeasonCosting($season);
        $this->altered = new Altered($season);
        $this->books = $this->costing->books($setup);
    }

    /**
     * @param  ?Closure(int, int): void  $progress
     * @return list<Lever> the ten that move it most
     */
    public function levers(?Closure $progress = null): array
    {
        $inputs = (new Inputs($this->season, $this->books))->all();
        $planned = $this->costing->setup($this->setup);
        $levers = [];
        foreach ($inputs as $i => [$path, $name, $value, $chances]) {
            $progress === null ?: $progress($i, count($inputs));
            $source = ($this->source)($path);
            $range = self::RANGE[$source] ?? self::RANGE['you'];
            if ($chances !== null) {
                [$toLow, $toHigh, $low, $high] = $chances;
                $source = 'known';
            } else {
                [$low, $high] = [$value * (1.0 - $range), $value * (1.0 + $range)];
                [$toLow, $toHigh] = [[['path' => $path, 'to' => $low]], [['path' => $path, 'to' => $high]]];
            }
            [$atLow, $atHigh] = [$this->with($toLow), $this->with($toHigh)];
            if ($atLow?->keep !== null && $atHigh?->keep !== null) {
                [$bad, $middle, $good] = $chances === null ? WorthKnowing::WEIGHTS : [TwoValues::WEIGHTS[0], 0.0, TwoValues::WEIGHTS[1]];
                $levers[] = new Lever(
                    path: $path,
                    name: $name,
                    source: $source,
                    value: $value,
                    low: $low,
                    high: $high,
                    keep_low: $atLow->keep,
                    keep_high: $atHigh->keep,
                    moves: abs($atHigh->keep - $atLow->keep),
                    worth_knowing: WorthKnowing::expectedValue($this->season, [[$bad, $atLow], [$middle, $planned], [$good, $atHigh]]),
                );
            }
        }
        usort($levers, fn (Lever $a, Lever $b): int => [$b->moves, $a->name] <=> [$a->moves, $b->name]);

        return array_slice($levers, 0, self::SHOWN);
    }

    /**
     * @param  ?Closure(int, int): void  $progress  of seasons costed; nobody knows of how many
     * @return list<Flip> of all together, then the nursery's price of each crop
     */
    public function flips(?Closure $progress = null): array
    {
        $costed = 0;
        $keep = function (SetupResult $result) use ($progress, &$costed): ?float {
            $progress === null ?: $progress(++$costed, 0);

            return $result->keep;
        };
        $result = $this->costing->setup($this->setup);
        if ($result->keep === null) {
            return [];
        }
        $flips = [];
        $offers = array_map(fn ($offer): array => [['nursery', $offer->id, 'price'], $offer->price], $this->season->nursery);
        $flips[] = $this->flip('nursery', null, (float) $result->nursery_per_plant, fn (float $f): array => self::scaled($offers, $f), $keep);
        $rates = [[['electricity', 'rate'], $this->season->electricity->rate]];
        foreach ($this->season->electricity->windows as $i => $window) {
            $rates[] = [['electricity', 'windows', $i, 'rate'], $window->rate];
        }
        $flips[] = $this->flip('rate', null, $this->season->electricity->rate, fn (float $f): array => self::scaled($rates, $f), $keep);
        $survivals = [];
        foreach (Inputs::methods($this->books) as $method) {
            foreach ($method->stages as $i => $stage) {
                $survivals[] = [['methods', $method->id, 'stages', $i, 'survival'], $stage->survival];
            }
        }
        $flips[] = $this->flip('survival', null, 1.0, fn (float $f): array => self::scaled($survivals, $f, 1.0), $keep);
        $wanted = array_map(fn ($crop): array => [['crops', $crop->id, 'wanted'], $crop->wanted],
            array_values(array_filter($this->season->crops, fn ($crop): bool => $crop->split === null)));
        $flips[] = $this->flip('wanted', null, (float) array_sum(array_column($this->season->crops, 'wanted')),
            fn (float $f): array => array_map(fn (array $one): array => ['path' => $one[0], 'to' => max(1, (int) round($one[1] * $f))],
                $wanted), $keep);
        // An hour may be worth what it earns: that needs no search.
        $flips[] = new Flip('hour', null, $this->season->hourlyValue, null, $result->hours > 0.0
            && $result->keep > 0.0 ? $result->keep / $result->hours : null);
        foreach ($result->crops as $i => $crop) {
            $net = (float) $crop->buy_cost - (float) $crop->shortfall_cost;
            if ($crop->grown && $crop->extra_cost !== null && $net > 0.0) {
                // What is bought whole and what is bought for those that fail go up alike with the price: no search here either.
                $factor = $crop->extra_cost / $net;
                $price = $crop->buy_cost / $this->season->crops[$i]->wanted;
                $reached = $factor >= self::GRID[0] && $factor <= self::GRID[count(self::GRID) - 1];
                $flips[] = new Flip('nursery', $crop->id, $price, $reached && $factor < 1.0 ? $price * $factor : null,
                    $reached && $factor > 1.0 ? $price * $factor : null);
            }
        }

        return $flips;
    }

    /**
     * @param  Closure(float): list<array{path: non-empty-list<string|int>, to: mixed}>  $edits  of a factor
     * @param  Closure(SetupResult): ?float  $worth  above 0 where growing wins
     */
    private function flip(string $what, ?string $crop, float $now, Closure $edits, Closure $worth): Flip
    {
        $at = function (float $factor) use ($edits, $worth): ?float {
            $result = $factor === 1.0 ? $this->costing->setup($this->setup) : $this->with($edits($factor));

            return $result === null ? null : $worth($result);
        };
        $grows = ($at(1.0) ?? 0.0) > 0.0;
        $below = $this->turn($at, array_reverse(array_filter(self::GRID, fn (float $f): bool => $f < 1.0)), $grows);
        $above = $this->turn($at, array_values(array_filter(self::GRID, fn (float $f): bool => $f > 1.0)), $grows);

        return new Flip($what, $crop, $now, $below === null ? null : $now * $below, $above === null ? null : $now * $above);
    }

    /**
     * @param  Closure(float): ?float  $at
     * @param  list<float>  $factors  away from 1
     */
    private function turn(Closure $at, array $factors, bool $grows): ?float
    {
        $last = 1.0;
        foreach ($factors as $factor) {
            $value = $at($factor);
            if ($value !== null && $value > 0.0 !== $grows) {
                return $this->between($at, $last, $factor, $grows);
            }
            $last = $value === null ? $last : $factor;
        }

        return null;
    }

    /** @param  Closure(float): ?float  $at */
    private function between(Closure $at, float $same, float $other, bool $grows): float
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($same + $other) / 2.0;
            ($at($middle) ?? 0.0) > 0.0 === $grows ? ($same = $middle) : ($other = $middle);
        }

        return $other;
    }

    /**
     * @param  list<array{non-empty-list<string|int>, float}>  $values
     * @return list<array{path: non-empty-list<string|int>, to: float}>
     */
    private static function scaled(array $values, float $factor, float $most = INF): array
    {
        return array_map(fn (array $one): array => ['path' => $one[0], 'to' => min($most, $one[1] * $factor)], $values);
    }

    /** @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits */
    private function with(array $edits): ?SetupResult
    {
        try {
            $season = $this->altered->with($edits);
            $costing = new SeasonCosting($season, $this->costing, array_column(array_column($edits, 'path'), 0));

            return $costing->setup(array_column($season->setups, null, 'id')[$this->setup->id]);
        } catch (Throwable) {
            return null;
        }
    }
}

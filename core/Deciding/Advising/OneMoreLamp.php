<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Closure;
use JollyPenny\Core\Plan\Books\CapitalRecovery;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Light;

/**
 * What one more of a lamp would earn. Where a bench is over-full, what earns least under the lamp gives way to the nursery until it is
 * not; the list is filled so with the lamp and without, the lamp's share of its price and its power among the costs.
 */
final readonly class OneMoreLamp
{
    /**
     * @param  string  $light  id of the lamp it is one more of
     * @param  float  $price  money
     * @param  float  $life  seasons
     * @param  list<string>  $gives_way  crops bought for want of room, as it is
     * @param  list<string>  $with_it  the same with the lamp
     * @param  int  $crowded_days  left with the lamp, of what no nursery has
     * @param  float  $a_season  money it earns; below 0 it costs
     * @param  float  $over_life  the same over its seasons, at its worth today
     */
    private function __construct(
        public string $light,
        public string $name,
        public float $price,
        public float $life,
        public array $gives_way,
        public array $with_it,
        public int $crowded_days,
        public float $a_season,
        public float $over_life,
    ) {
    }

    /**
     * @param  ?Closure(int, int): void  $progress  of crops that gave way; nobody knows of how many
     * @return list<self> one for each place with lamps of the set-up, by the last lamp there
     */
    public static function all(Season $season, Setup $setup, ?Closure $progress = null): array
    {
        $lights = array_column($season->lights, null, 'id');
        $last = [];
        foreach ($setup->lights as $id) {
            $last[$lights[$id]->place] = $lights[$id];
        }
        if ($last === []) {
            return [];
        }
        [$before, $out] = self::eased(new SeasonCosting($season), $setup, $progress);
        $found = [];
        foreach ($last as $light) {
            $found[] = self::weigh($season, $setup, $light, $before, $out, $progress);
        }

        return $found;
    }

    /**
     * @param  list<string>  $out  crops that give way without it
     * @param  ?Closure(int, int): void  $progress
     */
    private static function weigh(Season $season, Setup $setup, Light $light, float $before, array $out, ?Closure $progress): self
    {
        $ids = array_column($season->lights, 'id');
        for ($n = 1; in_array("{$light->id}+{$n}", $ids, true); $n++);
        $one = $light->with(id: "{$light->id}+{$n}", owned: false);
        $costing = new SeasonCosting($season->with(lights: [...$season->lights, $one]));
        [$after, $still, $crowded] = self::eased($costing, $setup->with(lights: [...$setup->lights, $one->id]), $progress);

        return new self(
            light: $light->id,
            name: $light->name,
            price: $light->price,
            life: $light->lifeSeasons,
            gives_way: $out,
            with_it: $still,
            crowded_days: $crowded,
            a_season: $before - $after,
            over_life: ($before - $after) / CapitalRecovery::share(1.0, $light->lifeSeasons, $season->discountRate),
        );
    }

    /**
     * @param  ?Closure(int, int): void  $progress
     * @return array{float, list<string>, int} money to fill the list, crops that give way for it, over-full days left
     */
    private static function eased(SeasonCosting $costing, Setup $setup, ?Closure $progress): array
    {
        $out = [];
        while (true) {
            $progress === null ?: $progress(count($out), 0);
            $books = $costing->books($setup);
            $result = $costing->setup($setup);
            $first = array_column(array_filter(LitWorth::fromBooks($books, $result), fn (LitWorth $one): bool => $one->first_out), 'crop')[0] ?? null;
            if ($first === null) {
                return [$result->fill_cost, $out, $result->crowded_days];
            }
            $out[] = $first;
            $setup = $setup->raising($first, Setup::NURSERY);
        }
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;

/** Set-ups side by side: what each cannot supply, what it comes to with room enough, each crop's cheapest way, and the advice. */
final readonly class Comparison
{
    /** Prices that differ by less than this are equal. */
    private const SAME = 1e-9;

    /**
     * @param  ?float  $nursery  price of one plant of the list at the nursery
     * @param  list<ComparedSetup>  $setups
     * @param  array<string, ?string>  $cheapest  set-up in which a crop costs least, of those that can be followed, by crop
     * @param  array<string, ?float>  $bought_each  price of one bought plant, by crop
     * @param  ?Advice  $advice  what the set-up that stands first comes down to
     * @param  ?float  $room_costs  money that it costs more, to fill the list, than the cheapest crowded set-up; null where none is cheaper
     */
    private function __construct(
        public ?float $nursery,
        public array $setups,
        public array $cheapest,
        public array $bought_each,
        public ?Advice $advice,
        public ?float $room_costs,
    ) {
    }

    public static function forSeason(SeasonCosting $costing): self
    {
        $season = $costing->season;
        $results = $fitted = $standings = [];
        foreach ($season->setups as $setup) {
            $results[$setup->id] = $costing->setup($setup);
            [$fitted[$setup->id], $standing] = Fitted::forSetup($costing, $setup) ?? [null, null];
            $standings[$setup->id] = $standing ?? new Standing($costing, $setup);
        }
        uasort($standings, fn (Standing $a, Standing $b): int => $a->compare($b));
        $ranks = array_flip(array_keys($standings));
        $setups = array_map(
            fn (SetupResult $result): ComparedSetup => ComparedSetup::fromResult(
                $result, $season, $fitted[$result->id], $ranks[$result->id] + 1, $standings[$result->id]->qualifies(),
            ),
            array_values($results),
        );
        // Set-ups that supply the list supply the same plants, and the nursery has one price for those.
        $fair = array_filter($results, fn (SetupResult $result): bool => $result->isFair());
        $nursery = self::known(array_column($fair, 'nursery_per_plant')) ?: self::known(array_column($results, 'nursery_per_plant'));
        $cheapest = $boughtEach = [];
        $followed = self::followed($standings);
        $lots = array_column($season->seedLots, 'species', 'id');
        $tender = array_column($season->species, 'tender', 'id');
        foreach ($season->crops as $i => $crop) {
            $cheapest[$crop->id] = self::cheapestFor($i, $followed, $tender[$lots[$crop->lot]]);
            $boughtEach[$crop->id] =
                self::known(array_map(fn (SetupResult $result): ?float => $result->crops[$i]->boughtEach(), $results))[0] ?? null;
        }
        $first = array_key_first($standings);
        $advice = $first === null || $standings[$first]->result->per_wanted === null
            ? null
            : Advice::fromStanding($standings[$first], $first, $fitted[$first]);

        return new self($nursery === [] ? null : max($nursery), $setups, $cheapest, $boughtEach, $advice, self::roomCosts($advice, $results));
    }

    /**
     * The set-ups one could follow, crowded ones made to fit: those that supply the list and have room for it; where there are none,
     * all.
     *
     * @param  array<string, Standing>  $standings
     * @return array<string, SetupResult>
     */
    private static function followed(array $standings): array
    {
        $fair = array_filter($standings, fn (Standing $standing): bool => $standing->qualifies());

        return array_map(fn (Standing $standing): SetupResult => $standing->result, $fair ?: $standings);
    }

    /** @param  array<string, SetupResult>  $results */
    private static function roomCosts(?Advice $advice, array $results): ?float
    {
        if ($advice === null || ! $advice->qualifies) {
            return null;
        }
        $crowded = array_filter($results, fn (SetupResult $result): bool => $result->isFair() && $result->crowded_days > SetupTotals::BEARABLE_DAYS);
        $more = $crowded === [] ? 0.0 : $advice->cost - min(array_column($crowded, 'fill_cost'));

        return $more > self::SAME ? $more : null;
    }

    /**
     * Of the ways that a grower would advise.
     *
     * @param  array<string, SetupResult>  $results
     */
    private static function cheapestFor(int $crop, array $results, bool $tender): ?string
    {
        $best = null;
        $least = INF;
        foreach ($results as $id => $result) {
            $cost = $result->crops[$crop]->filledCost();
            if ($cost !== null && Soundness::ofResult($result->crops[$crop], $tender) === [] && $cost < $least - self::SAME) {
                [$best, $least] = [(string) $id, $cost];
            }
        }

        return $best;
    }

    /**
     * @param  array<?float>  $prices
     * @return list<float>
     */
    private static function known(array $prices): array
    {
        return array_values(array_filter($prices, fn (?float $price): bool => $price !== null));
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Choosing;

use JollyPenny\Core\Results\SetupResult;
use JollyPenny\Core\Season\Season;

/** Set-ups side by side: what each cannot supply, each crop's cheapest way, and the advice. */
final readonly class Comparison
{
    /** Prices that differ by less than this are equal. */
    private const SAME = 1e-9;

    /**
     * @param  ?float  $nursery  price of one plant of the list at the nursery
     * @param  list<ComparedSetup>  $setups
     * @param  array<string, ?string>  $cheapest  set-up in which a crop costs least, by crop
     * @param  array<string, ?float>  $bought_each  price of one bought plant, by crop
     * @param  ?Advice  $advice  what the cheapest fair set-up comes down to
     */
    private function __construct(
        public ?float $nursery,
        public array $setups,
        public array $cheapest,
        public array $bought_each,
        public ?Advice $advice,
    ) {
    }

    /** @param  list<SetupResult>  $results */
    public static function of(array $results, Season $season): self
    {
        $setups = array_map(fn (SetupResult $result): ComparedSetup => ComparedSetup::of($result, $season), $results);
        $nursery = self::known(array_column($results, 'nursery_per_plant'));
        $cheapest = $boughtEach = [];
        foreach ($season->crops as $i => $crop) {
            $cheapest[$crop->id] = self::cheapestFor($i, $results);
            $boughtEach[$crop->id] =
                self::known(array_map(fn (SetupResult $result): ?float => $result->crops[$i]->boughtEach(), $results))[0] ?? null;
        }

        return new self($nursery === [] ? null : max($nursery), $setups, $cheapest, $boughtEach, self::advice($results));
    }

    /** @param  list<SetupResult>  $results */
    private static function cheapestFor(int $crop, array $results): ?string
    {
        $best = null;
        $least = INF;
        foreach ($results as $result) {
            $cost = $result->crops[$crop]->filledCost();
            if ($cost !== null && $cost < $least - self::SAME) {
                [$best, $least] = [$result->id, $cost];
            }
        }

        return $best;
    }

    /** @param  list<SetupResult>  $results */
    private static function advice(array $results): ?Advice
    {
        $best = null;
        foreach ($results as $result) {
            if ($result->per_wanted !== null && ($best === null || self::beats($result, $best))) {
                $best = $result;
            }
        }

        return $best === null ? null : Advice::of($best);
    }

    /** One that supplies the list beats one that does not, one that fits the bench one that is crowded; of two alike the cheaper one. */
    private static function beats(SetupResult $a, SetupResult $b): bool
    {
        [$mine, $other] = array_map(fn (SetupResult $one): array => [$one->isFair(), $one->crowded_days === 0], [$a, $b]);

        return $mine === $other ? $a->per_wanted < $b->per_wanted - self::SAME : $mine > $other;
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

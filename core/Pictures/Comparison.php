<?php

declare(strict_types=1);

namespace JollyPenny\Core\Pictures;

use JollyPenny\Core\Costing\CropResult;
use JollyPenny\Core\Costing\SetupResult;
use JollyPenny\Core\Season\Season;

/** Set-ups side by side: their penny stacks in one size of coin, what each cannot supply, each crop's cheapest way, and the advice. */
final readonly class Comparison
{
    /** Set-ups compare fairly where less than this many plants are missing. */
    public const FAIR = 0.5;

    /**
     * @param  float  $coin  money that one coin stands for
     * @param  ?float  $nursery  price of one plant of the list at the nursery
     * @param  list<ComparedSetup>  $setups
     * @param  array<string, ?string>  $cheapest  set-up in which a crop costs least, by crop
     * @param  array<string, ?float>  $bought_each  price of one bought plant, by crop
     * @param  ?Advice  $advice  what the cheapest fair set-up comes down to
     */
    private function __construct(
        public float $coin,
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
        $tallest = 0.0;
        foreach ($results as $result) {
            $tallest = max($tallest, $result->nursery_per_plant ?? 0.0, $result->per_wanted === null ? 0.0 : $result->per_wanted + PennyStack::credit($result->heads) / $result->filled);
        }
        $coin = PennyStack::coin($tallest, $season->currency);
        $setups = array_map(fn (SetupResult $result): ComparedSetup => ComparedSetup::of($result, PennyStack::ofSetup($result, $coin), $season), $results);
        $nursery = array_values(array_filter(array_column($results, 'nursery_per_plant'), fn (?float $price): bool => $price !== null));
        $cheapest = $boughtEach = [];
        foreach ($season->crops as $i => $crop) {
            $cheapest[$crop->id] = self::cheapestFor($i, $crop->wanted, $results);
            $price = array_filter(array_map(fn (SetupResult $result): ?float => $result->crops[$i]->buy_cost, $results), fn (?float $cost): bool => $cost !== null);
            $boughtEach[$crop->id] = $price === [] ? null : reset($price) / $crop->wanted;
        }

        return new self($coin, $nursery === [] ? null : max($nursery), $setups, $cheapest, $boughtEach, self::advice($results));
    }

    /** @param  list<SetupResult>  $results */
    private static function cheapestFor(int $crop, int $wanted, array $results): ?string
    {
        $best = null;
        $least = INF;
        foreach ($results as $result) {
            $cost = self::filled($result->crops[$crop], $wanted);
            if ($cost !== null && $cost < $least - 1e-9) {
                [$best, $least] = [$result->id, $cost];
            }
        }

        return $best;
    }

    /** What a crop costs with the plants it falls short of bought; null where it is not supplied. */
    private static function filled(CropResult $crop, int $wanted): ?float
    {
        return $crop->cost === null ? null : $crop->cost + (float) $crop->shortfall * ($crop->buy_cost ?? 0.0) / $wanted;
    }

    /** @param  list<SetupResult>  $results */
    private static function advice(array $results): ?Advice
    {
        $best = null;
        foreach ($results as $result) {
            $fair = $result->missing < self::FAIR;
            if ($result->per_wanted !== null && ($best === null || ($fair && $best->missing >= self::FAIR)
                || ($fair === ($best->missing < self::FAIR) && $result->per_wanted < $best->per_wanted - 1e-9))) {
                $best = $result;
            }
        }

        return $best === null ? null : Advice::of($best);
    }
}

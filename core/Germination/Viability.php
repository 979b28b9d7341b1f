<?php

declare(strict_types=1);

namespace JollyPenny\Core\Germination;

use JollyPenny\Core\Season\SeedLot;
use JollyPenny\Core\Season\Species;

/**
 * Share of a lot's seed that is alive in the season's year. Costing rules, section 3, steps 1 to 3.
 * Source of the ageing: the seed viability equation of Ellis and Roberts (1980), slope set by the species' life.
 */
final readonly class Viability
{
    private const LEAST = 0.001;

    private const MOST = 0.999;

    /** Poor germinators age too. */
    private const LEAST_FOR_SLOPE = 0.6;

    /** The weight of the belief that a home test updates, in seeds. */
    private const SEEDS_OF_BELIEF = 20;

    private function __construct(
        public float $fresh,
        public int $age,
        public float $aged,
        public float $value,
    ) {
    }

    public static function of(SeedLot $lot, Species $species, int $year): self
    {
        $fresh = min(self::MOST, max(self::LEAST, $lot->germination ?? $species->freshGermination));
        $age = max(0, $year - $lot->packedFor);
        $aged = $fresh;
        if ($age > 0) {
            $slope = NormalQuantile::of(min(self::MOST, max($species->freshGermination, self::LEAST_FOR_SLOPE))) / $species->longevityYears;
            $aged = NormalQuantile::cumulative(NormalQuantile::of($fresh) - $age * $slope);
        }
        $value = $lot->test === null ? $aged
            : (self::SEEDS_OF_BELIEF * $aged + $lot->test->sprouted) / (self::SEEDS_OF_BELIEF + $lot->test->sown);

        return new self($fresh, $age, $aged, $value);
    }
}

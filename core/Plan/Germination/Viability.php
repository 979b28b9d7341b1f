<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

use JollyPenny\Core\Season\Things\SeedLot;
use JollyPenny\Core\Season\Things\Species;

/**
 * Share of a lot's seed that is alive in the season's year, and how well that is known. Costing rules, section 3, steps 1 to 3.
 * Source of the ageing: the seed viability equation of Ellis and Roberts (1980): viability falls along a straight line in probits.
 */
final readonly class Viability
{
    private const LEAST = 0.001;

    private const MOST = 0.999;

    /** Very fresh seed, in probits. */
    private const FRESH_PROBIT = 2.0;

    /** Lost over the species' life expectancy, in probits: four fifths are then alive. */
    private const PROBITS_A_LIFE = 1.16;

    /** What one knows of seed of the season's own year, and of older seed, is worth so many seeds tested. */
    private const SEEDS_KNOWN = 20;

    private const SEEDS_KNOWN_OF_OLD = 6;

    /**
     * @param  int  $seedsKnown  what stands behind the value, in seeds tested
     */
    private function __construct(
        public float $fresh,
        public int $age,
        public float $aged,
        public int $seedsKnown,
        public float $value,
    ) {
    }

    public static function forLot(SeedLot $lot, Species $species, int $year): self
    {
        $fresh = self::cut($lot->germination ?? $species->freshGermination);
        $age = max(0, $year - $lot->packedFor);
        $aged = $fresh;
        if ($age > 0) {
            $probit = self::FRESH_PROBIT - self::PROBITS_A_LIFE * $age / $species->longevityYears;
            $aged *= NormalDistribution::cumulative($probit) / NormalDistribution::cumulative(self::FRESH_PROBIT);
        }
        $known = $age === 0 ? self::SEEDS_KNOWN : self::SEEDS_KNOWN_OF_OLD;
        $sown = $lot->test->sown ?? 0;
        $value = ($known * $aged + ($lot->test->sprouted ?? 0)) / ($known + $sown);

        return new self($fresh, $age, $aged, $known + $sown, self::cut($value));
    }

    /** Standard deviation of what one believes of it. */
    public function deviation(): float
    {
        return sqrt($this->value * (1.0 - $this->value) / ($this->seedsKnown + 1));
    }

    private static function cut(float $share): float
    {
        return min(self::MOST, max(self::LEAST, $share));
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\MoveOn;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Season;

/**
 * What happens to one unit sown (a site, or a seed in a community pot) on its way to a finished seedling: up to the first potting on
 * with one probability, then from potting on to potting on with one each. In a bad season and a good one, from a bad packet and a
 * good one.
 */
final readonly class Chain
{
    /**
     * @param  float  $q  probability that a site is filled (community: that a seed comes up) from a packet as one takes it to be
     * @param  array{array{float, float}, array{float, float}}  $untilFirst  by season, then packet
     * @param  array{list<float>, list<float>}  $legs  by season: to live from each potting on to the next, or to the end
     * @param  array{float, float}  $beyondFirstStage  by season: to live from the end of the first stage to the first potting on, or to the end
     */
    private function __construct(
        public int $wanted,
        public float $confidence,
        public float $q,
        public array $untilFirst,
        public array $legs,
        public bool $moveAll,
        public array $beyondFirstStage,
    ) {
    }

    /**
     * @param  float  $g  probability that a seed comes up
     * @param  array{float, float}  $packets  the same from a bad packet and from a good one
     */
    public static function forCrop(Method $method, Crop $crop, float $g, array $packets, Season $season): self
    {
        $filled = array_map(fn (float $one): float => self::filled($method, $one), $packets);
        $untilFirst = $legs = $beyond = [];
        foreach (self::exponents($method, $season->luck) as $exponent) {
            $sofar = 1.0;
            $own = [];
            foreach ($method->stages as $index => $stage) {
                $survival = $stage->survival ** $exponent;
                if ($index > 0 && $stage->container !== null) {
                    $own[] = $survival;
                } elseif ($own === []) {
                    $sofar *= $survival;
                } else {
                    $own[count($own) - 1] *= $survival;
                }
            }
            $untilFirst[] = [$filled[0] * $sofar, $filled[1] * $sofar];
            $legs[] = $own;
            $beyond[] = $sofar / $method->stages[0]->survival ** $exponent;
        }

        return new self($crop->wanted, $season->confidence, self::filled($method, $g), $untilFirst, $legs, $crop->moveOn === MoveOn::All,
            $beyond);
    }

    /** Probability, over all seasons and packets, that one unit sown ends as a finished seedling, were nothing left behind. */
    public function throughout(): float
    {
        return $this->overCases(fn (int $season, float $untilFirst): float => $untilFirst * array_product($this->legs[$season]));
    }

    /** @param  callable(int, float): float  $value  of a season, and what lives there until the first potting on */
    public function overCases(callable $value): float
    {
        $sum = 0.0;
        foreach (TwoValues::WEIGHTS as $season => $weight) {
            foreach (TwoValues::WEIGHTS as $packet => $other) {
                $sum += $weight * $other * $value($season, $this->untilFirst[$season][$packet]);
            }
        }

        return $sum;
    }

    /** Two chains with the same key are sized alike. */
    public function key(): string
    {
        return implode('|', [$this->wanted, $this->confidence, (int) $this->moveAll, ...array_merge(...$this->untilFirst),
            ...array_merge(...$this->legs)]);
    }

    /** More than this many of anything, and the list cannot be reached. */
    public function limit(): int
    {
        return 20 * $this->wanted + 100;
    }

    private static function filled(Method $method, float $g): float
    {
        return $method->pattern === Pattern::Community ? $g : Binomial::withTrials($method->seedsPerSite, $g)->atLeast($method->minPlants);
    }

    /** @return array{float, float} to what power every stage's survival goes in a bad season and in a good one */
    private static function exponents(Method $method, float $luck): array
    {
        $whole = array_product(array_map(fn (Stage $stage): float => $stage->survival, $method->stages));
        [$bad, $good] = TwoValues::around($whole, sqrt($luck * $whole * (1.0 - $whole)));

        return $whole >= 1.0 ? [1.0, 1.0] : [log($bad) / log($whole), log($good) / log($whole)];
    }
}

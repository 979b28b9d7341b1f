<?php

declare(strict_types=1);

namespace JollyPenny\Core\Sowing;

use JollyPenny\Core\Season\Crop;
use JollyPenny\Core\Season\Method;
use JollyPenny\Core\Season\MoveOn;
use JollyPenny\Core\Season\Pattern;

/**
 * What happens to one unit sown (a site, or a seed in a community pot) on its way to a finished seedling: up to the
 * first potting on with one probability, then from potting on to potting on with one each.
 */
final readonly class Chain
{
    /**
     * @param  list<float>  $legs  probability to live from each potting on to the next, or to the end
     */
    private function __construct(
        public int $wanted,
        public float $confidence,
        public float $q,
        public float $untilFirst,
        public array $legs,
        public bool $moveAll,
    ) {
    }

    /** @param  float  $g  probability that a seed comes up */
    public static function of(Method $method, Crop $crop, float $g, float $confidence): self
    {
        $q = $method->pattern === Pattern::Community ? $g
            : Binomial::of($method->seedsPerSite, $g)->atLeast($method->minPlants);
        $untilFirst = $q;
        $legs = [];
        foreach ($method->stages as $index => $stage) {
            if ($index > 0 && $stage->container !== null) {
                $legs[] = $stage->survival;
            } elseif ($legs === []) {
                $untilFirst *= $stage->survival;
            } else {
                $legs[count($legs) - 1] *= $stage->survival;
            }
        }

        return new self($crop->wanted, $confidence, $q, $untilFirst, $legs, $crop->moveOn === MoveOn::All);
    }

    /** Probability that one unit sown ends as a finished seedling, were nothing left behind. */
    public function throughout(): float
    {
        return $this->untilFirst * array_product($this->legs);
    }

    /** Two chains with the same key are sized alike. */
    public function key(): string
    {
        return implode('|', [$this->wanted, $this->confidence, $this->untilFirst, (int) $this->moveAll, ...$this->legs]);
    }

    /** More than this many of anything, and the list cannot be reached. */
    public function limit(): int
    {
        return 50 * $this->wanted + 1000;
    }
}

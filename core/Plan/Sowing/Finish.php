<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

/** How many plants of a crop finish: in a bad season and a good one, and, with the chance of a mishap, none. */
final readonly class Finish
{
    /** Nine seasons of ten are no worse, one in ten is better. */
    public const LOW = 0.1;

    public const HIGH = 0.9;

    /** Plants finished, on average. */
    public float $mean;

    /** @var array{float, float} chance that the wanted number finishes in a bad season and in a good one, without mishap */
    public array $enoughIn;

    /** The chance of enough. */
    public float $enough;

    /** Of those finished, what somebody wants, on average. */
    public float $useful;

    public int $usefulLow;

    public int $usefulHigh;

    /**
     * @param  array{Distribution, Distribution}  $seasons  in a bad season and in a good one, without mishap
     * @param  float  $mishap  the chance that all of it is lost
     */
    public function __construct(public int $wanted, public array $seasons, private float $mishap)
    {
        [$bad, $good] = $seasons;
        $this->enoughIn = [$bad->atLeast($wanted), $good->atLeast($wanted)];
        [$b, $g] = TwoValues::WEIGHTS;
        $this->enough = (1.0 - $mishap) * ($b * $this->enoughIn[0] + $g * $this->enoughIn[1]);
        $this->mean = (1.0 - $mishap) * ($b * $bad->mean() + $g * $good->mean());
        $useful = $this->usefulPlants();
        $this->useful = $useful->mean();
        $this->usefulLow = $useful->percentile(self::LOW);
        $this->usefulHigh = $useful->percentile(self::HIGH);
    }

    public function shortfall(): float
    {
        return max(0.0, $this->wanted - $this->useful);
    }

    public function surplus(): float
    {
        return max(0.0, $this->mean - $this->useful);
    }

    /** How many of the finished plants somebody wants. */
    private function usefulPlants(): Distribution
    {
        return Distribution::mixture(
            array_map(fn (Distribution $one): Distribution => $one->cappedAt($this->wanted), $this->seasons),
            TwoValues::WEIGHTS,
        )->orElse(Distribution::always(0), $this->mishap);
    }

    /**
     * An average over all that can happen, a mishap too.
     *
     * @param  callable(int): float  $value  of so many finished
     */
    public function expected(callable $value): float
    {
        [$bad, $good] = TwoValues::WEIGHTS;
        $without = $bad * $this->seasons[0]->expected($value) + $good * $this->seasons[1]->expected($value);

        return (1.0 - $this->mishap) * $without + $this->mishap * $value(0);
    }
}

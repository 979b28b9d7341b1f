<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Planning;

use Closure;
use JollyPenny\Core\Plan\Sowing\Distribution;
use JollyPenny\Core\Plan\Sowing\Known;
use JollyPenny\Core\Plan\Sowing\TwoValues;

/**
 * What grown crops come to together: a bad season is bad for all of them, and a mishap takes what was sown in one place in one
 * week. Costing rules, section 8.
 */
final class Together
{
    /** Multiplications that take about half a second. */
    private const BEARABLE = 3e7;

    /** @var ?array<string, list<int>> crops by batch, once somebody asks */
    private ?array $batches = null;

    /**
     * @param  list<CropPlan>  $plans
     * @param  float  $mishap  the chance that a batch is lost
     */
    public function __construct(private readonly array $plans, private readonly float $mishap, private readonly Known $known = new Known())
    {
    }

    /**
     * The chance that of each of these crops there is enough; 1 for none.
     *
     * @param  list<int>  $crops  places in the list of plans
     */
    public function allEnough(array $crops): float
    {
        $chance = 0.0;
        foreach (TwoValues::WEIGHTS as $season => $weight) {
            $chance += $weight * array_product(array_map(
                fn (int $crop): float => $this->plans[$crop]->sowing->finish->enoughIn[$season],
                $crops,
            ));
        }
        $batches = array_unique(array_map(fn (int $crop): string => $this->plans[$crop]->batch(), $crops));

        return $chance * (1.0 - $this->mishap) ** count($batches);
    }

    /**
     * Percentiles of the plants somebody wants, of all crops together.
     *
     * @return list<int>
     */
    public function useful(float ...$shares): array
    {
        $shares = array_values($shares);

        return $this->known->recall($this->saying('useful', $shares, array_keys($this->plans)), fn (): array => $this->percentiles(
            fn (int $crop, int $finished): int => min($finished, $this->plans[$crop]->crop->wanted),
            array_keys($this->plans),
            ...$shares,
        ));
    }

    /**
     * The chances that what is missing of these crops comes to at most so much.
     *
     * @param  array<int, list<int>>  $parts  by crop (its place in the list of plans) and plants missing: what they come to
     * @return array{float, float} for 0, and for the number asked
     */
    public function missingAtMost(array $parts, int $most, int $asked): array
    {
        return $this->known->recall($this->saying('missing', [$parts, $most, $asked], array_keys($parts)), function () use ($parts, $most, $asked): array {
            $missing = $this->sum(
                fn (int $crop, int $finished): int => $parts[$crop][max(0, $this->plans[$crop]->crop->wanted - $finished)],
                array_keys($parts),
                max(0, $most),
            );

            return [$missing->atMost(0), $missing->atMost($asked)];
        });
    }

    /**
     * Everything that an answer about these crops follows from: what is asked, how each is sown, and what a mishap takes together.
     *
     * @param  list<mixed>  $asked
     * @param  list<int>  $crops
     */
    private function saying(string $what, array $asked, array $crops): string
    {
        $sown = array_map(function (int $crop): string {
            $plan = $this->plans[$crop];

            return "{$plan->sowing->chain->key()}#{$plan->sowing->units}#{$plan->batch()}";
        }, $crops);

        return "{$what} {$this->mishap} ".json_encode($asked).' '.implode('; ', $sown);
    }

    /**
     * Percentiles of a sum over crops. Sums so large that they would take more than the bearable work are counted in steps of several
     * plants, on average exact: of 200,000 plants the steps are about ten.
     *
     * @param  Closure(int, int): int  $number  as for `sum`
     * @param  list<int>  $crops
     * @return list<int>
     */
    public function percentiles(Closure $number, array $crops, float ...$shares): array
    {
        $step = $this->step($number, $crops);
        $sum = $this->sum($number, $crops, step: $step);

        $most = array_sum(array_map(fn (int $crop): int => $number($crop, $this->plans[$crop]->sowing->finish->seasons[1]->last()), $crops));

        return array_map(fn (float $share): int => min($most, $step * $sum->percentile($share)), array_values($shares));
    }

    /**
     * Plants to a step: 1 wherever the additions stay bearable, which grow with the length of the sum and of what is added to it.
     *
     * @param  Closure(int, int): int  $number
     * @param  list<int>  $crops
     */
    private function step(Closure $number, array $crops): int
    {
        $counts = array_flip($crops);
        $work = $length = 0.0;
        foreach ($this->batches() as $batch) {
            $spread = 0.0;
            foreach ($batch as $crop) {
                if (isset($counts[$crop])) {
                    $lives = $this->plans[$crop]->sowing->finish->seasons[0];
                    $spread += ($number($crop, $lives->last()) - $number($crop, $lives->first)) ** 2;
                    $length += $number($crop, $lives->last());
                }
            }
            $work += $length * (1.0 + sqrt($spread));
        }

        return max(1, (int) ceil(sqrt($work / self::BEARABLE)));
    }

    /**
     * A sum over crops of a whole number that follows from how many plants of each finish.
     *
     * @param  Closure(int, int): int  $number  of a crop (its place in the list of plans), with so many finished; not below 0
     * @param  list<int>  $crops
     * @param  int  $most  what is above does not matter
     * @param  int  $step  the sum is counted in steps of so many
     */
    public function sum(Closure $number, array $crops, int $most = PHP_INT_MAX, int $step = 1): Distribution
    {
        $counts = array_flip($crops);
        $seasons = [];
        foreach (array_keys(TwoValues::WEIGHTS) as $season) {
            $sum = Distribution::always(0);
            foreach ($this->batches() as $batch) {
                $lost = 0;
                $lives = [];
                foreach ($batch as $crop) {
                    if (! isset($counts[$crop])) {
                        continue;
                    }
                    $of = fn (int $finished): int => $number($crop, $finished);
                    $lives[] = $this->plans[$crop]->sowing->finish->seasons[$season]->numbered($of)->inSteps($step);
                    $lost += intdiv($of(0), $step);
                }
                $sum = $sum->plus(Distribution::sum($lives, $most)->orElse($lost, $this->mishap), $most);
            }
            $seasons[] = $sum;
        }

        return Distribution::mixture($seasons, TwoValues::WEIGHTS);
    }

    /** @return array<string, list<int>> */
    private function batches(): array
    {
        if ($this->batches === null) {
            $this->batches = [];
            foreach ($this->plans as $crop => $plan) {
                $this->batches[$plan->batch()][] = $crop;
            }
        }

        return $this->batches;
    }
}

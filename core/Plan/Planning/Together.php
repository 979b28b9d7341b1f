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
    /** Multiplications that take about a fifth of a second. */
    private const BEARABLE = 1.2e7;

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
        $batches = [];
        [$bad, $good] = [1.0, 1.0];
        foreach ($crops as $crop) {
            $finish = $this->plans[$crop]->sowing->finish;
            $bad *= $finish->enoughIn[0];
            $good *= $finish->enoughIn[1];
            $batches[$this->plans[$crop]->batch()] = true;
        }

        return (TwoValues::WEIGHTS[0] * $bad + TwoValues::WEIGHTS[1] * $good) * (1.0 - $this->mishap) ** count($batches);
    }

    /**
     * Percentiles of the plants somebody wants, of all crops together.
     *
     * @param  non-empty-list<float>  $shares
     * @return list<int>
     */
    public function useful(array $shares): array
    {
        return $this->known->recall(
            $this->saying('useful', $shares, array_keys($this->plans)),
            fn (): array => $this->plans === [] ? array_fill(0, count($shares), 0) : $this->percentiles($shares),
        );
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
            $of = fn (int $crop): Closure => fn (int $finished): int => $parts[$crop][max(0, $this->plans[$crop]->crop->wanted - $finished)];
            $seasons = $this->bySeason(array_keys($parts), fn (int $crop, Distribution $finished): Distribution => $finished->numbered($of($crop)));
            $lost = array_map(fn (array $of): int => $of[count($of) - 1], $parts);
            $missing = $this->sum($seasons, $lost, max(0, $most));

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
     * What is missing is counted, since that is little, and no further than to what comes less often than the rarest share asked. Sums so
     * large that they would take more than the bearable work are counted in steps of several plants, on average exact.
     *
     * @param  non-empty-list<float>  $shares
     * @return list<int>
     */
    private function percentiles(array $shares): array
    {
        $wanted = array_map(fn (CropPlan $plan): int => $plan->crop->wanted, $this->plans);
        $missing = $this->bySeason(
            array_keys($this->plans),
            fn (int $crop, Distribution $finished): Distribution => $finished->shortOf($wanted[$crop]),
        );
        $step = $this->step($missing, $wanted, $this->surelyBelow($missing, $wanted, min($shares)));
        $missing = array_map(
            fn (array $crops): array => array_map(fn (Distribution $one): Distribution => $one->inSteps($step), $crops),
            $missing,
        );
        $sum = $this->sum($missing, $wanted, $this->surelyBelow($missing, $wanted, min($shares), $step), $step);

        return array_map(fn (float $share): int => max(0, array_sum($wanted) - $step * $sum->percentileFromAbove($share)), $shares);
    }

    /**
     * @param  list<int>  $crops
     * @param  Closure(int, Distribution): Distribution  $of  of a crop (its place in the list of plans) and how many of it finish
     * @return non-empty-list<array<int, Distribution>> in a bad season and in a good one, by crop
     */
    private function bySeason(array $crops, Closure $of): array
    {
        return array_map(fn (int $season): array => array_combine($crops, array_map(
            fn (int $crop): Distribution => $of($crop, $this->plans[$crop]->sowing->finish->seasons[$season]),
            $crops,
        )), array_keys(TwoValues::WEIGHTS));
    }

    /**
     * What a sum goes beyond with less than a chance, by its mean and variance in each season (Cantelli's inequality, as any textbook of
     * probability has it).
     *
     * @param  non-empty-list<array<int, Distribution>>  $seasons  by crop
     * @param  array<int, int>  $lost  a crop's part where a mishap takes it
     * @param  int  $step  what is counted in the distributions
     */
    private function surelyBelow(array $seasons, array $lost, float $chance, int $step = 1): int
    {
        $most = 0.0;
        foreach ($seasons as $crops) {
            $mean = $variance = 0.0;
            foreach ($this->batches($crops) as $batch) {
                $lives = array_sum(array_map(fn (int $crop): float => $crops[$crop]->mean(), $batch));
                $strays = array_sum(array_map(fn (int $crop): float => $crops[$crop]->variance(), $batch));
                $gone = array_sum(array_map(fn (int $crop): int => $lost[$crop], $batch)) / $step;
                $of = (1.0 - $this->mishap) * $lives + $this->mishap * $gone;
                $mean += $of;
                $variance += (1.0 - $this->mishap) * ($strays + $lives ** 2) + $this->mishap * $gone ** 2 - $of ** 2;
            }
            $most = max($most, $mean + sqrt(max(0.0, $variance) * (1.0 - $chance) / $chance));
        }

        return (int) ceil($most) + 1;
    }

    /**
     * Plants to a step: 1 wherever the additions stay bearable, which grow with the length of the sum and of what is added to it.
     *
     * @param  non-empty-list<array<int, Distribution>>  $seasons  by crop
     * @param  array<int, int>  $lost  a crop's part where a mishap takes it
     * @param  int  $most  that the sum is counted to
     */
    private function step(array $seasons, array $lost, int $most): int
    {
        $work = $length = 0.0;
        foreach ($this->batches($seasons[0]) as $batch) {
            $spread = 0.0;
            foreach ($batch as $crop) {
                $spread += ($seasons[0][$crop]->last() - $seasons[0][$crop]->first) ** 2;
                $length += $lost[$crop];
            }
            $work += min($length, $most) * (1.0 + sqrt($spread));
        }

        return max(1, (int) ceil(sqrt($work / self::BEARABLE)));
    }

    /**
     * A sum over crops of something that follows from how many plants of each finish.
     *
     * @param  non-empty-list<array<int, Distribution>>  $seasons  in a bad season and in a good one, by crop, where no mishap comes
     * @param  array<int, int>  $lost  a crop's part where a mishap takes it
     * @param  int  $most  what is above does not matter
     * @param  int  $step  what is counted in the distributions and the sum
     */
    private function sum(array $seasons, array $lost, int $most, int $step = 1): Distribution
    {
        $sums = [];
        foreach ($seasons as $crops) {
            $sum = Distribution::always(0);
            foreach ($this->batches($crops) as $batch) {
                $lives = array_map(fn (int $crop): Distribution => $crops[$crop], $batch);
                $gone = Distribution::always(array_sum(array_map(fn (int $crop): int => $lost[$crop], $batch)))->inSteps($step);
                $sum = $sum->plus(Distribution::sum($lives, $most)->orElse($gone, $this->mishap), $most);
            }
            $sums[] = $sum;
        }

        return Distribution::mixture($sums, TwoValues::WEIGHTS);
    }

    /**
     * Those of some crops that are sown in one batch each, together.
     *
     * @param  array<int, mixed>  $crops  by place in the list of plans
     * @return list<non-empty-list<int>>
     */
    private function batches(array $crops): array
    {
        if ($this->batches === null) {
            $this->batches = [];
            foreach ($this->plans as $crop => $plan) {
                $this->batches[$plan->batch()][] = $crop;
            }
        }
        $kept = array_map(fn (array $batch): array => array_values(array_filter($batch, fn (int $crop): bool => isset($crops[$crop]))), $this->batches);

        return array_values(array_filter($kept, fn (array $batch): bool => $batch !== []));
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Planning;

use Closure;
use JollyPenny\Core\Sowing\Distribution;
use JollyPenny\Core\Sowing\TwoValues;

/**
 * What grown crops come to together: a bad season is bad for all of them, and a mishap takes what was sown in one place in one
 * week. Costing rules, section 8.
 */
final readonly class Together
{
    /** @var array<string, list<int>> crops by batch */
    private array $batches;

    /**
     * @param  list<CropPlan>  $plans
     * @param  float  $mishap  the chance that a batch is lost
     */
    public function __construct(private array $plans, private float $mishap)
    {
        $batches = [];
        foreach ($plans as $crop => $plan) {
            $batches[$plan->batch()][] = $crop;
        }
        $this->batches = $batches;
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
     * A sum over crops of a whole number that follows from how many plants of each finish.
     *
     * @param  Closure(int, int): int  $number  of a crop (its place in the list of plans), with so many finished; not below 0
     * @param  list<int>  $crops
     * @param  int  $most  what is above does not matter
     */
    public function sum(Closure $number, array $crops, int $most = PHP_INT_MAX): Distribution
    {
        $counts = array_flip($crops);
        $seasons = [];
        foreach (array_keys(TwoValues::WEIGHTS) as $season) {
            $sum = Distribution::always(0);
            foreach ($this->batches as $batch) {
                $lost = 0;
                $lives = Distribution::always(0);
                foreach ($batch as $crop) {
                    if (! isset($counts[$crop])) {
                        continue;
                    }
                    $of = fn (int $finished): int => $number($crop, $finished);
                    $lives = $lives->plus($this->plans[$crop]->sowing->finish->seasons[$season]->numbered($of), $most);
                    $lost += $of(0);
                }
                $sum = $sum->plus($lives->orElse($lost, $this->mishap), $most);
            }
            $seasons[] = $sum;
        }

        return Distribution::mixture($seasons, TwoValues::WEIGHTS);
    }
}

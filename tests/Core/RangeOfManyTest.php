<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Germination\NormalDistribution;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use Tests\Seasons;

/**
 * The chance of at most so many useful plants by the central limit theorem (any textbook of probability): in each season, for each choice of
 * batches that are lost whole, what is left of so many crops is all but normal.
 *
 * @param  list<CropPlan>  $plans
 */
function chanceOfAtMost(float $most, array $plans, float $mishap): float
{
    $batches = [];
    foreach ($plans as $plan) {
        $batches[$plan->batch()][] = $plan;
    }
    $chance = 0.0;
    foreach (TwoValues::WEIGHTS as $season => $weight) {
        $of = array_map(function (array $batch) use ($season): array {
            $useful = fn (CropPlan $plan, int $power): float => $plan->sowing->finish->seasons[$season]->expected(
                fn (int $finished): float => min($finished, $plan->crop->wanted) ** $power,
            );
            $means = array_map(fn (CropPlan $plan): float => $useful($plan, 1), $batch);
            $squares = array_map(fn (CropPlan $plan): float => $useful($plan, 2), $batch);

            return [array_sum($means), array_sum($squares) - array_sum(array_map(fn (float $mean): float => $mean ** 2, $means))];
        }, array_values($batches));
        for ($lost = 0; $lost < 2 ** count($of); $lost++) {
            $mean = $variance = 0.0;
            $likely = $weight;
            foreach ($of as $i => [$batchMean, $batchVariance]) {
                $isLost = ($lost >> $i & 1) === 1;
                $likely *= $isLost ? $mishap : 1.0 - $mishap;
                $mean += $isLost ? 0.0 : $batchMean;
                $variance += $isLost ? 0.0 : $batchVariance;
            }
            $chance += $likely * NormalDistribution::cumulative(($most + 0.5 - $mean) / sqrt(max(1e-9, $variance)));
        }
    }

    return $chance;
}

it('comes to the range of many unlike crops that normal distributions give, batch by batch', function (int $count, float $off) {
    $season = Seasons::demo();
    $crops = $overrides = [];
    for ($i = 0; $i < $count; $i++) {
        $crop = $season['crops'][$i % count($season['crops'])];
        $crops[] = ['id' => "{$crop['id']}-{$i}", 'wanted' => 8 + $i % 90, 'split' => null] + $crop;
        if (isset($season['setups'][0]['overrides'][$crop['id']])) {
            $overrides["{$crop['id']}-{$i}"] = $season['setups'][0]['overrides'][$crop['id']];
        }
    }
    $read = Seasons::read(['crops' => $crops, 'setups' => [['overrides' => $overrides] + $season['setups'][0]]] + $season);
    $costing = new SeasonCosting($read);
    $plans = $costing->books($read->setups[0])->plans;
    $result = $costing->setup($read->setups[0]);
    foreach (['useful_low' => 0.1, 'useful_high' => 0.9] as $key => $share) {
        // Of so many plants the point of a share may lie a few off, as the normal curve and counting in steps do.
        expect(chanceOfAtMost($result->{$key} * (1.0 - $off) - 2, $plans, $read->mishap))->toBeLessThan($share)
            ->and(chanceOfAtMost($result->{$key} * (1.0 + $off) + 2, $plans, $read->mishap))->toBeGreaterThan($share);
    }
})->with([[60, 0.002], [400, 0.001], [1000, 0.001]]);

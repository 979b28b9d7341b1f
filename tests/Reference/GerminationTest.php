<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Germination\Emergence;
use JollyPenny\Core\Plan\Germination\Failure;
use JollyPenny\Core\Plan\Germination\PlannedSoil;
use JollyPenny\Core\Plan\Germination\Seedbed;
use JollyPenny\Core\Plan\Germination\TemperatureResponse;
use JollyPenny\Core\Plan\Germination\Viability;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Things\GerminationRow;
use JollyPenny\Core\Season\Things\Place;
use JollyPenny\Core\Season\Things\Species;
use JollyPenny\Core\Season\Units\Measure;
use Tests\Seasons;

/** @param  array<string, mixed>  $lot */
function viability(float $fresh, float $life, array $lot): Viability
{
    $file = Seasons::small();
    $file['species'][0] = ['fresh_germination' => $fresh, 'longevity_years' => $life] + $file['species'][0];
    $file['seed_lots'][0] = $lot + ['test' => null] + $file['seed_lots'][0];
    $season = Seasons::read($file);

    return Viability::forLot($season->seedLots[0], $season->species[0], $season->year);
}

it('gives the printed rows of the germination table', function (string $id, float $fahrenheit, float $days, float $percent, float $best) {
    // Harrington, "Soil temperature conditions for vegetable seed germination" (1954), as reprinted in handbooks; from memory.
    $table = species($id)->germination;
    $response = TemperatureResponse::at($table, Measure::Fahrenheit->toCore($fahrenheit));
    expect(1 / $response->rate)
        ->toBeNear($days)
        ->and($response->percent / TemperatureResponse::best($table)->percent)
        ->toBeNear($percent / $best);
})->with([
    ['tomato', 59, 14, 98, 98],
    ['tomato', 68, 8, 98, 98],
    ['tomato', 77, 6, 97, 98],
    ['sweet_pepper', 77, 8, 98, 98],
    ['sweet_pepper', 59, 25, 70, 98],
    ['eggplant', 86, 5, 60, 60],
    ['lettuce', 77, 2, 99, 99],
    ['lettuce', 86, 3, 12, 99],
    ['onion', 50, 13, 98, 99],
    ['cucumber', 68, 6, 99, 99],
    ['celery', 68, 7, 97, 97],
    ['cabbage', 59, 9, 93, 99],
    ['carrot', 50, 17, 93, 96],
    ['spinach', 41, 23, 96, 96],
    ['okra', 77, 13, 92, 92],
    ['radish', 86, 3, 95, 97],
    ['turnip', 95, 1, 99, 100],
    ['turnip', 104, 3, 88, 100],
    ['watermelon', 95, 3, 96, 96],
    ['watermelon', 68, 12, 94, 96],
    ['muskmelon', 77, 4, 94, 94],
    ['lima_bean', 77, 7, 80, 88],
    ['lima_bean', 59, 31, 52, 88],
    // Seedlings of a ball of beet seed, over a hundred of a hundred.
    ['beet', 50, 17, 75 / 99 * 209, 209],
    ['broccoli', 59, 9, 93, 99],
]);

/** @param  float|list<float>  $celsius */
function sownIn(string $id, float|array $celsius, string $on = '2027-04-01'): Emergence
{
    return (new Seedbed(species($id)->germination, new PlannedSoil(new Place('bed', 'Bed', $celsius, true))))->sown(
        Day::parse($on)->number,
        1.0,
    );
}

it('lets none come up where the table says so, and interpolates rates between its rows', function () {
    expect(sownIn('tomato', 41.0)->failure)
        ->toBe(Failure::TooHot)
        ->and(sownIn('tomato', 4.0)->failure)
        ->toBe(Failure::TooCold)
        ->and(sownIn('lettuce', 35.0)->failure)
        ->toBe(Failure::TooHot);
    // Tomato at 22.5 °C, between 8 days at 20 and 6 at 25: the mean of 1/8 and 1/6 a day, so up on the seventh.
    expect(TemperatureResponse::at(species('tomato')->germination, 22.5)->rate)
        ->toBeNear((1 / 8 + 1 / 6) / 2)
        ->and(sownIn('tomato', 22.5)->days)
        ->toBe(7);
});

it('adds up thermal time', function () {
    // Thermal time: emergence when the degree-days above a base are full. A table of two rows whose rates run straight from the base
    // is that very model; 60 degree-days above 6 °C, in a spring that warms by 3 °C in thirty days (textbook model, numbers our own).
    $table = [new GerminationRow(6, null, 0), new GerminationRow(26, 3, 90)];
    $months = array_map(fn (int $month): float => 2.0 + 3.0 * $month, range(1, 12));
    $sum = 0.0;
    for ($day = Day::parse('2027-04-15')->number, $n = 0; $sum < 60 - 1e-9; $n++) {
        $sum += 14.0 - 6.0 + (3.0 * $n) / 30;
    }
    expect((new Seedbed($table, new PlannedSoil(new Place('bed', 'Bed', $months, true))))->sown($day, 1.0)->days)->toBe($n);
});

it('ages seed along the viability equation', function () {
    // Ellis and Roberts (1980): v = K − p/σ in probits, from probit 2 (97.72 % in the printed table) down to 0.84 (79.95 %) at the
    // species' life. Of seed fresh at 90 %: at 4 of 4 years 0.9 · 0.7995/0.9772; at 2, probit 1.42, 92.22 %; at 8, −0.32, 37.45 %.
    expect(viability(0.9, 4, ['packed_for' => 2023])->value)
        ->toEqualWithDelta((0.9 * 0.7995) / 0.9772, 1e-4)
        ->and(viability(0.9, 4, ['packed_for' => 2025])->value)
        ->toEqualWithDelta((0.9 * 0.9222) / 0.9772, 1e-4)
        ->and(viability(0.9, 4, ['packed_for' => 2019])->value)
        ->toEqualWithDelta((0.9 * 0.3745) / 0.9772, 1e-4)
        ->and(viability(0.9, 4, ['packed_for' => 2028])->value)
        ->toBe(0.9);
});

it('weighs a home test of the seed as it is now', function () {
    // What one knows of fresh seed is worth 20 seeds at 90 %, with 17 of 20: (18 + 17) / 40. Of old seed it is worth six.
    $old = viability(0.9, 4, ['packed_for' => 2023]);
    expect(viability(0.9, 4, ['test' => ['sown' => 20, 'sprouted' => 17]])->value)
        ->toBeNear(35 / 40)
        ->and(viability(0.9, 4, ['packed_for' => 2023, 'test' => ['sown' => 94, 'sprouted' => 20]])->value)
        ->toBeNear((6 * $old->aged + 20) / 100)
        // The deviation of a share one knows like 40 seeds, of a beta distribution: sqrt(v (1 - v) / (40 + 1)).
        ->and(viability(0.9, 4, ['test' => ['sown' => 20, 'sprouted' => 17]])->deviation())
        ->toBeNear(sqrt((0.875 * 0.125) / 41));
});

it('agrees with the legal minima and the handbook on life', function () {
    // US Federal Seed Act Regulations, 7 CFR 201.31, and Knott's Handbook for Vegetable Growers; from memory.
    $species = (new Catalogue())->species();
    foreach (
        [
            'tomato' => [0.75, 4],
            'lettuce' => [0.8, 6],
            'onion' => [0.7, 1],
            'sweet_pepper' => [0.55, 2],
            'cucumber' => [0.8, 5],
            'parsnip' => [0.6, 1],
            'spinach' => [0.6, 3],
        ] as $id => [$minimum, $life]
    ) {
        expect($species[$id]->legalMinimum)->toBe($minimum)->and($species[$id]->longevityYears)->toBe((float) $life);
    }
});

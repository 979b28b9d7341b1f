<?php

declare(strict_types=1);

use JollyPenny\Core\Catalogue\Catalogue;
use JollyPenny\Core\Germination\Failure;
use JollyPenny\Core\Germination\TemperatureResponse;
use JollyPenny\Core\Germination\Viability;
use JollyPenny\Core\Season\Species;
use JollyPenny\Core\Units\Measure;
use Tests\Seasons;

function species(string $id): Species
{
    $file = Seasons::small();
    $file['species'][] = (new Catalogue())->species()[$id]->seasonRow() + [];
    $file['species'][0]['id'] = 'other';
    $file['seed_lots'][0]['species'] = 'other';

    return array_column(Seasons::read($file)->species, null, 'id')[$id];
}

/** @param  array<string, mixed>  $lot */
function viability(float $fresh, float $life, array $lot): Viability
{
    $file = Seasons::small();
    $file['species'][0] = ['fresh_germination' => $fresh, 'longevity_years' => $life] + $file['species'][0];
    $file['seed_lots'][0] = $lot + $file['seed_lots'][0];
    $season = Seasons::read($file);

    return Viability::of($season->seedLots[0], $season->species[0], $season->year);
}

it('gives the printed rows of the germination table', function (string $id, float $fahrenheit, float $days, float $percent, float $best) {
    // Harrington, "Soil temperature conditions for vegetable seed germination" (1954), as reprinted in handbooks; from memory.
    $response = TemperatureResponse::of(species($id), Measure::Fahrenheit->toCore($fahrenheit));
    expect($response->days)
        ->toBeNear($days)
        ->and($response->relative)
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
]);

it('lets none come up where the table says so, and interpolates rates between its rows', function () {
    expect(TemperatureResponse::of(species('tomato'), 41.0)->failure)
        ->toBe(Failure::TooHot)
        ->and(TemperatureResponse::of(species('tomato'), 4.0)->failure)
        ->toBe(Failure::TooCold)
        ->and(TemperatureResponse::of(species('lettuce'), 35.0)->failure)
        ->toBe(Failure::TooHot);
    // Tomato at 22.5 °C, between 8 days at 20 and 6 at 25: the mean of 1/8 and 1/6 a day.
    expect(TemperatureResponse::of(species('tomato'), 22.5)->days)->toBeNear(2 / (1 / 8 + 1 / 6));
});

it('ages seed along the viability equation', function () {
    // Ellis and Roberts (1980): v = K − p/σ in probits. Of seed fresh at 90 % (probit 6.2816) half is dead at its life of
    // 4 years; at 2 years the probit is 5.6408, 73.9 % in the printed probit table; at 6 years 4.3592, 26.1 %.
    expect(viability(0.9, 4, ['packed_for' => 2023])->value)
        ->toBeNear(0.5, 1e-12)
        ->and(viability(0.9, 4, ['packed_for' => 2025])->value)
        ->toEqualWithDelta(0.739, 5e-4)
        ->and(viability(0.9, 4, ['packed_for' => 2021])->value)
        ->toEqualWithDelta(0.261, 5e-4)
        ->and(viability(0.9, 4, ['packed_for' => 2028])->value)
        ->toBe(0.9);
});

it('weighs a home test of the seed as it is now', function () {
    // 20 seeds of belief at 90 % and 17 of 20: (18 + 17) / 40.
    expect(viability(0.9, 4, ['test' => ['sown' => 20, 'sprouted' => 17]])->value)
        ->toBeNear(35 / 40)
        ->and(viability(0.9, 4, ['packed_for' => 2023, 'test' => ['sown' => 80, 'sprouted' => 20]])->value)
        ->toBeNear((10 + 20) / 100);
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
        expect($species[$id]->freshGermination)->toBe($minimum)->and($species[$id]->longevityYears)->toBe((float) $life);
    }
});

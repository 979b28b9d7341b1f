<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Energy\DailyLightIntegral;
use JollyPenny\Core\Season\Units\Measure;
use Tests\Seasons;

it('converts as NIST does', function (Measure $unit, float $value, float $core) {
    expect($unit->toCore($value))->toBeNear($core, 1e-12)->and($unit->fromCore($core))->toBeNear($value, 1e-12);
})->with([
    // NIST Special Publication 811, appendix B.8 and B.9, exact values (from memory).
    'gallon' => [Measure::Gallon, 1.0, 3.785411784],
    'cubic foot' => [Measure::CubicFoot, 1.0, 28.316846592],
    'inch' => [Measure::Inch, 1.0, 0.0254],
    'foot' => [Measure::Foot, 1.0, 0.3048],
    'pound' => [Measure::Pound, 1.0, 0.45359237],
    'four quarts are a gallon' => [Measure::Quart, 4.0, 3.785411784],
    'eight pints' => [Measure::Pint, 8.0, 3.785411784],
    'sixteen cups' => [Measure::Cup, 16.0, 3.785411784],
    '128 fluid ounces' => [Measure::FluidOunce, 128.0, 3.785411784],
    '256 tablespoons' => [Measure::Tablespoon, 256.0, 3.785411784],
    '768 teaspoons' => [Measure::Teaspoon, 768.0, 3.785411784],
    'bushel, 2150.42 cubic inches' => [Measure::Bushel, 1.0, 2150.42 * 0.016387064],
    '32 dry quarts are a bushel' => [Measure::DryQuart, 32.0, 35.23907016688],
    'sixteen ounces are a pound' => [Measure::Ounce, 16.0, 0.45359237],
    'boiling' => [Measure::Fahrenheit, 212.0, 100.0],
    'freezing' => [Measure::Fahrenheit, 32.0, 0.0],
    'as cold as in Celsius' => [Measure::Fahrenheit, -40.0, -40.0],
]);

it('is the same season in quarts, inches and °F as in litres, centimetres and °C', function () {
    $metric = Seasons::small();
    $us = $metric;
    $us['places'][0]['temp_c'] = Measure::Fahrenheit->toCore(68.0);                       // 20 °C
    $us['mats'][0]['lift_c'] = Measure::Fahrenheit->toCore(42.8);                         // a lift of 10.8 °F is 6 °C
    $us['containers'][0]['volume_l'] = Measure::Quart->toCore(0.05 / 0.946352946);
    $us['methods'][0]['stages'][0]['top_dressing'] = ['supply' => 'starter', 'depth_mm' => Measure::Inch->toCore(0.25) * 1000];
    $metric['methods'][0]['stages'][0]['top_dressing'] = ['supply' => 'starter', 'depth_mm' => Measure::Centimetre->toCore(0.635) * 1000];
    $us['supplies'][0]['pack_amount'] = Measure::CubicFoot->toCore(20 / 28.316846592);
    expect(Seasons::result($us)->cost)->toBeNear(Seasons::result($metric)->cost);
});

it('gives the light dose of the definition', function () {
    // DLI = PPFD · hours · 0.0036: 200 µmol/m²/s for 14 h is 10.08 mol/m²/day, as extension tables print it.
    $file = Seasons::small();
    $file['lights'][0] = ['flats' => 1, 'hours_per_day' => 14, 'ppf_umol_s' => 200 * 0.129032 / 0.75] + $file['lights'][0];
    expect(DailyLightIntegral::forLight(Seasons::read($file)->lights[0]))->toBeNear(10.08)
        ->and(DailyLightIntegral::FLAT_M2)->toBeNear(10 * 20 * 0.0254 ** 2);
});

it('says a catalogue\'s packs and pots as a US shop does', function (string $name, string $us) {
    // Conversions as above; rounding of packs to whole quarts and of pots to quarter inches is common practice, no source.
    expect(JollyPenny\Core\Season\Units\NameInUsUnits::convert($name))->toBe($us);
})->with([
    ['Seed-starting mix, 15 L bag', 'Seed-starting mix, 16 qt bag'],
    ['Perlite, 56 L', 'Perlite, 59 qt'],
    ['Fish emulsion, 0.95 L', 'Fish emulsion, 32 fl oz'],
    ['Square pot, 3½ in trade size (8.3 cm)', 'Square pot, 3½ in trade size'],
    ['9 cm square pot', '3½ in square pot'],
    // American growers pot up: common practice, no source.
    ['Two to a cell, thinned, potted on', 'Two to a cell, thinned, potted up'],
    ['Pot on', 'Pot up'],
    ['Peat pellet 42 mm', 'Peat pellet 1¾ in'],
    ['LED shop light, 1.2 m', 'LED shop light, 4 ft'],
    ['72-cell insert', '72-cell insert'],
]);

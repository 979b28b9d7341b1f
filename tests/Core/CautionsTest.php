<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Cautions\Caution;
use JollyPenny\Core\Plan\Cautions\CautionsFor;
use Tests\Seasons;

/** @return list<string> */
function cautions(array $file, int $crop = 0, int $setup = 0): array
{
    $season = Seasons::read($file);

    return array_map(
        fn (Caution $caution) => $caution->value,
        (new CautionsFor($season))->crop($season->setups[$setup], $season->crops[$crop]),
    );
}

it('has a title and a text for each, and defers to those who know', function () {
    foreach (Caution::cases() as $caution) {
        expect(strlen($caution->title()))
            ->toBeGreaterThan(5)
            ->and(strlen($caution->text()))
            ->toBeGreaterThan(40)
            ->and(strlen($caution->text()))
            ->toBeLessThan(420);
    }
    expect(Caution::Electricity->text())
        ->toContain('licensed electrician')
        ->toContain('local codes')
        ->and(Caution::Bleach->text())
        ->toContain('1 part')
        ->toContain('9 parts')
        ->toContain('Never')
        ->and(Caution::Mercury->text())
        ->toContain('do not vacuum')
        ->and(Caution::Selling->text())
        ->toContain('plant-health passport');
});

it('warns of what a method does, and of nothing else', function () {
    $file = Seasons::small();
    expect(cautions($file))
        ->toContain('electricity')
        ->toContain('fire')
        ->toContain('bleach')
        ->toContain('poisonous_leaves')
        ->not->toContain('boiling_water')
        ->not->toContain('mercury');
    $file['setups'][0]['lights'] = [];
    $file['setups'][0]['mats'] = [];
    expect(cautions($file))->not->toContain('electricity')->not->toContain('fire');
    $file['setups'][0]['method'] = 'nursery';
    expect(cautions($file))->toBe(['poisonous_leaves']);
});

it('warns of boiling water, dust, tubes, saved plastic, hot seed and selling where they are', function () {
    $demo = Seasons::demo();
    expect(cautions($demo, 0, 0))
        ->toContain('boiling_water')
        ->toContain('dust')
        ->toContain('film')
        ->and(cautions($demo, 0, 1))
        ->toContain('mercury')
        ->toContain('cutting')
        ->toContain('kitchen')
        ->and(cautions($demo, 0, 6))
        ->toBe(['poisonous_leaves']);
    $demo['crops'][0]['split'] = ['keep' => 4, 'give' => 0, 'sell' => 2];
    $demo['species'][1]['name'] = 'Hot pepper';
    expect(cautions($demo, 0, 6))->toContain('selling')->and(cautions($demo, 3, 0))->toContain('hot_seed');
});

it('warns of a lamp box, and of a chamber that cools', function () {
    $file = Seasons::small();
    expect(cautions($file))->not->toContain('lamp_box')->not->toContain('refrigerator');
    $file['lights'][0]['name'] = 'Lamp box: two LED bulbs in a lined tote';
    $file['methods'][0]['stages'][0]['mat'] = true;
    $file['mats'] = [['id' => 'cool', 'name' => 'Chamber', 'place' => 'room', 'watts' => 60, 'flats' => 4, 'lift_c' => -1, 'price' => 90, 'life_seasons' => 8]];
    $file['setups'][0]['mats'] = ['cool'];
    expect(cautions($file))->toContain('lamp_box')->toContain('refrigerator');
});

it('warns of garden soil, old wood, and of seed and berries that are poisonous', function () {
    $file = Seasons::small();
    expect(cautions($file))->not->toContain('garden_soil')->not->toContain('treated_wood');
    $file['supplies'][] = ['id' => 'soil', 'name' => 'Garden soil', 'unit' => 'L', 'pack_price' => 0, 'pack_amount' => 10];
    $file['methods'][0]['stages'][0]['mix'] = 'soil';
    $file['containers'][0]['name'] = 'Wooden box';
    expect(cautions($file))->toContain('garden_soil')->toContain('treated_wood');
    foreach (['Sweet pea' => 'poisonous_seed', 'Lupin' => 'poisonous_seed', 'Asparagus' => 'poisonous_berries', 'Lima bean' => 'poisonous_seed'] as $name => $caution) {
        $file['species'][0]['name'] = $name;
        expect(cautions($file))->toContain($caution);
    }
    expect(cautions($file))->toContain('treated_seed');
});

it('warns of bleach where pots from the bin are washed, which carry disease most', function () {
    $file = Seasons::small();
    $file['containers'][0] = ['pack_price' => 0, 'single_use' => false] + $file['containers'][0];
    expect(cautions($file))->toContain('bleach');
});

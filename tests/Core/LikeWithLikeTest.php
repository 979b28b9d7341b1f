<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\Comparison;
use JollyPenny\Core\Deciding\Choosing\Soundness;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Seasons;

// One plant beside another only where they are the same; each figure is worked out here by hand.

it('buys no plug for a plant that is wanted in a pot', function () {
    $file = Seasons::small();
    // Three plants: a six-pack of plugs at 5, or single pots at 4 each.
    $file['nursery'] = [['id' => 'six', 'name' => 'Six plugs', 'plants' => 6, 'price' => 5, 'pot_l' => 0.07],
        ['id' => 'pot', 'name' => 'A pot', 'plants' => 1, 'price' => 4, 'pot_l' => 0.4]];
    $file['crops'][0]['nursery'] = ['six', 'pot'];
    $buying = function (?float $litres) use ($file): ?float {
        $file['crops'][0]['pot_at_least_l'] = $litres;

        return Seasons::result($file)->crops[0]->buy_cost;
    };
    expect([$buying(null), $buying(0.07), $buying(0.071), $buying(0.4), $buying(0.41)])->toEqual([5.0, 5.0, 12.0, 12.0, null]);
    // A pot nobody knows the size of is taken at its word.
    $file['nursery'][0]['pot_l'] = null;
    expect($buying(0.4))->toBe(12.0);
    $file['nursery'][0]['pot_l'] = null;
    $file['crops'][0]['pot_at_least_l'] = 0.4;
    expect(Seasons::result($file)->crops[0]->buy_cost)->toBe(5.0);
});

it('tells of a pot that is smaller than the plant that is wanted, unless nobody knows its volume', function (float $volume, ?float $least, bool $isSmall) {
    $file = Seasons::small();
    $file['containers'][0]['volume_l'] = $volume;
    $file['crops'][0]['pot_at_least_l'] = $least;
    expect(in_array('small', Seasons::result($file)->crops[0]->warnings, true))->toBe($isSmall);
})->with([[0.05, null, false], [0.05, 0.05, false], [0.05, 0.06, true], [0.0, 0.3, false]]);

it('says how likely frost takes a tender crop, as the printed normal table has it', function (float $spread, int $offset, ?float $chance) {
    $file = Seasons::small();
    $file['species'][0]['tender'] = true;
    $file['last_frost_spread_days'] = $spread;
    $file['crops'][0]['plant_out_offset_days'] = $offset;
    $risk = Seasons::result($file)->crops[0]->p_frost;
    $chance === null ? expect($risk)->toBeNull() : expect($risk)->toBeNear($chance, 5e-5);
})->with([
    // Φ(1) = 0.8413, Φ(2) = 0.9772, Φ(0) = 0.5 of the table of the normal distribution, any textbook; half a day is taken off.
    [9.5, 10, 1 - 0.8413], [9.75, 20, 1 - 0.9772], [1.0, 1, 1 - 0.6915], [0.0, 10, null],
]);

it('says no chance of frost of a hardy crop, nor of one that goes by the first frost', function () {
    $file = ['last_frost_spread_days' => 9, 'first_frost' => '2027-09-20'] + Seasons::small();
    expect(Seasons::result($file)->crops[0]->p_frost)->toBeNull();
    $file['species'][0]['tender'] = true;
    expect(Seasons::result($file)->crops[0]->p_frost)->toBeGreaterThan(0.0);
    $file['crops'][0] = ['anchor' => 'first_frost', 'plant_out_offset_days' => -60] + $file['crops'][0];
    expect(Seasons::result($file)->crops[0]->p_frost)->toBeNull();
});

it('leaves the cold to the winter where that is cold enough', function (float $soil, ?string $coldOn) {
    $file = Seasons::small();
    // Sown in a jug outdoors on the first of March; 30 days of cold are wanted.
    $file['places'][1]['temp_c'] = $soil;
    $file['species'][0]['germination'] = [];
    $file['species'][0]['days_to_emerge'] = 12;
    $file['methods'][0]['stages'] = [['name' => 'In a jug', 'place' => 'yard', 'container' => 'cell', 'mix' => 'starter', 'days' => 60, 'survival' => 0.9]];
    $file['crops'][0] = ['sow_on' => '2027-03-01', 'cold_days' => 30] + $file['crops'][0];
    expect(Seasons::result($file)->crops[0]->cold_on)->toBe($coldOn);
})->with([[7.0, null], [7.01, '2027-01-30'], [2.0, null]]);

it('puts the same plants beside each other: their difference times their number is what is kept', function () {
    foreach (Seasons::read(Seasons::demo())->setups as $n => $setup) {
        $result = Seasons::result(Seasons::demo(), $n);
        if ($result->keep !== null) {
            $plants = $result->buy_total / $result->nursery_per_plant;
            expect(($result->nursery_per_plant - $result->same_per_plant) * $plants)->toBeNear($result->keep, 1e-9);
        }
    }
});

it('calls a way sound that brings no trouble the set-up has not already', function () {
    $file = Seasons::small();
    $file['methods'][] = ['id' => 'dark', 'stages' => array_map(fn (array $stage): array => ['light' => false] + $stage, $file['methods'][0]['stages'])] + $file['methods'][0];
    $file['places'][0]['daylight'] = 4;
    $file['lights'][0]['ppf_umol_s'] = 120;
    $file['setups'][] = ['id' => 'dark', 'name' => 'Dark', 'method' => 'dark', 'mats' => $file['setups'][0]['mats']];
    $costing = new SeasonCosting(Seasons::read($file));
    [$lit, $dark] = array_map($costing->books(...), $costing->season->setups);
    expect((new Soundness($lit))->isSound($lit))->toBeTrue()
        ->and((new Soundness($lit))->newTroubles($dark))->toBe([$file['crops'][0]['id'] => ['dim']])
        // Who grows it in the dark already is told of nothing new.
        ->and((new Soundness($dark))->isSound($dark))->toBeTrue();
});

it('counts what is paid at the till over the years, whole packs first', function () {
    $years = (new JollyPenny\Core\Plan\Years\YearsCosting(Seasons::read(Seasons::demo()), 3))->setup(Seasons::read(Seasons::demo())->setups[0]);
    $result = Seasons::result(Seasons::demo());
    $first = $result->cash_now + $result->electricity_bill + $result->heads['heat_credit'] + $result->heads['prep'] + $result->fill_cost - $result->cost;
    expect($years->seasons[0]->till_cumulative)->toBeNear($first)
        ->and($years->seasons[2]->till_cumulative - $years->seasons[1]->till_cumulative)
        ->toBeNear($years->seasons[2]->running + $years->seasons[2]->durable)
        ->and($first)->toBeGreaterThan($years->seasons[0]->cumulative);
});

it('gives what nobody sells a price of its own, and says what room costs', function () {
    $file = Seasons::demo();
    $season = Seasons::read($file);
    $comparison = Comparison::forSeason(new SeasonCosting($season));
    expect($comparison->advice?->buying)->toBeNear($comparison->advice->cost + $comparison->advice->saves);
    foreach ($comparison->setups as $compared) {
        expect($compared->lasting)->toBeNear(array_sum(array_column($compared->to_buy, 'cost')));
    }
    foreach ((new SeasonCosting($season))->result()['setups'] as $i => $result) {
        $unsold = array_filter($result->crops, fn ($crop) => $crop->grown && $crop->buy_cost === null);
        $each = $unsold === [] ? null : array_sum(array_column($unsold, 'cost')) / array_sum(array_column($unsold, 'useful'));
        expect($comparison->setups[$i]->unsold_each)->toBe($each, $result->id);
    }
    $crowded = array_filter((new SeasonCosting($season))->result()['setups'], fn ($one) => $one->crowded_days > 3 && $one->isFair());
    $cheapest = min(array_column($crowded, 'fill_cost') ?: [INF]);
    expect($comparison->room_costs)->toBe($comparison->advice->cost > $cheapest ? $comparison->advice->cost - $cheapest : null);
    // A sill that is crowded, to which no lamp can be added, beside buying.
    $file['setups'] = array_values(array_filter($file['setups'], fn (array $setup) => in_array($setup['id'], ['kit', 'nursery'], true)));
    foreach ($file['crops'] as $c => $crop) {
        $file['crops'][$c]['nursery'] = array_column($file['nursery'], 'id');
    }
    foreach (array_keys($file['nursery']) as $offer) {
        $file['nursery'][$offer]['price'] *= 3;
    }
    $two = Comparison::forSeason(new SeasonCosting(Seasons::read($file)));
    $results = array_column((new SeasonCosting(Seasons::read($file)))->result()['setups'], null, 'id');
    expect($results['kit']->crowded_days)->toBeGreaterThan(3)->and($two->advice->setup)->toBe('nursery')
        ->and($two->room_costs)->toBeNear($results['nursery']->fill_cost - $results['kit']->fill_cost, 1e-9);
});

it('names what nobody sells as having no room, where its bench is over-full', function () {
    $file = Seasons::small();
    $advice = function (float $flats, array $nursery) use ($file): array {
        $file['places'][0]['flats'] = $flats;
        $file['crops'][0]['nursery'] = $nursery;

        return Comparison::forSeason(new SeasonCosting(Seasons::read($file)))->advice->no_room ?? [];
    };
    $sold = $file['crops'][0]['nursery'] === [] ? [$file['nursery'][0]['id']] : $file['crops'][0]['nursery'];
    expect($advice(0.01, []))->toBe([$file['crops'][0]['id']])
        // With room for it, or sold by somebody, it is not.
        ->and($advice(10.0, []))->toBe([])->and($advice(0.01, $sold))->toBe([]);
});

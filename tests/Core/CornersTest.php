<?php

declare(strict_types=1);

use Tests\Oracle\Agreement;
use Tests\Seasons;

// Corners the worked example does not reach. Each figure is worked out in the test; the oracle agrees besides.

/** The one-crop season, changed. */
function changed(callable $change): array
{
    $file = Seasons::small();
    $change($file);

    return $file;
}

function agreed(array $file): void
{
    expect(Agreement::differences($file))->toBe([]);
}

it('holds the end row of a germination table for 2 °C more, and no farther', function (float $room, array $expected) {
    $file = changed(function (&$f) use ($room) {
        $f['places'][0]['temp_c'] = $room;
        $f['methods'][0]['stages'][0]['mat'] = false;
    });
    $crop = Seasons::result($file)->crops[0];
    expect([$crop->grown, $crop->warnings])->toBe($expected);
    agreed($file);
})->with([
    'within reach below' => [8.0, [true, []]],
    'beyond reach below' => [7.9, [false, ['too_cold']]],
    'within reach above' => [32.0, [true, []]],
    'beyond reach above' => [32.1, [false, ['too_hot']]],
]);

it('gives a crop it cannot raise no figures but the verdict and the price', function () {
    $file = changed(fn (&$f) => ($f['places'][0]['temp_c'] = -10));
    $result = Seasons::result($file);
    expect($result->crops[0]->verdict)
        ->toBe('buy_only')
        ->and($result->crops[0]->buy_cost)
        ->toBe(5.0)
        ->and($result->crops[0]->cost)
        ->toBeNull()
        ->and($result->crops[0]->stages)
        ->toBe([])
        ->and($result->cost)
        ->toBe(0.0)
        ->and($result->missing)
        ->toBe(3.0)
        ->and($result->cash_now)
        ->toBe(0.0)
        ->and($result->per_finished)
        ->toBeNull()
        ->and($result->p_all_enough)
        ->toBeNull()
        ->and($result->buy_total)
        ->toBeNull();
});

it('fails where none comes up, at a row of 0 percent and just beside', function () {
    foreach ([10.0, 9.0] as $room) {
        $file = changed(function (&$f) use ($room) {
            $f['places'][0]['temp_c'] = $room;
            $f['methods'][0]['stages'][0]['mat'] = false;
            $f['species'][0]['germination'][0] = ['temp_c' => 10, 'days' => null, 'percent' => 0];
        });
        expect(Seasons::result($file)->crops[0]->warnings)->toBe(['too_cold']);
        agreed($file);
    }
});

it('does not buy a third tray for two rounded ones', function () {
    expect(Seasons::result(Seasons::small())->crops[0]->sites)->toBe(6);
    // Six pots of 0.3333333 flat are 1.9999998 flats; 2.0000004 is still two, 2.004 is not.
    foreach ([[0.3333333, 2], [0.3333334, 2], [0.334, 3]] as [$flats, $trays]) {
        $file = changed(function (&$f) use ($flats) {
            $f['containers'][0]['sites_per_unit'] = 1;
            $f['containers'][0]['flats_per_unit'] = $flats;
            $f['trayware'] = [['id' => 'tray', 'name' => 'Tray', 'price' => 4, 'life_seasons' => 1]];
            $f['methods'][0]['stages'][0]['trayware'] = ['tray'];
        });
        $line = array_values(array_filter(Seasons::result($file)->shopping, fn ($l) => $l->kind === 'trayware'))[0];
        expect($line->packs)->toBe($trays, "{$flats}");
        agreed($file);
    }
});

it('shares gear that one method needs among its crops only, once', function () {
    $file = changed(function (&$f) {
        $f['gear'] = [
            ['id' => 'press', 'name' => 'Press', 'price' => 30, 'life_seasons' => 15],
            ['id' => 'shelf', 'name' => 'Shelf', 'price' => 60, 'life_seasons' => 10],
        ];
        $f['methods'][] = ['id' => 'blocks', 'name' => 'Blocks', 'needs' => ['press']] + $f['methods'][0];
        $f['methods'][1]['id'] = 'blocks';
        $f['crops'][] = ['id' => 'second'] + $f['crops'][0];
        $f['crops'][1]['id'] = 'second';
        $f['setups'][0]['overrides'] = ['second' => 'blocks'];
        $f['setups'][0]['gear'] = ['shelf'];
    });
    $crops = Seasons::result($file)->crops;
    // Both stand alike: the shelf's 6 a season in halves, the press's 2 on the second alone, also in its extra cost.
    expect($crops[0]->heads['gear'])
        ->toBeNear(3.0)
        ->and($crops[1]->heads['gear'])
        ->toBeNear(5.0)
        ->and($crops[1]->extra_cost - $crops[0]->extra_cost)
        ->toBeNear(2.0);
    agreed($file);
});

it('charges nothing for a pinch of own seed and puts it on no list', function () {
    $file = changed(fn (&$f) => ($f['seed_lots'][0] = ['packet_price' => 0, 'seeds_per_packet' => null] + $f['seed_lots'][0]));
    $result = Seasons::result($file);
    expect($result->heads['seed'])->toBe(0.0)->and(array_column($result->shopping, 'kind'))->not->toContain('seed');
    agreed($file);
});

it('shares what lights nothing by plants wanted', function () {
    $file = changed(function (&$f) {
        $f['methods'][0]['stages'][0]['light'] = false;
        $f['methods'][0]['stages'][1]['light'] = false;
        $f['crops'][] = ['id' => 'second', 'wanted' => 9] + $f['crops'][0];
        $f['crops'][1]['id'] = 'second';
    });
    $crops = Seasons::result($file)->crops;
    // 30 over 6 seasons = 5, by 3 and 9 wanted.
    expect($crops[0]->heads['lights'])->toBeNear(1.25)->and($crops[1]->heads['lights'])->toBeNear(3.75);
    agreed($file);
});

it('charges nothing for what is owned, unless asked to', function () {
    $own = function (&$f) {
        $f['lights'][0]['owned'] = $f['mats'][0]['owned'] = true;
        $f['containers'][0]['owned_units'] = 5;
    };
    $free = Seasons::result($file = changed($own));
    expect($free->heads['lights'])
        ->toBe(0.0)
        ->and($free->heads['containers'])
        ->toBe(0.0)
        ->and($free->cash_now)
        ->toBeNear(3.0 + 8 + 10 + 5);
    agreed($file);
    $file['charge_owned'] = true;
    $charged = Seasons::result($file);
    expect($charged->heads['lights'])
        ->toBeNear(5.0)
        ->and($charged->heads['containers'])
        ->toBeNear(0.5)
        ->and($charged->cash_now)
        ->toBeNear($free->cash_now);
    agreed($file);
});

it('switches fixtures on in order until they cover whole flats', function () {
    // 1.2 flats ask for two: the first covers one, the second switches on; the third stays off.
    $file = changed(function (&$f) {
        $f['containers'][0]['flats_per_unit'] = 1.2;
        $f['lights'] = array_map(fn ($id) => ['id' => $id, 'flats' => 1, 'watts' => 50, 'hours_per_day' => 10] + $f['lights'][0], [
            'a',
            'b',
            'c',
        ]);
        foreach (['a', 'b', 'c'] as $i => $id) {
            $f['lights'][$i]['id'] = $id;
        }
        $f['setups'][0]['lights'] = ['c', 'a', 'b'];
    });
    $result = Seasons::result($file);
    expect($result->kwh['light'])
        ->toBeNear(28 * 2 * 0.5)
        ->and(array_column($result->lights, 'id'))
        ->toBe(['c', 'a', 'b']);
    agreed($file);
});

it('counts days over capacity, also of unlit plants', function () {
    $crowded = changed(fn (&$f) => ($f['places'][0]['flats'] = 0.05));
    expect(Seasons::result($crowded)->crowded_days)->toBe(28);
    $unlit = changed(fn (&$f) => ($f['setups'][0]['lights'] = []));
    $result = Seasons::result($unlit);
    expect($result->crowded_days)
        ->toBe(28)
        ->and($result->crops[0]->warnings)
        ->toBe(['no_light'])
        ->and($result->heads['light_power'])
        ->toBe(0.0)
        ->and($result->places[0]->light_flats)
        ->toBe(0.0)
        ->and($result->places[0]->peak_light_flats)
        ->toBeNear(0.1);
});

it('prices each moment by its own rate, past midnight and by the half hour', function () {
    // On from 20:00 for 12 h: 20–22:30 at 0.30, 22:30–06:30 at 0.10, 06:30–08 at 0.30; (4 · 0.30 + 8 · 0.10) / 12 of a kWh.
    $file = changed(function (&$f) {
        $f['electricity'] = ['rate' => 0.3, 'windows' => [['from' => '22:30', 'to' => '06:30', 'rate' => 0.1]]];
        $f['lights'][0] = ['on_at' => '20:00', 'hours_per_day' => 12, 'watts' => 1000] + $f['lights'][0];
    });
    expect(Seasons::result($file)->heads['light_power'])->toBeNear(28 * (4 * 0.3 + 8 * 0.1));
    agreed($file);
});

it('takes the heat credit up to and including its last day, indoors where it is heated', function () {
    $file = changed(fn (&$f) => ($f['electricity']['heat_credit'] = ['fraction' => 0.5, 'price_per_kwh' => 0.08, 'until' => '2027-04-22']));
    // One day, the first: 0.6 kWh of light and 0.4 of heat.
    expect(Seasons::result($file)->heads['heat_credit'])->toBeNear(-1.0 * 0.5 * 0.08);
    $file['places'][0]['heated'] = false;
    expect(Seasons::result($file)->heads['heat_credit'])->toBe(0.0);
});

it('moves waiting into the last stage indoors, and warns of lateness', function () {
    $early = changed(fn (&$f) => ($f['crops'][0]['sow_on'] = '2027-04-12'));
    $crop = Seasons::result($early)->crops[0];
    expect($crop->sow_on)
        ->toBe('2027-04-12')
        ->and($crop->plant_out_on)
        ->toBe('2027-05-27')
        ->and($crop->warnings)
        ->toBe([])
        ->and($crop->stages[1]->end)
        ->toBe('2027-05-20');
    $late = changed(fn (&$f) => ($f['crops'][0]['sow_on'] = '2027-05-01'));
    $crop = Seasons::result($late)->crops[0];
    expect($crop->plant_out_on)
        ->toBe('2027-06-05')
        ->and($crop->warnings)
        ->toBe(['late']);
    agreed($early);
    agreed($late);
});

it('cools down to the thermostat and never warms by cooling', function () {
    // A chamber in a 30 °C room: 30 - 8 = 22, but the thermostat stops at 24. Halfway 20 to 28: table 20 and 30.
    $file = changed(function (&$f) {
        $f['places'][0]['temp_c'] = 30;
        $f['mats'][0] = ['lift_c' => -8, 'thermostat_c' => 24] + $f['mats'][0];
    });
    // At 24 °C percent is 98 - 0.4 · 14 = 92.4 of 98.
    expect(Seasons::result($file)->crops[0]->g)->toBeNear((0.9 * 92.4) / 98);
    $file['mats'][0]['thermostat_c'] = 35;
    expect(Seasons::result($file)->crops[0]->g)->toBeNear((0.9 * 84) / 98);
    agreed($file);
});

it('reports what a fixed sowing gives, unrounded', function () {
    $file = changed(function (&$f) {
        $f['crops'][0]['sow'] = ['method' => 'cells', 'seeds' => 4];
        $f['methods'][0]['round_sites_to'] = 6;
    });
    $crop = Seasons::result($file)->crops[0];
    expect($crop->sites)->toBe(4)->and($crop->p_enough)->toBeNear(0.7201, 1e-3);
    agreed($file);
});

it('says when the list cannot be reached', function () {
    $file = changed(fn (&$f) => ($f['methods'][0]['stages'][1]['survival'] = 0.001));
    expect(Seasons::result($file)->crops[0]->warnings)->toBe(['cannot_reach']);
});

it('warns of a crop that stands dim, lamps and window together', function () {
    // Half the lamp gives 6.28 mol/m² a day; only what comes after germination counts.
    $file = changed(fn (&$f) => ($f['lights'][0]['ppf_umol_s'] = 40));
    $warned = fn (array $file): array => Seasons::result($file)->crops[0]->warnings;
    expect(Seasons::result($file)->warnings)->toBe([['code' => 'dim', 'crop' => 'lantern', 'detail' => null]]);
    $file['places'][0]['daylight'] = 4;
    expect($warned($file))->toBe([]);
    $file['places'][0]['daylight'] = 3.5;
    expect($warned($file))->toBe(['dim']);
    agreed($file);
    // Off the lamp it is the window's alone; under lamps of which nothing is known nothing is judged.
    $file['methods'][0]['stages'][1]['light'] = false;
    expect($warned($file))->toBe(['dim']);
    $file['places'][0]['daylight'] = null;
    expect($warned($file))->toBe([]);
    $file = changed(function (&$f) {
        $f['places'][0]['daylight'] = 3.5;
        $f['lights'][0]['ppf_umol_s'] = null;
    });
    expect($warned($file))->toBe([]);
    agreed($file);
});

it('combines offers at least cost, and fewest packs where prices are equal', function () {
    $file = changed(function (&$f) {
        $f['nursery'] = [
            ['id' => 'one', 'name' => 'One', 'plants' => 1, 'price' => 1],
            ['id' => 'four', 'name' => 'Four', 'plants' => 4, 'price' => 4],
            ['id' => 'six', 'name' => 'Six', 'plants' => 6, 'price' => 5],
        ];
        $f['crops'][0] = ['wanted' => 9, 'bought_loss' => 0.1, 'nursery' => ['one', 'four', 'six']] + $f['crops'][0];
        $f['setups'][0]['method'] = 'nursery';
    });
    // ceil(9 / 0.9) = 10 plants: a six-pack and a four-pack for 9, dearer with ten singles.
    $result = Seasons::result($file);
    expect($result->crops[0]->buy_cost)
        ->toBe(9.0)
        ->and($result->cash_now)
        ->toBe(12.0)
        ->and(array_map(fn ($l) => [$l->id, $l->packs], $result->shopping))
        ->toBe([['four', 1], ['six', 1], ['trip', 1]])
        ->and($result->crops[0]->grown)
        ->toBeFalse()
        ->and($result->crops[0]->verdict)
        ->toBeNull();
});

<?php

declare(strict_types=1);

use Tests\Browser\BrowserTestCase;
use Tests\Browser\Gardener;

// Six seasons, invented, each typed wholly into the screens as its gardener would say it, and written beside into a season file in
// the file's own units (litres, °C, shares). Both come to the same in every figure; conversions as NIST Handbook 44 has them.

/** Every figure of the one against the other. */
function comesToTheSame(Gardener $gardener): void
{
    [$screens, $file] = $gardener->bothComeTo();
    $compare = function (mixed $a, mixed $b, string $at) use (&$compare): void {
        if (is_array($a) && is_array($b)) {
            expect(array_keys($a))->toBe(array_keys($b), $at);
            foreach ($a as $key => $value) {
                $compare($value, $b[$key], "{$at}.{$key}");
            }
        } elseif (is_numeric($a) && is_numeric($b)) {
            // A field shows inches and quarts to a few places, and keeps what was typed.
            expect(abs($a - $b))->toBeLessThanOrEqual(1e-6 * max(1, abs($a)), "{$at}: {$a} on the screens, {$b} in the file");
        } else {
            expect($a)->toBe($b, $at);
        }
    };
    $compare($screens['setups'], $file['setups'], 'setups');
    expect(count($screens['setups']))->toBeGreaterThan(0);
}

it('takes a 72-cell tray of home mix under a garage lamp, then the greenhouse', function () {
    /** @var BrowserTestCase $this */
    $g = new Gardener($this, '2027-05-10', '0.16', 'USD', false, ['trays', 'shelf'], '9 tomato, 8 sweet pepper, 24 cabbage');
    $g->screen('bench');
    $g->goesTo('bench');
    $g->types('place_name', 'Cool garage', ['places', 'bench', 'name'], 'Cool garage');
    $g->types('places.temp_c', '59', ['places', 'bench', 'temp_c'], 15.0);
    $g->types('place_flats', '6', ['places', 'bench', 'flats'], 6);
    $g->adds('lights', null, 2, 'bench', 'own');
    foreach (['my-lamp', 'my-lamp-2'] as $lamp) {
        $g->types("{$lamp}.reading", '120 V, 0.35 A', ['lights', $lamp, 'watts'], 42.0);
        $g->types("{$lamp}.hours_per_day", '15', ['lights', $lamp, 'hours_per_day'], 15);
        $g->types("{$lamp}.ppf", '60', ['lights', $lamp, 'ppf_umol_s'], 60);
    }
    $g->types('plug-timer.price', '11.25', ['gear', 'plug-timer', 'price'], 11.25);
    $g->adds('places', null);
    $g->types('place_name', 'Greenhouse', ['places', 'another-place', 'name'], 'Greenhouse');
    $g->types('places.temp_c', '41, 43, 46, 52, 59, 66, 70, 70, 64, 55, 48, 43', ['places', 'another-place', 'temp_c'],
        array_map(fn (int $f) => ($f - 32) / 1.8, [41, 43, 46, 52, 59, 66, 70, 70, 64, 55, 48, 43]));
    $g->types('place_flats', '12', ['places', 'another-place', 'flats'], 12);
    $g->screen('raising');
    $g->reads('cells-potted');
    $g->picks('stage-0-mix', 'peat-perlite', ['methods', 'cells-potted', 'stages', 0, 'mix'], 'peat-perlite');
    $g->picks('stage-2-place', 'another-place', ['methods', 'cells-potted', 'stages', 2, 'place'], 'another-place');
    $g->picks('stage-2-light', '', ['methods', 'cells-potted', 'stages', 2, 'light'], false);
    $g->types('stage-2-survival', '95', ['methods', 'cells-potted', 'stages', 2, 'survival'], 0.95);
    $g->screen('pots');
    $g->types('peat.pack_price', '29', ['supplies', 'peat', 'pack_price'], 29);
    $g->types('peat.expansion', '1.9', ['supplies', 'peat', 'expansion'], 1.9);
    $g->types('dose_per_l', '2', ['feed', 'dose_per_l'], 2 * 0.01478676478125 / 3.785411784);
    comesToTheSame($g);
});

it('takes one tray of flowers, pelleted beside own seed', function () {
    /** @var BrowserTestCase $this */
    $g = new Gardener($this, '2027-04-20', '0.31', 'GBP', true, ['trays', 'led'], "20 petunia Frilly, 24 zinnia\n24 zinnia Saved");
    $g->screen('list');
    $g->presses('[data-open="frilly"]');
    $g->types('price', '5,20', ['seed_lots', 'frilly', 'packet_price'], 5.2);
    $g->types('seeds', '10', ['seed_lots', 'frilly', 'seeds_per_packet'], 10);
    $g->types('germination', '45 %', ['seed_lots', 'frilly', 'germination'], 0.45);
    $g->presses('[data-open="saved"]');
    $g->ticks('own', ['seed_lots', 'saved', 'seeds_per_packet'], null);
    $g->put(['seed_lots', 'saved', 'packet_price'], 0);
    $g->types('packed_for', '2025', ['seed_lots', 'saved', 'packed_for'], 2025);
    $g->types('test', 'of 20, 13 came up', ['seed_lots', 'saved', 'test'], (object) ['sown' => 20, 'sprouted' => 13]);
    $g->types('say', '36 cells', ['crops', 'saved', 'sow'], (object) ['method' => 'cells-out', 'sites' => 36]);
    comesToTheSame($g);
});

it('takes a thousand plants in 200-cell trays of coir mix, with night tariff and heat credit', function () {
    /** @var BrowserTestCase $this */
    $g = new Gardener($this, '2027-05-01', '0.28', 'EUR', true, ['led', 'trays'], '400 lettuce, 300 cabbage, 300 onion');
    $g->screen('pots');
    $g->adds('containers', 'cell200');
    $g->types('pot_price', '4.10', ['containers', 'cell200', 'pack_price'], 4.1);
    $g->adds('mixes', 'coir_mix');
    $g->screen('bench');
    $g->goesTo('bench');
    $g->types('place_flats', '24', ['places', 'bench', 'flats'], 24);
    $g->adds('lights', 'led_shop', 4, 'bench', 'own');
    $g->presses('[data-action="add-window"]');
    $g->types('window-0-from', '22:00', ['electricity', 'windows'], [(object) ['from' => '22:00', 'to' => '06:00', 'rate' => 0.14]]);
    $g->types('window-0-to', '06:00', ['electricity', 'windows', 0, 'to'], '06:00');
    $g->types('window-0-rate', '0.14', ['electricity', 'windows', 0, 'rate'], 0.14);
    $g->presses('[data-action="heat-credit"]');
    $g->types('heating_price', '0.11', ['electricity', 'heat_credit'],
        (object) ['fraction' => 0.6, 'price_per_kwh' => 0.11, 'until' => '2027-05-01']);
    $g->types('heating_share', '60', ['electricity', 'heat_credit', 'fraction'], 0.6);
    $g->screen('raising');
    $g->reads('cells-out');
    $g->picks('stage-0-container', 'cell200', ['methods', 'cells-out', 'stages', 0, 'container'], 'cell200');
    $g->picks('stage-0-mix', 'coir-mix', ['methods', 'cells-out', 'stages', 0, 'mix'], 'coir-mix');
    comesToTheSame($g);
});

it('takes jugs outdoors against lamp and shelf', function () {
    /** @var BrowserTestCase $this */
    $g = new Gardener($this, '2027-05-20', '0.14', 'CAD', true, ['jugs', 'led', 'shelf'], '12 broccoli, 10 kale, 8 tomato, 20 leek');
    $g->screen('compare');
    $g->setUp('jugs_tender_bought');
    $g->screen('pots');
    $g->presses('[data-pot="jug"]');
    $g->types('owned_units', '9', ['containers', 'jug', 'owned_units'], 9);
    $g->types('volume_l', '1.5', ['containers', 'jug', 'volume_l'], 1.5);
    $g->types('prep_minutes', '6', ['containers', 'jug', 'prep_minutes_per_unit'], 6);
    $g->screen('bench');
    $g->shows('own');
    $g->goesTo('bench');
    $g->types('led-shop.hours_per_day', '14', ['lights', 'led-shop', 'hours_per_day'], 14);
    $g->types('led-shop.on_at', '21:00', ['lights', 'led-shop', 'on_at'], '21:00');
    $g->ticks('wire-shelf.named', ['setups', 'own', 'gear'], ['wire-shelf']);
    $g->screen('list');
    $g->types('trip', '6.50', ['nursery_trip_cost'], 6.5);
    $g->types('hourly', '12', ['hourly_value'], 12);
    comesToTheSame($g);
});

it('takes a bale in 162-cell trays with a thermostat', function () {
    /** @var BrowserTestCase $this */
    $g = new Gardener($this, '2027-05-05', '0.12', 'USD', false, ['led', 'mat'], '60 tomato, 40 sweet pepper, 50 basil');
    $g->screen('pots');
    $g->adds('containers', 'cell162');
    $g->types('pot_price', '9.80', ['containers', 'cell162', 'pack_price'], 9.8);
    $g->types('volume_l', '0.85', ['containers', 'cell162', 'volume_l'], 0.85 * 0.0295735295625);
    $g->adds('supplies', 'ready_bale');
    $g->types('ready-bale.pack_price', '38.50', ['supplies', 'ready-bale', 'pack_price'], 38.5);
    $g->types('ready-bale.expansion', '2.1', ['supplies', 'ready-bale', 'expansion'], 2.1);
    $g->adds('trayware', 'dome');
    $g->screen('bench');
    $mat = $g->file->mats[0]->id;
    $g->types("{$mat}.thermostat_c", '80', ['mats', $mat, 'thermostat_c'], 48 / 1.8);
    $g->types("{$mat}.lift_c", '11', ['mats', $mat, 'lift_c'], 11 / 1.8);
    $g->screen('raising');
    $g->reads('cells-potted');
    $g->picks('stage-0-container', 'cell162', ['methods', 'cells-potted', 'stages', 0, 'container'], 'cell162');
    $g->picks('stage-0-mix', 'ready-bale', ['methods', 'cells-potted', 'stages', 0, 'mix'], 'ready-bale');
    comesToTheSame($g);
});

it('takes one seed a pot under a couch, and autumn crops', function () {
    /** @var BrowserTestCase $this */
    $g = new Gardener($this, '2027-04-10', '0.25', 'EUR', true, ['saved_pots'], '6 tomato, 4 cucumber, 12 kale autumn');
    $g->screen('bench');
    $g->adds('places', null);
    $g->types('place_name', 'Under the couch', ['places', 'another-place', 'name'], 'Under the couch');
    $g->types('places.temp_c', '22,5', ['places', 'another-place', 'temp_c'], 22.5);
    $g->types('place_flats', '2', ['places', 'another-place', 'flats'], 2);
    $g->screen('pots');
    $g->adds('containers', null);
    $g->types('rim_mm', '9', ['containers', 'my-pot', 'measured'], (object) ['round' => true, 'rim_mm' => 90.0, 'base_mm' => 55.0, 'height_mm' => 80.0]);
    $g->types('base_mm', '7', ['containers', 'my-pot', 'measured', 'base_mm'], 70.0);
    $g->types('height_mm', '10', ['containers', 'my-pot', 'measured', 'height_mm'], 100.0);
    // Frustum of 9, 7 and 10 cm, a finger below the rim: 0.9 × π × 10 ÷ 12 × (81 + 63 + 49) cm³; 2 by 5 on 25.4 by 50.8 cm.
    $g->put(['containers', 'my-pot', 'volume_l'], 0.4547);
    $g->put(['containers', 'my-pot', 'top_area_m2'], 0.006362);
    $g->put(['containers', 'my-pot', 'flats_per_unit'], 0.1);
    $g->types('owned_units', '30', ['containers', 'my-pot', 'owned_units'], 30);
    $g->screen('raising');
    $method = $g->file->setups[0]->method;
    $g->picks('stage-0-place', 'another-place', ['methods', $method, 'stages', 0, 'place'], 'another-place');
    $g->picks('stage-0-container', 'my-pot', ['methods', $method, 'stages', 0, 'container'], 'my-pot');
    $g->types('seeds_per_site', '1', ['methods', $method, 'seeds_per_site'], 1);
    $g->screen('list');
    $g->types('confidence', '80', ['confidence'], 0.8);
    comesToTheSame($g);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Potting\PotShape;
use JollyPenny\Core\Plan\Potting\Potting;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Things\Measured;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

it('measures pots as frustums', function () {
    // V = h/3 · (A + a + √(A a)), any geometry textbook: a bucket of radii 15 and 10 cm, 30 cm high, holds 4,750 π cm³ = 14.92 L; a square
    // one of sides 10 and 8 cm, 9 cm high, 9/3 · (100 + 64 + 80) = 732 cm³. A finger is left below the rim: nine tenths.
    expect(PotShape::litres(new Measured(true, 300, 200, 300)))->toEqualWithDelta(0.9 * 14.9226, 1e-3)
        ->and(PotShape::litres(new Measured(false, 100, 80, 90)))->toEqualWithDelta(0.9 * 0.732, 1e-9)
        ->and(PotShape::topArea(new Measured(true, 100, 80, 90)))->toEqualWithDelta(0.00785398, 1e-7)
        // As many as stand in whole rows on 25.4 by 50.8 cm; common practice, no source.
        ->and(array_map(fn (float $rim): int => PotShape::perFlat(new Measured(true, $rim, $rim, 90)), [83, 90, 70, 50, 600]))
        ->toBe([18, 10, 21, 50, 1]);
});

it('measures a box that is longer than wide', function () {
    // V = h/6 · (A + a + 4 · middle), any geometry textbook: 24 by 8 inches at the rim, 22 by 6 at the base, 7 high: 7/6 · (192 + 132 + 4 · 161)
    // = 1,129⅓ cubic inches of 16.387064 mL.
    $box = new Measured(false, 24 * 25.4, 22 * 25.4, 7 * 25.4, 8 * 25.4, 6 * 25.4);
    expect(PotShape::litres($box))->toEqualWithDelta(0.9 * 1129.3333 * 0.016387064, 1e-4)
        ->and(PotShape::topArea($box))->toEqualWithDelta(24 * 8 * 0.00064516, 1e-9)
        ->and(PotShape::perFlat($box))->toBe(1)
        // 16 by 8 cm: six in a row one way, three rows of three the other way.
        ->and(PotShape::perFlat(new Measured(false, 160.0, 150.0, 90.0, 80.0, 70.0)))->toBe(9)
        // Eight by four inches: two rows of two one way, five in a row the other way.
        ->and(PotShape::perFlat(new Measured(false, 203.2, 180.0, 90.0, 101.6, 90.0)))->toBe(5);
});

it('counts the season\'s mix by mix and by crop, and supplies as the shopping list has them', function () {
    foreach ([Seasons::demo(), ...array_map(fn (int $seed) => (new SeasonGenerator($seed))->season(), range(92_000, 92_030))] as $file) {
        $season = Seasons::read($file);
        $costing = new SeasonCosting($season);
        $potting = Potting::fromBooks($costing->books($season->setups[0]));
        foreach ($potting->containers as $filling) {
            expect($filling->cost)->toBeNear($filling->pot + $filling->mix + $filling->wash);
        }
        $bought = array_column(array_filter($costing->setup($season->setups[0])->shopping, fn ($line) => $line->kind === 'supply'), 'packs', 'id');
        expect(array_sum($potting->litres_by_crop))->toEqualWithDelta($potting->litres, 1e-9)
            ->and(array_sum($potting->litres_by_mix))->toEqualWithDelta($potting->litres, 1e-9);
        foreach ($potting->supplies as $need) {
            expect($need->packs)->toBe($bought[$need->id] ?? 0, $need->id)->and($need->left)->toBeGreaterThanOrEqual(0.0);
        }
    }
});

it('says what a filling costs over a pot\'s life, and flimsy beside durable', function () {
    $potting = Potting::fromBooks((new SeasonCosting($season = Seasons::read(Seasons::demo())))->books($season->setups[0]));
    $pots = array_column($potting->containers, null, 'id');
    // By hand: a tray of 72 at 11.50 over four seasons; the kit at 6.99 each season. 0.04 L and a tenth more, of a bale at 33.50 for 192.6 L …
    $mix = (2 / 3 * 33.5 / 192.6 + 1 / 3 * 19.5 / 56) / 0.92 + 0.02 * 9.2 / 4;
    expect($pots['cell72']->pot)->toBeNear(11.5 / 4 / 72)
        ->and($pots['cell72']->mix)->toBeNear(0.044 * $mix)
        ->and($pots['cell72']->five_seasons)->toBeNear(2 * 11.5 / 72)
        ->and($pots['kit72']->five_seasons)->toBeNear(5 * 6.99 / 72)
        ->and($pots['pot9']->per_flat)->toBe(18);
});

it('tips from bags to a bale where the till says so', function () {
    $potting = Potting::fromBooks((new SeasonCosting($season = Seasons::read(Seasons::demo())))->books($season->setups[0]));
    $ways = array_column($potting->ways, null, 'id');
    // By hand: bags of 15 L at 8.49 against one of 50 L at 13.90: up to 15 L one bag is less, two bags are 16.98; up to 50 L the large one stays
    // at 13.90, then 27.80 against four bags and more.
    expect($ways['potting']->tips_at)->toBe(15.5)
        ->and($ways['starter']->tips_at)->toBeNull()
        ->and($ways['two-one']->hours)->toBeNear($potting->litres * 1.2 / 60)
        ->and(array_sum(array_column($ways['two-one']->parts, 'share')))->toBeNear(1.0);
});

it('makes feed up by the litre', function () {
    $file = Seasons::small();
    $season = Seasons::read($file);
    $potting = Potting::fromBooks((new SeasonCosting($season))->books($season->setups[0]));
    // A bottle of 1.00 that makes 180 L of feed costs 0.0056 a litre (common practice, no source); here price, pack and dose of the fixture.
    $supply = array_column($season->supplies, null, 'id')[$season->feed->supply];
    expect($potting->feed['per_l'])->toBeNear($season->feed->dosePerL * $supply->packPrice / ($supply->packAmount * $supply->expansion))
        ->and($potting->feed['product'])->toBeNear($potting->feed['litres'] * $season->feed->dosePerL);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\MixAndMatch;
use JollyPenny\Core\Deciding\Choosing\Reliefs;
use JollyPenny\Core\Plan\Books\Basket;
use JollyPenny\Core\Plan\Books\CapitalRecovery;
use JollyPenny\Core\Plan\Books\PeakUse;
use JollyPenny\Core\Plan\Drafting\ReadyMade;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Energy\Bank;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Plan\Results\ShoppingLine;
use JollyPenny\Core\Plan\Results\Verdict;
use JollyPenny\Core\Plan\Sowing\SaidAmount;
use JollyPenny\Core\Plan\Years\YearsCosting;
use JollyPenny\Core\Season\Things\Offer;
use Tests\Seasons;

// Where one rule ends and another begins: ties, last days, whole numbers. Each figure is worked out beside its check.

/** @return list<string> ids on the shopping list */
function toBuy(array $file): array
{
    return array_map(fn (ShoppingLine $line) => $line->id, Seasons::result($file)->shopping);
}

it('buys so many plants that after the losses enough are left', function (int $wanted, float $loss, int $plants) {
    // Half are lost: twelve bought leave six.
    expect(Basket::plantsNeeded($wanted, $loss))->toBe($plants);
})->with([[6, 0.5, 12], [6, 0.0, 6], [9, 0.1, 10]]);

it('takes the cheapest packs, and the fewest of those', function () {
    $basket = Basket::cheapest([new Offer('one', 'Pot', 1, 1.5), new Offer('six', 'Six-pack', 6, 5.0)], 6);
    expect($basket?->cost)->toBe(5.0)->and($basket?->packs)->toBe(['six' => 1]);
    expect(Basket::cheapest([new Offer('dear', 'Pot', 1, 1.5), new Offer('cheap', 'Pot', 1, 1.2)], 2)?->packs)->toBe(['cheap' => 2]);
});

it('is not late when it is ready on the very day', function () {
    $file = Seasons::small();
    $byRule = Seasons::result($file)->crops[0];
    $file['crops'][0]['sow_on'] = $byRule->sow_on;
    $onTheDay = Seasons::result($file)->crops[0];
    expect($onTheDay->warnings)->not->toContain('late')->and($onTheDay->plant_out_on)->toBe($byRule->plant_out_on);
    $file['crops'][0]['sow_on'] = date('Y-m-d', (int) strtotime("{$byRule->sow_on} +1 day"));
    expect(Seasons::result($file)->crops[0]->warnings)->toContain('late');
});

it('judges in the order of the rules, and at a tie for growing', function (float $cost, float $extra, ?float $buying, Verdict $verdict) {
    expect(Verdict::forCost($cost, $extra, $buying))->toBe($verdict);
})->with([
    'dearer to add than to buy, though its own share is cheap' => [5.0, 7.0, 6.0, Verdict::Buy],
    'adding costs just what buying does' => [6.0, 5.0, 5.0, Verdict::GrowAlong],
    'its share costs just what buying does' => [5.0, 3.0, 5.0, Verdict::Grow],
    'nobody sells it' => [5.0, 5.0, null, Verdict::GrowOnly],
]);

it('finds the peak of a single day beside a crop that falls away', function () {
    $uses = [[0, 5, 3.0], [5, 6, 9.0], [6, 10, 1.0]];
    expect(PeakUse::fromUses([[0, 5, 3.0], [2, 6, 4.0]])->peak)->toBe(7.0)->and(PeakUse::fromUses([])->peak)->toBe(0.0);
    expect(PeakUse::fromUses($uses)->without([[6, 10, 1.0]]))->toBe(9.0)->and(PeakUse::fromUses($uses)->without([[0, 5, 3.0]]))->toBe(9.0);
});

it('takes of two ways that cost the same the one with less work', function () {
    $file = Seasons::small();
    $file['methods'][] = ['id' => 'slow'] + $file['methods'][0];
    $file['methods'][1]['stages'][0]['minutes_per_site'] = 30;
    $file['setups'][0]['method'] = 'slow';
    $file['crops'][0]['nursery'] = [];
    $file['setups'][] = ['id' => 'quick', 'method' => 'cells'] + $file['setups'][0];
    $season = Seasons::read($file);
    expect((new MixAndMatch($season, $season->setups[0]))->setup()->methodFor('lantern'))->toBe('cells');
});

it('covers whole flats, and only flats that it covers whole', function () {
    expect(Bank::fromFlats([1.5, 1.0])->onFor(1.2))->toBe(2)->and(Bank::fromFlats([1.5, 1.0])->onFor(1.0))->toBe(1);
});

it('buys durable things when their life is over, trays and the parts of a season too', function () {
    $file = Seasons::small();
    $file['lights'][0]['owned'] = $file['mats'][0]['owned'] = true;
    $file['lights'][0]['life_seasons'] = $file['mats'][0]['life_seasons'] = 50;
    $file['containers'][0]['life_seasons'] = 2.5;
    $file['containers'][0]['prep_cost_per_unit'] = 0.75;
    $file['trayware'] = [['id' => 'tray', 'name' => 'Tray', 'price' => 4, 'life_seasons' => 2]];
    $file['methods'][0]['stages'][0]['trayware'] = ['tray'];
    $years = (new YearsCosting(Seasons::read($file), 7))->result()['setups'][0];
    // One unit of cells at 2, used up after three whole seasons; one tray at 4 after two.
    expect(array_column($years->seasons, 'durable'))->toBe([6.0, 0.0, 4.0, 2.0, 4.0, 0.0, 6.0]);
    $unwashed = $file;
    $unwashed['containers'][0]['prep_cost_per_unit'] = 0;
    $less = (new YearsCosting(Seasons::read($unwashed), 1))->result()['setups'][0]->seasons[0]->running;
    expect($years->seasons[0]->running - $less)->toBeNear(0.75);
});

it('shares a durable thing over its life as engineering economy does', function () {
    // Capital recovery factor A/P at 8 % for 10 periods, 0.14903 (engineering-economy tables, from memory).
    expect(CapitalRecovery::share(100.0, 10.0, 0.08))->toEqualWithDelta(14.903, 5e-4);
});

it('raises in cells what is planted out two weeks before the frost, of a species nobody knows', function (int $offset, bool $hardy) {
    $document = SeasonDraft::object(['setups' => []] + Seasons::demo());
    $document->crops = array_values(array_filter($document->crops, fn ($crop) => $crop->id === 'copper-kettle'));
    $document->crops[0]->plant_out_offset_days = $offset;
    array_column($document->species, null, 'id')['tomato']->name = 'Moonfruit';
    $document->setups = [];
    $id = (new ReadyMade(new SeasonDraft($document)))->add('trays_led_mat');
    $setup = array_column($document->setups, null, 'id')[$id];
    $method = $setup->overrides->{'copper-kettle'} ?? $setup->method;
    $stages = array_column($document->methods, null, 'id')[$method]->stages;
    expect(count(array_filter($stages, fn ($stage) => ($stage->container ?? null) !== null)) === 1)->toBe($hardy);
})->with([[-14, true], [-13, false]]);

it('offers no relief that loses a crop', function () {
    $file = Seasons::small();
    $file['places'][0]['flats'] = 0.05;
    $file['places'][] = ['id' => 'porch', 'name' => 'Porch', 'temp_c' => -10];
    $file['methods'][] = ['id' => 'cold'] + $file['methods'][0];
    foreach ($file['methods'][1]['stages'] as $i => $stage) {
        $file['methods'][1]['stages'][$i]['place'] = $i < 2 ? 'porch' : 'yard';
        $file['methods'][1]['stages'][$i]['light'] = $file['methods'][1]['stages'][$i]['mat'] = false;
    }
    $season = Seasons::read($file);
    expect((new Reliefs($season))->forCrowding($season->setups[0], ['lantern']))->toBe([]);
});

it('puts out earlier only what is hardy', function (int $offset, bool $earlier) {
    $file = Seasons::small();
    $file['places'][0]['flats'] = 0.15;
    $file['crops'][0]['plant_out_offset_days'] = $offset;
    $file['crops'][] = ['id' => 'second'] + $file['crops'][0];
    $season = Seasons::read($file);
    $kinds = array_column((new Reliefs($season))->forCrowding($season->setups[0], ['lantern', 'second']), 'kind');
    expect($kinds)->toContain('later')->and(in_array('earlier', $kinds, true))->toBe($earlier);
})->with([[7, false], [0, false], [-21, true]]);

it('sows no more than half of an odd packet', function () {
    $file = Seasons::small();
    $file['seed_lots'][0]['seeds_per_packet'] = 25;
    $season = Seasons::read($file);
    $said = SaidAmount::parse('half the packet', 3, $season->seedLots[0], $season->methods[0], $season->containers[0]);
    // A seed to a site.
    expect($said->sites)->toBe(12)->and($said->seeds)->toBeNull();
});

it('calls a lamp dim below ten, and not at ten', function () {
    $file = Seasons::small();
    // 0.75 · ppf / (flats · 0.129032) · hours · 0.0036 mol/m²/day; hours are tried until the quotient is exact.
    for ($hours = 1; $hours <= 24; $hours++) {
        $file['lights'][0]['hours_per_day'] = $hours;
        $file['lights'][0]['ppf_umol_s'] = (10.0 * 2 * 0.129032) / (0.75 * $hours * 0.0036);
        $result = Seasons::result($file);
        if ($result->lights[0]['dli'] === 10.0) {
            break;
        }
    }
    expect($result->lights[0]['dli'])->toBe(10.0)->and(array_column($result->warnings, 'code'))->not->toContain('dim');
    $file['lights'][0]['ppf_umol_s'] -= 0.001;
    expect(array_column(Seasons::result($file)->warnings, 'code'))->toContain('dim');
});

it('compares fairly below half a plant missing, not at half', function (float $missing, bool $fair) {
    $result = Seasons::result(Seasons::small());
    $short = (new ReflectionClass($result))->newInstanceArgs(['missing' => $missing] + get_object_vars($result));
    expect($short instanceof SetupResult && $short->isFair())->toBe($fair);
})->with([[0.4999, true], [0.5, false]]);

it('charges a packet whole where what is left is thrown away', function () {
    $file = Seasons::small();
    $file['seed_lots'][0]['leftover'] = 'waste';
    expect(Seasons::result($file)->heads['seed'])->toBeNear(3.0);
});

it('buys nothing that is there already', function () {
    $file = Seasons::small();
    $file['trayware'] = [['id' => 'tray', 'name' => 'Tray', 'price' => 4, 'life_seasons' => 2]];
    $file['methods'][0]['stages'][0]['trayware'] = ['tray'];
    expect(toBuy($file))->toContain('starter')->toContain('tray');
    $file['supplies'][0]['in_stock'] = 5;
    $file['trayware'][0]['owned_units'] = 1;
    expect(toBuy($file))->not->toContain('starter')->not->toContain('tray');
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Shed\Leftovers;
use JollyPenny\Core\Living\Shed\NextSeason;
use JollyPenny\Core\Living\Shed\SeedWorth;
use JollyPenny\Core\Living\Shed\TestOutcomes;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Things\HomeTest;
use Tests\Seasons;

/** @return list<JollyPenny\Core\Living\Shed\Leftover> by kind and id */
function leftBy(array $leftovers): array
{
    return array_column(array_map(fn ($one) => ["{$one->kind} {$one->id}", $one], $leftovers), 1, 0);
}

it('knows how many of ten may come up: the beta-binomial distribution', function () {
    // With a uniform belief (one known up, one down) every count is as likely: 1 / (n + 1). Textbook fact, from memory.
    foreach (TestOutcomes::chances(0.5, 2.0, 10) as $chance) {
        expect($chance)->toBeNear(1 / 11);
    }
    // Known ever so well it is the binomial: n = 10, p = 0.5, P(5) = 0.2461 in printed tables.
    expect(TestOutcomes::chances(0.5, 1e9, 10)[5])->toBeNear(252 / 1024, 1e-6);
    foreach ([[0.8, 6.0], [0.33, 20.0], [0.999, 6.0]] as [$alive, $known]) {
        $chances = TestOutcomes::chances($alive, $known, 10);
        expect(array_sum($chances))->toBeNear(1.0);
        $mean = $square = 0.0;
        foreach ($chances as $up => $chance) {
            $mean += $up * $chance;
            $square += $up * $up * $chance;
        }
        // Mean n·a and variance n·a·(1 − a)·(m + n)/(m + 1), m the seeds known.
        expect($mean)->toBeNear(10 * $alive)->and($square - $mean ** 2)->toBeNear(10 * $alive * (1 - $alive) * ($known + 10) / ($known + 1), 1e-7);
    }
});

it('values a test as choosing after it does, over all eleven outcomes', function () {
    $demo = Seasons::demo();
    // A packet so old that a new one may be the better choice.
    foreach ($demo['seed_lots'] as &$lot) {
        $lot['id'] === 'kale' && $lot['packed_for'] = 2021;
    }
    unset($lot);
    $season = Seasons::read($demo);
    $setup = $season->setups[0];
    $kale = array_column($season->seedLots, null, 'id')['kale'];
    $worth = SeedWorth::forLot(new SeasonCosting($season), $setup, $kale);
    $cost = function ($instead) use ($season, $setup): float {
        $result = (new SeasonCosting($season->with(seedLots: array_map(fn ($one) => $one->id === 'kale' ? $instead : $one, $season->seedLots))))->setup($setup);

        return $result->fill_cost + array_sum(array_map(fn ($crop) => $crop->cost === null ? (float) $crop->buy_cost : 0.0, $result->crops));
    };
    expect($worth->with_it)->toBeNear($cost($kale))->and($worth->with_new)->toBeNear($cost($kale->with(packedFor: 2027, packetsOwned: 0.0)));
    expect($worth->new_dearer)->toBeNear($worth->with_new - $worth->with_it)
        ->and($worth->hardly)->toBe($worth->with_it - $worth->with_new < 0.25 * $kale->packetPrice);
    // The plain expectation, with the binomial integrated over a fine grid of the belief instead of the closed form.
    $aged = (function () use ($season, $kale): array {
        $species = array_column($season->species, null, 'id')[$kale->species];
        $viability = JollyPenny\Core\Plan\Germination\Viability::forLot($kale, $species, $season->year);

        return [$viability->aged, $viability->seedsKnown];
    })();
    $after = fn (int $up): float => $cost($kale->with(packetsOwned: ($worth->left - 10) / $kale->seedsPerPacket, test: new HomeTest(10, $up)));
    $dearer = array_filter(range(0, 10), fn (int $up): bool => $after($up) > $worth->with_new);
    expect($worth->throw_below)->toBe($dearer === [] ? null : max($dearer) + 1)->not->toBeNull();
    [$a, $b] = [$aged[0] * $aged[1], (1 - $aged[0]) * $aged[1]];
    $best = $weight = 0.0;
    $then = array_map(fn (int $up): float => min($worth->with_new, $cost($kale->with(packetsOwned: ($worth->left - 10) / $kale->seedsPerPacket, test: new HomeTest(10, $up)))), range(0, 10));
    $choose = [1, 10, 45, 120, 210, 252, 210, 120, 45, 10, 1];
    for ($i = 0; $i < 20_000; $i++) {
        $p = ($i + 0.5) / 20_000;
        $density = $p ** ($a - 1) * (1 - $p) ** ($b - 1);
        $weight += $density;
        foreach ($then as $up => $money) {
            $best += $density * $choose[$up] * $p ** $up * (1 - $p) ** (10 - $up) * $money;
        }
    }
    expect($worth->test_worth)->toBeNear(min($worth->with_it, $worth->with_new) - $best / $weight, 1e-3)
        ->and($worth->test_worth)->toBeGreaterThanOrEqual(-10 * $kale->packetPrice / $kale->seedsPerPacket);
});

it('keeps count of what a season leaves: nothing comes from nowhere', function () {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    foreach ($season->setups as $setup) {
        foreach (Leftovers::fromBooks($costing->books($setup), []) as $left) {
            expect($left->left)->toBeLessThanOrEqual($left->before + $left->bought - $left->used + 1e-9)->and($left->left)->toBeGreaterThanOrEqual(0.0);
        }
    }
    $bench = $costing->books($season->setups[0]);
    $cracked = leftBy(Leftovers::fromBooks($bench, [], ['container pot9' => 5]));
    expect($cracked['container pot9']->left)->toBe(67.0)->and($cracked['supply potting']->left)->toBe(0.0);
    // What was ticked off counts instead of the plan.
    $bought = leftBy(Leftovers::fromBooks($bench, [new Purchase(
        id: 't',
        kind: 'supply',
        thing: 'starter',
        name: 'x',
        packs: 2,
        paid: 17.0,
        on: '2027-03-01',
        shop: '',
        note: '',
    )]));
    expect($bought['supply starter']->bought)->toBe(30.0)->and($bought)->not->toHaveKey('seed tom-copper');
});

it('rolls a season on: a year later, with what is left, and cheaper at the till by what is there', function () {
    $document = json_decode(Seasons::json(Seasons::demo()));
    $text = json_encode($document);
    $season = Seasons::read(Seasons::demo());
    $left = Leftovers::fromBooks((new SeasonCosting($season))->books($season->setups[0]), []);
    $next = NextSeason::begin($document, $left);
    expect(json_encode($document))->toBe($text)->and($next->year)->toBe(2028)->and($next->last_frost)->toBe('2028-05-28')->and($next->name)->toContain('2028');
    $rolled = (new JollyPenny\Core\Season\File\SeasonReader())->readDocument($next);
    $before = (new SeasonCosting($season))->setup($season->setups[0]);
    $after = (new SeasonCosting($rolled))->setup($rolled->setups[0]);
    expect($after->cash_now)->toBeLessThan($before->cash_now / 4);
    $lights = array_column($rolled->lights, 'owned', 'id');
    expect($lights['led'])->toBeTrue();
    $lots = array_column($rolled->seedLots, null, 'id');
    expect($lots['kale']->packedFor)->toBe(2024)->and($lots['oni']->packedFor)->toBe(2028)->and($lots['tom-sauce']->test)->toBeNull();
});

it('rolls the 29th of February to the 28th', function () {
    $document = (object) ['year' => 2028, 'name' => 'Leap', 'last_frost' => '2028-02-29', 'electricity' => (object) ['rate' => 0.1], 'crops' => []];
    expect(NextSeason::begin($document, [])->last_frost)->toBe('2029-02-28');
});

it('does not call a new packet worth it that saves a few cents', function () {
    $season = Seasons::read(Seasons::demo());
    $lot = array_column($season->seedLots, null, 'id')['tom-copper'];
    $old = $lot->with(packedFor: $season->year - 1, packetsOwned: 1.0, test: new HomeTest(10, 8), germination: null);
    $season = $season->with(seedLots: array_map(fn ($one) => $one->id === $old->id ? $old : $one, $season->seedLots));
    $worth = SeedWorth::forLot(new SeasonCosting($season), $season->setups[0], $old);
    expect($worth->new_dearer)->toBeLessThan(0.0)->toBeGreaterThan(-0.25 * $worth->packet_price)->and($worth->hardly)->toBeTrue();
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Shopping\PackOffer;
use JollyPenny\Core\Living\Shopping\Purchase;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Living\Shopping\ShoppingItem;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Tests\Seasons;

/** @param  list<Purchase>  $purchases */
function shopping(Season $season, Setup $setup, array $purchases = []): Shopping
{
    return Shopping::fromBooks((new SeasonCosting($season))->books($setup), $purchases);
}

function bought(string $kind, string $thing, int $packs, float $paid): Purchase
{
    return new Purchase(
        id: "{$kind}-{$thing}-{$packs}",
        kind: $kind,
        thing: $thing,
        name: $thing,
        packs: $packs,
        paid: $paid,
        on: '2027-03-01',
        shop: 'Corner',
        note: '',
    );
}

it('lists what the costing takes to the till, in every set-up', function () {
    $season = Seasons::read(Seasons::demo());
    foreach ($season->setups as $setup) {
        $list = shopping($season, $setup);
        expect($list->planned)->toBeNear((new SeasonCosting($season))->setup($setup)->cash_now)
            ->and($list->still)->toBeNear($list->planned)
            ->and($list->over)->toBeNear(0.0);
    }
});

it('says when a thing is needed by the first stage that uses it, and orders seed two weeks before', function () {
    $season = Seasons::read(Seasons::demo());
    $items = array_column(shopping($season, $season->setups[0])->items, null, 'id');
    $result = (new SeasonCosting($season))->setup($season->setups[0]);
    $crops = array_column($result->crops, null, 'id');
    $sown = $crops['copper-kettle']->sow_on;
    expect($items['tom-copper']->needed_on)->toBe($sown)
        ->and((new DateTimeImmutable($sown))->diff(new DateTimeImmutable($items['tom-copper']->order_by))->days)->toBe(14);
    // The pots are filled in the first stage that names them, of whichever crop comes first.
    $potted = min(array_map(fn ($crop) => $crop->stages[2]->start, array_filter($result->crops, fn ($crop) => $crop->method === 'grown-potted')) ?: ['']);
    $potted === '' || expect($items['pot9']->needed_on)->toBe($potted);
    $byDay = array_column(shopping($season, $season->setups[0])->items, 'order_by');
    $sorted = $byDay;
    sort($sorted);
    expect($byDay)->toBe($sorted);
});

it('comes to what was paid and what is still to pay, whatever is ticked', function () {
    // A property over seeded ticks: in part, in full, too many, dearer, cheaper, and things the plan does not know.
    mt_srand(20270401);
    $season = Seasons::read(Seasons::demo());
    for ($round = 0; $round < 120; $round++) {
        $setup = $season->setups[mt_rand(0, count($season->setups) - 1)];
        $plan = shopping($season, $setup);
        $purchases = [];
        foreach ($plan->items as $item) {
            mt_rand(0, 2) === 0 || $purchases[] = bought($item->kind, $item->id, mt_rand(1, 3), mt_rand(0, 5000) / 100);
        }
        $purchases[] = bought('gear', 'off-the-list', 1, 4.5);
        $list = shopping($season, $setup, $purchases);
        $paid = array_sum(array_column($purchases, 'paid'));
        expect($list->paid)->toBeNear($paid)
            ->and($list->now)->toBeNear($list->paid + $list->still)
            ->and($list->planned + $list->over)->toBeNear($list->now)
            ->and($list->planned)->toBeNear($plan->planned)
            ->and(array_sum(array_map(fn (ShoppingItem $one): float => $one->paid + $one->still, $list->items))
                + array_sum(array_column($list->unneeded, 'paid')))->toBeNear($list->now);
        foreach ($list->items as $item) {
            expect($item->left)->toBe(max(0, $item->packs - $item->bought))->and($item->beyond)->toBe(max(0, $item->bought - $item->packs));
        }
    }
});

it('keeps what was bought and is not needed', function () {
    $season = Seasons::read(Seasons::demo());
    $nursery = array_column($season->setups, null, 'id')['nursery'];
    $list = shopping($season, $nursery, [bought('light', 'led', 1, 29.0)]);
    expect(array_column($list->unneeded, 'thing'))->toBe(['led'])->and($list->over)->toBeNear(29.0);
});

it('buys of what swells only as much as it is pressed', function () {
    $large = new PackOffer(12.0, 30.0, '', '2027-01-01');
    expect(PackOffer::best([$large], 5.0, 10.0, 30.0)?->price)->toBe(12.0)
        // Thirty litres of use are ten of a bale that swells to three times: one small pack.
        ->and(PackOffer::best([$large], 5.0, 10.0, 30.0, 3.0))->toBeNull();
});

it('lacks what is needed beyond what is there', function () {
    $item = fn (?float $need, ?float $stock): ShoppingItem => new ShoppingItem('supply', 'x', 'X', 'garden', $need, $stock, 5.0, 'L', packs: 1, price: 1.0,
        planned: 1.0, bought: 0, paid: 0.0, left: 1, still: 1.0, beyond: 0, order_by: null, needed_on: null, crops: []);
    expect($item(12.0, 4.5)->lacking())->toBe(7.5)->and($item(3.0, 9.0)->lacking())->toBe(0.0)->and($item(null, null)->lacking())->toBe(0.0);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Ledger\Ledger;
use JollyPenny\Core\Plan\Ledger\LedgerInput;
use JollyPenny\Core\Plan\Ledger\LedgerParts;
use JollyPenny\Core\Plan\Ledger\TwoWayRounding;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Leftover;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/** @return list<Season> both demos, in dollars and pounds, and one in a currency without coins */
function ledgerSeasons(): array
{
    $demo = Seasons::demo();
    $gullsend = json_decode((string) file_get_contents(__DIR__.'/../../database/demo/gullsend.json'), true);

    return array_map(Seasons::read(...), [
        ['hourly_value' => 14] + $demo,
        $gullsend,
        [...$demo, 'currency' => 'JPY'],
        [...$demo, 'currency' => 'KWD'],
        [...$demo, 'charge_owned' => true],
    ]);
}

it('rounds a table so that rows, columns and the whole still add up, no figure by as much as a coin', function () {
    // The definition of a controlled rounding: Cox, JASA 82 (1987), section 1.
    mt_srand(1987);
    for ($round = 0; $round < 300; $round++) {
        [$rows, $columns] = [mt_rand(1, 12), mt_rand(1, 16)];
        $table = [];
        for ($r = 0; $r < $rows; $r++) {
            for ($c = 0; $c < $columns; $c++) {
                $table[$r][$c] = mt_rand(0, 3) === 0 ? 0.0 : mt_rand(-300, 9000) / 7;
            }
        }
        [$cells, $sums, $bottoms, $all] = TwoWayRounding::controlled($table);
        foreach ($table as $r => $row) {
            expect(array_sum($cells[$r]))->toBe($sums[$r])->and(abs($sums[$r] - array_sum($row)))->toBeLessThan(1.000001);
            foreach ($row as $c => $cell) {
                expect(abs($cells[$r][$c] - $cell))->toBeLessThan(1.0);
            }
        }
        foreach ($bottoms as $c => $bottom) {
            expect(abs($bottom - array_sum(array_column($table, $c))))->toBeLessThan(1.000001)
                ->and($bottom)->toBe(array_sum(array_column($cells, $c)));
        }
        expect($all)->toBe(array_sum($bottoms))->and(abs($all - array_sum(array_map(array_sum(...), $table))))->toBeLessThan(1.000001);
    }
});

it('leaves whole figures as they are', function () {
    expect(TwoWayRounding::controlled([[3.0, 0.0], [-2.0, 7.0]]))->toBe([[[3, 0], [-2, 7]], [3, 5], [1, 7], 8]);
});

it('adds up to the coin in every currency, and is never a coin from the costing', function () {
    foreach (ledgerSeasons() as $season) {
        $costing = new SeasonCosting($season);
        foreach ($season->setups as $setup) {
            $ledger = Ledger::forSetup($costing, $setup);
            $result = $costing->setup($setup);
            $coin = 10 ** -$ledger->places;
            $sum = fn (array $parts): float => round(array_sum($parts), $ledger->places);
            foreach ($ledger->rows as $n => $row) {
                expect($sum($row->heads))->toBe($row->cost)->and(abs($row->cost - ($result->crops[$n]->cost ?? 0.0)))->toBeLessThan($coin * 1.000001);
            }
            foreach ($ledger->totals as $head => $total) {
                expect($sum(array_map(fn ($row): float => $row->heads[$head], $ledger->rows)))->toBe($total);
            }
            expect($sum($ledger->totals))->toBe($ledger->cost)->and($sum(array_column($ledger->rows, 'cost')))->toBe($ledger->cost)
                ->and(abs($ledger->cost - $result->cost))->toBeLessThan($coin * 1.000001)
                ->and($ledger->with_time)->toBeNear($ledger->cost + $result->hours * $season->hourlyValue, $coin);
            $wanted = array_column($season->crops, 'wanted', 'id');
            foreach ($ledger->rows as $n => $row) {
                // Of bought plants all that were wanted are there; of one's own those that are of use.
                expect($row->useful)->toEqual($row->method === null ? $wanted[$row->crop] : $result->crops[$n]->useful);
            }
        }
    }
});

it('charges packs as what is left of them is treated', function () {
    // By hand. 4 L of a 16 L bag at 8.00 are a quarter; where half a bag is charged as soon as any is needed, half.
    $bag = fn (float $least, float $stock, Leftover $leftover): float => (new LedgerInput(['supplies', 'mix', 'pack_price'], 'Mix', 'Mix', 8.0,
        holds: 16.0, need: 20.0 - 16.0, stock: $stock, least: $least, leftover: $leftover))->charge(8.0, 0.0);
    expect($bag(0.0, 0.0, Leftover::Keep))->toBeNear(2.0)->and($bag(0.5, 0.0, Leftover::Keep))->toBeNear(4.0)
        // Wasted packs are charged whole, but for what was there already.
        ->and($bag(0.0, 0.0, Leftover::Waste))->toBeNear(8.0)->and($bag(0.0, 4.0, Leftover::Waste))->toBeNear(2.0);
    // Half a packet of 30 seeds is there and 40 are needed: 15 at their price, and one packet more.
    $seed = new LedgerInput(['seed_lots', 'leek', 'packet_price'], 'Seed', 'Leek', 3.0, holds: 30.0, need: 40.0, stock: 0.5, stockInPacks: true,
        leftover: Leftover::Waste);
    expect($seed->charge(3.0, 0.0))->toBeNear(1.5 + 3.0);
});

it('takes every cost apart into prices and puts it together again', function () {
    $generated = array_map(fn (int $seed): Season => Seasons::read((new SeasonGenerator($seed))->season()), range(85_000, 85_012));
    foreach ([...ledgerSeasons(), ...$generated] as $season) {
        $costing = new SeasonCosting($season);
        foreach ($season->setups as $setup) {
            $heads = LedgerParts::forSetup($costing, $setup)->heads();
            foreach ($costing->setup($setup)->crops as $crop) {
                foreach ($crop->heads ?? [] as $head => $amount) {
                    expect($heads[$crop->id][$head] ?? 0.0)->toBeNear($amount);
                }
            }
        }
    }
});

it('follows changed prices, amounts and lives as the costing does', function () {
    // Each input in turn, changed in the season and in the taken-apart ledger.
    $document = Seasons::demo();
    $season = Seasons::read($document);
    $setup = $season->setups[0];
    $parts = LedgerParts::forSetup(new SeasonCosting($season), $setup);
    $checked = 0;
    foreach ($parts->inputs as $input) {
        if ($input->path[0] === 'nursery' || $input->path[0] === 'electricity') {
            continue;
        }
        [$list, $id, $key] = [...$input->path, null, null];
        $changed = $document;
        $n = array_search($id, array_column($changed[$list], 'id'), true);
        $changed[$list][$n][$key] = $price = round($input->price * 1.37 + 0.11, 2);
        $by = $input->charge($price, $season->discountRate) - $input->charge($input->price, $season->discountRate);
        $more = array_sum(array_map(fn ($part): float => $part->share, array_filter($parts->parts, fn ($part): bool => $parts->inputs[$part->input] === $input))) * $by;
        $before = (new SeasonCosting($season))->setup($setup)->cost;
        $after = Seasons::read($changed);
        expect((new SeasonCosting($after))->setup($after->setups[0])->cost)->toBeNear($before + $more);
        $checked++;
    }
    expect($checked)->toBeGreaterThan(20);
});

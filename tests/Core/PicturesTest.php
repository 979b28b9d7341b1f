<?php

declare(strict_types=1);

use JollyPenny\Core\Choosing\Comparison;
use JollyPenny\Core\Choosing\Difference;
use JollyPenny\Core\Pictures\ComparedStacks;
use JollyPenny\Core\Pictures\CropPicture;
use JollyPenny\Core\Pictures\PennyStack;
use JollyPenny\Core\Pictures\SeasonPictures;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Units\Currency;
use JollyPenny\Core\Units\Penny;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

it('stacks as many coins as the price has, and never many more than fifty', function () {
    $stacks = 0;
    for ($seed = 70_000; $seed < 70_200; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        $results = (new SeasonCosting($season))->result()['setups'];
        $pictures = ComparedStacks::of($results, Comparison::of($results, $season)->nursery, $season->currency);
        foreach ($results as $i => $setup) {
            $stack = $pictures->setups[$setup->id];
            if ($stack === null) {
                expect($results[$i]->per_wanted)->toBeNull();

                continue;
            }
            $coins = array_sum(array_column($stack->groups, 'coins'));
            expect(abs($coins - ($results[$i]->per_wanted + $stack->credit) / $pictures->coin))
                ->toBeLessThanOrEqual(0.5 + 1e-6)
                ->and($coins)
                ->toBeLessThanOrEqual(51)
                ->and(count($stack->groups))
                ->toBe(7)
                ->and($stack->total)
                ->toBeNear($results[$i]->per_wanted)
                ->and($coins - $stack->credit_coins)
                ->toBe((int) round($stack->total / $pictures->coin));
            $stacks++;
        }
    }
    expect($stacks)->toBeGreaterThan(300);
});

it('picks the smallest of 1, 2, 5, 10 … coins that keeps the tallest within fifty', function (float $price, string $currency, float $coin) {
    expect(PennyStack::coin($price, $currency))->toBe($coin);
})->with([
    [0.3, 'USD', 0.01],
    [0.501, 'USD', 0.02],
    [0.96, 'USD', 0.02],
    [2.4, 'USD', 0.05],
    [5.0, 'USD', 0.1],
    [120.0, 'JPY', 5.0],
    [0.049, 'KWD', 0.001],
    [0.0, 'USD', 0.01],
]);

it('rounds parts so that they add up in any currency', function (string $currency, int $places) {
    expect(Currency::places($currency))->toBe($places);
    for ($seed = 0; $seed < 300; $seed++) {
        mt_srand($seed);
        $parts = array_map(fn (): float => mt_rand(-2000, 100_000) / 7919, range(1, mt_rand(1, 9)));
        $shown = Penny::parts($parts, $places);
        expect(round(array_sum($shown), $places))->toBe(round(array_sum($parts), $places));
        foreach ($shown as $i => $part) {
            expect(abs($part - $parts[$i]))->toBeLessThan(10 ** -$places + 1e-9);
        }
    }
})->with([['USD', 2], ['JPY', 0], ['KWD', 3]]);

it('gives each line the strip, the seed and the saving that the result holds', function () {
    $season = Seasons::read(Seasons::demo());
    $results = (new SeasonCosting($season))->result()['setups'];
    $pictures = SeasonPictures::of($results, $season);
    $lines = array_map(fn (CropPicture $picture) => $picture->line, $pictures['bench']->crops);
    // Copper Kettle, of the worked example: 12 cells, 7.3 finish of 6 wanted.
    expect($lines['copper-kettle']->strip)
        ->toBe(['wanted' => 6, 'surplus' => 1, 'lost' => 5, 'each' => 1])
        ->and($lines['sunday-sauce']->age)
        ->toBe(2)
        ->and($lines['sunday-sauce']->fresh_of_hundred)
        ->toBe(90)
        ->and($lines['sunday-sauce']->alive_of_hundred)
        ->toBe(85)
        ->and($lines['red-whistle']->saves)
        ->toBeNull()
        ->and($lines['red-whistle']->nursery_each)
        ->toBeNull();
    foreach ($results as $setup) {
        foreach ($setup->crops as $i => $crop) {
            $line = $pictures[$setup->id]->crops[$crop->id]->line;
            if ($line->strip !== null) {
                $marks = $line->strip['wanted'] + $line->strip['surplus'] + $line->strip['lost'];
                expect($marks)
                    ->toBeLessThanOrEqual(61)
                    ->and($marks * $line->strip['each'])
                    ->toBeGreaterThanOrEqual($crop->sites ?? 0);
            }
            if ($crop->verdict === 'grow' && $crop->buy_cost !== null) {
                expect($line->saves)->toBeGreaterThanOrEqual(-1e-9);
            }
            if ($crop->verdict === 'buy') {
                expect($line->saves)->toBeGreaterThan(0.0);
            }
        }
    }
});

it('advises the cheapest way that supplies the whole list', function () {
    $season = Seasons::read(Seasons::demo());
    $results = (new SeasonCosting($season))->result()['setups'];
    $advice = Comparison::of($results, $season)->advice;
    $fair = array_filter($results, fn ($result) => $result->missing < 0.5);
    usort($fair, fn ($a, $b) => $a->per_wanted <=> $b->per_wanted);
    $crops = [...$advice->grow, ...$advice->along, ...$advice->buy];
    sort($crops);
    $all = array_column($season->crops, 'id');
    sort($all);
    $each = Comparison::of($results, $season)->bought_each;
    // Ink Pot: five single plants at 4.75 for four wanted, one in ten lost; nobody sells Red Whistle.
    expect($each['ink-pot'])
        ->toBeNear((5 * 4.75) / 4)
        ->and($each['red-whistle'])
        ->toBeNull();
    expect($advice->setup)
        ->toBe($fair[0]->id)
        ->and($advice->cost)
        ->toBeNear($fair[0]->fill_cost)
        ->and($advice->saves)
        ->toBeNear($fair[0]->keep)
        ->and($crops)
        ->toBe($all);
});

it('prices in what a way cannot supply, where somebody sells it', function () {
    $file = Seasons::small();
    $file['places'][0]['temp_c'] = -10;
    $season = Seasons::read($file);
    $compared = Comparison::of((new SeasonCosting($season))->result()['setups'], $season)->setups[0];
    expect($compared->fair)
        ->toBeFalse()
        ->and($compared->unsupplied)
        ->toBe(['lantern'])
        ->and($compared->priced_in)
        ->toBeNear(5 / 3)
        ->and($compared->still_missing)
        ->toBeNear(0.0);
});

it('takes a difference apart so that it adds up, and the other way round is its opposite', function () {
    for ($seed = 71_000; $seed < 71_100; $seed++) {
        $season = Seasons::read((new SeasonGenerator($seed))->season());
        [$a, $b] = (new SeasonCosting($season))->result()['setups'];
        [$there, $back] = [Difference::between($a, $b, 'USD'), Difference::between($b, $a, 'USD')];
        expect($there->total)
            ->toBeNear($b->fill_cost - $a->fill_cost)
            ->and($back->total)
            ->toBeNear(-$there->total)
            ->and(round(array_sum(array_column($there->parts, 'by')), 2))
            ->toEqualWithDelta(round($there->total, 2), 0.0101);
        $sizes = array_map(fn (array $part) => abs($part['by']), $there->parts);
        $sorted = $sizes;
        rsort($sorted);
        expect($sizes)->toBe($sorted);
    }
});

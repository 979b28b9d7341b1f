<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\MixAndMatch;
use JollyPenny\Core\Deciding\Choosing\SetupTotals;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/** @return list<list<string>> */
function subLists(array $ids): array
{
    return $ids === [] ? [[]] : array_merge(...array_map(fn (array $rest) => [[$ids[0], ...$rest], $rest], subLists(array_slice($ids, 1))));
}

function supplied(SetupResult $result): array
{
    return array_column(array_filter($result->crops, fn ($crop) => $crop->cost !== null), 'id');
}

/** The rules of mix and match read plainly: every choice costed in full, the cheapest that breaks none of them. */
function bruteForce(Season $season, Setup $base): array
{
    $costing = new SeasonCosting($season);
    $named = $costing->setup($base);
    $options = [];
    foreach ($season->crops as $crop) {
        $sold = array_filter($season->nursery, fn ($offer) => in_array($offer->id, $crop->nursery, true)
            && ($offer->potL === null || $offer->potL >= (float) $crop->potAtLeastL));
        $options[$crop->id] = array_unique([
            ...array_map(fn (Setup $setup) => $setup->methodFor($crop->id), $season->setups),
            ...$sold === [] ? [] : ['nursery'],
        ]);
    }
    $all = [[]];
    foreach ($options as $crop => $ways) {
        $all = array_merge(
            ...array_map(fn (array $some) => array_map(fn (string $way) => $some + [$crop => $way], array_values($ways)), $all),
        );
    }
    $methods = array_column($season->methods, null, 'id');
    $placesOf = fn (array $ids, array $rows) => array_map(fn (string $id) => array_column($rows, 'place', 'id')[$id], $ids);
    $best = null;
    foreach ($all as $choice) {
        $grown = array_diff($choice, ['nursery']);
        foreach (subLists($base->lights) as $lights) {
            foreach (subLists($base->mats) as $mats) {
                foreach ($grown as $method) {
                    foreach ($methods[$method]->stages as $stage) {
                        foreach (
                            [[$stage->light, $base->lights, $lights, $season->lights], [$stage->mat, $base->mats, $mats, $season->mats]] as [$wants, $had, $has, $rows]
                        ) {
                            if (
                                $wants &&
                                in_array($stage->place, $placesOf($had, $rows), true) &&
                                ! in_array($stage->place, $placesOf($has, $rows), true)
                            ) {
                                continue 4;
                            }
                        }
                    }
                }
                $result = $costing->setup(
                    new Setup(
                        'x',
                        'x',
                        $base->method,
                        $choice,
                        $lights,
                        $mats,
                        $grown === [] ? [] : $base->appliances,
                        $grown === [] ? [] : $base->gear,
                    ),
                );
                if (
                    array_diff(supplied($named), supplied($result)) === [] &&
                    isSoundBeside($season, $named, $result) &&
                    ($best === null || [max(0, $result->crowded_days - 3), round($result->fill_cost, 9), round($result->hours, 9)] < $best)
                ) {
                    $best = [max(0, $result->crowded_days - 3), round($result->fill_cost, 9), round($result->hours, 9)];
                }
            }
        }
    }

    return $best;
}

it('weighs set-ups by the same money, hours and crowding as the whole costing', function () {
    for ($seed = 50_000; $seed < 50_060; $seed++) {
        $costing = new SeasonCosting(Seasons::read((new SeasonGenerator($seed))->season()));
        foreach ($costing->season->setups as $setup) {
            [$totals, $result] = [SetupTotals::fromBooks($costing->books($setup)), $costing->setup($setup)];
            expect($totals->fillCost)
                ->toBeNear($result->fill_cost)
                ->and($totals->hours)
                ->toBeNear($result->hours)
                ->and($totals->crowdedDays)
                ->toBe($result->crowded_days)
                ->and($totals->supplied)
                ->toBe(count(supplied($result)));
        }
    }
});

it('finds the true minimum where there are few enough choices', function () {
    $weighed = 0;
    for ($seed = 60_000; $seed < 60_040; $seed++) {
        $file = (new SeasonGenerator($seed))->season();
        $file['crops'] = array_slice($file['crops'], 0, 2);
        foreach ($file['setups'] as $i => $setup) {
            $file['setups'][$i]['overrides'] = array_intersect_key($setup['overrides'], array_flip(array_column($file['crops'], 'id')));
        }
        $season = Seasons::read($file);
        $mix = (new MixAndMatch($season, $season->setups[0]))->setup();
        $result = (new SeasonCosting($season))->setup($mix);
        [$crowded, $cost, $hours] = bruteForce($season, $season->setups[0]);
        expect(max(0, $result->crowded_days - 3))->toBe($crowded)
            ->and($result->fill_cost)->toBeNear($cost, 1e-8)
            ->and($result->hours)->toBeNear($hours, 1e-8)
            ->and($mix->meta->search)
            ->toBeFalse();
        $weighed++;
    }
    expect($weighed)->toBe(40);
});

it('is never dearer than what it is built on, nor than buying everything, where it has to search', function (string $setup) {
    $season = Seasons::read(Seasons::demo());
    $costing = new SeasonCosting($season);
    $base = array_column($season->setups, null, 'id')[$setup];
    $matched = (new MixAndMatch($season, $base))->season();
    $mix = array_column($matched->setups, null, 'id')['mix'];
    [$result, $named] = [$costing->setup($mix), $costing->setup($base)];
    expect($mix->meta->search)
        ->toBeTrue()
        ->and([max(0, $result->crowded_days - 3), $result->fill_cost - 1e-9] <= [max(0, $named->crowded_days - 3), $named->fill_cost])
        ->toBeTrue()
        ->and(isSoundBeside($season, $named, $result))
        ->toBeTrue()
        ->and(array_diff(supplied($named), supplied($result)))
        ->toBe([])
        ->and(array_diff($mix->lights, $base->lights))
        ->toBe([])
        ->and($matched->setups)
        ->toHaveCount(8)
        ->and(Seasons::read(json_decode((new SeasonWriter())->toJson($matched), true))->setups)
        ->toHaveCount(8);
})->with(['bench', 'kit', 'jugs', 'nursery']);

it('buys everything where that is cheapest, and then keeps nothing of the bench', function () {
    $file = Seasons::small();
    $file['nursery'][0]['price'] = 0.5;
    $season = Seasons::read($file);
    $mix = (new MixAndMatch($season, $season->setups[0]))->setup();
    expect($mix->overrides)
        ->toBe(['lantern' => 'nursery'])
        ->and($mix->lights)
        ->toBe([])
        ->and($mix->mats)
        ->toBe([]);
});

it('prints the season file with one more set-up', function () {
    [$code, $out] = jolly('mix - --setup bench', Seasons::json(Seasons::small()));
    expect($code)
        ->toBe(0)
        ->and(array_column(json_decode($out, true)['setups'], 'id'))
        ->toBe(['bench', 'mix']);
    [$again, $out] = jolly('mix - --setup bench', $out);
    expect($again)
        ->toBe(0)
        ->and(array_column(json_decode($out, true)['setups'], 'id'))
        ->toBe(['bench', 'mix']);
    expect(jolly('mix - --setup bank', Seasons::json(Seasons::small()))[2])
        ->toContain('The file has: bench')
        ->and(jolly('mix -', Seasons::json(Seasons::small()))[0])
        ->toBe(2);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Trials\ExactTest;
use JollyPenny\Core\Living\Trials\TrialResult;
use JollyPenny\Core\Living\Trials\Trials;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Crops\Trial;
use JollyPenny\Core\Season\Crops\TrialSide;
use Tests\Logs;
use Tests\Seasons;

function trial(array $entries, string $measure = 'up'): TrialResult
{
    $file = Seasons::demo();
    $side = fn (string $crop): array => ['name' => $crop, 'crops' => [$crop]];
    $file['trials'] = [['id' => 't', 'name' => 'Old beside new', 'measure' => $measure, 'sides' => [$side('copper-kettle'), $side('sunday-sauce')]]];
    $season = Seasons::read($file);

    return (new Trials($season, Logs::book($entries), (new SeasonCosting($season))->setup($season->setups[0])))->results()[0];
}

it('tests shares exactly, as published examples have it', function (int $a, int $n, int $b, int $m, float $chance) {
    expect(ExactTest::twoSided($a, $n, $b, $m))->toBeNear($chance, 1e-3)
        ->and(ExactTest::twoSided($b, $m, $a, $n))->toBeNear(ExactTest::twoSided($a, $n, $b, $m), 1e-9)
        ->and(ExactTest::twoSided($n - $a, $n, $m - $b, $m))->toBeNear(ExactTest::twoSided($a, $n, $b, $m), 1e-9);
})->with([
    // R. A. Fisher, The Design of Experiments (1935): the lady who tastes tea, 3 of 4 right; two-sided 34/70. All right: 2/70.
    [3, 4, 1, 4, 34 / 70], [4, 4, 0, 4, 2 / 70],
    // Fisher's convictions of twins (1935): of 12 convicted 10 were identical twins, of 18 not convicted 3; two-sided, from memory.
    [10, 12, 3, 18, 0.0005367],
    // Nothing to tell apart.
    [5, 10, 5, 10, 1.0], [0, 7, 0, 9, 1.0], [7, 7, 9, 9, 1.0],
]);

it('says in a sentence which was better and how sure that is, with what it means in money', function () {
    $sown = fn (string $crop, int $sites): array => ['2027-04-12', 'sown', ['crop' => $crop, 'tray' => 'D', 'count' => $sites, 'seeds' => 2 * $sites]];
    $up = fn (string $crop, int $n): array => ['2027-04-21', 'up', ['crop' => $crop, 'tray' => 'D', 'count' => $n]];
    $costs = array_column(Seasons::result(Seasons::demo())->crops, null, 'id');
    expect(trial([$sown('copper-kettle', 12)])->words)->toContain('Not counted yet');
    $result = trial([$sown('copper-kettle', 12), $sown('sunday-sauce', 18), $up('copper-kettle', 12), $up('sunday-sauce', 7)]);
    expect($result->better)->toBe(0)->and($result->words)->toBe('copper-kettle did better: 12 of 12 came up against 7 of 18 of sunday-sauce. Hardly chance. These are also two varieties.')
        // What a plant costs is what the list says.
        ->and($result->saves)->toBeNear($costs['sunday-sauce']->per_finished - $costs['copper-kettle']->per_finished);
    expect(trial([$sown('copper-kettle', 12), $sown('sunday-sauce', 18), $up('copper-kettle', 10), $up('sunday-sauce',
        14)])->words)->toContain('Could well be chance')
        ->and(trial([$sown('copper-kettle', 12), $sown('sunday-sauce', 18), $up('copper-kettle', 6), $up('sunday-sauce',
            9)])->words)->toContain('No difference');
});

it('decides by what lived where that is asked', function () {
    $entries = [];
    foreach (['copper-kettle' => [12, 10, 1], 'sunday-sauce' => [18, 14, 9]] as $crop => [$sites, $up, $lost]) {
        $entries[] = ['2027-04-12', 'sown', ['crop' => $crop, 'count' => $sites, 'seeds' => $sites]];
        $entries[] = ['2027-04-21', 'up', ['crop' => $crop, 'count' => $up]];
        $entries[] = ['2027-05-02', 'lost', ['crop' => $crop, 'count' => $lost, 'cause' => 'gnats']];
        $entries[] = ['2027-06-04', 'planted', ['crop' => $crop, 'count' => 3]];
    }
    $sides = trial($entries, 'lived')->sides;
    expect([$sides[0]['of'], $sides[0]['came'], $sides[1]['of'], $sides[1]['came']])->toBe([10, 9, 14, 5]);
});

it('counts for what a plant costs only crops that the set-up raises', function () {
    // The crop that nobody raises is counted beside the other, and has no cost: what one costs is the other's alone.
    $file = Seasons::small();
    $file['crops'][] = ['id' => 'unraised', 'nursery' => []] + $file['crops'][0];
    $file['setups'][0]['overrides'] = ['unraised' => 'nursery'];
    $season = Seasons::read($file);
    $result = (new SeasonCosting($season))->setup($season->setups[0]);
    $trial = new Trial('t', 'Two and one', [new TrialSide('both', ['lantern', 'unraised']), new TrialSide('one', ['lantern'])]);
    $season = $season->with(trials: [$trial]);
    $log = Logs::book([['2027-04-10', 'sown', ['crop' => 'lantern', 'count' => 4, 'seeds' => 4]], ['2027-04-20', 'up', ['crop' => 'lantern', 'count' => 3]],
        ['2027-04-10', 'sown', ['crop' => 'unraised', 'count' => 4, 'seeds' => 4]], ['2027-04-20', 'up', ['crop' => 'unraised', 'count' => 1]]]);
    $sides = (new Trials($season, $log, $result))->results()[0]->sides;
    expect($sides[0]['each'])->toEqualWithDelta($result->crops[0]->cost / $result->crops[0]->useful, 1e-9)->and($sides[1]['each'])->toEqual($sides[0]['each']);
});

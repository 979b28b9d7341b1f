<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Choosing\SetupTotals;
use JollyPenny\Core\Plan\Planning\Warning;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

/**
 * Moves each crop of each set-up by some days, and holds what that is said to cost against the season costed whole.
 *
 * @return array{int, int} moves in which that was told, and in which it was left to the whole
 */
function movesAgree(Season $season): array
{
    $told = $left = 0;
    $costing = new SeasonCosting($season);
    foreach ($season->setups as $setup) {
        $books = $costing->books($setup);
        $before = SetupTotals::fromBooks($books)->fillCost;
        foreach (array_keys($books->plans) as $place) {
            $crop = $books->plans[$place]->crop;
            foreach ([-9, -3, -1, 2, 5, 14] as $by) {
                $moved = $crop->sowOn === null ? $crop->with(plantOutOffsetDays: $crop->plantOutOffsetDays + $by)
                    : $crop->with(sowOn: $crop->sowOn->plus($by));
                $whole = (new SeasonCosting($season->withCrop($moved)))->books($setup);
                $plan = $books->planOtherwise($moved);
                if ($plan instanceof Warning) {
                    expect($whole->failed[$crop->id] ?? null)->toBe($plan);

                    continue;
                }
                $more = $books->moved($place, $plan);
                $more === null ? $left++ : $told++;
                $more === null || expect($more)->toEqualWithDelta(SetupTotals::fromBooks($whole)->fillCost - $before, 1e-9, "{$crop->id} by {$by}");
            }
        }
    }

    return [$told, $left];
}

it('tells what a crop costs more on another day, as the season costed whole does', function (int $from) {
    $told = 0;
    for ($seed = $from; $seed < $from + 12; $seed++) {
        $told += movesAgree(Seasons::read((new SeasonGenerator($seed))->season()))[0];
    }
    expect($told)->toBeGreaterThan(100);
})->with([1, 301, 701]);

it('tells it of most moves of the made-up season', function () {
    [$told, $left] = movesAgree(Seasons::read(Seasons::demo()));
    expect($told)->toBeGreaterThan($left);
});

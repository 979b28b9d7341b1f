<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Showing\Pictures\BelowAsked;
use JollyPenny\Core\Showing\Pictures\PotSizes;
use JollyPenny\Core\Showing\Pictures\Till;
use Tests\Seasons;

// Figures of the pictures by hand, on the smallest season.

/** @param  array<string, mixed>  $change  of the smallest season's method */
function withMethod(array $change): Season
{
    $file = Seasons::small();
    $file['methods'][0] = [...$file['methods'][0], ...$change];

    return Seasons::read($file);
}

function smallBooks(float $flats): SetupBooks
{
    $file = Seasons::small();
    $file['places'][0]['flats'] = $flats;
    $season = Seasons::read($file);

    return (new SeasonCosting($season))->books($season->setups[0]);
}

it('gives plants that share a cell their share of it', function () {
    $stages = Seasons::small()['methods'][0]['stages'];
    foreach ([1, 3] as $sharing) {
        $stages[1] = [...$stages[1], 'container' => 'cell', 'mix' => 'starter', 'plants_per_site' => $sharing];
        $season = withMethod(['stages' => $stages]);
        $sizes = PotSizes::forCrop($season->methods[0], $season->crops[0], SeasonIndex::fromSeason($season));
        expect($sizes->own)->toBeNear(0.05 / $sharing);
    }
});

it('says until when one can sow again, three weeks after the day planned', function () {
    $file = Seasons::small();
    $file['mishap'] = 0.3;
    $season = Seasons::read($file);
    $crop = (new SeasonCosting($season))->setup($season->setups[0])->crops[0];
    $below = BelowAsked::forCrop($crop, $season->crops[0], $season);
    expect($below?->again_until)->toBe(gmdate('Y-m-d', strtotime("{$crop->sow_on} UTC") + 21 * 86_400))
        // Without the mishap nine in ten would be reached, so that is the reason.
        ->and($below?->mishap)->toBeNear(0.3)->and($below?->asked)->toBe(90)->and($below?->can_buy)->toBeTrue();
});

it('calls a bench over-full only where more stands on it than it holds', function () {
    $fullest = max(BenchDays::fromBooks(smallBooks(2.0))[0]->all);
    $why = fn (float $flats): array => array_unique(array_column(BenchDays::fromBooks(smallBooks($flats))[0]->crowded, 'why'));
    expect($why($fullest))->toBe([])->and($why($fullest - 0.01))->toBe(['room']);
});

it('says what growing saves on each plant, and what a change did', function () {
    $season = Seasons::read(Seasons::small());
    $dear = Seasons::small();
    $dear['supplies'][0]['pack_price'] = 80;
    $till = fn (Season $season): Till => Till::ofSetup((new SeasonCosting($season))->setup($season->setups[0]));
    [$now, $then] = [$till($season), $till(Seasons::read($dear))];
    expect($now->difference)->toBeNear((float) $now->nursery - (float) $now->same);
    $move = $then->less($now);
    // Dearer mix: each costs more, less is saved, and as much more is paid at once.
    expect($move->per_finished)->toBeGreaterThan(0.0)->toBeNear((float) $then->per_finished - (float) $now->per_finished)
        ->and($move->keep)->toBeLessThan(0.0)->and($move->cash_now)->toBeNear(72.0);
});

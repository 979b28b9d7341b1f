<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Years\YearsCosting;
use Tests\Seasons;

/** @param  array<string, mixed>  $file */
function years(array $file, int $seasons, float $rise = 0.0, int $setup = 0): JollyPenny\Core\Plan\Years\SetupYears
{
    return (new YearsCosting(Seasons::read($file), $seasons, $rise))->result()['setups'][$setup];
}

it('pays for durable things when they are bought, as worked by hand', function () {
    // The one-crop season: lamp 30 (6 seasons), mat 24 (4 seasons), one unit of cells 2 (4 seasons).
    $small = years(Seasons::small(), 9);
    expect(array_map(fn ($line) => $line->durable, $small->seasons))->toBe([56.0, 0.0, 0.0, 0.0, 26.0, 0.0, 30.0, 0.0, 26.0]);
    // Running: seed 0.75, mix 0.132, feed 0.01, label 0.05, power 4.00, and where any is short a six-pack and the trip.
    $short = (1 - Seasons::result(Seasons::small())->crops[0]->p_enough) * (5 + 3);
    expect($small->seasons[0]->running)
        ->toBeNear(0.75 + 0.132 + 0.01 + 0.05 + 4.0 + $short)
        ->and($small->seasons[1]->cumulative)
        ->toBeNear(56 + 2 * $small->seasons[0]->running)
        ->and($small->seasons[3]->buying_cumulative)
        ->toBeNear(4 * 8.0);
});

it('counts what is owned as new in the first season', function () {
    $file = Seasons::small();
    $file['lights'][0]['owned'] = true;
    $file['containers'][0]['owned_units'] = 5;
    $file['mats'][0]['life_seasons'] = 3.5;
    expect(array_map(fn ($line) => $line->durable, years($file, 7)->seasons))->toBe([24.0, 0.0, 0.0, 0.0, 2.0 + 24.0, 0.0, 30.0]);
});

it('lets prices rise for everything alike, and values later money less', function () {
    $file = Seasons::small();
    $file['discount_rate'] = 0.08;
    $plain = years($file, 10);
    $risen = years($file, 10, 0.08);
    foreach ($risen->seasons as $i => $line) {
        expect($line->running)->toBeNear($plain->seasons[$i]->running * 1.08 ** $i);
    }
    // Rising as fast as it is discounted, each season is worth what the first prices say.
    expect($risen->present_value)->toBeNear(array_sum(array_map(fn ($line) => $line->running + $line->durable, $plain->seasons)));
    // Equal payments of 8 at the beginning of ten seasons: P/A 8 %, 10 = 6.7101 (engineering-economy tables, from memory), one season earlier.
    expect($plain->buying_present_value)->toEqualWithDelta(8.0 * 6.7101 * 1.08, 8.0 * 1.08 * 5.1e-5);
});

it('pays back in the first season by whose end it has cost no more than buying', function () {
    $file = Seasons::small();
    $file['nursery'][0]['price'] = 20.0;
    $years = years($file, 10);
    $first = array_values(array_filter($years->seasons, fn ($line) => $line->cumulative <= $line->buying_cumulative))[0]->season;
    expect($years->payback_season)->toBe($first)->toBe(4)->and(years($file, 2)->payback_season)->toBeNull();
});

it('spends durable money over a whole number of lives as the capital recovery says', function () {
    // At no discount, lives of 2, 3 and 6 seasons and 6 seasons: what is bought is the season's share of each, six times.
    $file = Seasons::small();
    [$file['lights'][0]['life_seasons'], $file['mats'][0]['life_seasons'], $file['containers'][0]['life_seasons']] = [2, 3, 6];
    $heads = Seasons::result($file)->heads;
    expect(array_sum(array_map(fn ($line) => $line->durable, years($file, 6)->seasons)))->toBeNear(
        6 * ($heads['lights'] + $heads['mats'] + $heads['containers']),
    );
});

it('has nothing to compare with where nobody sells anything', function () {
    $file = Seasons::small();
    $file['crops'][0]['nursery'] = [];
    $years = years($file, 3);
    expect($years->comparable)
        ->toBeFalse()
        ->and($years->payback_season)
        ->toBeNull()
        ->and($years->seasons[0]->buying_cumulative)
        ->toBeNull()
        ->and($years->buying_present_value)
        ->toBeNull();
});

it('is comparable where everything grown can be bought and nothing is missing', function () {
    $file = Seasons::small();
    expect(years($file, 2)->comparable)->toBeTrue();
    $file['crops'][0]['nursery'] = [];
    expect(years($file, 2)->comparable)->toBeFalse();
});

it('answers on the command line, and refuses what is no number of seasons', function () {
    $text = Seasons::json(Seasons::small());
    [$code, $out] = jolly('years - --seasons 3 --price-rise 0.02', $text);
    expect($code)
        ->toBe(0)
        ->and(array_keys(json_decode($out, true)['setups'][0]))
        ->toBe(['id', 'comparable', 'seasons', 'payback_season', 'till_payback_season', 'present_value', 'buying_present_value'])
        ->and(array_keys(json_decode($out, true)['setups'][0]['seasons'][0]))
        ->toBe(['season', 'running', 'durable', 'cumulative', 'till_cumulative', 'buying_cumulative']);
    foreach (
        [
            'years -',
            'years - --seasons 0',
            'years - --seasons many',
            'years - --seasons 3 --price-rise high',
            'years - --seasons 3 --setup bank',
        ] as $arguments
    ) {
        [$code, $out, $err] = jolly($arguments, $text);
        expect($code)->toBe(2)->and($out)->toBe('')->and($err)->not->toBe('');
    }
});

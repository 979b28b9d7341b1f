<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Drafting\OutdoorYear;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Things\Monthly;

// The rule's own anchors: 12 °C on both frosts, warmest midway; without frost 23 °C in midsummer and 14 in midwinter.

it('is at twelve degrees on the day of either frost, and warmest between', function (string $last, string $first) {
    [$spring, $autumn] = [Day::parse($last), Day::parse($first)];
    $months = OutdoorYear::months($spring, $autumn, false);
    // Straight lines between the months' means cut the curve a little.
    expect(Monthly::on($months, $spring->number))->toEqualWithDelta(12.0, 0.6)
        ->and(Monthly::on($months, $autumn->number))->toEqualWithDelta(12.0, 0.6);
    $warmest = array_keys($months, max($months))[0] + 1;
    $middle = (int) gmdate('n', intdiv($spring->number + $autumn->number, 2) * 86400);
    expect(min(abs($warmest - $middle), 12 - abs($warmest - $middle)))->toBeLessThanOrEqual(1)
        // At most 16 degrees of swing to either side of the middle of the year.
        ->and(max($months) - min($months))->toBeLessThanOrEqual(32.1);
})->with([['2027-05-15', '2027-10-01'], ['2027-06-10', '2027-09-05'], ['2027-03-20', '2027-11-20'], ['2027-10-10', '2028-05-05']]);

it('takes an unknown first frost to be as far from midsummer as the last', function () {
    // July 20 is 66 days after May 15; September 24 is 66 days after that.
    expect(OutdoorYear::months(Day::parse('2027-05-15'), null, false))
        ->toBe(OutdoorYear::months(Day::parse('2027-05-15'), Day::parse('2027-09-24'), false));
});

it('has a mild year without frost, turned round in the south', function () {
    $north = OutdoorYear::months(Day::parse('2027-02-20'), null, true);
    $south = OutdoorYear::months(Day::parse('2027-08-20'), null, true);
    expect(max($north))->toEqualWithDelta(23.0, 0.1)->and(min($north))->toEqualWithDelta(14.0, 0.1)
        ->and(array_keys($north, max($north)))->toBe([6])->and(array_keys($south, max($south)))->toBe([0]);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Calendar\Habits;
use JollyPenny\Core\Season\Day;

// Which days somebody sows on, and when nobody is at home: kept in a season's meta, read as far as it can be.

function habits(array $habits): Habits
{
    return Habits::fromMeta(json_decode((string) json_encode(['habits' => $habits])));
}

it('is away from the first day to the last, both included', function () {
    $away = habits(['away' => [['from' => '2027-04-10', 'to' => '2027-04-12']]]);
    $is = fn (string $day): bool => $away->isAway(Day::parse($day)->number);
    expect(array_map($is, ['2027-04-09', '2027-04-10', '2027-04-11', '2027-04-12', '2027-04-13']))->toBe([false, true, true, true, false]);
});

it('leaves out what cannot be read, and keeps the rest', function (array $away) {
    $habits = habits(['away' => [...$away, ['from' => '2027-04-10', 'to' => '2027-04-10']], 'sow_days' => ['soon', 6]]);
    expect($habits->isAway(Day::parse('2027-04-10')->number))->toBeTrue()
        ->and($habits->nearest(Day::parse('2027-04-14')->number))->toBe(Day::parse('2027-04-17')->number);
})->with([[['gone']], [[7]], [[['from' => '2027-04-10']]], [[['from' => 'April', 'to' => '2027-04-10']]], [[['from' => 1, 'to' => 2]]]]);

it('has no habits where none are written', function () {
    foreach ([null, new stdClass, (object) ['habits' => 'none'], (object) ['habits' => (object) ['away' => 'x', 'sow_days' => 'x']]] as $meta) {
        expect(Habits::fromMeta($meta)->isAway(20_000))->toBeFalse()->and(Habits::fromMeta($meta)->nearest(20_000))->toBe(20_000);
    }
});

it('sows on the nearest of one\'s days at home, the earlier of two as near', function () {
    $day = fn (string $date): int => Day::parse($date)->number;
    // April 14, 2027 is a Wednesday: by the calendar, Sunday is day 0.
    expect(habits(['sow_days' => [0, 6]])->nearest($day('2027-04-14')))->toBe($day('2027-04-11'))
        ->and(habits(['sow_days' => [2, 4]])->nearest($day('2027-04-14')))->toBe($day('2027-04-13'))
        ->and(habits(['sow_days' => [3]])->nearest($day('2027-04-14')))->toBe($day('2027-04-14'))
        ->and(habits(['sow_days' => [3], 'away' => [['from' => '2027-04-13', 'to' => '2027-04-15']]])->nearest($day('2027-04-14')))
        ->toBe($day('2027-04-07'));
});

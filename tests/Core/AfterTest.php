<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\RowReader;
use JollyPenny\Core\Season\Log\LogEntry;
use Tests\Oracle\Life;
use Tests\Oracle\LifeGenerator;

// The law of plants (docs/after.md) over generated lives, against a plain second account of it.

/** @param  list<array<string, mixed>>  $entries */
function bookOf(array $entries, bool $oneByOne, ?string $lastStageFrom): LogBook
{
    $once = array_values(array_column($entries, null, 'id'));
    $read = array_map(fn (array $entry): LogEntry => (new RowReader())->read(LogEntry::class, (object) $entry), $once);

    return new LogBook($read, ['crop' => [$oneByOne, $lastStageFrom === null ? null : Day::parse($lastStageFrom)->number]]);
}

$lives = (int) (getenv('JOLLY_LIVES') ?: 150);

it('agrees with the second account in every life, and breaks no law', function () use ($lives) {
    for ($seed = 1; $seed <= $lives; $seed++) {
        ['entries' => $entries, 'oneByOne' => $oneByOne, 'lastStageFrom' => $from] = (new LifeGenerator($seed))->life();
        $book = bookOf($entries, $oneByOne, $from);
        $facts = $book->crop('crop');
        $life = new Life($entries, $oneByOne, $from);
        $said = $life->state();
        expect(array_column($book->entries, 'id'))->toBe(array_column($life->standing(), 'id'), "life {$seed}")
            ->and([$facts->sites, $facts->seeds, $facts->up, $facts->bought, $facts->finished])
            ->toBe([$said['sown'], $said['seeds'], $said['up'], $said['bought'], $said['finished']], "life {$seed}")
            ->and([$facts->planted, $facts->given, $facts->sold, $facts->composted, $facts->lost])->toBe(array_values($said['gone']), "life {$seed}")
            ->and(array_keys($book->marked))->toEqualCanonicalizing($said['marked'], "life {$seed}")
            ->and($facts->alive ?? 0)->toBe($said['there'] ?? 0, "life {$seed}");
        foreach (['A', 'B', 'C', 'D', 'E'] as $tray) {
            expect($book->crop('crop', [$tray])->alive ?? 0)->toBe($said['rows'][$tray] ?? 0, "life {$seed}, tray {$tray}");
        }
        // The laws: nothing below 0; what is there and gone is what was up and bought; before a count no more leaves than was sown.
        $gone = $facts->gone + $facts->lost;
        expect(min([$facts->alive ?? 0, $gone, $facts->up ?? 0, $facts->finished]))->toBeGreaterThanOrEqual(0)
            ->and($facts->finished)->toBeLessThanOrEqual($facts->planted + $facts->given + $facts->sold)
            ->and(array_sum($said['rows']))->toBe($facts->alive ?? 0);
        if ($facts->up !== null) {
            expect($facts->alive + $gone)->toBeLessThanOrEqual($facts->up + $facts->bought, "life {$seed}");
        }
        // Where all was sown before anything else was written, no more can be up than was sown.
        $kinds = array_column($life->standing(), 'kind');
        if ($oneByOne && $facts->sites > 0 && $facts->up !== null && array_slice($kinds, 0, count(array_keys($kinds, 'sown', true))) === array_values(array_filter($kinds, fn (string $kind): bool => $kind === 'sown'))) {
            expect($facts->up)->toBeLessThanOrEqual($facts->sites, "life {$seed}");
        }
    }
});

it('comes to the same in whatever order the entries arrive, and however often', function () {
    for ($seed = 1; $seed <= 60; $seed++) {
        ['entries' => $entries, 'oneByOne' => $oneByOne, 'lastStageFrom' => $from] = (new LifeGenerator($seed))->life();
        $straight = bookOf($entries, $oneByOne, $from)->crop('crop');
        expect(bookOf([...array_reverse($entries), ...$entries], $oneByOne, $from)->crop('crop'))->toEqual($straight, "life {$seed}");
    }
});

it('lets the last of two corrections stand alone, in the place of what was corrected', function () {
    $entries = [
        ['id' => 'first-01', 'on' => '2027-04-01', 'at' => '2027-04-01T08:00:00Z', 'kind' => 'up', 'crop' => 'crop', 'tray' => 'A', 'count' => 20],
        ['id' => 'other-01', 'on' => '2027-04-02', 'at' => '2027-04-02T08:00:00Z', 'kind' => 'lost', 'crop' => 'crop', 'tray' => 'A', 'count' => 3],
        ['id' => 'fix-0001', 'on' => '2027-04-03', 'at' => '2027-04-03T08:00:00Z', 'kind' => 'up', 'crop' => 'crop', 'tray' => 'A', 'count' => 18, 'corrects' => 'first-01'],
        ['id' => 'fix-0002', 'on' => '2027-04-03', 'at' => '2027-04-03T09:00:00Z', 'kind' => 'up', 'crop' => 'crop', 'tray' => 'A', 'count' => 19, 'corrects' => 'first-01'],
    ];
    $book = bookOf($entries, true, null);
    // 19 were up on the day of the first count, and 3 of them were lost a day later.
    expect(array_column($book->entries, 'id'))->toBe(['fix-0002', 'other-01'])->and($book->crop('crop')->up)->toBe(19)->and($book->crop('crop')->alive)->toBe(16);
});

it('refuses what cannot be in words that say what there is, and marks what was kept all the same', function () {
    $entries = [
        ['id' => 'sown-001', 'on' => '2027-04-01', 'at' => '2027-04-01T08:00:00Z', 'kind' => 'sown', 'crop' => 'crop', 'count' => 10],
        ['id' => 'up-00001', 'on' => '2027-04-09', 'at' => '2027-04-09T08:00:00Z', 'kind' => 'up', 'crop' => 'crop', 'count' => 7],
        ['id' => 'lost-001', 'on' => '2027-04-20', 'at' => '2027-04-20T08:00:00Z', 'kind' => 'lost', 'crop' => 'crop', 'count' => 2],
    ];
    $say = fn (string $kind, int $count): ?string => bookOf([...$entries, ['id' => 'new-0001', 'on' => '2027-05-20', 'at' => '2027-05-20T08:00:00Z',
        'kind' => $kind, 'crop' => 'crop', 'count' => $count]], true, null)->marked['new-0001'] ?? null;
    expect($say('planted', 5))->toBeNull()->and($say('planted', 40))->toBe('5 are there, not 40. Count again, or give at most 5.')
        ->and($say('up', 9))->toContain('10 were sown and 2 are gone')->and($say('up', 8))->toBeNull()->and($say('lost', 6))->not->toBeNull();
    $late = bookOf([...$entries, ['id' => 'out-0001', 'on' => '2027-05-20', 'at' => '2027-05-20T08:00:00Z', 'kind' => 'planted', 'crop' => 'crop', 'count' => 40]], true, null);
    expect($late->crop('crop')->planted)->toBe(5)->and($late->marked)->toHaveKey('out-0001');
});

it('composts what is left once its owner says that the season is over', function () {
    $entries = [
        ['id' => 'up-00001', 'on' => '2027-04-09', 'at' => '2027-04-09T08:00:00Z', 'kind' => 'up', 'crop' => 'crop', 'count' => 9],
        ['id' => 'out-0001', 'on' => '2027-05-20', 'at' => '2027-05-20T08:00:00Z', 'kind' => 'planted', 'crop' => 'crop', 'count' => 6],
    ];
    $over = [...$entries, ['id' => 'over-001', 'on' => '2027-06-01', 'at' => '2027-06-01T08:00:00Z', 'kind' => 'done', 'job' => 'season-over']];
    expect(bookOf($entries, true, null)->crop('crop')->alive)->toBe(3)
        ->and(bookOf($over, true, null)->crop('crop')->alive)->toBe(0)->and(bookOf($over, true, null)->crop('crop')->composted)->toBe(3);
});

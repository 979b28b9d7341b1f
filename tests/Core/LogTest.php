<?php

declare(strict_types=1);

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Log\LogEntry;
use Tests\Logs;
use Tests\Seasons;

it('counts what is there: a count begins anew, losses and gifts are taken off it', function () {
    $facts = Logs::book([
        ['2027-04-08', 'sown', ['crop' => 'a', 'tray' => 'C', 'count' => 12, 'seeds' => 24]],
        ['2027-04-14', 'up', ['crop' => 'a', 'tray' => 'C', 'count' => 7]],
        ['2027-04-16', 'up', ['crop' => 'a', 'tray' => 'C', 'count' => 10]],
        ['2027-04-20', 'lost', ['crop' => 'a', 'tray' => 'C', 'count' => 2, 'cause' => 'gnats']],
        ['2027-05-08', 'potted_on', ['crop' => 'a', 'tray' => 'J', 'count' => 8, 'job' => 'a-stage-2']],
        ['2027-05-20', 'lost', ['crop' => 'a', 'count' => 1, 'cause' => 'eaten']],
        ['2027-06-04', 'planted', ['crop' => 'a', 'count' => 5]],
        ['2027-06-04', 'given', ['crop' => 'a', 'count' => 1]],
        ['2027-06-05', 'sold', ['crop' => 'b', 'count' => 9]],
    ])->crop('a');
    expect([$facts->sown_on, $facts->sites, $facts->seeds, $facts->up, $facts->up_of, $facts->counted_on])
        ->toBe(['2027-04-08', 12, 24, 10, 12, '2027-04-16'])
        ->and($facts->alive)->toBe(8 - 1 - 5 - 1)
        ->and($facts->causes)->toBe([['cause' => 'gnats', 'count' => 2], ['cause' => 'eaten', 'count' => 1]])
        ->and([$facts->planted, $facts->given, $facts->sold, $facts->finished])->toBe([5, 1, 0, 6]);
});

it('keeps counts of several trays side by side, and what one job moves', function () {
    $book = Logs::book([
        ['2027-04-08', 'sown', ['crop' => 'a', 'tray' => 'C', 'count' => 6, 'seeds' => 6]],
        ['2027-04-08', 'sown', ['crop' => 'a', 'tray' => 'D', 'count' => 24, 'seeds' => 24]],
        ['2027-04-14', 'up', ['crop' => 'a', 'tray' => 'C', 'count' => 5]],
        ['2027-04-14', 'up', ['crop' => 'a', 'tray' => 'D', 'count' => 20]],
        ['2027-04-15', 'up', ['crop' => 'a', 'tray' => 'D', 'count' => 22]],
    ]);
    expect($book->crop('a')->up)->toBe(27)->and($book->crop('a')->alive)->toBe(27)->and($book->crop('a')->up_of)->toBe(30)
        ->and($book->crop('a', ['C'])->up)->toBe(5)->and($book->crop('a', ['C'])->sites)->toBe(6);
    $moved = [...$book->all, Logs::entry(90, '2027-05-08', 'potted_on', ['crop' => 'a', 'tray' => 'J', 'count' => 9, 'job' => 'a-stage-2']),
        Logs::entry(91, '2027-05-08', 'potted_on', ['crop' => 'a', 'tray' => 'K', 'count' => 7, 'job' => 'a-stage-2'])];
    // 16 are moved; the 11 that nothing was said of stay where they stood.
    expect((new LogBook($moved))->crop('a')->alive)->toBe(27)->and((new LogBook($moved))->crop('a', ['J', 'K'])->alive)->toBe(16);
});

it('corrects, takes back and takes back again, and loses nothing', function () {
    $up = fn (int $n, int $count, ?string $corrects = null): LogEntry => Logs::entry($n, '2027-04-14', 'up', ['crop' => 'a',
        'count' => $count, 'corrects' => $corrects]);
    $undo = fn (int $n, string $corrects): LogEntry => Logs::entry($n, '2027-04-14', 'undo', ['corrects' => $corrects]);
    $said = fn (array $all): array => array_map(fn (LogEntry $entry): ?int => $entry->count, (new LogBook($all))->entries);
    expect($said([$up(1, 7)]))->toBe([7])
        ->and($said([$up(1, 7), $up(2, 8, 'entry-00001')]))->toBe([8])
        ->and($said([$up(1, 7), $undo(2, 'entry-00001')]))->toBe([])
        ->and($said([$up(1, 7), $undo(2, 'entry-00001'), $undo(3, 'entry-00002')]))->toBe([7])
        ->and($said([$up(1, 7), $up(2, 8, 'entry-00001'), $undo(3, 'entry-00002')]))->toBe([7])
        ->and($said([$up(1, 7), $up(2, 8, 'nobody-0000')]))->toBe([7, 8])
        ->and((new LogBook([$up(1, 7), $undo(2, 'entry-00001')]))->all)->toHaveCount(2);
});

it('comes to the same whichever of two hands is heard first', function () {
    mt_srand(27);
    for ($round = 0; $round < 60; $round++) {
        $entries = [];
        for ($n = 0; $n < 40; $n++) {
            $kind = ['sown', 'up', 'lost', 'planted', 'thinned', 'potted_on', 'undo', 'up'][mt_rand(0, 7)];
            $entries[] = Logs::entry($n, '2027-04-'.sprintf('%02d', mt_rand(8, 28)), $kind, [
                'crop' => ['a', 'b'][mt_rand(0, 1)], 'tray' => [null, 'C', 'D'][mt_rand(0, 2)], 'count' => mt_rand(0, 12),
                'corrects' => $kind === 'undo' || mt_rand(0, 9) === 0 ? sprintf('entry-%05d', mt_rand(0, 39)) : null,
            ]);
        }
        $book = new LogBook($entries);
        $before = serialize([$book->entries, $book->crop('a'), $book->crop('b')]);
        shuffle($entries);
        $book = new LogBook($entries);
        expect(serialize([$book->entries, $book->crop('a'), $book->crop('b')]))->toBe($before);
    }
});

it('stands in the season file, and changes no figure of the plan', function () {
    $file = Seasons::small();
    $plain = json_encode(Seasons::result($file));
    $file['trays'] = [['id' => 'A', 'container' => 'cell72', 'columns' => 6, 'runs' => [['crop' => 'lantern', 'row' => 3, 'sites' => 6]]]];
    $file['trials'] = [['id' => 't', 'name' => 'T', 'sides' => [['name' => 'x', 'crops' => ['lantern']], ['name' => 'y',
        'crops' => ['gone'], 'trays' => ['A']]]]];
    $file['log'] = [
        ['id' => 'entry-0001', 'on' => '2027-04-22', 'at' => '2027-04-22T10:00:00.25Z', 'kind' => 'sown', 'crop' => 'lantern', 'count' => 6, 'seeds' => 6],
        ['id' => 'entry-0002', 'on' => '2027-05-01', 'at' => '2027-05-01T10:00:00Z', 'kind' => 'lost', 'crop' => 'lantern', 'count' => 1,
            'cause' => 'frozen', 'note' => 'a “cold” night'],
    ];
    $read = Seasons::read($file);
    expect((new SeasonReader)->read((new SeasonWriter)->toJson($read)))->toEqual($read)
        ->and(json_encode(Seasons::result($file)))->toBe($plain)
        ->and($read->log[1]->cause?->value)->toBe('frozen')
        ->and($read->trials[0]->sides[1]->trays)->toBe(['A']);
});

it('refuses entries that cannot be', function (array $wrong, string $path) {
    $file = Seasons::small();
    $file['log'] = [[...['id' => 'entry-0001', 'on' => '2027-04-22', 'at' => '2027-04-22T10:00:00Z', 'kind' => 'up', 'crop' => 'lantern',
        'count' => 3], ...$wrong]];
    expect(Seasons::faults($file))->toContain('$.log[0].'.$path);
})->with([
    [['kind' => 'eaten'], 'kind'],
    [['on' => '2027-04-31'], 'on'],
    [['on' => '2031-04-22'], 'on'],
    [['at' => 'yesterday'], 'at'],
    [['count' => -1], 'count'],
    [['count' => 2.5], 'count'],
    [['cause' => 'bad luck'], 'cause'],
    [['id' => 'short'], 'id'],
    [['row' => 0], 'row'],
    [['colour' => 'red'], 'colour'],
]);

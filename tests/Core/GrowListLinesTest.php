<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Drafting\PastedLine;
use JollyPenny\Core\Plan\Drafting\PastedList;
use JollyPenny\Core\Plan\Drafting\WrittenAmount;
use JollyPenny\Core\Season\Catalogue\Catalogue;

// Lines as people write them, each with what it should be taken for ("?" is asked back; "-" gives no number). The first three hundred were
// written before this reader was, the hundred after it without a look at it. Common practice, no source.

/** @return list<array{string, string}> */
function writtenLines(string $file): array
{
    $rows = array_slice(file(__DIR__."/../fixtures/grow-lists/{$file}.csv", FILE_IGNORE_NEW_LINES) ?: [], 1);

    return array_map(fn (string $row): array => explode(';', $row, 2), $rows);
}

/** What a line was taken for, in the words of the files. */
function takenFor(string $text): string
{
    static $species = null;
    $species ??= (new Catalogue())->species();

    return implode(' + ', array_map(fn (PastedLine $line): string => match (true) {
        $line->question === null => $line->species.' '.($line->wanted ?? '-').($line->isAutumn ? ' autumn' : ''),
        $line->species !== null => "{$line->species} ?",
        default => $line->nearest === [] ? 'not-seed' : '?',
    }, (new PastedList($text, $species))->lines));
}

it('understands a line or asks, and takes none for something else', function (string $file, int $least) {
    $lines = writtenLines($file);
    $wrong = [];
    $right = 0;
    foreach ($lines as [$text, $expected]) {
        $taken = takenFor($text);
        $plain = trim((string) preg_replace('/ ?"[^"]*"/', '', $expected));
        $asks = str_contains($taken, '?') || $taken === 'not-seed';
        $right += $taken === $plain || ($plain === '?' && $asks) ? 1 : 0;
        $taken === $plain || $asks ?: $wrong[] = "{$text}: {$taken} instead of {$expected}";
    }
    expect($wrong)->toBe([])->and(count($lines) - $right)->toBeLessThanOrEqual(count($lines) - $least);
})->with([['first-300', 310], ['next-100', 99], ['last-50', 49]]);

it('keeps the variety apart from the species', function () {
    foreach ([...writtenLines('first-300'), ...writtenLines('last-50')] as [$text, $expected]) {
        if (preg_match('/"([^"]*)"/', $expected, $variety) === 1) {
            $lines = (new PastedList($text, (new Catalogue())->species()))->lines;
            expect(array_column($lines, 'variety'))->toBe([$variety[1]], $text);
        }
    }
});

it('asks in words that say what is missing, and offers the nearest three', function (string $text, string $question, array $nearest) {
    [$line] = (new PastedList($text, (new Catalogue())->species()))->lines;
    expect($line->question)->toContain($question)->and(array_column($line->nearest, 'id'))->toBe($nearest);
})->with([
    ['3 rows beans', '“3 rows” of snap bean: how many plants is that? A metre of a row holds about 10.', []],
    ['1 pkt carrots', 'says how much seed. How many plants of carrot do you want?', []],
    ['2 squash', 'can be summer squash or winter squash', ['summer_squash', 'winter_squash']],
    ['4 bitter melon', 'is not in the catalogue', ['muskmelon', 'cucumber', 'watermelon']],
    ['5 garlic', 'Garlic is not raised from seed: plant cloves', []],
    ['0 tomatoes', '“0” is no number of plants', []],
    ['3,5 peppers', '“3,5” is no number of plants', []],
    ['1.500 kale', '“1.500” is no number of plants', []],
    ['½ kale', '“1/2” is no number of plants', []],
    ['2 x 3 tomato', '“2 x 3” is no number of plants', []],
    ['10001 leeks', 'more than a season can hold. How many plants of leek do you want, up to 10000?', []],
]);

it('reads cells in either order, with a variety beside its species, and crops beside each other', function (string $text, string $taken) {
    expect(takenFor($text))->toBe($taken);
})->with([
    ['3,tomato', 'tomato 3'],
    ['12,Tomato,Brandywine', 'tomato 12'],
    ['12 tomato, Brandywine, Roma', 'tomato 12 + tomato -'],
    ['8 tomatoes, paste tomatoes', 'tomato 8 + tomato -'],
    ['6 tomato, 3 brandywine', 'tomato 6 + tomato 3'],
    ['6 basil, 1,200 leeks', 'basil 6 + leek 1200'],
    ['10000 leeks', 'leek 10000'],
]);

it('lets no input break it', function () {
    mt_srand(7);
    $letters = preg_split('//u', "ab½é 0123456789,;.\t\n/-–x×*()[]\"'’tomato dozen six-pack each of and & 🍅", -1, PREG_SPLIT_NO_EMPTY);
    for ($i = 0; $i < 400; $i++) {
        $text = implode('', array_map(fn (): string => $letters[mt_rand(0, count($letters) - 1)], range(1, 60)));
        foreach ((new PastedList($text, (new Catalogue())->species()))->lines as $line) {
            expect(mb_check_encoding($line->variety, 'UTF-8'))->toBeTrue()->and($line->question ?? 'none')->not->toBe('')
                ->and($line->wanted === null || ($line->wanted >= 1 && $line->wanted <= WrittenAmount::most()))->toBeTrue($text);
        }
    }
});

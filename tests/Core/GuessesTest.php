<?php

declare(strict_types=1);

use JollyPenny\Core\Deciding\Advising\FirstList;
use JollyPenny\Core\Deciding\Advising\Guess;
use JollyPenny\Core\Deciding\Advising\Guesses;
use JollyPenny\Core\Plan\Drafting\Starter;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Showing\Workings\Origins;

// docs/guesses.md, rule by rule.

/** A season of four answers. */
function begun(string $list = '8 tomato, 6 sweet pepper, 10 zinnia'): stdClass
{
    $document = Starter::season('Begun', Day::parse('2027-05-15'), 0.18, 'USD', true, ['led']);
    expect(FirstList::add($document, $list))->toBe([]);

    return $document;
}

/** @return array<string, Guess> by path */
function guessesOf(stdClass $document, bool $ranked = true): array
{
    $season = (new SeasonReader())->readDocument($document);
    $found = (new Guesses($season, $season->setups[0], (new Origins($document))->isGuess(...)))->all($ranked);

    return array_combine(array_map(fn (Guess $guess): string => implode('.', $guess->path), $found), $found);
}

function put(stdClass $document, string $path, mixed $to): stdClass
{
    (new DocumentPath(explode('.', $path)))->set($document, $to);

    return $document;
}

it('counts what is the catalogue\'s, and nothing that was typed or said to be right', function () {
    $before = guessesOf(begun());
    expect($before)->toHaveKeys(['nursery.single.price', 'seed_lots.tomato.packet_price', 'lights.led-shop.watts', 'places.bench.temp_c'])
        ->and($before)->not->toHaveKey('electricity.rate');
    $typed = guessesOf(put(begun(), 'seed_lots.tomato.packet_price', 2.2));
    expect(array_diff_key($before, $typed))->toHaveKeys(['seed_lots.tomato.packet_price'])->toHaveCount(1);
    $right = begun();
    $row = array_column($right->nursery, null, 'id')['single'];
    $row->meta->known = ['price'];
    expect(array_diff_key($before, guessesOf($right)))->toHaveKeys(['nursery.single.price'])->toHaveCount(1);
    $warm = begun();
    unset(array_column($warm->places, null, 'id')['bench']->meta->guess);
    expect(array_diff_key($before, guessesOf($warm)))->toHaveKeys(['places.bench.temp_c'])->toHaveCount(1);
});

it('lists nothing that the set-up does not use', function () {
    $document = begun();
    // A windowsill that no method of the set-up has.
    expect(array_column($document->places, 'id'))->toContain('sill')->and(guessesOf($document))->not->toHaveKey('places.sill.temp_c');
});

it('begins with what moves the answer most, as the season costed with it says', function () {
    $document = begun();
    $guesses = guessesOf($document);
    $moves = array_map(fn (Guess $guess): float => $guess->moves, array_values($guesses));
    expect($moves)->toBe(collect($moves)->sortDesc()->values()->all())->and($moves[0])->toBeGreaterThan(1.0);
    $keep = function (stdClass $document): float {
        $season = (new SeasonReader())->readDocument($document);

        return (float) (new SeasonCosting($season))->setup($season->setups[0])->keep;
    };
    $planned = $keep(begun());
    $plain = array_filter($guesses, fn (Guess $guess): bool => $guess->path[0] !== 'places');
    expect($plain)->toHaveKey('lights.led-shop.life_seasons');
    foreach (array_keys($plain) as $path) {
        $then = $keep(put(begun(), $path, $guesses[$path]->value * 1.4));
        expect($guesses[$path]->moves)->toEqualWithDelta(abs($then - $planned), 1e-9);
    }
    $room = $guesses['places.bench.temp_c'];
    expect($room->moves)->toEqualWithDelta(abs($keep(put(begun(), 'places.bench.temp_c', $room->value - 2.0)) - $planned), 1e-9);
});

it('has the same guesses without working out what they move, and bounds that work for a long list', function () {
    expect(array_diff_key(guessesOf(begun()), guessesOf(begun(), false)))->toBe([])
        ->and(array_sum(array_map(fn (Guess $guess): float => $guess->moves, guessesOf(begun(), false))))->toBe(0.0);
    $long = implode("\n", array_map(fn (int $n): string => '3 tomato Sort'.chr(97 + $n % 26).chr(97 + intdiv($n, 26)), range(1, 60)));
    $costed = array_filter(guessesOf(begun($long)), fn (Guess $guess): bool => $guess->moves > 0.0 && $guess->path[0] !== 'places');
    expect(count($costed))->toBeLessThanOrEqual(6)->and(array_keys($costed)[0])->toStartWith('nursery.');
});

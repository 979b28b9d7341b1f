<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Sowing\Known;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

it('works out once what follows from the same, and keeps what was of use', function () {
    $known = new Known(['old' => 1]);
    $times = 0;
    $ask = function (Known $known) use (&$times): int {
        return $known->recall('a chain', function () use (&$times): int {
            $times++;

            return 42;
        });
    };
    expect($ask($known))->toBe(42)->and($ask($known))->toBe(42)->and($times)->toBe(1)->and($known->hasGrown())->toBeTrue();
    $again = new Known($known->answers());
    expect($ask($again))->toBe(42)->and($times)->toBe(1)->and($again->hasGrown())->toBeFalse()
        ->and($known->answers())->toHaveCount(2)->and($known->answers())->toHaveKey('old');
    $many = new Known(array_fill_keys(range(1, 5000), 0));
    $ask($many);
    expect($many->answers())->toHaveCount(2000)->and(array_values($many->answers())[0])->toBe(42);
});

it('comes to the same figures with answers of a season that was a little different', function (int $seed) {
    $file = (new SeasonGenerator($seed))->season();
    $before = new SeasonCosting(Seasons::read($file));
    $before->result();
    // One plant more, another certainty, luck and mishap, other prices: what was known must not be taken for what is.
    isset($file['crops'][0]['split']) ?: $file['crops'][0]['wanted']++;
    $changes = [[], ['confidence' => 0.8], ['luck' => 0.01], ['mishap' => 0.005],
        ['nursery' => array_map(fn (array $offer): array => ['price' => $offer['price'] ** 1.5] + $offer, $file['nursery'])],
        ['methods' => array_map(fn (array $method): array => ['round_sites_to' => ($method['round_sites_to'] ?? 1) + 4] + $method, $file['methods'])],
        // Each in a week of its own, so that a mishap takes no two together.
        ['crops' => array_map(fn (array $crop, int $n): array => ['plant_out_offset_days' => ($crop['plant_out_offset_days'] ?? 0) + 9 * $n] + $crop,
            $file['crops'], array_keys($file['crops']))]];
    foreach ($changes as $change) {
        $season = Seasons::read($change + $file);
        $first = new SeasonCosting($season);
        $plain = json_encode($first->result());
        foreach ([$before, $first] as $earlier) {
            $answers = $earlier->known->answers();
            expect(json_encode((new SeasonCosting($season, known: new Known($answers)))->result()))->toBe($plain);
        }
    }
})->with(range(92_000, 92_029));

it('takes no chance of one demo for that of another', function (array $first, array $then) {
    $demo = Seasons::demo();
    $of = fn (array $change): array => array_replace_recursive($demo, ['mishap' => 0.3], $change);
    $before = new SeasonCosting(Seasons::read($of($first)));
    $before->result();
    $season = Seasons::read($of($then));
    $plain = (new SeasonCosting($season))->result();
    expect(json_encode((new SeasonCosting($season, known: new Known($before->known->answers())))->result()))->toBe(json_encode($plain));
})->with([
    'nursery prices' => [[], ['nursery' => array_map(fn (array $offer): array => ['price' => $offer['price'] / 3], Seasons::demo()['nursery'])]],
    'weeks of sowing' => [[], ['crops' => array_map(fn (int $n): array => ['plant_out_offset_days' => 7 * $n], range(0, 11))]],
]);

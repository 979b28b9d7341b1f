<?php

declare(strict_types=1);

use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Sowing\Known;
use Tests\Oracle\SeasonGenerator;
use Tests\Seasons;

it('works out once what follows from the same, and keeps what was of use', function () {
    $known = new Known(['old' => 1]);
    $times = 0;
    $ask = function (Known $known) use (&$times): int {
        return $known->of('a chain', function () use (&$times): int {
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
        ['nursery' => array_map(fn (array $offer): array => ['price' => $offer['price'] + 0.37] + $offer, $file['nursery'])]];
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

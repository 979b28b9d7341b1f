<?php

declare(strict_types=1);

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Seasons;

// The odds played out: seeds, plants, packets, seasons and mishaps drawn one by one, sharing nothing with the core but how much is sown
// and moved on. Draws are of a fixed seed, so that the test says the same each time.

const PLAYED = 100_000;

/** @return array<string, mixed> two crops a fortnight apart, sown in cells, potted on, hardened off */
function twoPottedCrops(): array
{
    $file = Seasons::small();
    [$file['luck'], $file['mishap'], $file['nursery'][0]['plants'], $file['nursery'][0]['price']] = [0.15, 0.05, 2, 7.0];
    $file['seed_lots'][0]['test'] = ['sown' => 10, 'sprouted' => 9];
    $file['containers'][] = ['id' => 'pot', 'sites_per_unit' => 1] + $file['containers'][0];
    $stages = &$file['methods'][0]['stages'];
    [$stages[1]['container'], $stages[1]['survival'], $stages[2]['survival']] = ['pot', 0.85, 0.9];
    $file['lights'][0]['price'] = $file['mats'][0]['price'] = 1;
    $file['crops'][0]['wanted'] = 5;
    $file['crops'][] = ['id' => 'second', 'wanted' => 3, 'plant_out_offset_days' => 21] + $file['crops'][0];

    return $file;
}

it('agrees with a hundred thousand seasons played out', function () {
    $file = twoPottedCrops();
    $result = Seasons::result($file);
    $random = new Randomizer(new Xoshiro256StarStar(20_270_520));
    $happens = fn (float $p): bool => $random->getInt(0, 2 ** 30 - 1) < $p * 2 ** 30;
    $lives = function (int $plants, float $p) use ($happens): int {
        for ($alive = 0; $plants > 0; $plants--) {
            $alive += $happens($p) ? 1 : 0;
        }

        return $alive;
    };
    // v = (20 · 0.9 + 9) / 30 = 0.9, known like thirty seeds; 91 of the best 98 come up at 25 °C.
    $packets = [(0.9 - 2 * sqrt(0.09 / 31)) * 91 / 98, (0.9 + sqrt(0.09 / 31) / 2) * 91 / 98];
    $whole = 0.95 * 0.85 * 0.9;
    $deviation = sqrt(0.15 * $whole * (1 - $whole));
    $powers = [log($whole - 2 * $deviation) / log($whole), log($whole + $deviation / 2) / log($whole)];
    $buying = 3 * 7.0 + 2 * 7.0 + 3;
    $part = $buying / 1000;
    $own = $result->crops[0]->cost + $result->crops[1]->cost;
    $enough = [0, 0];
    $all = $kept = 0;
    $useful = [];
    for ($season = 0; $season < PLAYED; $season++) {
        $power = $powers[$happens(0.2) ? 0 : 1];
        $got = 0;
        $missed = 0.0;
        $filled = true;
        foreach ($result->crops as $i => $crop) {
            $g = $packets[$happens(0.2) ? 0 : 1];
            $up = $happens(0.05) ? 0 : $lives($lives($crop->sites, $g), 0.95 ** $power);
            $finished = $lives($lives(min($up, $crop->stages[1]->sites), 0.85 ** $power), 0.9 ** $power);
            $wanted = $file['crops'][$i]['wanted'];
            $enough[$i] += $finished >= $wanted ? 1 : 0;
            $filled = $filled && $finished >= $wanted;
            $got += min($finished, $wanted);
            $missed += floor(ceil(max(0, $wanted - $finished) / 2) * 7.0 / $part + 0.5 + 1e-9);
        }
        $all += $filled ? 1 : 0;
        // Nothing else is bought, so what is missing costs a trip.
        $missed += $missed > 0.0 ? floor($file['nursery_trip_cost'] / $part + 0.5 + 1e-9) : 0.0;
        $kept += $missed <= floor(($buying - $own) / $part + 1e-9) ? 1 : 0;
        $useful[] = $got;
    }
    // Four standard errors of a share of so many.
    $near = fn (float $share, float $played) => expect(abs($share - $played / PLAYED))->toBeLessThan(4 * sqrt(0.25 / PLAYED));
    $near($result->crops[0]->p_enough, $enough[0]);
    $near($result->crops[1]->p_enough, $enough[1]);
    $near($result->p_all_enough, $all);
    $near($result->p_keep, $kept);
    sort($useful);
    expect($result->useful_low)
        ->toBe($useful[(int) (PLAYED * 0.1) - 1])
        ->and($result->useful_high)
        ->toBe($useful[(int) (PLAYED * 0.9) - 1])
        ->and($result->useful)
        ->toEqualWithDelta(array_sum($useful) / PLAYED, 0.03)
        ->and($result->p_keep)
        ->toBeGreaterThan(0.1)
        ->toBeLessThan(0.99);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Years\YearsCosting;
use Tests\Oracle\SeasonGenerator;
use Tests\Reference\Libraries;
use Tests\Seasons;

it('values several seasons as the library financial does, and pays back where its sums cross', function () {
    $questions = $ours = [];
    for ($seed = 95_000; $seed < 95_060; $seed++) {
        $file = ['discount_rate' => 0.01 * ($seed % 15)] + (new SeasonGenerator($seed))->season();
        $results = array_column((new SeasonCosting(Seasons::read($file)))->result()['setups'], null, 'id');
        foreach ((new YearsCosting(Seasons::read($file), 8, 0.03))->result()['setups'] as $setup) {
            $spent = array_map(fn ($line) => $line->running + $line->durable, $setup->seasons);
            $questions[] = ['npv', $file['discount_rate'], $spent];
            $ours[] = $setup->present_value;
            if ($setup->buying_present_value !== null) {
                $buying = array_map(fn ($line) => $line->buying_cumulative, $setup->seasons);
                $questions[] = [
                    'npv',
                    $file['discount_rate'],
                    array_map(fn ($total, $before) => $total - $before, $buying, [0.0, ...array_slice($buying, 0, -1)]),
                ];
                $ours[] = $setup->buying_present_value;
                $crossed = array_keys(array_filter($setup->seasons, fn ($line) => $line->cumulative <= $line->buying_cumulative));
                $grows = array_filter(array_column($results[$setup->id]->crops, 'grown')) !== [];
                expect($setup->payback_season)->toBe($crossed === [] || ! $grows ? null : $crossed[0] + 1);
            }
        }
    }
    foreach (Libraries::answers($questions) as $i => $theirs) {
        expect($ours[$i])->toBeNear($theirs, 1e-9);
    }
    expect(count($ours))->toBeGreaterThan(120);
});

it('agrees with the engineering-economy tables on the worth of equal seasons', function (float $rate, int $seasons, float $printed) {
    // Columns P/A of compound interest tables (values from memory); seasons are paid at their beginning, the tables at their end.
    $file = ['discount_rate' => $rate] + Seasons::small();
    $years = (new YearsCosting(Seasons::read($file), $seasons))->result()['setups'][0];
    expect($years->buying_present_value / 8.0 / (1 + $rate))->toEqualWithDelta($printed, 5.1e-5);
})->with([[0.05, 5, 4.3295], [0.1, 10, 6.1446], [0.08, 10, 6.7101]]);

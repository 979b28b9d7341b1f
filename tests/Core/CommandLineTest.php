<?php

declare(strict_types=1);

$small = escapeshellarg(__DIR__.'/../fixtures/one-crop.json');

it('prints the result of a file, a set-up, or standard input', function () use ($small) {
    [$code, $out, $err] = jolly("cost {$small}");
    $result = json_decode($out, true);
    expect($code)
        ->toBe(0)
        ->and($err)
        ->toBe('')
        ->and($result['format'])
        ->toBe('jolly-penny/result')
        ->and($result['setups'][0]['cost'])
        ->toBeNear(16.442);
    expect(jolly("cost {$small} --setup bench")[1])
        ->toBe($out)
        ->and(jolly('cost -', (string) file_get_contents(__DIR__.'/../fixtures/one-crop.json'))[1])
        ->toBe($out);
});

it('has every key, in the order of the specification of the result', function () use ($small) {
    $setup = json_decode(jolly("cost {$small}")[1], true)['setups'][0];
    expect(array_keys($setup))
        ->toBe([
            'id',
            'cost',
            'cost_with_time',
            'cash_now',
            'electricity_bill',
            'hours',
            'finished',
            'useful',
            'useful_low',
            'useful_high',
            'surplus',
            'per_finished',
            'per_finished_low',
            'per_finished_high',
            'per_raised',
            'p_all_enough',
            'fill_cost',
            'filled',
            'per_wanted',
            'missing',
            'buy_total',
            'nursery_per_plant',
            'same_per_plant',
            'keep',
            'p_keep',
            'income',
            'implied_wage',
            'crowded_days',
            'heads',
            'kwh',
            'places',
            'lights',
            'shopping',
            'crops',
            'warnings',
        ])
        ->and(array_keys($setup['crops'][0]))
        ->toBe([
            'id',
            'method',
            'grown',
            'warnings',
            'cold_on',
            'late_days',
            'p_frost',
            'sow_on',
            'plant_out_on',
            'g',
            'q',
            'seeds',
            'sites',
            'finished',
            'p_enough',
            'shortfall',
            'shortfall_cost',
            'useful',
            'useful_low',
            'useful_high',
            'surplus',
            'heads',
            'cost',
            'per_finished',
            'per_finished_low',
            'per_finished_high',
            'extra_cost',
            'buy_cost',
            'verdict',
            'income',
            'hours',
            'stages',
        ]);
});

it('refuses with exit 2, nothing on standard output and a line a fault', function (string $arguments, string $input, string $says) {
    [$code, $out, $err] = jolly($arguments, $input);
    expect($code)->toBe(2)->and($out)->toBe('')->and($err)->toContain($says)->not->toContain('Stack trace')->not->toContain('#0');
})->with([
    'no command' => ['', '', 'Usage'],
    'no file' => ['cost /nowhere.json', '', 'cannot be read'],
    'a directory' => ['cost /tmp', '', 'is a directory'],
    'empty' => ['cost -', '', 'empty'],
    'prices that fall to nothing' => ["years {$small} --seasons 3 --price-rise -1", '', '--price-rise'],
    'prices that more than double' => ["years {$small} --seasons 3 --price-rise 1.01", '', '--price-rise'],
    'more years than a limit is looked ahead' => ["budget {$small} --setup bench --limit 5 --seasons 11", '', '--seasons'],
    'a limit below nothing' => ["budget {$small} --setup bench --limit -0.01", '', '--limit'],
    'faults' => ['cost -', '{"format":"jolly-penny/season"}', '$.crops: "crops" is missing.'],
    'unknown set-up' => ["cost {$small} --setup bank", '', 'The file has: bench'],
    'unknown option' => ["cost {$small} --setups bench", '', 'Usage'],
]);

it('takes a limit of nothing, and prices that fall or double', function () use ($small) {
    $years = "years {$small} --seasons 3";
    foreach (["budget {$small} --setup bench --limit 0", "{$years} --price-rise -0.99", "{$years} --price-rise 1"] as $arguments) {
        [$code, , $err] = jolly($arguments);
        expect([$code, $err])->toBe([0, ''], $arguments);
    }
});

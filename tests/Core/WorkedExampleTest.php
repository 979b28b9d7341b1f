<?php

declare(strict_types=1);

use JollyPenny\Core\Plan\Results\SeasonCosting;
use Tests\Seasons;

/** Rows that have an id are compared by it: the rules order them by the file. */
function byId(array $rows): array
{
    foreach ($rows as $key => $value) {
        $rows[$key] = is_array($value) ? byId($value) : $value;
    }
    $keys = array_map(fn ($row) => is_array($row) && isset($row['id']) ? ($row['kind'] ?? '').'/'.$row['id'] : null, $rows);

    return array_is_list($rows) && $rows !== [] && ! in_array(null, $keys, true) ? array_combine($keys, $rows) : $rows;
}

function sameFigures(mixed $got, mixed $expected, string $path, int &$compared): void
{
    if (is_array($expected)) {
        expect(is_array($got))
            ->toBeTrue($path)
            ->and(array_diff_key($got, $expected))
            ->toBe([], $path)
            ->and(array_diff_key($expected, $got))
            ->toBe([], $path);
        foreach ($expected as $key => $value) {
            sameFigures($got[$key], $value, "{$path}.{$key}", $compared);
        }
    } elseif (is_numeric($expected)) {
        $compared++;
        expect(abs($got - $expected) <= 1e-6 * max(1e-3, abs($expected)))->toBeTrue("{$path}: {$got}, expected {$expected}");
    } else {
        $compared++;
        expect($got)->toBe($expected, $path);
    }
}

it('gives every figure of the worked example', function () {
    $result = (new SeasonCosting(Seasons::read(Seasons::demo())))->result();
    $got = byId(json_decode((string) json_encode($result), true));
    $expected = byId(json_decode((string) file_get_contents(__DIR__.'/../fixtures/pennywhistle-result.json'), true));
    $compared = 0;
    sameFigures($got, $expected, '', $compared);
    expect($compared)->toBeGreaterThan(5000);
});

it('prints rows in the order of the file and shopping by kind', function () {
    $season = Seasons::demo();
    $result = Seasons::result($season);
    expect(array_column($result->crops, 'id'))
        ->toBe(array_column($season['crops'], 'id'))
        ->and(array_column($result->places, 'id'))
        ->toBe(['bench', 'sill', 'garage']);
    $kinds = ['seed', 'supply', 'container', 'trayware', 'light', 'mat', 'appliance', 'gear', 'nursery', 'trip'];
    $order = array_map(fn ($line) => array_search($line->kind, $kinds, true), $result->shopping);
    $sorted = $order;
    sort($sorted);
    expect($order)->toBe($sorted);
    $supplies = array_values(array_filter($result->shopping, fn ($line) => $line->kind === 'supply'));
    $inFile = array_values(array_intersect(array_column($season['supplies'], 'id'), array_column($supplies, 'id')));
    expect(array_column($supplies, 'id'))->toBe($inFile);
});

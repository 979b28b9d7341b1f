<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

// What one key of the season file needs beside the schema: each is silently missed otherwise. A key that needs less says why.

const NO_SUM = 'changes no figure of the costing';
const IN_THE_LOG = 'written by what one does, not by typing a number';
const EXCUSED = [
    'a field on a screen' => ['version' => 'says how to read the file'],
    'an account' => [],
    'the oracle' => [
        'version' => NO_SUM, 'name' => NO_SUM, 'currency' => NO_SUM, 'units' => NO_SUM, 'variety' => NO_SUM, 'substitute' => NO_SUM,
        'volts' => NO_SUM, 'amps' => NO_SUM, 'columns' => NO_SUM, 'measure' => NO_SUM, 'cause' => NO_SUM, 'waited' => NO_SUM,
        'lumens' => 'a lamp’s light is estimated when it is typed', 'kelvin' => 'a lamp’s light is estimated when it is typed',
        'rim_mm' => 'a pot’s volume is worked out when it is typed', 'base_mm' => 'a pot’s volume is worked out when it is typed',
        'height_mm' => 'a pot’s volume is worked out when it is typed',
    ],
    'generated seasons' => [
        'units' => NO_SUM, 'substitute' => NO_SUM, 'columns' => NO_SUM, 'measure' => NO_SUM, 'note' => NO_SUM, 'cause' => NO_SUM,
        'waited' => NO_SUM, 'lumens' => NO_SUM, 'kelvin' => NO_SUM, 'rim_mm' => NO_SUM, 'base_mm' => NO_SUM, 'height_mm' => NO_SUM,
        'row' => IN_THE_LOG, 'at' => IN_THE_LOG, 'on' => IN_THE_LOG, 'kind' => IN_THE_LOG, 'rows' => IN_THE_LOG, 'job' => IN_THE_LOG, 'corrects' => IN_THE_LOG,
    ],
];

/**
 * A key is looked for as a word: one with an everyday name (`name`, `on`) is found by accident, a new one with a name of its own is not.
 *
 * @return list<string> names of all keys that hold one value: a number, a text, a day, yes or no
 */
function scalarKeys(): array
{
    $names = [];
    $walk = function (mixed $node) use (&$walk, &$names): void {
        foreach (is_array($node) ? $node : [] as $word => $under) {
            foreach ($word === 'properties' ? $under : [] as $name => $key) {
                if (isset($key['enum']) || isset($key['const']) || array_intersect((array) ($key['type'] ?? []), ['object', 'array']) === []
                    && isset($key['type'])) {
                    $names[] = (string) $name;
                }
            }
            $walk($under);
        }
    };
    $walk(json_decode((string) file_get_contents(__DIR__.'/../../core/Season/File/season.schema.json'), true, 64, JSON_THROW_ON_ERROR));

    return array_values(array_unique($names));
}

function textOf(Finder $files): string
{
    return implode("\n", array_map(fn (SplFileInfo $file): string => (string) file_get_contents($file->getPathname()), [...$files]));
}

it('leaves out no key where one is easily forgotten', function (string $place, Closure $files) {
    $text = textOf($files());
    $missing = array_values(array_filter(scalarKeys(), function (string $key) use ($text): bool {
        $camel = lcfirst(str_replace('_', '', ucwords($key, '_')));

        return preg_match("/\\b({$key}|{$camel})\\b/", $text) !== 1;
    }));
    $excused = array_keys(EXCUSED[$place]);
    expect(array_values(array_diff($missing, $excused)))->toBe([], "Keys without {$place}")
        ->and(array_values(array_diff($excused, $missing)))->toBe([], "Keys that are excused from {$place} and need it no more");
})->with([
    'a field on a screen' => ['a field on a screen', fn (): Finder => Finder::create()->files()->in(__DIR__.'/../../web/src')
        ->name(['*.ts', '*.tsx'])->notName(['*.generated*', '*.test.*'])],
    'an account' => ['an account', fn (): Finder => Finder::create()->files()->in(__DIR__.'/../../docs')->depth(0)
        ->name('*.md')->notName('season-format.md')],
    'the oracle' => ['the oracle', fn (): Finder => Finder::create()->files()->in(__DIR__.'/../Oracle')->name('*.php')->notName('SeasonGenerator.php')],
    'generated seasons' => ['generated seasons', fn (): Finder => Finder::create()->files()->in(__DIR__.'/../Oracle')->name('SeasonGenerator.php')],
]);

it('knows the keys it speaks of', function () {
    expect(count(scalarKeys()))->toBeGreaterThan(120)
        ->and(array_diff(array_merge(...array_values(array_map(array_keys(...), EXCUSED))), scalarKeys()))->toBe([]);
});

<?php

declare(strict_types=1);

namespace Tests\Hostile;

/**
 * Requests after the API's own description, right ones and wrong ones, the same for the same seed: values of the described
 * kind, of another kind, at and beyond every edge.
 */
final class Fuzz
{
    private const TEXTS = [
        '',
        'a',
        'bench',
        'led',
        'copper-kettle',
        'nursery',
        '<script>alert(1)</script>',
        "'; DROP TABLE seasons; --",
        '../../etc/passwd',
        'ש',
        "\u{202E}abc",
        '𝔘𝔫𝔦',
        '5',
        '5.0',
        'true',
        'null',
        '[]',
        '2027-02-30',
        '0202-09-20',
        '0000-00-00',
        '2927-01-01',
    ];

    private const NUMBERS = [
        0,
        1,
        -1,
        2,
        5,
        0.5,
        -0.0,
        1e-17,
        0.0001,
        255,
        256,
        65536,
        2147483647,
        2147483648,
        -2147483649,
        9007199254740993,
        9223372036854775807,
        1e18,
        1e300,
        -1e300,
    ];

    /** Written as they are: what JSON libraries would not write. */
    private const RAW = [
        '1e400',
        '-1e400',
        '99999999999999999999999999',
        '5.0',
        '"5"',
        'true',
        '"\\u0000"',
        '"\\ud800"',
        '[[[[[[[[[[]]]]]]]]]]',
        '{"a":{"a":{"a":{}}}}',
    ];

    private const PATHS = [
        ['crops', 'copper-kettle', 'wanted'],
        ['lights', 'led', 'hours_per_day'],
        ['lights', 'led'],
        ['lights'],
        ['last_frost'],
        ['first_frost'],
        ['year'],
        ['discount_rate'],
        ['setups', 'bench', 'overrides', 'ink-pot'],
        ['setups', 'bench', 'overrides'],
        ['setups', 'bench'],
        ['crops', 'copper-kettle'],
        ['methods', 'cells-pots', 'stages', 0, 'days'],
        ['methods', 'cells-pots', 'stages'],
        ['species', 'tomato', 'germination', 0, 'temp_c'],
        ['meta'],
        ['format'],
        ['crops', 'copper-kettle', 'id'],
        ['electricity', 'windows'],
        ['electricity', 'heat_credit'],
        ['currency'],
        ['name'],
        [0],
        ['', ''],
        ['places', 'bench', 'temp_c'],
        ['seed_lots', 'tom-copper', 'seeds_per_packet'],
        ['containers', 'pot-9', 'sites_per_unit'],
        ['mixes', 'two-one', 'parts'],
        ['nursery', 'six', 'plants'],
    ];

    /** What would end the visitor's session, or send letters without end. */
    private const SPARED = ['DELETE /api/account', 'DELETE /api/session', 'POST /api/password/forgot', 'DELETE /api/seasons/{season}'];

    /** @var list<array{string, string, ?array<string, mixed>}> verb, path and schema of the body */
    private array $operations = [];

    public function __construct(int $seed)
    {
        mt_srand($seed);
        $api = json_decode((string) file_get_contents(__DIR__.'/../../docs/openapi.json'), true);
        $this->schemas = $api['components']['schemas'];
        foreach ($api['paths'] as $path => $verbs) {
            foreach ($verbs as $verb => $operation) {
                if (! in_array(strtoupper($verb).' '.$path, self::SPARED, true)) {
                    $this->operations[] = [
                        strtoupper($verb),
                        $path,
                        $operation['requestBody']['content']['application/json']['schema'] ?? null,
                    ];
                }
            }
        }
    }

    /** @var array<string, array<string, mixed>> */
    private array $schemas;

    /** @return array{string, string, ?string} verb, path and body of the next request */
    public function next(int $season): array
    {
        [$verb, $path, $schema] = $this->pick($this->operations);
        // Edits are what there is most of.
        if ($this->chance(35)) {
            [$verb, $path, $schema] = ['PATCH', '/api/seasons/{season}', $this->schemas['Changes']];
        }
        $path = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $match): string => $this->segment($match[1], $season), $path);
        if ($this->chance(30)) {
            $path .=
                '?'.
                $this->pick([
                    'setup=bench',
                    'setup=',
                    'setup[]=a',
                    'setup=%FF',
                    'crop=copper-kettle',
                    'seasons=3',
                    'seasons=1e9&price_rise=x',
                    'from=bench&to=kit',
                    'x[y][z]=1',
                ]);
        }

        return [$verb, $path, $schema === null ? ($this->chance(10) ? $this->pick(self::RAW) : null) : $this->body($schema)];
    }

    private function segment(string $name, int $season): string
    {
        if ($name === 'season' && $this->chance(85)) {
            return (string) $season;
        }
        if ($this->chance(70)) {
            return ['setup' => 'bench', 'crop' => 'copper-kettle', 'method' => 'cells-pots', 'figure' => 'per_finished', 'work' => '1'][
                $name
            ] ?? '1';
        }

        return rawurlencode((string) $this->pick([...self::TEXTS, '99999999999999999999', '-1', '0', '1e3', str_repeat('a', 300)])) ?: '-';
    }

    /** @param  array<string, mixed>  $schema */
    private function body(array $schema): string
    {
        if ($this->chance(5)) {
            return $this->pick([...self::RAW, '', '{', '{"changes":', 'null', '0', "\xff", str_repeat('[', 200)]);
        }

        return $this->encode($this->value($schema, 0));
    }

    private function encode(mixed $value): string
    {
        $json = json_encode($value, JSON_PRESERVE_ZERO_FRACTION | JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE) ?: '{}';

        // A number or a word of it becomes what no library writes.
        return $this->chance(15)
            ? (string) preg_replace('/(?<=:)("[^"\\\\]*"|-?\d+(\.\d+)?)/', addcslashes($this->pick(self::RAW), '\\$'), $json, 1)
            : $json;
    }

    /** @param  array<string, mixed>  $schema */
    private function value(array $schema, int $depth): mixed
    {
        if (isset($schema['$ref'])) {
            return $this->value($this->schemas[basename($schema['$ref'])] ?? [], $depth);
        }
        if ($this->chance(8) || $depth > 6) {
            return $this->pick([null, true, [], (object) [], ...self::NUMBERS, ...self::TEXTS]);
        }
        $type = $this->pick((array) ($schema['type'] ?? (isset($schema['enum']) ? 'enum' : 'any')));

        return match ($type) {
            'enum' => $this->pick($schema['enum']),
            'object' => $this->object($schema, $depth),
            'array' => ($schema['items']['type'] ?? null) === ['string', 'integer']
                ? $this->pick(self::PATHS)
                : array_map(fn (): mixed => $this->value($schema['items'] ?? [], $depth + 1), range(0, mt_rand(0, 2))),
            'integer', 'number' => $this->pick(self::NUMBERS),
            'boolean' => $this->chance(50),
            'string' => $this->pick($schema['enum'] ?? [...self::TEXTS, str_repeat('x', 5000)]),
            'null' => null,
            default => $this->pick([...self::NUMBERS, ...self::TEXTS, null, [], (object) ['id' => 'led', 'name' => 'x']]),
        };
    }

    /** @param  array<string, mixed>  $schema */
    private function object(array $schema, int $depth): object
    {
        $object = [];
        foreach ($schema['properties'] ?? [] as $key => $property) {
            if (! $this->chance(12)) {
                $object[$key] = $this->value($property, $depth + 1);
            }
        }
        if ($this->chance(10)) {
            $object[$this->pick(['extra', '__proto__', ''])] = $this->pick(self::NUMBERS);
        }

        return (object) $object;
    }

    private function chance(int $percent): bool
    {
        return mt_rand(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $choices
     * @return T
     */
    private function pick(array $choices): mixed
    {
        $choices = array_values($choices);

        return $choices[mt_rand(0, count($choices) - 1)];
    }
}

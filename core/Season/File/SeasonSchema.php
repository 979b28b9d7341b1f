<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use RuntimeException;
use stdClass;

/**
 * The season file's annotated JSON Schema, the one place that says what a key is: its type, bounds, default and words, its
 * kind (`x-kind`: money, litres, share, days, …), and which list it names a row of (`x-names`, for an object's keys `x-keys`,
 * words that may stand there instead `x-or`).
 */
final class SeasonSchema
{
    public const FILE = __DIR__.'/season.schema.json';

    private static ?self $only = null;

    /** @var list<Reference> */
    public readonly array $references;

    /** @var array<string, stdClass> schemas of the lists at the top, by key */
    public readonly array $lists;

    private function __construct(public readonly stdClass $root)
    {
        $this->references = array_values([...self::referencesIn($root, [])]);
        $this->lists = array_filter(self::properties($root), fn (stdClass $node): bool => ($node->type ?? null) === 'array');
    }

    public static function get(): self
    {
        if (self::$only === null) {
            $root = json_decode(self::text(), false, 64, JSON_THROW_ON_ERROR);
            self::$only = new self($root instanceof stdClass ? $root : throw new RuntimeException('The season schema is no object.'));
        }

        return self::$only;
    }

    public static function text(): string
    {
        $text = file_get_contents(self::FILE);

        return $text === false ? throw new RuntimeException('The season schema is missing from the installation.') : $text;
    }

    /** Puts in every key that a document leaves to its default (save `meta`, and what may be said in either of two ways). */
    public function complete(stdClass $document): stdClass
    {
        self::fill($document, $this->root);

        return $document;
    }

    /** The same for rows of one list. */
    public function completeRow(string $list, stdClass $row): stdClass
    {
        $items = ($this->lists[$list] ?? null)->items ?? null;
        if ($items instanceof stdClass) {
            self::fill($row, $items);
        }

        return $row;
    }

    /**
     * What may stand at a path of a document; null where no key of the format leads there.
     *
     * @param  list<string|int>  $keys  a list's row by id or by position
     */
    public function at(array $keys): ?stdClass
    {
        $node = $this->root;
        foreach ($keys as $key) {
            $inner = match (true) {
                isset($node->items) => $node->items,
                isset($node->properties->{$key}) => $node->properties->{$key},
                default => $node->additionalProperties ?? null,
            };
            if (! $inner instanceof stdClass) {
                return null;
            }
            $node = $inner;
        }

        return $node;
    }

    /**
     * Whether a document may leave this key out, and has no other way to say nothing there: no default, and no null.
     *
     * @param  list<string|int>  $keys
     */
    public function mayBeLeftOut(array $keys): bool
    {
        $node = $this->at($keys);
        $above = $this->at(array_slice($keys, 0, -1));

        return $node !== null && ! property_exists($node, 'default') && ! in_array('null', (array) ($node->type ?? []), true)
            && ! in_array(end($keys), (array) ($above->required ?? []), true);
    }

    /**
     * Every value with its key's path: "lights.hours_per_day".
     *
     * @return array<string, stdClass>
     */
    public function values(): array
    {
        return self::valuesIn($this->root, '');
    }

    /** What each entry of a list is; null for anything else. */
    public static function items(stdClass $node): ?stdClass
    {
        return ($node->items ?? null) instanceof stdClass ? $node->items : null;
    }

    /** Whether this is a row with an id of its own. */
    public static function hasId(?stdClass $node): bool
    {
        return $node !== null && isset(self::properties($node)['id']);
    }

    /** @return array<string, stdClass> */
    public static function properties(stdClass $node): array
    {
        $properties = $node->properties ?? null;

        $found = [];
        foreach ($properties instanceof stdClass ? get_object_vars($properties) : [] as $key => $child) {
            if ($child instanceof stdClass) {
                $found[(string) $key] = $child;
            }
        }

        return $found;
    }

    private static function fill(stdClass $value, stdClass $node): void
    {
        foreach (self::properties($node) as $key => $child) {
            if (! property_exists($value, $key)) {
                if (property_exists($child, 'default')) {
                    $value->{$key} = $child->default instanceof stdClass ? clone $child->default : $child->default;
                }

                continue;
            }
            $inner = $value->{$key};
            $items = $child->items ?? null;
            if ($inner instanceof stdClass) {
                self::fill($inner, $child);
            } elseif (is_array($inner) && $items instanceof stdClass) {
                foreach ($inner as $row) {
                    $row instanceof stdClass && self::fill($row, $items);
                }
            }
        }
    }

    /**
     * @param  list<string>  $path
     * @return iterable<Reference>
     */
    private static function referencesIn(stdClass $node, array $path, bool $inList = false): iterable
    {
        if (isset($node->{'x-names'})) {
            yield new Reference($path, self::words($node->{'x-names'}), self::words($node->{'x-or'} ?? []), isItem: $inList);
        }
        if (isset($node->{'x-keys'})) {
            yield new Reference([...$path, '*'], self::words($node->{'x-keys'}), isKey: true);
        }
        foreach (self::properties($node) as $key => $child) {
            yield from self::referencesIn($child, [...$path, (string) $key]);
        }
        foreach (['items' => true, 'additionalProperties' => false] as $each => $list) {
            if (($node->{$each} ?? null) instanceof stdClass) {
                yield from self::referencesIn($node->{$each}, [...$path, '*'], $list);
            }
        }
    }

    /** @return array<string, stdClass> */
    private static function valuesIn(stdClass $node, string $path): array
    {
        $values = [];
        foreach (self::properties($node) as $key => $child) {
            $own = $path === '' ? (string) $key : "{$path}.{$key}";
            if (isset($child->{'x-kind'})) {
                $values[$own] = $child;
            }
            $values += self::valuesIn($child, $own);
            if (($child->items ?? null) instanceof stdClass) {
                $values += self::valuesIn($child->items, $own);
            }
        }

        return $values;
    }

    /** @return list<string> */
    private static function words(mixed $value): array
    {
        return array_values(array_filter((array) $value, is_string(...)));
    }
}

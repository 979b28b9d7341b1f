<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use Generator;
use stdClass;

/** A place of the season file where a row of another list is named by its id, as the schema's annotations say. */
final readonly class Reference
{
    /**
     * @param  list<string>  $path  keys from the top; "*" is each row of a list, or each key of an object
     * @param  list<string>  $names  lists of which it may name a row
     * @param  list<string>  $besides  words that may stand there instead
     * @param  bool  $isKey  the id is the key of an object rather than its value
     * @param  bool  $isItem  it stands in a list of ids, each once
     */
    public function __construct(
        public array $path,
        public array $names,
        public array $besides = [],
        public bool $isKey = false,
        public bool $isItem = false,
    ) {
    }

    /** @return Generator<array{list<string|int>, string}> each id named so in a document, with its keys */
    public function uses(stdClass $document): Generator
    {
        foreach (self::walk($document, $this->path) as [$keys, $value]) {
            $id = $this->isKey ? $keys[count($keys) - 1] : $value;
            if ($this->isKey || is_string($id)) {
                yield [$keys, is_string($id) || is_int($id) ? (string) $id : ''];
            }
        }
    }

    /**
     * @param  list<string>  $path
     * @param  list<string|int>  $keys
     * @return Generator<array{list<string|int>, mixed}>
     */
    private static function walk(mixed $value, array $path, array $keys = []): Generator
    {
        $step = $path[0] ?? null;
        if ($step === null) {
            yield [$keys, $value];
        } elseif ($step === '*') {
            $inner = is_array($value) ? array_values($value) : ($value instanceof stdClass ? get_object_vars($value) : []);
            foreach ($inner as $key => $one) {
                yield from self::walk($one, array_slice($path, 1), [...$keys, is_array($value) ? $key : (string) $key]);
            }
        } elseif ($value instanceof stdClass && isset($value->{$step})) {
            yield from self::walk($value->{$step}, array_slice($path, 1), [...$keys, $step]);
        }
    }
}

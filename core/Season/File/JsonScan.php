<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

/**
 * Goes through a JSON text token by token and knows where it is: which objects and lists are open, and which keys each has had. A
 * text that is no JSON is left to the parser.
 */
final class JsonScan
{
    public const MAX_DEPTH = 32;

    private const MAX_VALUES = 100_000;

    /** @var list<Fault> keys given twice */
    public array $faults = [];

    private int $values = 0;

    /** @var array<int, array<array-key, true>|int> keys seen of each open object, or the index reached in an open list */
    private array $open = [];

    /** @var array<int, int|string> the way to the value that is being read */
    private array $path = [];

    /** The text that came last: before a colon it was a key. */
    private string $text = '';

    /** @throws InvalidSeason where it is too deep or holds too many values */
    public function take(string $token): void
    {
        match ($token[0]) {
            '{', '[' => $this->open($token === '{'),
            '}', ']' => $this->close(),
            ',' => $this->next(),
            ':' => $this->key(json_decode($this->text)),
            default => $this->text = $token,
        };
    }

    /** @throws InvalidSeason */
    private function open(bool $isObject): void
    {
        if (count($this->open) >= self::MAX_DEPTH) {
            throw InvalidSeason::because([], 'It is nested too deeply.', 'A season goes no deeper than '.self::MAX_DEPTH.' levels.');
        }
        $this->open[] = $isObject ? [] : 0;
        $this->path[] = $isObject ? '' : 0;
    }

    private function close(): void
    {
        array_pop($this->open);
        array_pop($this->path);
    }

    /** @throws InvalidSeason */
    private function next(): void
    {
        if (++$this->values > self::MAX_VALUES) {
            throw InvalidSeason::because([], 'It holds too many values.', 'A season has at most '.self::MAX_VALUES.'.');
        }
        $inner = count($this->open) - 1;
        if ($inner >= 0 && is_int($this->open[$inner])) {
            $this->path[$inner] = ++$this->open[$inner];
        }
    }

    private function key(mixed $key): void
    {
        $inner = count($this->open) - 1;
        if ($inner < 0 || ! is_array($this->open[$inner]) || ! is_string($key)) {
            return;
        }
        $this->path[$inner] = $key;
        if (isset($this->open[$inner][$key]) && count($this->faults) < SchemaCheck::MOST) {
            $this->faults[] = Fault::at(array_values($this->path), "\"{$key}\" is given twice.", 'Keep one of the two.');
        }
        $this->open[$inner][$key] = true;
    }
}

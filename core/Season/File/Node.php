<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use stdClass;

/** An object of an unchecked document with its path; a value of the wrong kind reads as missing. */
final readonly class Node
{
    /** @param  list<string|int>  $keys */
    public function __construct(private stdClass $row, public array $keys = [])
    {
    }

    public function has(string $key): bool
    {
        return isset($this->row->{$key});
    }

    public function text(string $key): ?string
    {
        $value = $this->row->{$key} ?? null;

        return is_string($value) ? $value : null;
    }

    public function number(string $key): ?float
    {
        $value = $this->row->{$key} ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    public function isTrue(string $key): bool
    {
        return ($this->row->{$key} ?? null) === true;
    }

    public function child(string $key): ?self
    {
        $value = $this->row->{$key} ?? null;

        return $value instanceof stdClass ? new self($value, [...$this->keys, $key]) : null;
    }

    /** @return array<int, self> */
    public function rows(string $key): array
    {
        $rows = [];
        foreach ($this->items($key) as $index => $row) {
            if ($row instanceof stdClass) {
                $rows[$index] = new self($row, [...$this->keys, $key, $index]);
            }
        }

        return $rows;
    }

    public function hasRows(string $key): bool
    {
        foreach ($this->items($key) as $row) {
            if ($row instanceof stdClass) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, string> */
    public function texts(string $key): array
    {
        return array_filter($this->items($key), is_string(...));
    }

    /** @return array<array-key, string> the text properties of a child object by name */
    public function map(string $key): array
    {
        $value = $this->row->{$key} ?? null;

        return $value instanceof stdClass ? array_filter(get_object_vars($value), is_string(...)) : [];
    }

    public function fault(string|int $key, string $problem, string $remedy): Fault
    {
        return Fault::at([...$this->keys, $key], $problem, $remedy);
    }

    /** @return array<int, mixed> */
    private function items(string $key): array
    {
        $value = $this->row->{$key} ?? null;

        return is_array($value) ? array_values($value) : [];
    }
}

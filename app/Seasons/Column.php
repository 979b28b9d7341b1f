<?php

declare(strict_types=1);

namespace App\Seasons;

/** One value of a row: where it stands in the file's row, and how it is kept. */
final readonly class Column
{
    /**
     * @param  non-empty-list<string>  $keys  from the row down
     * @param  string  $kind  int, float, bool, text or json
     */
    public function __construct(public string $name, public array $keys, public string $kind, public mixed $default)
    {
    }

    /** A file's value as the database takes it: numbers in full precision, whatever PHP's settings. */
    public function toDatabase(mixed $value): string|int|bool|null
    {
        return match (true) {
            $value === null => null,
            $this->kind === 'json' => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR),
            is_float($value) => (string) json_encode($value, JSON_THROW_ON_ERROR),
            is_int($value), is_bool($value), is_string($value) => $value,
            default => (string) json_encode($value, JSON_THROW_ON_ERROR),
        };
    }

    /** A database value as the file writes it. */
    public function toFile(mixed $value): mixed
    {
        return match (true) {
            $value === null, ! is_scalar($value) => null,
            $this->kind === 'json' => json_decode((string) $value, false, 64, JSON_THROW_ON_ERROR),
            $this->kind === 'int' => (int) $value,
            $this->kind === 'float' => (float) $value,
            $this->kind === 'bool' => (bool) $value,
            default => (string) $value,
        };
    }
}

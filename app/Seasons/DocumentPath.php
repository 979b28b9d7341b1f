<?php

declare(strict_types=1);

namespace App\Seasons;

use JollyPenny\Core\Season\File\InvalidSeason;
use stdClass;

/**
 * A value's address in a season document: keys from the top, a list's row by its id (or, where rows have none, by its
 * position). ["lights", "led", "hours_per_day"]; ["methods", "cells", "stages", 0, "days"].
 */
final readonly class DocumentPath
{
    /** @param  non-empty-list<string|int>  $keys */
    public function __construct(public array $keys)
    {
    }

    public function get(stdClass $document): mixed
    {
        $value = $document;
        foreach ($this->keys as $key) {
            $value = self::step($value, $key);
        }

        return $value;
    }

    /**
     * Null takes a list's row out; an unknown id puts a new row at a place of its list, or at the end.
     *
     * @throws InvalidSeason where the path leads nowhere
     */
    public function set(stdClass $document, mixed $value, ?int $at = null): void
    {
        $target = $document;
        foreach (array_slice($this->keys, 0, -1) as $key) {
            $next = self::step($target, $key);
            if (is_array($next)) {
                $list = &$this->listIn($target, $key);
                $target = &$list;
                unset($list);
            } else {
                unset($copy);
                $copy = $next;
                $target = &$copy;
            }
        }
        $last = $this->keys[count($this->keys) - 1];
        if ($target instanceof stdClass) {
            // A set-up's word on a crop is there or not; it is never null.
            if ($value === null && ($this->keys[count($this->keys) - 2] ?? null) === 'overrides') {
                unset($target->{$last});
            } else {
                $target->{$last} = $value;
            }

            return;
        }
        if (! is_array($target)) {
            throw $this->nothingThere();
        }
        $index = self::indexIn($target, $last);
        if ($value === null) {
            $index === null ?: array_splice($target, $index, 1);
        } elseif ($index === null) {
            array_splice($target, $at ?? count($target), 0, [$value]);
        } else {
            $target[$index] = $value;
        }
    }

    /** Where in its list the row stands that this path names; null for anything else. */
    public function rowIndex(stdClass $document): ?int
    {
        $list = count($this->keys) === 2 ? $document->{$this->keys[0]} ?? null : null;

        return is_array($list) ? self::indexIn($list, $this->keys[1]) : null;
    }

    /** Whether a whole row of a list comes or goes here. */
    public function isRow(stdClass $document): bool
    {
        return count($this->keys) === 2 && is_array($document->{$this->keys[0]} ?? null);
    }

    /**
     * The list and row id whose tables a change here touches.
     *
     * @return array{string, ?string}
     */
    public function touches(): array
    {
        return [(string) $this->keys[0], isset($this->keys[1]) ? (string) $this->keys[1] : null];
    }

    /** @return array<int, mixed> */
    private function &listIn(mixed $target, string|int $key): array
    {
        if ($target instanceof stdClass && is_array($target->{$key})) {
            return $target->{$key};
        }
        throw $this->nothingThere();
    }

    private function nothingThere(): InvalidSeason
    {
        return InvalidSeason::because($this->keys, 'There is nothing at this place of the season.', 'Reload the page and try again.');
    }

    private static function step(mixed $value, string|int $key): mixed
    {
        if ($value instanceof stdClass) {
            return $value->{$key} ?? null;
        }
        $index = is_array($value) ? self::indexIn($value, $key) : null;

        return $index === null ? null : $value[$index];
    }

    /** @param  array<array-key, mixed>  $list */
    private static function indexIn(array $list, string|int $key): ?int
    {
        foreach (array_values($list) as $index => $row) {
            if ($row instanceof stdClass && property_exists($row, 'id') ? $row->id === $key : $index === $key) {
                return $index;
            }
        }

        return null;
    }
}

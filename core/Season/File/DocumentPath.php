<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use stdClass;

/**
 * A value's address in a season document: keys from the top, a list's row by its id (or, where rows have none, by its
 * position). ["lights", "led", "hours_per_day"]; ["methods", "cells", "stages", 0, "days"].
 */
final readonly class DocumentPath
{
    /** Keys that say what a thing is; changing them would make it another. */
    private const FIXED = ['format', 'version', 'id'];

    /** It has a place and a way of its own. */
    private const LOG = 'log';

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

    /** Whether there still is what this is a key or a row of. */
    public function hasPlace(stdClass $document): bool
    {
        $above = array_slice($this->keys, 0, -1);

        return $above === [] || (new self($above))->get($document) !== null;
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
            // Some keys are there or not there, and never null: what a set-up says of a crop, what somebody keeps beside the sums.
            if ($value === null && SeasonSchema::get()->mayBeLeftOut($this->keys)) {
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

    /**
     * That an edit may be made here: at a key of the format, not at one that says what a thing is, and a row under its own id.
     *
     * @throws InvalidSeason
     */
    public function check(mixed $to): void
    {
        if ($this->keys[0] === self::LOG) {
            throw InvalidSeason::because($this->keys, 'The log is not changed.', 'Write an entry that corrects it.');
        }
        $node = SeasonSchema::get()->root;
        foreach ($this->keys as $depth => $key) {
            $items = SeasonSchema::items($node);
            $fits = match (true) {
                SeasonSchema::hasId($items) => is_string($key) && $key !== '',
                $items !== null => is_int($key) && $key >= 0 && SeasonSchema::properties($items) !== [],
                default => is_string($key) && ! in_array($key, self::FIXED, true),
            };
            $node = $fits ? SeasonSchema::get()->at(array_slice($this->keys, 0, $depth + 1)) : null;
            if ($node === null) {
                throw $this->nothingThere();
            }
        }
        if (SeasonSchema::hasId(SeasonSchema::items($node))) {
            throw InvalidSeason::because($this->keys, 'A whole list cannot be changed at once.', 'Change its rows one by one.');
        }
        if (
            SeasonSchema::hasId($node) &&
            $to !== null &&
            (! ($to instanceof stdClass) || ($to->id ?? null) !== $this->keys[count($this->keys) - 1])
        ) {
            throw InvalidSeason::because($this->keys, 'A row has to carry the id it is put under.', 'Give it that id.');
        }
    }

    /** Where in its list the row stands that this path names; null for anything else. */
    public function rowIndex(stdClass $document): ?int
    {
        $list = count($this->keys) === 2 ? $document->{$this->keys[0]} ?? null : null;

        return is_array($list) ? self::indexIn($list, $this->keys[1]) : null;
    }

    /** @return array{string, string} the list and row that a change here touches; the row is empty at the top */
    public function touches(): array
    {
        return [(string) $this->keys[0], (string) ($this->keys[1] ?? '')];
    }

    /** @return array<array-key, mixed> */
    private function &listIn(mixed $target, string|int $key): array
    {
        if ($target instanceof stdClass && is_array($target->{$key})) {
            return $target->{$key};
        }
        throw $this->nothingThere();
    }

    private function nothingThere(): InvalidSeason
    {
        return InvalidSeason::because(
            $this->keys,
            'There is nothing to change at this place of the season.',
            'Reload the page and try again.',
        );
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

<?php

declare(strict_types=1);

namespace Tests\Answers;

/**
 * Answers as facts, a line each: where it stands, and what it says. Rows with ids stand under their id, so that one more row moves no
 * other; the order of the rows is a fact of its own. What was told before, word for word, is told by where.
 */
final class Facts
{
    /** What the database numbered, so that it differs from run to run. */
    private const NUMBERED = ['id', 'place'];

    /** Keys that name a row among its neighbours, the best first. */
    private const NAMES = ['id', 'crop', 'figure', 'key', 'place', 'date', 'on', 'day', 'season', 'name', 'label', 'kind'];

    private const LONGEST_NAME = 80;

    private const DIGITS = 9;

    /** Below that a number is what rounding left of 0. */
    private const NOTHING = 1e-11;

    /** Fewer facts are told again. */
    private const WORTH_A_WORD = 4;

    /** @var array<string, string> where they were told, by the facts */
    private array $told = [];

    private string $section = '';

    /** @return list<string> sorted */
    public function fromValue(string $section, mixed $value): array
    {
        $this->section = $section;
        $lines = $this->lines($value, '');
        sort($lines, SORT_STRING);

        return $lines;
    }

    /** @return list<string> lines of a text, numbered so that they keep their order */
    public static function fromText(string $text): array
    {
        $lines = explode("\n", rtrim(str_replace("\r", '', $text)));
        $wide = strlen((string) count($lines));

        return array_map(fn (int $n): string => sprintf("%0{$wide}d: %s", $n + 1, rtrim($lines[$n])), array_keys($lines));
    }

    /**
     * @param  string  $at  where the value stands
     * @return list<string> each begins with what stands between that and the fact
     */
    private function lines(mixed $value, string $at): array
    {
        if (is_array($value)) {
            return $this->rows($value, $at);
        }
        if (! is_object($value)) {
            return $value === null ? [] : [': '.self::said($value)];
        }
        $lines = [];
        foreach (get_object_vars($value) as $key => $one) {
            $isNumbered = is_int($one) && in_array($key, self::NUMBERED, true);
            foreach ($this->once($this->lines($isNumbered ? '#' : $one, "{$at}.{$key}"), "{$at}.{$key}") as $line) {
                $lines[] = ($at === '' ? $key : ".{$key}").$line;
            }
        }

        return $lines;
    }

    /**
     * @param  array<mixed>  $rows
     * @return list<string>
     */
    private function rows(array $rows, string $at): array
    {
        $scalars = array_filter($rows, fn (mixed $row): bool => ! is_array($row) && ! is_object($row));
        if (count($scalars) === count($rows)) {
            return $rows === [] ? [] : [': '.self::runs(array_map(self::said(...), $rows))];
        }
        [$key, $names] = self::names($rows);
        $lines = $names === [] ? [] : [': '.implode(' | ', $names)];
        foreach ($rows as $i => $row) {
            $name = $names[$i] ?? sprintf('%02d', $i);
            $key === '' || $row = (object) array_diff_key(get_object_vars($row), [$key => true]);
            foreach ($this->once($this->lines($row, "{$at}[{$name}]"), "{$at}[{$name}]") as $line) {
                $lines[] = "[{$name}]".$line;
            }
        }

        return $lines;
    }

    /**
     * @param  list<string>  $facts
     * @return list<string>
     */
    private function once(array $facts, string $at): array
    {
        if (count($facts) < self::WORTH_A_WORD) {
            return $facts;
        }
        sort($facts, SORT_STRING);
        $place = "{$this->section}{$at}";
        $first = $this->told[md5(implode("\n", $facts))] ??= $place;

        return $first === $place ? $facts : [": as {$first}"];
    }

    /**
     * @param  list<string>  $said
     * @return string what is the same many times over, as in a season's days, once with its number
     */
    private static function runs(array $said): string
    {
        $runs = [];
        foreach ($said as $i => $one) {
            if ($i > 0 && $one === $said[$i - 1]) {
                $runs[count($runs) - 1][1]++;
            } else {
                $runs[] = [$one, 1];
            }
        }

        return '['.implode(', ', array_map(fn (array $run): string => $run[1] > 1 ? "{$run[0]} x{$run[1]}" : $run[0], $runs)).']';
    }

    /**
     * @param  array<mixed>  $rows
     * @return array{string, list<string>} the key that tells them apart, and what it says of each; empty where nothing does
     */
    private static function names(array $rows): array
    {
        foreach (self::NAMES as $key) {
            $names = array_map(fn (mixed $row): mixed => is_object($row) ? $row->{$key} ?? null : null, $rows);
            $names = array_values(array_filter($names, fn (mixed $name): bool => is_string($name) && $name !== '' && strlen($name) < self::LONGEST_NAME));
            if (count(array_unique($names)) === count($rows)) {
                return [$key, $names];
            }
        }

        return ['', []];
    }

    private static function said(mixed $value): string
    {
        return match (true) {
            is_float($value) => abs($value) < self::NOTHING ? '0' : sprintf('%.'.self::DIGITS.'G', $value),
            is_string($value) => str_replace(['\\', "\n"], ['\\\\', '\\n'], $value),
            default => (string) json_encode($value),
        };
    }
}

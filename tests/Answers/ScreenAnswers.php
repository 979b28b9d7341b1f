<?php

declare(strict_types=1);

namespace Tests\Answers;

use stdClass;

/** Answers as they went over the wire, for the tests that draw the screens from them without a server (tests/Web). */
final class ScreenAnswers
{
    private const FOLDER = __DIR__.'/screens';

    /** @var array<string, mixed> by the path asked */
    private array $answers = [];

    /** @var array<string, array<int, int>> the database's numbers in the order in which they came, by what they number */
    private array $numbers = [];

    public static function file(string $story): string
    {
        return self::FOLDER."/{$story}.json";
    }

    public function add(string $path, string $content): void
    {
        $this->answers[(string) preg_replace('#/seasons/\d+#', '/seasons/1', $path)] = $this->steady(json_decode($content, flags: JSON_THROW_ON_ERROR));
    }

    /** @return string an answer a line */
    public function text(string $day, string $setup): string
    {
        ksort($this->answers, SORT_STRING);
        $json = fn (mixed $value): string => (string) json_encode($value, JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $lines = array_map(fn (string $path): string => "  {$json($path)}: {$json($this->answers[$path])}", array_keys($this->answers));

        return "{\n\"day\": {$json($day)},\n\"setup\": {$json($setup)},\n\"answers\": {\n".implode(",\n", $lines)."\n}\n}\n";
    }

    /** The same from run to run, whatever the database numbered and the garden drew; floats as the book tells them. */
    private function steady(mixed $value, string $of = ''): mixed
    {
        return match (true) {
            is_array($value) => array_map(fn (mixed $one): mixed => $this->steady($one, $of), $value),
            $value instanceof stdClass => (object) array_combine($keys = array_map(strval(...), array_keys(get_object_vars($value))),
                array_map(fn (string $key): mixed => $this->valueOf($key, $value->{$key}, $of), $keys)),
            is_float($value) => (float) sprintf('%.9G', $value),
            is_string($value) => preg_replace(['#/seasons/\d+#', '#(\b\d+\|)?\b[A-Za-z0-9]{48}\b#'], ['/seasons/1', '###'], $value),
            default => $value,
        };
    }

    private function valueOf(string $key, mixed $value, string $of): mixed
    {
        return match (true) {
            is_int($value) && $key === 'id' => $this->number($of, $value),
            is_int($value) && $key === 'place' => $this->number('places', $value),
            default => $this->steady($value, $key),
        };
    }

    /** A season is a season whether it stands alone or in a list. */
    private function number(string $of, int $id): int
    {
        $of = $of === 'seasons' ? '' : $of;

        return $this->numbers[$of][$id] ??= count($this->numbers[$of] ?? []) + 1;
    }
}

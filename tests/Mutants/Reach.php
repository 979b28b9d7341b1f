<?php

declare(strict_types=1);

namespace Tests\Mutants;

use RuntimeException;
use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which stories and tests reach a line, as bin/coverage has measured it. */
final class Reach
{
    public const SUITES = ['Answers', 'Core', 'Reference', 'Feature'];

    /** @var array<string, array<int, array<string, true>>> stories and test files by file and line */
    private array $lines = [];

    public function __construct(private readonly string $root)
    {
        foreach (self::SUITES as $suite) {
            $file = "{$root}/var/coverage/{$suite}.php";
            $coverage = is_file($file) ? require $file : throw new RuntimeException('Measure first what is reached: bin/coverage.');
            $this->take($suite, $coverage);
        }
    }

    private function take(string $suite, CodeCoverage $coverage): void
    {
        foreach ($coverage->getData()->lineCoverage() as $file => $lines) {
            $path = substr($file, strlen($this->root) + 1);
            foreach ($lines as $line => $tests) {
                foreach ($tests === null ? [] : $tests as $test) {
                    $this->lines[$path][$line][self::nameOf($suite, $test)] = true;
                }
                isset($this->lines[$path][$line]) || $tests === null || $this->lines[$path][$line] = [];
            }
        }
    }

    /** A story's name, or a test's file. */
    private static function nameOf(string $suite, string $test): string
    {
        if ($suite === 'Answers' && preg_match("/\\('?([\\w-]+)'?\\)|with data set \"?\\(?'?([\\w-]+)/", $test, $match) === 1) {
            return 'story '.($match[1] ?: $match[2]);
        }

        return preg_match('/Tests\\\\(\w+)\\\\(\w+)::/', $test, $match) === 1 ? "tests/{$match[1]}/{$match[2]}.php" : $test;
    }

    /** @return list<string> stories that reach a line */
    public function stories(string $file, int $line): array
    {
        $names = array_filter(array_keys($this->lines[$file][$line] ?? []), fn (string $name): bool => str_starts_with($name, 'story '));

        return array_map(fn (string $name): string => substr($name, strlen('story ')), array_values($names));
    }

    /** @return list<string> test files that reach a line */
    public function tests(string $file, int $line): array
    {
        return array_values(array_filter(array_keys($this->lines[$file][$line] ?? []), fn (string $name): bool => str_starts_with($name, 'tests/')));
    }

    public function isReached(string $file, int $line): bool
    {
        return ($this->lines[$file][$line] ?? []) !== [];
    }

    /** @return array<string, array{lines: int, book: int, any: int, unreached: list<string>}> lines that do something, by folder; those that nothing reaches */
    public function folders(): array
    {
        $folders = [];
        foreach ($this->lines as $file => $lines) {
            $folder = dirname($file);
            $folders[$folder] ??= ['lines' => 0, 'book' => 0, 'any' => 0, 'unreached' => []];
            foreach (array_keys($lines) as $line) {
                $folders[$folder]['lines']++;
                $folders[$folder]['book'] += $this->stories($file, $line) === [] ? 0 : 1;
                $folders[$folder]['any'] += $this->isReached($file, $line) ? 1 : 0;
                $this->isReached($file, $line) || $folders[$folder]['unreached'][] = "{$file}:{$line}";
            }
        }
        ksort($folders);

        return $folders;
    }
}

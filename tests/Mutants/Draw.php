<?php

declare(strict_types=1);

namespace Tests\Mutants;

use PhpToken;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Wrong turns by operator, drawn from the PHP of a folder; the same seed draws the same of the same code. */
final class Draw
{
    /** What stands for what, by operator. */
    private const SWAPS = [
        'comparison' => ['<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>', '===' => '!==', '!==' => '===', '&&' => '||', '||' => '&&'],
        'sign' => ['+' => '-', '-' => '+', '*' => '/', '/' => '*', '+=' => '-=', '-=' => '+='],
        'order' => ['min' => 'max', 'max' => 'min', 'floor' => 'ceil', 'ceil' => 'floor', 'ksort' => 'krsort', 'usort' => 'count'],
    ];

    /** Calls without which what they are given goes on as it was. */
    private const DROPPED = ['array_unique', 'array_values', 'array_filter', 'array_reverse', 'abs', 'round', 'trim'];

    /** Tests that go through a program or a page instead of naming the class. */
    private const THROUGH = [
        'core/Showing/Cli' => 'tests/Core/CommandLineTest.php', 'core/Plan/Editing' => 'tests/Feature/BenchTest.php',
    ];

    /** What follows the plan has rules, and tests, of its own (docs/after.md). */
    private const AFTER = '#^core/(Log|State|Tasks|Trays|Shed|Shopping|Reckoning|SowAgain|Trials|Labels|Devices)/#';

    private readonly Randomizer $random;

    public function __construct(private readonly string $root, int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** @return list<array{string, string, int, array{string, int}, string}> description, file, byte, what is put there for how many bytes, tests */
    public function mutants(int $count, string $folder): array
    {
        $places = [];
        foreach ($this->files($folder) as $file) {
            foreach ($this->places((string) file_get_contents("{$this->root}/{$file}")) as [$operator, $line, $at, $length, $with]) {
                $places[$operator][] = [$operator, $file, $line, $at, $length, $with];
            }
        }
        ksort($places);
        $drawn = [];
        // Each operator in turn, so that the many comparisons do not crowd out the few calls.
        while (count($drawn) < $count && $places !== []) {
            foreach (array_keys($places) as $operator) {
                $all = $places[$operator];
                [$kind, $file, $line, $at, $length, $with] = $all[$n = $this->random->getInt(0, count($all) - 1)];
                array_splice($places[$operator], $n, 1);
                if ($places[$operator] === []) {
                    unset($places[$operator]);
                }
                $drawn[] = ["{$kind} of ".basename($file).":{$line}", $file, $at, [$with, $length], $this->tests($file)];
            }
        }

        return array_slice($drawn, 0, $count);
    }

    /** @return list<array{string, int, int, int, string}> operator, line, byte, length, what is put there */
    private function places(string $code): array
    {
        $tokens = array_values(array_filter(PhpToken::tokenize($code), fn (PhpToken $token): bool => ! $token->isIgnorable()));
        $places = [];
        foreach ($tokens as $i => $token) {
            [$before, $after] = [$tokens[$i - 1]->text ?? '', $tokens[$i + 1]->text ?? ''];
            foreach (self::SWAPS as $operator => $swaps) {
                $isCall = $operator !== 'order' || ($after === '(' && ! in_array($before, ['->', '::', 'function'], true));
                if (isset($swaps[$token->text]) && $isCall && ! $token->is(T_CONSTANT_ENCAPSED_STRING)) {
                    $places[] = [$operator, $token->line, $token->pos, strlen($token->text), $swaps[$token->text]];
                }
            }
            $isDeclared = ($tokens[$i - 2]->text ?? '') === 'strict_types';
            if ($token->is([T_LNUMBER, T_DNUMBER]) && ! $isDeclared) {
                $places[] = ['constant', $token->line, $token->pos, strlen($token->text), $token->is(T_DNUMBER) ? "({$token->text} * 1.1 + 0.1)" : "({$token->text} + 1)"];
            }
            if (in_array($token->text, self::DROPPED, true) && $after === '(' && $before !== 'function' && $before !== '->') {
                $places[] = ['missing call', $token->line, $token->pos, strlen($token->text), '(fn ($first) => $first)'];
            }
        }

        return $places;
    }

    /** The tests that name the class or are named after its folder, and what holds the rules it belongs to. */
    private function tests(string $file): string
    {
        [$class, $folder] = [basename($file, '.php'), basename(dirname($file))];
        $through = self::THROUGH[dirname($file)] ?? null;
        $tests = $through === null ? [] : [$through => $through];
        foreach ([...$this->files('tests/Core'), ...$this->files('tests/Reference'), ...$this->files('tests/Feature')] as $test) {
            $isNamed = preg_match("/\\b{$class}\\b/", (string) file_get_contents("{$this->root}/{$test}")) === 1;
            if ($isNamed || in_array(basename($test), ["{$folder}Test.php", "{$class}Test.php"], true)) {
                $tests[$test] = $test;
            }
        }
        if (preg_match(self::AFTER, $file) === 1) {
            $tests += array_combine($rules = ['tests/Core/AfterTest.php', 'tests/Core/AfterPlanCornersTest.php', 'tests/Feature/AfterTest.php'], $rules);
        } elseif (str_starts_with($file, 'core/')) {
            $tests += array_combine($rules = ['tests/Core/WorkedExampleTest.php', 'tests/Core/EdgesTest.php', 'tests/Core/PlanCornersTest.php',
                'tests/Core/OracleTest.php'], $rules);
        }

        return implode(' ', array_filter($tests, fn (string $test): bool => str_ends_with($test, 'Test.php')));
    }

    /** @return list<string> PHP files in a folder itself, from the root */
    private function files(string $folder): array
    {
        $files = glob("{$this->root}/{$folder}/*.php") ?: [];

        return array_map(fn (string $file): string => substr($file, strlen($this->root) + 1), $files);
    }
}

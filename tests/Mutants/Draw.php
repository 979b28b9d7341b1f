<?php

declare(strict_types=1);

namespace Tests\Mutants;

use FilesystemIterator;
use PhpToken;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Wrong turns by operator, drawn from the reached lines of core/ or app/; the same seed draws the same of the same code. */
final class Draw
{
    /** What stands for what, by operator. */
    private const SWAPS = [
        'boundary' => ['<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>'],
        'comparison' => ['===' => '!==', '!==' => '===', '&&' => '||', '||' => '&&'],
        'sign' => ['+' => '-', '-' => '+', '*' => '/', '/' => '*', '+=' => '-=', '-=' => '+='],
        'order' => ['min' => 'max', 'max' => 'min', 'floor' => 'ceil', 'ceil' => 'floor', 'ksort' => 'krsort'],
        'default' => ['true' => 'false', 'false' => 'true'],
    ];

    /** Calls without which what they are given goes on as it was. */
    private const DROPPED = ['array_unique', 'array_values', 'array_filter', 'array_reverse', 'abs', 'round', 'trim'];

    private const SORTS = ['sort', 'rsort', 'usort', 'uasort', 'uksort', 'ksort', 'asort', 'arsort'];

    /** Only told to people who read the API's description, or a fault of the programmer. */
    private const SAID = '/^\s*(#\[|\*|\/\/|path:|name:|summary:|description:|new OA)|OA\\\\/';

    private readonly Randomizer $random;

    public function __construct(private readonly string $root, private readonly Reach $reach, int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** @return list<array{words: string, file: string, line: int, at: int, length: int, with: string}> */
    public function mutants(int $count, string $storey): array
    {
        $places = [];
        foreach ($this->files($storey) as $file) {
            $code = (string) file_get_contents("{$this->root}/{$file}");
            $lines = explode("\n", $code);
            foreach ($this->places($code) as [$operator, $line, $at, $length, $with]) {
                if ($this->reach->isReached($file, $line) && preg_match(self::SAID, $lines[$line - 1]) !== 1) {
                    $words = "{$operator}, {$file}:{$line}: ".mb_substr(trim($lines[$line - 1]), 0, 90);
                    $places[$operator][] = ['words' => $words, 'file' => $file, 'line' => $line, 'at' => $at, 'length' => $length, 'with' => $with];
                }
            }
        }
        ksort($places);
        $drawn = [];
        // Each operator in turn, so that the many comparisons do not crowd out the few calls.
        while (count($drawn) < $count && $places !== []) {
            foreach (array_keys($places) as $operator) {
                $n = $this->random->getInt(0, count($places[$operator]) - 1);
                array_push($drawn, ...array_splice($places[$operator], $n, 1));
                if ($places[$operator] === []) {
                    unset($places[$operator]);
                }
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
            $place = fn (string $operator, string $with): array => [$operator, $token->line, $token->pos, strlen($token->text), $with];
            [$before, $after] = [$tokens[$i - 1]->text ?? '', $tokens[$i + 1]->text ?? ''];
            $isCall = $after === '(' && ! in_array($before, ['->', '::', 'function', 'new'], true);
            foreach (self::SWAPS as $operator => $swaps) {
                if (isset($swaps[$token->text]) && ($operator !== 'order' || $isCall) && ! $token->is(T_CONSTANT_ENCAPSED_STRING)) {
                    $places[] = $place($operator, $swaps[$token->text]);
                }
            }
            if ($token->is([T_LNUMBER, T_DNUMBER]) && ($tokens[$i - 2]->text ?? '') !== 'strict_types') {
                $places[] = $place('constant', $token->is(T_DNUMBER) ? "({$token->text} * 1.1 + 0.1)" : "({$token->text} + 1)");
            }
            if ($isCall && in_array($token->text, self::DROPPED, true)) {
                $places[] = $place('missing call', '(fn ($first) => $first)');
            }
            if ($isCall && in_array($token->text, self::SORTS, true)) {
                $places[] = $place('missing sort', '(fn (mixed ...$all): bool => true)');
            }
            if ($token->text === '+' && ($tokens[$i + 1] ?? null)?->is(T_VARIABLE) && ! in_array($before, ['(', '=', ',', '=>', 'return'], true)) {
                $places[] = $place('missing term', '+ 0 *');
            }
            if ($token->is(T_CONSTANT_ENCAPSED_STRING) && $after === '=>') {
                $places[] = $place('other key', "'other_".substr($token->text, 1));
            }
            array_push($places, ...$this->swapped($tokens, $i), ...$this->condition($tokens, $i));
        }

        return $places;
    }

    /**
     * @param  list<PhpToken>  $tokens
     * @return list<array{string, int, int, int, string}> an argument swapped with its neighbour
     */
    private function swapped(array $tokens, int $i): array
    {
        [$a, $comma, $b] = [$tokens[$i], $tokens[$i + 1] ?? null, $tokens[$i + 2] ?? null];
        $isPair = $a->is(T_VARIABLE) && $comma?->text === ',' && $b?->is(T_VARIABLE) && $a->text !== $b->text
            && in_array($tokens[$i - 1]->text ?? '', ['(', ','], true) && in_array($tokens[$i + 3]->text ?? '', [')', ','], true);

        return $isPair ? [['argument', $a->line, $a->pos, $b->pos + strlen($b->text) - $a->pos, "{$b->text}, {$a->text}"]] : [];
    }

    /**
     * @param  list<PhpToken>  $tokens
     * @return list<array{string, int, int, int, string}> a condition that never holds
     */
    private function condition(array $tokens, int $i): array
    {
        if (! $tokens[$i]->is(T_IF) || ($tokens[$i + 1]->text ?? '') !== '(') {
            return [];
        }
        $open = $tokens[$i + 1]->pos;

        return [['lost condition', $tokens[$i]->line, $open + 1, 0, 'false && ']];
    }

    /** @return list<string> from the root, in order */
    private function files(string $storey): array
    {
        $files = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$this->root}/{$storey}", FilesystemIterator::SKIP_DOTS)) as $file) {
            $file->getExtension() === 'php' && $files[] = substr((string) $file, strlen($this->root) + 1);
        }
        sort($files);

        return $files;
    }
}

<?php

declare(strict_types=1);

namespace Tests\Answers;

/** What of a story is said otherwise than in the book, in words. */
final class Difference
{
    private const MOST_LINES = 50;

    private const MOST_OF_ONE = 8;

    private const LONGEST = 160;

    /**
     * @param  array<string, list<string>>  $was
     * @param  array<string, list<string>>  $is
     * @return string empty where nothing differs
     */
    public static function words(string $story, array $was, array $is): string
    {
        $lines = [];
        $facts = $answers = 0;
        foreach ($was + $is as $section => $none) {
            $changed = self::changes($was[$section] ?? null, $is[$section] ?? null);
            if ($changed !== []) {
                $answers++;
                $facts += count($changed);
                $lines[] = "{$section}:";
                array_push($lines, ...array_slice($changed, 0, self::MOST_OF_ONE));
                $more = count($changed) - self::MOST_OF_ONE;
                $more > 0 && $lines[] = "  and {$more} more";
            }
        }
        if ($lines === []) {
            return '';
        }
        $left = count($lines) - self::MOST_LINES;

        return "The season \"{$story}\" is told otherwise than in the book: {$facts} facts in {$answers} answers.\n"
            .implode("\n", array_slice($lines, 0, self::MOST_LINES)).($left > 0 ? "\n… and {$left} lines more" : '')
            ."\nIf this is meant, write the book anew with bin/answers, read its diff, and say in the commit which facts moved and why.";
    }

    /**
     * @param  ?list<string>  $was
     * @param  ?list<string>  $is
     * @return list<string>
     */
    private static function changes(?array $was, ?array $is): array
    {
        if ($was === $is) {
            return [];
        }
        if ($was === null || $is === null) {
            return [$was === null ? '  is new' : '  is not said any more'];
        }
        [$old, $new] = [self::byPlace($was), self::byPlace($is)];
        $changes = [];
        foreach ($old + $new as $place => $none) {
            if (($old[$place] ?? null) !== ($new[$place] ?? null)) {
                $changes[] = self::short("  {$place}: was ".($old[$place] ?? 'not there').', is '.($new[$place] ?? 'not there'));
            }
        }

        return $changes;
    }

    /**
     * @param  list<string>  $facts
     * @return array<string, string> what is said, by where it stands
     */
    private static function byPlace(array $facts): array
    {
        $said = [];
        foreach ($facts as $fact) {
            [$place, $value] = [...explode(': ', $fact, 2), ''];
            $said[$place] = isset($said[$place]) ? "{$said[$place]}; {$value}" : $value;
        }

        return $said;
    }

    private static function short(string $line): string
    {
        return mb_strlen($line) <= self::LONGEST ? $line : mb_substr($line, 0, self::LONGEST).'…';
    }
}

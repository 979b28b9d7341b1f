<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

/** The known word that a mistyped one was probably meant to be. */
final readonly class Nearest
{
    /** @param  list<string>  $known */
    public static function of(string $word, array $known): ?string
    {
        $best = null;
        $least = max(2, intdiv(strlen($word), 3)) + 1;
        foreach ($known as $candidate) {
            $distance = levenshtein(substr($word, 0, 100), substr($candidate, 0, 100));
            if ($distance < $least) {
                [$best, $least] = [$candidate, $distance];
            }
        }

        return $best;
    }
}

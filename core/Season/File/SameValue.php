<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use stdClass;

/** Equal as a person sees it: 16 is 16.0, and the order of an object's keys does not matter. */
final readonly class SameValue
{
    public static function is(mixed $a, mixed $b): bool
    {
        return match (true) {
            is_array($a) && is_array($b) => self::lists(array_values($a), array_values($b)),
            $a instanceof stdClass && $b instanceof stdClass => self::objects(get_object_vars($a), get_object_vars($b)),
            (is_int($a) || is_float($a)) && (is_int($b) || is_float($b)) => (float) $a === (float) $b,
            default => $a === $b,
        };
    }

    /**
     * @param  list<mixed>  $a
     * @param  list<mixed>  $b
     */
    private static function lists(array $a, array $b): bool
    {
        return count($a) === count($b) && ! in_array(false, array_map(self::is(...), $a, $b), true);
    }

    /**
     * @param  array<array-key, mixed>  $a
     * @param  array<array-key, mixed>  $b
     */
    private static function objects(array $a, array $b): bool
    {
        ksort($a);
        ksort($b);

        return array_keys($a) === array_keys($b) && self::lists(array_values($a), array_values($b));
    }
}

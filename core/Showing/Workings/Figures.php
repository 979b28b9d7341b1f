<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

/** Numbers as they stand in a formula: enough places to check by hand, no more. */
final readonly class Figures
{
    public static function number(float|int $x): string
    {
        if (is_int($x) || $x == round($x)) {
            return number_format($x, 0, '.', ',');
        }
        $places = abs($x) >= 100 ? 2 : (abs($x) >= 1 ? 4 : 6);

        return rtrim(rtrim(number_format($x, $places, '.', ','), '0'), '.');
    }

    /** @param  list<string>  $parts */
    public static function sum(array $parts): string
    {
        return $parts === [] ? '0' : implode(' + ', $parts);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

use stdClass;

/** A value of a decoded document, as what it should be; what it is not becomes empty. */
final readonly class Cell
{
    public static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    public static function whole(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    /** @return list<stdClass> */
    public static function rows(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], fn (mixed $row): bool => $row instanceof stdClass));
    }

    /** @return list<string> */
    public static function texts(mixed $list): array
    {
        return array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
    }
}

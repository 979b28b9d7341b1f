<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/** A text that a request holds. Whoever sends a list or an object where a text belongs has sent none. */
final readonly class Text
{
    public static function in(Request $request, string $key): string
    {
        $value = $request->input($key);

        return is_string($value) || is_int($value) || is_float($value) ? (string) $value : '';
    }
}

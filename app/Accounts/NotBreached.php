<?php

declare(strict_types=1);

namespace App\Accounts;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use RuntimeException;

/**
 * Refuses a password that is known from breaches, by a list that ships with the application: nothing is asked of the network.
 *
 * breached.bin holds the first five bytes of the SHA-1 of each, in lower case, sorted one behind the other. They are those of at least
 * eight characters in the list of common passwords of @zxcvbn-ts/language-common 4.1.3 (MIT). A password that only shares its first five
 * bytes with one of them is refused too, which happens to one in a hundred million.
 */
final readonly class NotBreached implements ValidationRule
{
    private const BYTES = 5;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && self::isKnown($value)) {
            $fail('This password is on lists of stolen ones. Take another, such as three words that nobody would put together.');
        }
    }

    public static function isKnown(#[\SensitiveParameter] string $password): bool
    {
        $list = file_get_contents(__DIR__.'/breached.bin') ?: throw new RuntimeException('The list of breached passwords is missing.');
        $mark = substr(sha1(mb_strtolower($password), true), 0, self::BYTES);
        [$low, $high] = [0, intdiv(strlen($list), self::BYTES)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $order = strcmp(substr($list, $middle * self::BYTES, self::BYTES), $mark);
            if ($order === 0) {
                return true;
            }
            [$low, $high] = $order < 0 ? [$middle + 1, $high] : [$low, $middle];
        }

        return false;
    }
}

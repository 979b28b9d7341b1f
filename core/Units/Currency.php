<?php

declare(strict_types=1);

namespace JollyPenny\Core\Units;

/** Decimals of a currency (ISO 4217; the exceptions from memory). */
final readonly class Currency
{
    private const NONE = ['BIF', 'CLP', 'DJF', 'GNF', 'ISK', 'JPY', 'KMF', 'KRW', 'PYG', 'RWF', 'UGX', 'VND', 'VUV', 'XAF', 'XOF', 'XPF'];

    private const THREE = ['BHD', 'IQD', 'JOD', 'KWD', 'LYD', 'OMR', 'TND'];

    public static function places(string $code): int
    {
        return match (true) {
            in_array($code, self::NONE, true) => 0,
            in_array($code, self::THREE, true) => 3,
            default => 2,
        };
    }
}

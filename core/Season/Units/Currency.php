<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Units;

use NumberFormatter;
use ResourceBundle;

/**
 * Currencies: how many decimals (ISO 4217, the exceptions from memory: ICU's own differ for a few that have lost their small
 * coins), and their signs and names in English (ICU).
 */
final class Currency
{
    private const NONE = ['BIF', 'CLP', 'DJF', 'GNF', 'ISK', 'JPY', 'KMF', 'KRW', 'PYG', 'RWF', 'UGX', 'VND', 'VUV', 'XAF', 'XOF', 'XPF'];

    private const THREE = ['BHD', 'IQD', 'JOD', 'KWD', 'LYD', 'OMR', 'TND'];

    /** Signs of the small coins that have one, a hundredth of the whole. */
    public const COINS = ['USD' => '¢', 'CAD' => '¢', 'AUD' => '¢', 'NZD' => '¢', 'EUR' => 'c', 'GBP' => 'p'];

    private const COMMON = ['USD', 'EUR', 'GBP', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'JPY', 'CNY', 'INR', 'ZAR', 'BRL', 'MXN'];

    /** @var ?list<string> codes */
    private static ?array $inUse = null;

    public function __construct(public readonly string $code, public readonly string $name, public readonly string $sign)
    {
    }

    public static function places(string $code): int
    {
        return self::exceptions()[$code] ?? 2;
    }

    /** @return array<string, int> decimals of the currencies that have not two */
    public static function exceptions(): array
    {
        return array_fill_keys(self::NONE, 0) + array_fill_keys(self::THREE, 3);
    }

    public static function isInUse(string $code): bool
    {
        // ICU's list is long to read: what most people use is known without it.
        if (in_array($code, self::COMMON, true)) {
            return true;
        }
        self::$inUse ??= array_column(self::all(), 'code');

        return in_array($code, self::$inUse, true);
    }

    /** @return list<self> those in use somewhere, by code */
    public static function all(): array
    {
        $regions = ResourceBundle::create('supplementalData', 'ICUDATA-curr', false)?->get('CurrencyMap');
        $names = ResourceBundle::create('en', 'ICUDATA-curr')?->get('Currencies');
        $found = [];
        foreach ($regions instanceof ResourceBundle ? $regions : [] as $region) {
            foreach ($region instanceof ResourceBundle ? $region : [] as $use) {
                $code = $use instanceof ResourceBundle && $use->get('to') === null && $use->get('tender') === null ? $use->get('id') : null;
                $words = is_string($code) && $names instanceof ResourceBundle ? $names->get($code) : null;
                $name = $words instanceof ResourceBundle ? $words->get(1) : null;
                if (is_string($code) && is_string($name)) {
                    $found[$code] ??= new self(
                        $code,
                        $name,
                        (string) (new NumberFormatter("en@currency={$code}", NumberFormatter::CURRENCY))->getSymbol(
                            NumberFormatter::CURRENCY_SYMBOL,
                        ),
                    );
                }
            }
        }
        ksort($found);

        return array_values($found);
    }
}

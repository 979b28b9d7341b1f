<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Units;

use NumberFormatter;

/** Money as the screens say it: to the penny, and what is too small for pennies to tell apart in coins and their tenths: $1.81, 69.1¢. */
final readonly class MoneyWords
{
    /** From here on it is said in whole money. */
    private const WHOLE = 0.9995;

    /** @param  string  $locale  how numbers are written where the person is */
    public function __construct(private string $currency, private string $locale = 'en')
    {
    }

    public function format(float $amount): string
    {
        $places = Currency::places($this->currency);
        $format = new NumberFormatter("{$this->locale}@numbers=latn", NumberFormatter::CURRENCY);
        $format->setAttribute(NumberFormatter::FRACTION_DIGITS, $places);

        return (string) $format->formatCurrency(round($amount, $places), $this->currency);
    }

    public function fine(float $amount): string
    {
        $coin = Currency::COINS[$this->currency] ?? null;
        if ($coin === null || abs($amount) >= self::WHOLE) {
            return $this->format($amount);
        }
        $format = new NumberFormatter("{$this->locale}@numbers=latn", NumberFormatter::DECIMAL);
        $format->setAttribute(NumberFormatter::FRACTION_DIGITS, 1);

        return $format->format(round(100 * $amount, 1)).$coin;
    }
}

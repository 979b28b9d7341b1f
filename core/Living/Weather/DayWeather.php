<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use InvalidArgumentException;

/** The lowest and the highest air of one day in the open, °C. The lowest mostly comes at dawn. */
final readonly class DayWeather
{
    /** No weather station on land ever read less, or more: −89.2 and 56.7 °C (World Meteorological Organization, records; from memory). */
    private const COLDEST_C = -90.0;

    private const HOTTEST_C = 60.0;

    /** Greatest swing of one day that was ever measured: 57 °C (Browning, Montana, 1916; from memory). */
    private const MOST_SWING_C = 60.0;

    public function __construct(public float $low, public float $high)
    {
    }

    /** @throws InvalidArgumentException in words, where it can be no day's weather */
    public static function checked(float $low, float $high): self
    {
        if (! is_finite($low) || ! is_finite($high) || $low < self::COLDEST_C || $high > self::HOTTEST_C) {
            throw new InvalidArgumentException('No day is that cold or that hot: write °C between −90 and 60, or say that they are °F.');
        }
        if ($low > $high) {
            throw new InvalidArgumentException('The lowest is above the highest. Are the two columns the other way round?');
        }
        if ($high - $low > self::MOST_SWING_C) {
            throw new InvalidArgumentException('No day swings by more than 60 °C. Look at the two numbers again.');
        }

        return new self($low, $high);
    }

    public function mean(): float
    {
        return ($this->low + $this->high) / 2;
    }
}

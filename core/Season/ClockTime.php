<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use InvalidArgumentException;

/** A time of day, as minutes past midnight (0 to 1439). */
final readonly class ClockTime
{
    public const MINUTES_A_DAY = 1440;

    public function __construct(public int $minutes)
    {
    }

    /** @throws InvalidArgumentException where the text is no time of day */
    public static function parse(string $text): self
    {
        if (preg_match('/^([01]\d|2[0-3]):([0-5]\d)$/D', $text, $m) !== 1) {
            throw new InvalidArgumentException("\"{$text}\" is not a time of day; write it from 00:00 to 23:59.");
        }

        return new self((int) $m[1] * 60 + (int) $m[2]);
    }

    public function format(): string
    {
        return sprintf('%02d:%02d', intdiv($this->minutes, 60), $this->minutes % 60);
    }
}

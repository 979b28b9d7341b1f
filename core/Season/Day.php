<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use InvalidArgumentException;

/** A calendar day, kept as the number of days since 1970-01-01. No time zone: a day in the garden is a day. */
final readonly class Day
{
    private function __construct(public int $number)
    {
    }

    /** @throws InvalidArgumentException where the text is no date that exists */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $m) !== 1
            || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw new InvalidArgumentException("\"{$text}\" is not a date that exists; write it as year-month-day, 2027-05-28.");
        }

        return new self(intdiv((int) gmmktime(0, 0, 0, (int) $m[2], (int) $m[3], (int) $m[1]), 86400));
    }

    public static function ofNumber(int $number): self
    {
        return new self($number);
    }

    public function plus(int $days): self
    {
        return new self($this->number + $days);
    }

    public function year(): int
    {
        return (int) gmdate('Y', $this->number * 86400);
    }

    /** 1 to 12. Asked of the same days again and again, so it is remembered. */
    public function month(): int
    {
        /** @var array<int, int> $months */
        static $months = [];

        return $months[$this->number] ??= (int) gmdate('n', $this->number * 86400);
    }

    public function format(): string
    {
        return gmdate('Y-m-d', $this->number * 86400);
    }
}

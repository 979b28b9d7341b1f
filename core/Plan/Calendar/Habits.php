<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Calendar;

use InvalidArgumentException;
use JollyPenny\Core\Season\Day;
use stdClass;

/** The days one sows on and the days away, which a season keeps beside its sums (`meta.habits`). */
final readonly class Habits
{
    /** How far a sowing is moved to find a day that suits. */
    private const FAR = 60;

    /**
     * @param  list<int>  $sowDays  weekdays, 0 for Sunday; empty is any
     * @param  list<array{int, int}>  $away  first and last day numbers
     */
    private function __construct(private array $sowDays, private array $away)
    {
    }

    /** What cannot be read is left out. */
    public static function fromMeta(?stdClass $meta): self
    {
        $habits = $meta !== null && ($meta->habits ?? null) instanceof stdClass ? $meta->habits : new stdClass;
        $days = is_array($habits->sow_days ?? null) ? array_values(array_filter($habits->sow_days, is_int(...))) : [];
        $away = [];
        $runs = is_array($habits->away ?? null) ? $habits->away : [];
        foreach (array_filter($runs, fn (mixed $run): bool => $run instanceof stdClass) as $run) {
            try {
                $away[] = [Day::parse(self::text($run->from ?? null))->number, Day::parse(self::text($run->to ?? null))->number];
            } catch (InvalidArgumentException) {
                continue;
            }
        }

        return new self($days, $away);
    }

    public function isAway(int $day): bool
    {
        foreach ($this->away as [$from, $to]) {
            if ($day >= $from && $day <= $to) {
                return true;
            }
        }

        return false;
    }

    /** The nearest day to sow on: one of one's days, at home; the earlier of two as near. */
    public function nearest(int $day): int
    {
        for ($far = 0; $far <= self::FAR; $far++) {
            foreach ([$day - $far, $day + $far] as $one) {
                if ($this->suits($one)) {
                    return $one;
                }
            }
        }

        return $day;
    }

    private function suits(int $day): bool
    {
        return ($this->sowDays === [] || in_array((int) gmdate('w', $day * 86400), $this->sowDays, true)) && ! $this->isAway($day);
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}

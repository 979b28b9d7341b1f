<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Day;

/** The day from which a season's weather is looked at: today; of a season that is far from today, the last day of its log. */
final readonly class SeenFrom
{
    private const FAR_DAYS = 40;

    public static function day(SetupBooks $books, LogBook $log, Day $today): Day
    {
        $days = [];
        foreach ($books->plans as $plan) {
            array_push($days, $plan->sowOn(), $plan->plantOutOn());
        }
        if ($days === [] || ($today->number > min($days) - self::FAR_DAYS && $today->number < max($days) + self::FAR_DAYS)) {
            return $today;
        }

        return $log->entries === [] ? Day::ofNumber(min($days)) : $log->entries[count($log->entries) - 1]->on;
    }
}

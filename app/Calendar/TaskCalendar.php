<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\LogRow;
use App\Seasons\KeptSeason;
use JollyPenny\Core\Living\Tasks\Task;
use JollyPenny\Core\Living\Tasks\Tasks;
use JollyPenny\Core\Season\Setup;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** A set-up's tasks as iCalendar: an all-day event each, under an id that stays, so that reading it again updates and never doubles. */
final readonly class TaskCalendar
{
    /** Calendar programs are asked to look again twice a day. */
    private const REFRESH = 'PT12H';

    /** Every crop's task by itself: one said for several crops would need a new id whenever a crop joins, and double. */
    public static function text(KeptSeason $kept, Setup $setup): string
    {
        $calendar = new VCalendar([
            'PRODID' => '-//Jolly Penny//Season//EN',
            'METHOD' => 'PUBLISH',
            'NAME' => "{$kept->file->name}, {$setup->name}",
            'X-WR-CALNAME' => "{$kept->file->name}, {$setup->name}",
            'REFRESH-INTERVAL' => self::REFRESH,
        ]);
        if (isset($calendar->{'REFRESH-INTERVAL'})) {
            $calendar->{'REFRESH-INTERVAL'}['VALUE'] = 'DURATION';
        }
        $stamp = ($kept->model->updated_at ?? now())->utc()->format('Ymd\THis\Z');
        foreach ((new Tasks($kept->lived($setup, LogRow::book($kept->model->id))))->all() as $task) {
            self::add($calendar, $task, $kept, $setup, $stamp);
        }

        return $calendar->serialize();
    }

    private static function add(VCalendar $calendar, Task $task, KeptSeason $kept, Setup $setup, string $stamp): void
    {
        /** @var VEvent $event */
        $event = $calendar->add('VEVENT', [
            'UID' => "{$kept->model->id}-{$setup->id}-{$task->id}@jolly-penny",
            'DTSTAMP' => $stamp,
            'SEQUENCE' => $kept->model->revision,
            'SUMMARY' => $task->words,
            'CATEGORIES' => $task->kind->value,
            'TRANSP' => 'TRANSPARENT',
        ]);
        // All day, in no time zone: a day in the garden is a day. The end is the day after.
        $event->add('DTSTART', str_replace('-', '', $task->date), ['VALUE' => 'DATE']);
        $event->add('DTEND', gmdate('Ymd', (int) strtotime("{$task->date} +1 day UTC")), ['VALUE' => 'DATE']);
    }
}

<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\LogRow;
use App\Seasons\KeptSeason;
use App\Weather\SeasonWeather;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Living\Tasks\Job;
use JollyPenny\Core\Living\Tasks\Tasks;
use JollyPenny\Core\Living\Tasks\WeatherJobs;
use JollyPenny\Core\Season\Setup;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/**
 * A set-up's tasks as iCalendar: an all-day event each, under an id that stays, so that reading it again updates and never doubles. Evenings
 * on which plants must come in have an hour.
 */
final readonly class TaskCalendar
{
    /** Calendar programs are asked to look again twice a day. */
    private const REFRESH = 'PT12H';

    /** Before dusk in spring, by the clock of whoever reads it. */
    private const EVENING = ['T180000', 'T183000'];

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
        $log = LogRow::book($kept->model->id);
        $books = $kept->lived($setup, $log);
        $weather = SeasonWeather::forSetup($kept, $books, $log, now()->format('Y-m-d'));
        foreach ((new Tasks($books, out: $weather?->movedOut() ?? []))->all() as $task) {
            $event = self::add($calendar, $kept, $setup, $task->id, $task->words, $task->kind);
            // All day, in no time zone: a day in the garden is a day. The end is the day after.
            $event->add('DTSTART', str_replace('-', '', $task->date), ['VALUE' => 'DATE']);
            $event->add('DTEND', gmdate('Ymd', (int) strtotime("{$task->date} +1 day UTC")), ['VALUE' => 'DATE']);
        }
        foreach ($weather === null ? [] : (new WeatherJobs($weather, $kept->file->units))->evenings() as $job) {
            self::evening($calendar, $kept, $setup, $job);
        }

        return $calendar->serialize();
    }

    private static function evening(VCalendar $calendar, KeptSeason $kept, Setup $setup, Job $job): void
    {
        $event = self::add($calendar, $kept, $setup, $job->id, $job->words, $job->kind);
        $event->add('DESCRIPTION', (string) $job->detail);
        $day = str_replace('-', '', $job->date);
        $event->add('DTSTART', $day.self::EVENING[0]);
        $event->add('DTEND', $day.self::EVENING[1]);
    }

    private static function add(VCalendar $calendar, KeptSeason $kept, Setup $setup, string $id, string $words, TaskKind $kind): VEvent
    {
        /** @var VEvent */
        return $calendar->add('VEVENT', [
            'UID' => "{$kept->model->id}-{$setup->id}-{$id}@jolly-penny",
            'DTSTAMP' => ($kept->model->updated_at ?? now())->utc()->format('Ymd\THis\Z'),
            'SEQUENCE' => $kept->model->revision,
            'SUMMARY' => $words,
            'CATEGORIES' => $kind->value,
            'TRANSP' => 'TRANSPARENT',
        ]);
    }
}

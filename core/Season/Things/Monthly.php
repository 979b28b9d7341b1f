<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

/** A year's course in twelve monthly means: each stands for the 15th of its month, with straight lines between. */
final readonly class Monthly
{
    /** @param  float|list<float>|null  $means  one for the whole year, or twelve, January first */
    public static function on(float|array|null $means, int $day): ?float
    {
        if (! is_array($means)) {
            return $means;
        }
        [$before, $after, $share] = self::around($day);

        return $means[$before] + $share * ($means[$after] - $means[$before]);
    }

    /** @return array{int, int, float} the months (January is 0) whose 15th is before and after, and how far between them */
    private static function around(int $day): array
    {
        /** @var array<int, array{int, int, float}> $known */
        static $known = [];

        return $known[$day] ??= self::find($day);
    }

    /** @return array{int, int, float} */
    private static function find(int $day): array
    {
        [$year, $month, $date] = array_map(intval(...), explode(' ', gmdate('Y n j', $day * 86400)));
        $first = $date < 15 ? $month - 1 : $month;
        [$from, $to] = array_map(fn (int $m): int => intdiv((int) gmmktime(0, 0, 0, $m, 15, $year), 86400), [$first, $first + 1]);

        return [($first + 11) % 12, $first % 12, ($day - $from) / ($to - $from)];
    }
}

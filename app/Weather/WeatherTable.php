<?php

declare(strict_types=1);

namespace App\Weather;

use App\Prices\CsvTable;
use App\Prices\NotATable;
use InvalidArgumentException;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Measure;

/** A table of days with their lowest and highest temperature, with any separator, in °C or °F; what cannot be read is told line by line. */
final readonly class WeatherTable
{
    /** Words of a heading, by column, in the larger languages of the regions whose currencies ship; from memory. */
    private const WORDS = [
        'date' => ['date', 'day', 'datum', 'tag', 'fecha', 'dia', 'jour', 'data', 'dato', 'paiva', 'dzien', 'pvm'],
        'low' => ['low', 'lowest', 'min', 'tmin', 'tn', 'tnk', 'minimum', 'mintemp', 'temp min', 'min temp', 'niedrigste', 'minima', 'minimo', 'tiefst'],
        'high' => ['high', 'highest', 'max', 'tmax', 'tx', 'txk', 'maximum', 'maxtemp', 'temp max', 'max temp', 'hochste', 'maxima', 'maximo', 'hochst'],
    ];

    private const NUMBER = '/^[-−+]?\d{1,3}([.,]\d{1,4})?$/u';

    /** Faults that are told one by one. */
    private const MOST_FAULTS = 20;

    /**
     * @param  array<int, DayWeather>  $days  by day number; of two lines of one day the later
     * @param  list<array{line: int, why: string}>  $faults  the first of them
     */
    private function __construct(public array $days, public array $faults, public int $refused)
    {
    }

    /**
     * @param  Measure  $unit  °C or °F
     * @param  bool  $monthFirst  how "5/3/2027" is read
     *
     * @throws NotATable
     */
    public static function parse(string $bytes, Measure $unit, bool $monthFirst): self
    {
        $rows = CsvTable::parse($bytes)->rows;
        $columns = self::columns($rows[0][1]);
        if ($columns === null && self::date($rows[0][1][0] ?? '', $monthFirst) === null) {
            throw new NotATable('The first line should name the columns: date, low, high. Or begin with the first day: 2027-05-03, 2.5, 14.');
        }
        if ($columns !== null) {
            array_shift($rows);
        }
        $columns ??= ['date' => 0, 'low' => 1, 'high' => 2];
        $days = $faults = [];
        $refused = 0;
        foreach ($rows as [$line, $cells]) {
            try {
                [$day, $weather] = self::row($cells, $columns, $unit, $monthFirst);
                $days[$day->number] = $weather;
            } catch (InvalidArgumentException $e) {
                $refused++;
                count($faults) < self::MOST_FAULTS ? $faults[] = ['line' => $line, 'why' => $e->getMessage()] : null;
            }
        }
        ksort($days);

        return new self($days, $faults, $refused);
    }

    /**
     * @param  list<string>  $cells
     * @param  array{date: int, low: int, high: int}  $columns
     * @return array{Day, DayWeather}
     *
     * @throws InvalidArgumentException in words
     */
    private static function row(array $cells, array $columns, Measure $unit, bool $monthFirst): array
    {
        $text = $cells[$columns['date']] ?? '';
        $day = self::date($text, $monthFirst) ?? throw new InvalidArgumentException("“{$text}” is no date. Write it as 2027-05-03.");
        if (! WeatherDays::isSense($day)) {
            throw new InvalidArgumentException("{$day->format()} is too long ago, or too far ahead. Look at the year.");
        }

        return [$day, DayWeather::checked(self::celsius($cells[$columns['low']] ?? '', $unit), self::celsius($cells[$columns['high']] ?? '', $unit))];
    }

    private static function celsius(string $cell, Measure $unit): float
    {
        $plain = trim((string) preg_replace('/\s*°?\s*[CF]?$/u', '', trim($cell)));
        if (preg_match(self::NUMBER, $plain) !== 1) {
            throw new InvalidArgumentException($plain === '' ? 'A temperature is missing. Fill it in, or leave the line out.'
                : "“{$cell}” is no temperature. Write it as 2.5.");
        }

        return round($unit->toCore((float) strtr($plain, [',' => '.', '−' => '-', '+' => ''])), 2);
    }

    private static function date(string $text, bool $monthFirst): ?Day
    {
        $parts = match (true) {
            preg_match('/^(\d{4})[-\/.]?(\d{2})[-\/.]?(\d{2})(?:[T ].*)?$/D', $text, $m) === 1 => [$m[1], $m[2], $m[3]],
            preg_match('/^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/D', $text, $m) === 1 => [$m[3], $m[2], $m[1]],
            // One that cannot be a month is the day.
            preg_match('/^(\d{1,2})[\/-](\d{1,2})[\/-](\d{4})$/D', $text, $m) === 1 => (int) $m[1] > 12 || (! $monthFirst && (int) $m[2] <= 12)
                ? [$m[3], $m[2], $m[1]] : [$m[3], $m[1], $m[2]],
            default => null,
        };
        try {
            return $parts === null ? null : Day::parse(sprintf('%04d-%02d-%02d', ...array_map(intval(...), $parts)));
        } catch (InvalidArgumentException) {
            return null;
        }
    }

    /**
     * @param  list<string>  $heading
     * @return ?array{date: int, low: int, high: int} null where it is no heading
     */
    private static function columns(array $heading): ?array
    {
        $found = [];
        foreach ($heading as $place => $cell) {
            $plain = strtr(mb_strtolower($cell), ['ö' => 'o', 'í' => 'i', 'á' => 'a', 'ä' => 'a', 'ń' => 'n', '_' => ' ']);
            $plain = trim((string) preg_replace('/\(.*\)|°\s*[cf]?\b|\b(daily|in|temperature|temperatur)\b|[:.]/u', ' ', $plain));
            foreach (self::WORDS as $column => $words) {
                if (! isset($found[$column]) && in_array((string) preg_replace('/\s+/', ' ', $plain), $words, true)) {
                    $found[$column] = $place;
                }
            }
        }

        return isset($found['date'], $found['low'], $found['high']) ? ['date' => $found['date'], 'low' => $found['low'], 'high' => $found['high']] : null;
    }
}

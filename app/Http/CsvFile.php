<?php

declare(strict_types=1);

namespace App\Http;

use Symfony\Component\HttpFoundation\Response;

/** A table as CSV (RFC 4180, UTF-8 with a byte-order mark, which spreadsheet programs ask for). */
final readonly class CsvFile
{
    /** What a spreadsheet program would take for a formula. */
    private const FORMULA = '/^[=+\-@\t\r]/';

    /** @param  iterable<list<string|int|float|bool|null>>  $rows */
    public static function response(string $name, iterable $rows): Response
    {
        $text = "\u{FEFF}";
        foreach ($rows as $row) {
            $text .= implode(',', array_map(self::cell(...), $row))."\r\n";
        }

        return new Response($text, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"jolly-penny-{$name}.csv\"",
            'Cache-Control' => 'private, no-cache',
        ]);
    }

    private static function cell(string|int|float|bool|null $value): string
    {
        if (is_float($value)) {
            return rtrim(rtrim(number_format($value, 6, '.', ''), '0'), '.');
        }
        $text = (string) $value;
        // Text never becomes a formula where it is opened.
        if (is_string($value) && preg_match(self::FORMULA, $text) === 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}

<?php

declare(strict_types=1);

namespace App\Prices;

/** A table somebody's program has written: any usual encoding and separator, read as rows of text. */
final readonly class CsvTable
{
    private const MOST_ROWS = 20_000;

    private const MOST_COLUMNS = 100;

    /** Longer, a quote was never closed. */
    private const LONGEST_CELL = 2000;

    /** @param  list<array{int, list<string>}>  $rows  with the line each begins on */
    private function __construct(public array $rows, public string $separator)
    {
    }

    /** @throws NotATable in words */
    public static function parse(string $bytes): self
    {
        $text = self::text($bytes);
        if (str_contains($text, "\0")) {
            throw new NotATable('This is no text: it holds zero bytes. Save the table as CSV, and try again.');
        }
        $first = (string) strtok($text, "\r\n");
        $separator = self::separator($first);
        if (substr_count($first, $separator) >= self::MOST_COLUMNS) {
            throw new NotATable('The first line has more than '.self::MOST_COLUMNS.' columns. Leave out those that hold no prices.');
        }
        $stream = fopen('php://temp', 'r+b') ?: throw new NotATable('There is no room to read the table. Try again.');
        fwrite($stream, $text);
        rewind($stream);
        $rows = [];
        for ($line = 1; ($cells = fgetcsv($stream, null, $separator, '"', '')) !== false; $line += 1 + $breaks) {
            $breaks = array_sum(array_map(fn (?string $cell): int => substr_count((string) $cell, "\n"), $cells));
            foreach ($cells as $cell) {
                if (strlen((string) $cell) > self::LONGEST_CELL) {
                    throw new NotATable("A quote that begins near line {$line} is never closed. Close it, or take it out.");
                }
            }
            if ($cells !== [null]) {
                $rows[] = [$line, array_map(fn (?string $cell): string => trim((string) $cell), array_slice($cells, 0, self::MOST_COLUMNS))];
            }
            if (count($rows) > self::MOST_ROWS) {
                throw new NotATable('There are more than '.number_format(self::MOST_ROWS).' lines. Split the table.');
            }
        }

        return $rows === [] ? throw new NotATable('The table is empty.') : new self($rows, $separator);
    }

    /** UTF-8 with or without its mark, UTF-16 with its mark, else as Western Windows programs write. */
    private static function text(string $bytes): string
    {
        return match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => self::valid(substr($bytes, 3)),
            str_starts_with($bytes, "\xFF\xFE") => (string) mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => (string) mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            default => self::valid($bytes),
        };
    }

    private static function valid(string $bytes): string
    {
        return mb_check_encoding($bytes, 'UTF-8') ? $bytes : (string) mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252');
    }

    private static function separator(string $line): string
    {
        $outside = (string) preg_replace('/"[^"]*"/', '', $line);
        $counts = array_map(fn (string $one): int => substr_count($outside, $one), ["\t" => "\t", ';' => ';', ',' => ',', '|' => '|']);
        arsort($counts);
        $most = (string) array_key_first($counts);

        return $counts[$most] > 0 ? $most : ',';
    }
}

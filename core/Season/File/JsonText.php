<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use JsonException;
use stdClass;

/**
 * Text to document, refusing what PHP's parser lets pass or chokes on: size, encoding, depth, number of values and
 * keys given twice. The scan costs no memory beyond the keys of the objects that are open.
 */
final readonly class JsonText
{
    public const MAX_BYTES = 5_000_000;

    private const TABLE_LINES = 20;

    /** A string, or a character that opens, closes or divides; what lies between is left to the parser. */
    private const TOKEN = '/[^"{}\[\],:]*+("(?:[^"\\\\]++|\\\\.)*+"|[{}\[\],:])/As';

    /** @throws InvalidSeason */
    public static function parse(string $text): stdClass
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw InvalidSeason::because([], 'The file is over 5 MB.', 'A season is far smaller: check that it is the right file.');
        }
        if (str_starts_with($text, "\u{FEFF}")) {
            $text = substr($text, 3);
        }
        if (trim($text) === '') {
            throw InvalidSeason::because([], 'The file is empty.', 'Give a season file.');
        }
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidSeason::because([], 'The text is not valid UTF-8.', 'Save it again as UTF-8.');
        }
        if (str_contains($text, '\u0000')) {
            throw InvalidSeason::because([], 'A text holds a zero byte.', 'Take "\\u0000" out.');
        }
        $faults = self::scan($text);
        try {
            $document = json_decode($text, false, JsonScan::MAX_DEPTH + 1, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            if (self::isTable($text)) {
                throw InvalidSeason::because(
                    [],
                    'This is a table of values, not a season file.',
                    'A season file ends in .json: download it from your seasons.',
                );
            }
            throw InvalidSeason::because([], "This is not JSON ({$e->getMessage()}).", 'Look for a missing comma, quote or bracket.');
        }
        if ($faults !== []) {
            throw new InvalidSeason($faults);
        }
        if (! ($document instanceof stdClass)) {
            throw InvalidSeason::because([], 'A season file is one object.', 'It begins with { and ends with }.');
        }

        return $document;
    }

    /** Lines of equally many values between commas, semicolons or tabs, as spreadsheets write them. */
    private static function isTable(string $text): bool
    {
        $lines = array_slice(array_filter(array_map(trim(...), explode("\n", $text))), 0, self::TABLE_LINES);
        foreach ([',', ';', "\t"] as $between) {
            $values = array_map(fn (string $line): int => count(str_getcsv($line, $between, '"', '')), $lines);
            if (count($lines) > 1 && $values[0] > 1 && count(array_unique($values)) === 1 && ! str_starts_with($text, '{')) {
                return true;
            }
        }

        return false;
    }

    /**
     * @return list<Fault> the keys given twice
     *
     * @throws InvalidSeason where it is too deep or holds too many values
     */
    private static function scan(string $text): array
    {
        $scan = new JsonScan();
        $offset = 0;
        while (preg_match(self::TOKEN, $text, $match, 0, $offset) === 1) {
            $offset += strlen($match[0]);
            $scan->take($match[1]);
        }

        return $scan->faults;
    }
}

<?php

declare(strict_types=1);

namespace App\Ledger;

use XMLReader;
use ZipArchive;

/**
 * Whether a workbook is small enough to be read. Packed, a file of 4 MB can hold gigabytes and rows of a million cells: it is streamed
 * through once and given up at the first bound it breaks, before anything is built of it.
 */
final readonly class WorkbookSize
{
    private const FILES = 200;

    /** Unpacked, of all the files in it. */
    private const BYTES = 40_000_000;

    private const CELLS_IN_A_ROW = 256;

    private const CELLS = 150_000;

    private const STRINGS = 50_000;

    /** @throws NotAWorkbook */
    public static function check(string $file): void
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw new NotAWorkbook;
        }
        $bytes = 0;
        $parts = [];
        for ($n = 0; $n < min($zip->numFiles, self::FILES + 1); $n++) {
            $part = $zip->statIndex($n) ?: ['name' => '', 'size' => 0];
            $bytes += $part['size'];
            $parts[] = $part['name'];
        }
        $zip->close();
        self::within($bytes, self::BYTES);
        self::within(count($parts), self::FILES);
        foreach (preg_grep('#^(xl/worksheets/[^/]+\.xml|xl/sharedStrings\.xml|content\.xml)$#', $parts) ?: [] as $part) {
            self::stream("zip://{$file}#{$part}");
        }
    }

    /** @throws NotAWorkbook */
    private static function stream(string $part): void
    {
        $reader = new XMLReader;
        if (! @$reader->open($part, null, LIBXML_NONET)) {
            return;
        }
        $cells = $inRow = $strings = 0;
        while (@$reader->read()) {
            if ($reader->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            if (in_array($reader->localName, ['row', 'table-row'], true)) {
                $inRow = 0;
            } elseif (in_array($reader->localName, ['c', 'table-cell'], true)) {
                self::within(++$inRow, self::CELLS_IN_A_ROW);
                self::within(++$cells, self::CELLS);
            } elseif ($reader->localName === 'si') {
                self::within(++$strings, self::STRINGS);
            }
        }
        $reader->close();
    }

    /** @throws NotAWorkbook */
    private static function within(int $is, int $most): void
    {
        $is <= $most ?: throw NotAWorkbook::becauseItIsTooLarge();
    }
}

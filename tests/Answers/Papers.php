<?php

declare(strict_types=1);

namespace Tests\Answers;

use Closure;
use PhpOffice\PhpSpreadsheet\IOFactory;
use RuntimeException;

/** What stands on documents that are no text. */
final class Papers
{
    public static function textOfPdf(string $content): string
    {
        return self::inFile($content, function (string $file): string {
            exec('pdftotext -layout '.escapeshellarg($file).' -', $lines, $code);

            return $code === 0 ? implode("\n", $lines) : throw new RuntimeException('pdftotext does not run: install Debian\'s poppler-utils.');
        });
    }

    /** @return object every cell of a workbook that holds something by its sheet and place, formulas as they stand */
    public static function cellsOfWorkbook(string $content): object
    {
        $cells = [];
        $sheets = self::inFile($content, fn (string $file): array => IOFactory::load($file)->getAllSheets());
        foreach ($sheets as $sheet) {
            foreach ($sheet->toArray(null, false, false, true) as $row => $columns) {
                foreach (array_filter($columns, fn (mixed $cell): bool => $cell !== null && $cell !== '') as $column => $cell) {
                    $cells["{$sheet->getTitle()} {$column}{$row}"] = $cell;
                }
            }
        }

        return (object) $cells;
    }

    /**
     * @template T
     *
     * @param  Closure(string): T  $read
     * @return T
     */
    private static function inFile(string $content, Closure $read): mixed
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'book');
        file_put_contents($file, $content);
        try {
            return $read($file);
        } finally {
            unlink($file);
        }
    }
}

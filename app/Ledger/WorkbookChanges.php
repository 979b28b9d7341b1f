<?php

declare(strict_types=1);

namespace App\Ledger;

use JollyPenny\Core\Season\Things\ThingKind;
use PhpOffice\PhpSpreadsheet\IOFactory;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;
use stdClass;
use Throwable;

/** What somebody has changed in a ledger's workbook, against the season as it is. */
final readonly class WorkbookChanges
{
    private const ROWS = 5000;

    private const SAME = 1e-9;

    /** Columns of a price, what a pack holds and a life, with the words for each. */
    private const COLUMNS = ['D' => 'price', 'E' => 'a pack holds', 'G' => 'lasts, seasons'];

    /** The season's own two inputs, by their cell. */
    private const OWN = [
        LedgerWorkbook::DISCOUNT => ['discount_rate', 'Money later is worth less'],
        LedgerWorkbook::HOURLY => ['hourly_value', 'An hour is worth'],
    ];

    /**
     * @return list<array{path: list<string|int>, label: string, from: ?float, to: float}>
     *
     * @throws NotAWorkbook
     */
    public static function read(string $file, stdClass $document): array
    {
        $sheet = self::sheet($file);
        $changes = [];
        foreach (self::OWN as $cell => [$key, $words]) {
            self::compare($changes, $document, [$key], $words, $sheet->getCell($cell)->getValue());
        }
        for ($row = LedgerWorkbook::FIRST; $row < LedgerWorkbook::FIRST + self::ROWS; $row++) {
            $id = $sheet->getCell("A{$row}")->getValue();
            if (! is_string($id) || $id === '') {
                break;
            }
            $path = array_map(fn (string $step): string|int => ctype_digit($step) ? (int) $step : $step, explode('/', $id));
            $name = $sheet->getCell("C{$row}")->getValue();
            foreach (self::COLUMNS as $column => $words) {
                $at = match ($column) {
                    'D' => $path,
                    'E' => [...array_slice($path, 0, -1), ThingKind::ofList((string) $path[0])?->holdsKey() ?? ''],
                    default => [...array_slice($path, 0, -1), 'life_seasons'],
                };
                self::compare($changes, $document, $at, (is_scalar($name) ? (string) $name : $id).", {$words}", $sheet->getCell("{$column}{$row}")->getValue());
            }
        }

        return $changes;
    }

    private static function sheet(string $file): Worksheet
    {
        WorkbookSize::check($file);
        try {
            $type = IOFactory::identify($file, [IOFactory::READER_XLSX, IOFactory::READER_ODS]);
            $reader = IOFactory::createReader($type);
            $reader->setReadDataOnly(true);
            $reader->setLoadSheetsOnly([LedgerWorkbook::INPUTS]);
            $reader->setReadFilter(new class(LedgerWorkbook::FIRST + self::ROWS) implements IReadFilter
            {
                public function __construct(private readonly int $rows)
                {
                }

                public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
                {
                    return $row <= $this->rows && strlen($columnAddress) === 1 && $columnAddress <= 'J';
                }
            });

            return $reader->load($file)->getSheetByName(LedgerWorkbook::INPUTS) ?? throw new NotAWorkbook();
        } catch (NotAWorkbook $e) {
            throw $e;
        } catch (Throwable $e) {
            throw new NotAWorkbook(previous: $e);
        }
    }

    /**
     * @param  list<array{path: list<string|int>, label: string, from: ?float, to: float}>  $changes
     * @param  list<string|int>  $path
     */
    private static function compare(array &$changes, stdClass $document, array $path, string $label, mixed $value): void
    {
        $now = self::at($document, $path);
        if (! is_numeric($value) || ! is_numeric($now) || abs((float) $value - (float) $now) <= self::SAME * max(1.0, abs((float) $now))) {
            return;
        }
        $changes[] = ['path' => $path, 'label' => $label, 'from' => (float) $now, 'to' => (float) $value];
    }

    /** @param  list<string|int>  $path */
    private static function at(mixed $value, array $path): mixed
    {
        foreach ($path as $step) {
            if (is_array($value)) {
                $rows = is_int($step) ? [$value[$step] ?? null]
                    : array_filter($value, fn (mixed $row): bool => $row instanceof stdClass && ($row->id ?? null) === $step);
                $value = array_values($rows)[0] ?? null;
            } else {
                $value = $value instanceof stdClass && is_string($step) ? $value->{$step} ?? null : null;
            }
        }

        return $value;
    }
}

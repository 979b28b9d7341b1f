<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

use RuntimeException;

/** One CSV file of the catalogue: rows by column name, numbers as numbers, an empty cell as null. */
final readonly class CatalogueFile
{
    private const FOLDER = __DIR__.'/../../../catalogue';

    private const FLAGS = ['tender', 'single_use', 'stick', 'stands_heat', 'bolts_in_spring'];

    /**
     * @return list<array<string, string|int|float|bool|null>>
     *
     * @throws RuntimeException where the file is missing or a row has not as many cells as the header
     */
    public static function rows(string $name): array
    {
        /** @var array<string, list<array<string, string|int|float|bool|null>>> $read what ships does not change while it runs */
        static $read = [];

        return $read[$name] ??= self::read($name);
    }

    /** @return list<array<string, string|int|float|bool|null>> */
    private static function read(string $name): array
    {
        $handle = @fopen(self::FOLDER."/{$name}.csv", 'rb');
        if ($handle === false) {
            throw new RuntimeException("The catalogue's {$name}.csv is missing from the installation.");
        }
        $header = fgetcsv($handle, escape: '');
        $rows = [];
        while (is_array($header) && ($cells = fgetcsv($handle, escape: '')) !== false) {
            if (count($cells) !== count($header)) {
                throw new RuntimeException(
                    "A row of the catalogue's {$name}.csv has ".count($cells).' cells instead of '.count($header).'.',
                );
            }
            $row = [];
            foreach ($header as $i => $column) {
                $row[(string) $column] = self::value((string) $column, (string) $cells[$i]);
            }
            $rows[] = $row;
        }
        fclose($handle);

        return $rows;
    }

    private static function value(string $column, string $cell): string|int|float|bool|null
    {
        return match (true) {
            $cell === '' => null,
            in_array($column, self::FLAGS, true) => $cell === '1',
            preg_match('/^-?\d+$/', $cell) === 1 => (int) $cell,
            is_numeric($cell) => (float) $cell,
            default => $cell,
        };
    }
}

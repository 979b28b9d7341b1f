<?php

declare(strict_types=1);

namespace JollyPenny\Core\Catalogue;

/** The shipped facts (catalogue/*.csv), each row with its source. */
final class Catalogue
{
    /** @var ?array<string, SpeciesFacts> */
    private ?array $species = null;

    /** @return array<string, SpeciesFacts> by id, in the file's order */
    public function species(): array
    {
        if ($this->species === null) {
            $tables = [];
            foreach (CatalogueFile::rows('germination') as $row) {
                $tables[(string) $row['table']][] = $row;
            }
            $this->species = [];
            foreach (CatalogueFile::rows('species') as $row) {
                $this->species[(string) $row['id']] = SpeciesFacts::of($row, $tables[(string) $row['germination_table']] ?? []);
            }
        }

        return $this->species;
    }

    /** @return array<string, array<string, mixed>> rows of the season file's `containers`, by id */
    public function containers(): array
    {
        return self::seasonRows('containers', ['kind']);
    }

    /** @return array<string, array<string, mixed>> rows of `supplies`, by id */
    public function supplies(): array
    {
        return self::seasonRows('supplies', ['kind']);
    }

    /** @return array<string, array<string, mixed>> rows of `lights` without their place, by id */
    public function lamps(): array
    {
        return self::seasonRows('lamps', ['kind', 'lumens', 'kelvin']);
    }

    /** @return array<string, array<string, mixed>> rows of `mats` without their place, by id */
    public function mats(): array
    {
        return self::seasonRows('mats', []);
    }

    /** @return array<string, array<string, mixed>> rows of `mixes`, by id */
    public function recipes(): array
    {
        $recipes = [];
        foreach (CatalogueFile::rows('recipes') as $row) {
            $id = (string) $row['id'];
            $recipes[$id] ??= ['id' => $id, 'name' => $row['name'], 'parts' => [], 'shrinkage' => $row['shrinkage'],
                'minutes_per_l' => $row['minutes_per_l'], 'kwh_per_l' => $row['kwh_per_l'], 'meta' => ['catalogue' => $id]];
            $recipes[$id]['parts'][] = ['supply' => $row['supply'], 'parts' => $row['parts']];
        }

        return $recipes;
    }

    /**
     * @param  list<string>  $facts  columns that are no season keys
     * @return array<string, array<string, mixed>>
     */
    private static function seasonRows(string $file, array $facts): array
    {
        $rows = [];
        foreach (CatalogueFile::rows($file) as $row) {
            $id = (string) $row['id'];
            $rows[$id] = ['meta' => ['catalogue' => $id]] + array_diff_key($row, array_flip([...$facts, 'source']));
        }

        return $rows;
    }
}

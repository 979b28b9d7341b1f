<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

use JollyPenny\Core\Season\Units\NameInUsUnits;

/** The shipped facts (catalogue/*.csv), each row with its source. */
final class Catalogue
{
    /** Keys of a row that are money. */
    public const PRICES = ['price', 'pack_price', 'packet_price', 'prep_cost_per_unit'];

    /** Before the name of a temperature range, where a species has no table. */
    private const RANGE = 'range:';

    /** @var ?array<string, SpeciesFacts> what ships does not change while it runs */
    private static ?array $species = null;

    private static ?SpeciesNames $names = null;

    /** @var array<string, ?SpeciesFacts> what was found, by name */
    private array $found = [];

    /** @return array<string, SpeciesFacts> by id, in the file's order */
    public function species(): array
    {
        if (self::$species === null) {
            $tables = $ranges = [];
            foreach (CatalogueFile::rows('germination') as $row) {
                $tables[(string) $row['table']][] = $row;
            }
            foreach (CatalogueFile::rows('temperature-ranges') as $row) {
                $ranges[self::RANGE.$row['range']] = TemperatureRange::fromRow($row);
            }
            self::$species = [];
            foreach (CatalogueFile::rows('species') as $row) {
                $range = $ranges[(string) $row['germination_table']] ?? null;
                $table = $tables[(string) $row['germination_table']] ?? [];
                self::$species[(string) $row['id']] = $range === null
                    ? SpeciesFacts::fromRow($row, array_map(self::germinationRow(...), $table), isset($table[0]) ? (string) $table[0]['source'] : null)
                    : SpeciesFacts::fromRow($row, $range->table((float) $row['days_to_emerge']),
                        "minimum, optimum and maximum: {$range->source}; the straight lines between them are a rule of ours");
            }
        }

        return self::$species;
    }

    /** What is known of a season's species: by its mark, or else by its name. */
    public function recognise(?string $mark, string $name): ?SpeciesFacts
    {
        $marked = $this->species()[$mark ?? ''] ?? null;
        if ($marked !== null) {
            return $marked;
        }
        self::$names ??= new SpeciesNames($this->species());
        if (! array_key_exists($name, $this->found)) {
            $this->found[$name] = self::$names->find($name);
        }

        return $this->found[$name];
    }

    /** @return array<string, array<string, mixed>> rows of the season file's `containers`, by id */
    public function containers(): array
    {
        return self::seasonRows('containers', ['kind', 'width_cm', 'length_cm']);
    }

    /** @return array<string, array<string, mixed>> rows of `supplies`, by id */
    public function supplies(): array
    {
        return self::seasonRows('supplies', ['kind', 'dose_per_l', 'pack_of']);
    }

    /** @return list<string> ids of the same supply in other packs */
    public function packsBeside(string $id): array
    {
        $of = [];
        foreach (CatalogueFile::rows('supplies') as $row) {
            $of[(string) $row['id']] = (string) ($row['pack_of'] ?? $row['id']);
        }
        $same = array_keys($of, $of[$id] ?? null, true);

        return array_values(array_filter(array_map(strval(...), $same), fn (string $one): bool => $one !== $id));
    }

    /** @return array<string, float> what of a feed goes into a litre of water, in its own unit, by the supply's id; only feeds have one */
    public function doses(): array
    {
        $doses = [];
        foreach (CatalogueFile::rows('supplies') as $row) {
            if ($row['dose_per_l'] !== null) {
                $doses[(string) $row['id']] = (float) $row['dose_per_l'];
            }
        }

        return $doses;
    }

    /** @return array<string, array<string, mixed>> rows of `lights` without their place, by id */
    public function lamps(): array
    {
        return self::seasonRows('lamps', ['kind', 'lumens', 'kelvin']);
    }

    /** @return list<array<string, mixed>> LED lamps in the money of a season, US dollars where no prices are known in it */
    public function lampsInstead(string $currency): array
    {
        $leds = array_filter(CatalogueFile::rows('lamps'), fn (array $row): bool => $row['kind'] === 'led');
        $known = isset(PriceLevel::all()[$currency]) ? $currency : PriceLevel::OWN;

        return array_map(fn (array $row): array => $this->seasonRow('lights', (string) $row['id'], $known), array_values($leds));
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
            $recipes[$id] ??= [
                'id' => $id,
                'name' => $row['name'],
                'parts' => [],
                'shrinkage' => $row['shrinkage'],
                'minutes_per_l' => $row['minutes_per_l'],
                'kwh_per_l' => $row['kwh_per_l'],
                'meta' => ['catalogue' => $id],
            ];
            if ($row['parts'] === null) {
                $recipes[$id]['additives'][] = ['supply' => $row['supply'], 'amount_per_l' => $row['amount_per_l']];
            } else {
                $recipes[$id]['parts'][] = ['supply' => $row['supply'], 'parts' => $row['parts']];
            }
        }

        return $recipes;
    }

    /** @return array<string, array<string, mixed>> rows of `trayware`, by id */
    public function trayware(): array
    {
        return self::ofKind('trayware');
    }

    /** @return array<string, array<string, mixed>> rows of `gear`, by id */
    public function gear(): array
    {
        return self::ofKind('gear');
    }

    /**
     * @return array<string, list<array{id: string, name: string, us_name: string, price: ?float, kind: ?string, dose_per_l: ?float,
     *   source: string}>> what can be put into a season, by list; US dollars
     */
    public function things(): array
    {
        $things = [];
        foreach (['lights' => 'lamps', 'mats' => 'mats', 'appliances' => 'appliances', 'containers' => 'containers', 'supplies' => 'supplies', 'nursery' => 'nursery'] as $list => $file) {
            $things[$list] = array_map(self::thing(...), CatalogueFile::rows($file));
        }
        foreach (['trayware', 'gear'] as $kind) {
            $rows = array_filter(CatalogueFile::rows('gear'), fn (array $row): bool => $row['kind'] === $kind);
            $things[$kind] = array_map(self::thing(...), array_values($rows));
        }

        $things['mixes'] = [];
        foreach (CatalogueFile::rows('recipes') as $row) {
            $things['mixes'][(string) $row['id']] ??= self::thing($row);
        }
        $things['mixes'] = array_values($things['mixes']);

        return $things;
    }

    /**
     * @param  array<string, string|int|float|bool|null>  $row
     * @return array{id: string, name: string, us_name: string, price: ?float, kind: ?string, dose_per_l: ?float, source: string}
     */
    private static function thing(array $row): array
    {
        $price = $row['price'] ?? $row['pack_price'] ?? null;

        return [
            'id' => (string) $row['id'],
            'name' => (string) $row['name'],
            'us_name' => NameInUsUnits::convert((string) $row['name']),
            'price' => $price === null ? null : (float) $price,
            'kind' => isset($row['kind']) ? (string) $row['kind'] : null,
            'dose_per_l' => isset($row['dose_per_l']) ? (float) $row['dose_per_l'] : null,
            'source' => (string) $row['source'],
        ];
    }

    /** @return array<string, array<string, mixed>> the schools' methods, by id; their rows are named by catalogue ids, places by their part */
    public function methods(): array
    {
        return self::json('methods');
    }

    /** @return array<string, array<string, mixed>> ready-made set-ups, by id */
    public function setups(): array
    {
        return self::json('setups');
    }

    /**
     * A row as the season file has it, its prices in the season's currency.
     *
     * @return array<string, mixed>
     *
     * @throws NotInCatalogue
     */
    public function seasonRow(string $list, string $id, string $currency = PriceLevel::OWN): array
    {
        $row = match ($list) {
            'species' => ($this->species()[$id] ?? null)?->seasonRow(),
            'seed_lots' => isset($this->species()[$id])
                ? ['packet_price' => $this->species()[$id]->packetPrice, 'seeds_per_packet' => $this->species()[$id]->seedsPerPacket]
                : null,
            'containers' => $this->containers()[$id] ?? null,
            'supplies' => $this->supplies()[$id] ?? null,
            'mixes' => $this->recipes()[$id] ?? null,
            'lights' => $this->lamps()[$id] ?? null,
            'mats' => $this->mats()[$id] ?? null,
            'trayware' => $this->trayware()[$id] ?? null,
            'gear' => $this->gear()[$id] ?? null,
            'nursery' => self::seasonRows('nursery', [])[$id] ?? null,
            'appliances' => self::seasonRows('appliances', [])[$id] ?? null,
            default => null,
        };

        if ($row === null) {
            throw new NotInCatalogue("The catalogue has no \"{$id}\" among its {$list}.");
        }
        foreach (self::PRICES as $key) {
            if (is_numeric($row[$key] ?? null) && $currency !== PriceLevel::OWN) {
                $row[$key] = PriceLevel::forCurrency($currency)->price((float) $row[$key]);
            }
        }

        return $row;
    }

    /**
     * Where the catalogue has a row from.
     */
    public function source(string $list, string $id): ?string
    {
        $file = ['lights' => 'lamps', 'seed_lots' => 'species', 'mixes' => 'recipes', 'trayware' => 'gear'][$list] ?? $list;
        if ($list === 'methods' || $list === 'setups') {
            $source = self::json($list)[$id]['source'] ?? null;

            return is_string($source) ? $source : null;
        }
        if (! in_array($file, ['species', 'containers', 'supplies', 'recipes', 'lamps', 'mats', 'gear', 'nursery', 'appliances'], true)) {
            return null;
        }
        foreach (CatalogueFile::rows($file) as $row) {
            if ($row['id'] === $id) {
                return (string) $row['source'];
            }
        }

        return null;
    }

    /**
     * @param  array<string, string|int|float|bool|null>  $row
     * @return array{temp_c: float, days: ?float, percent: float}
     */
    private static function germinationRow(array $row): array
    {
        return [
            'temp_c' => (float) $row['temp_c'],
            'days' => $row['days'] === null ? null : (float) $row['days'],
            'percent' => (float) $row['percent'],
        ];
    }

    /** @return array<string, array<string, mixed>> */
    private static function ofKind(string $kind): array
    {
        $rows = [];
        foreach (CatalogueFile::rows('gear') as $row) {
            if ($row['kind'] === $kind) {
                $rows[(string) $row['id']] =
                    ['meta' => ['catalogue' => (string) $row['id']]] + array_diff_key($row, ['kind' => 1, 'source' => 1]);
            }
        }

        return $rows;
    }

    /** @return array<string, array<string, mixed>> */
    private static function json(string $name): array
    {
        $rows = json_decode((string) file_get_contents(__DIR__."/../../../catalogue/{$name}.json"), true, 16, JSON_THROW_ON_ERROR);
        $byId = [];
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row) && is_string($row['id'] ?? null)) {
                /** @var array<string, mixed> $row */
                $byId[Cell::text($row['id'])] = $row;
            }
        }

        return $byId;
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

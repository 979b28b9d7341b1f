<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\NameInUsUnits;
use stdClass;

/**
 * A season document that rows of the catalogue are put into, each once, with what they hang on. Remembers what was added,
 * so that it can be kept and undone as changes.
 */
final class SeasonDraft
{
    /** Where a row's catalogue id is remembered: `meta.catalogue`. */
    public const MARK = 'catalogue';

    /** Which key of a row is a guess of ours, to be put right: `meta.guess`. */
    public const GUESS = 'guess';

    /** Which keys of a row of the catalogue's somebody has said are right: `meta.known`. */
    public const KNOWN = 'known';

    /** Where a species of one's own remembers the relative it was taken to be like: `meta.like`. */
    public const KIN = 'like';

    /** @var list<array{path: list<string|int>, to: mixed}> */
    private array $edits = [];

    public function __construct(public readonly stdClass $document, public readonly Catalogue $catalogue = new Catalogue())
    {
    }

    /** @return list<array{path: list<string|int>, to: mixed}> in the order in which they were made */
    public function edits(): array
    {
        return $this->edits;
    }

    /** @return list<stdClass> */
    public function rows(string $list): array
    {
        return Cell::rows($this->document->{$list} ?? []);
    }

    /** Puts a row at the end of a list, under its id or, where that is taken, one near it. */
    public function add(string $list, stdClass $row): string
    {
        $taken = array_column($this->rows($list), 'id', 'id');
        $wish = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower(Cell::text($row->id))), '-') ?: 'row';
        $id = $wish = substr($wish, 0, 80);
        for ($n = 2; isset($taken[$id]) || $id === 'nursery'; $n++) {
            $id = "{$wish}-{$n}";
        }
        $row->id = $id;

        return $this->keep($list, $row);
    }

    /** Puts a row at the end of a list as it is, its id free. */
    public function keep(string $list, stdClass $row): string
    {
        $this->document->{$list} = [...$this->rows($list), $row];
        $this->edits[] = ['path' => [$list, Cell::text($row->id)], 'to' => $row];

        return Cell::text($row->id);
    }

    /**
     * Sets a value of a row's object.
     *
     * @param  array{string, string, string, string}  $path  list, row id, key, key
     */
    public function set(array $path, mixed $value): void
    {
        [$list, $id, $key, $inner] = $path;
        foreach ($this->rows($list) as $row) {
            if ($row->id === $id) {
                $row->{$key} ??= new stdClass();
                $row->{$key}->{$inner} = $value;
                $this->edits[] = ['path' => $path, 'to' => $value];
            }
        }
    }

    /**
     * Sets a key of a row.
     *
     * @param  array{string, string, string}  $path  list, row id, key
     */
    public function replace(array $path, mixed $value): void
    {
        [$list, $id, $key] = $path;
        foreach ($this->rows($list) as $row) {
            if ($row->id === $id) {
                $row->{$key} = $value;
                $this->edits[] = ['path' => $path, 'to' => $value];
            }
        }
    }

    /** A row of the catalogue in this season: the one that is there already, or a new one. */
    public function ensure(string $list, string $id, ?string $place = null): string
    {
        foreach ($this->rows($list) as $row) {
            if (self::markOf($row) === $id && ($place === null || ($row->place ?? null) === $place)) {
                return Cell::text($row->id);
            }
        }
        $row = self::object($this->catalogueRow($list, $id));
        if ($place !== null) {
            $row->place = $place;
        }
        foreach ([...Cell::rows($row->parts ?? null), ...Cell::rows($row->additives ?? null)] as $part) {
            $part->supply = $this->ensure('supplies', Cell::text($part->supply));
        }

        return $this->add($list, $row);
    }

    /**
     * A row of the catalogue in this season's money.
     *
     * @return array<string, mixed>
     *
     * @throws NotInCatalogue
     */
    public function catalogueRow(string $list, string $id): array
    {
        $row = $this->catalogue->seasonRow($list, $id, $this->currency());
        if (is_string($row['name'] ?? null)) {
            $row['name'] = $this->localName($row['name']);
        }

        return $row;
    }

    /** A name of the catalogue in this season's units and terms. */
    public function localName(string $name): string
    {
        return ($this->document->units ?? 'us') === 'us' ? NameInUsUnits::convert($name) : $name;
    }

    /** What the catalogue asks for a row that came from it; null where the row or the key did not. */
    public function cataloguePrice(string $list, stdClass $row, string $key): ?float
    {
        $mark = self::markOf($row);
        try {
            $price = $mark === null ? null : $this->catalogueRow($list, $mark)[$key] ?? null;
        } catch (NotInCatalogue) {
            return null;
        }

        return is_numeric($price) ? (float) $price : null;
    }

    /** @return array{packet_price: float, seeds_per_packet: int} a packet in this season's money */
    public function packet(PacketSize $size): array
    {
        $currency = $this->currency();
        $price = $currency === PriceLevel::OWN ? $size->price : PriceLevel::forCurrency($currency)->price($size->price);

        return ['packet_price' => $price, 'seeds_per_packet' => $size->seeds];
    }

    /** What a method's stage is mixed from: a recipe, or a supply as it comes. */
    public function ensureMix(string $id): string
    {
        return $this->ensure(isset($this->catalogue->recipes()[$id]) ? 'mixes' : 'supplies', $id);
    }

    /** The season's currency, as far as the catalogue knows its prices: a file may be in any. */
    private function currency(): string
    {
        $currency = Cell::text($this->document->currency ?? PriceLevel::OWN);

        return isset(PriceLevel::all()[$currency]) ? $currency : PriceLevel::OWN;
    }

    /** A name that no row of the list has yet: the wish, or the wish and a number. */
    public function freeName(string $list, string $wish): string
    {
        return self::freeAmong(array_map(fn (stdClass $row): string => Cell::text($row->name ?? ''), $this->rows($list)), $wish);
    }

    /** @param  list<string>  $taken */
    public static function freeAmong(array $taken, string $wish): string
    {
        $name = $wish;
        for ($n = 2; in_array($name, $taken, true); $n++) {
            $name = "{$wish} ({$n})";
        }

        return $name;
    }

    /** What the catalogue knows of a crop's species, by its mark or its name. */
    public function factsOf(stdClass $crop): ?SpeciesFacts
    {
        $lots = array_column($this->rows('seed_lots'), null, 'id');
        $species = array_column($this->rows('species'), null, 'id')[Cell::text($lots[Cell::text($crop->lot ?? '')]->species ?? '')] ?? null;

        return $species instanceof stdClass ? $this->catalogue->recognise(self::kinIn($species->meta ?? null), Cell::text($species->name)) : null;
    }

    /**
     * Means by month, where the last frost comes in the second half of the year from July on.
     *
     * @param  list<float>  $northern
     * @return list<float>
     */
    private function months(array $northern): array
    {
        $month = (int) substr(Cell::text($this->document->last_frost ?? ''), 5, 2);

        return $month <= 6 ? $northern : [...array_slice($northern, 6), ...array_slice($northern, 0, 6)];
    }

    /**
     * The temperature outdoors as it is known there, or guessed from the frosts.
     *
     * @return list<float>
     */
    private function outdoorMonths(): array
    {
        $first = $this->document->first_frost ?? null;

        return OutdoorYear::months(Day::parse(Cell::text($this->document->last_frost)), is_string($first) ? Day::parse($first) : null, $this->isFrostless());
    }

    /** Whether its owner said that there is no frost: `meta.frostless`. */
    public function isFrostless(): bool
    {
        $meta = $this->document->meta ?? null;

        return $meta instanceof stdClass && ($meta->frostless ?? false) === true;
    }

    /**
     * A closed jug: four degrees above the air, where that is known by the month.
     *
     * @return array<string, mixed>
     */
    private function jugs(): array
    {
        $outside = $this->rowOf('places', $this->place('outside'))->temp_c ?? null;
        $months = is_array($outside) ? array_map(fn (mixed $celsius): float => (float) Cell::text($celsius), $outside)
            : (is_numeric($outside) ? array_fill(0, 12, (float) $outside) : $this->outdoorMonths());

        return ['id' => 'jugs', 'name' => 'Closed jugs outdoors', 'outdoors' => true,
            'temp_c' => array_map(fn (float $celsius): float => $celsius + OutdoorYear::JUG_LIFT_C, array_values($months)),
            'meta' => [self::MARK => 'jugs', self::GUESS => 'temp_c']];
    }

    private function rowOf(string $list, string $id): stdClass
    {
        return array_column($this->rows($list), null, 'id')[$id] ?? new stdClass();
    }

    /** The place that plays a part: bench, sill, greenhouse, jugs or outside. */
    public function place(string $part): string
    {
        return $this->placeThere($part) ?? $this->add('places', self::object($this->newPlace($part)));
    }

    /** Of the season's places the one that plays the part; a bench is best where a lamp hangs. */
    private function placeThere(string $part): ?string
    {
        $lit = array_column($this->rows('lights'), 'place', 'place');
        $best = null;
        foreach ($this->rows('places') as $place) {
            $id = Cell::text($place->id);
            $is = fn (string $words): bool => preg_match("/{$words}/i", "{$id} ".Cell::text($place->name)) === 1;
            $outdoors = ($place->outdoors ?? false) === true;
            [$house, $sill, $jugs] = [$is('greenhouse|tunnel|cold ?frame'), $is('sill|window'), $is('\bjugs?\b')];
            $plays = match ($part) {
                'outside' => $outdoors && ! $jugs,
                'jugs' => $outdoors && $jugs,
                'sill' => $sill && ! $outdoors,
                'greenhouse' => $house && ! $outdoors,
                default => false,
            };
            if ($plays || self::markOf($place) === $part) {
                return $id;
            }
            if ($part === 'bench' && ! $outdoors && ! $sill && ! $house && ($best === null || isset($lit[$id]))) {
                $best = $id;
            }
        }

        return $best;
    }

    /** @return array<string, mixed> */
    private function newPlace(string $part): array
    {
        if ($part === 'jugs') {
            return $this->jugs();
        }
        [$id, $row] = match ($part) {
            'bench' => ['bench', ['name' => 'Indoor bench', 'temp_c' => 19.5, 'flats' => 8]],
            'sill' => ['sill', [
                'name' => 'Sunny windowsill',
                'temp_c' => $this->months([16.0, 16.5, 17.5, 18.5, 20.0, 22.0, 24.0, 24.0, 22.0, 19.5, 17.5, 16.5]),
                'daylight' => $this->months([4.0, 5.5, 7.5, 9.0, 10.0, 10.5, 10.5, 10.0, 9.0, 7.0, 4.5, 3.5]),
                'flats' => 3,
            ]],
            'greenhouse' => ['greenhouse', [
                'name' => 'Cold greenhouse',
                'temp_c' => $this->months([4.0, 5.0, 8.0, 12.0, 16.0, 20.0, 23.0, 22.0, 18.0, 13.0, 8.0, 5.0]),
                'heated' => false,
                'flats' => 6,
            ]],
            default => ['outside', ['name' => 'Yard and beds', 'temp_c' => $this->outdoorMonths(), 'outdoors' => true]],
        };

        return ['id' => $id, ...$row, 'meta' => [self::MARK => $id, self::GUESS => 'temp_c']];
    }

    public static function markOf(stdClass $row): ?string
    {
        return self::markIn(($row->meta ?? null) instanceof stdClass ? $row->meta : null);
    }

    /** The catalogue id that a row's meta remembers. */
    public static function markIn(?stdClass $meta): ?string
    {
        $mark = $meta->{self::MARK} ?? null;

        return is_string($mark) ? $mark : null;
    }

    /** The catalogue id of a species, or of the relative it is taken to be like. */
    public static function kinIn(mixed $meta): ?string
    {
        $kin = $meta instanceof stdClass ? self::markIn($meta) ?? $meta->{self::KIN} ?? null : null;

        return is_string($kin) ? $kin : null;
    }

    /** @param  array<string, mixed>  $row */
    public static function object(array $row): stdClass
    {
        $object = json_decode(json_encode($row, JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR), false, 64, JSON_THROW_ON_ERROR);

        return $object instanceof stdClass ? $object : new stdClass();
    }
}

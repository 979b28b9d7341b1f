<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Editing;

use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Energy\PhotonFlux;
use JollyPenny\Core\Plan\Potting\PotShape;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SameValue;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\Things\Measured;
use stdClass;

/**
 * What has to go along with a change: the names of a row that is taken out, where they stand in lists or as keys (anywhere
 * else it is still in use, and the check refuses); a crop's wanted plants with what they are for; the catalogue's prices with the
 * currency; what a measured pot holds; a lamp's light with its lumens.
 */
final class GoesAlong
{
    /** @return list<Change> the change and what goes along, in the order in which they have to be made */
    public static function with(stdClass $document, Change $change): array
    {
        $keys = $change->path->keys;

        return match (true) {
            count($keys) === 2 && $change->to === null => [...self::names($document, (string) $keys[0], (string) $keys[1]), $change],
            count($keys) === 3 && $keys[0] === 'crops' && $keys[2] === 'wanted' => self::wanted($document, $change),
            count($keys) === 3 && $keys[0] === 'crops' && $keys[2] === 'split' => self::split($document, $change),
            count($keys) === 3 && $keys[0] === 'containers' && in_array($keys[2], ['measured', 'meta'], true) => self::potShape($document, $change),
            count($keys) === 3 && $keys[0] === 'lights' && in_array($keys[2], ['lumens', 'kelvin'], true) => self::photonFlux($document, $change),
            $keys === ['currency'] => self::prices($document, $change),
            default => [$change],
        };
    }

    /** @return list<Change> */
    private static function names(stdClass $document, string $list, string $id): array
    {
        $changes = [];
        foreach (SeasonSchema::get()->references as $reference) {
            if (! in_array($list, $reference->names, true) || ! ($reference->isItem || $reference->isKey)) {
                continue;
            }
            foreach ($reference->uses($document) as [$keys, $named]) {
                $above = array_slice($keys, 0, -1);
                if ($named !== $id || $above === []) {
                    continue;
                }
                $path = new DocumentPath(self::byIds($document, $above));
                $value = $path->get($document);
                if ($value instanceof stdClass) {
                    $value = clone $value;
                    unset($value->{$id});
                    $changes[] = Change::in($document, $path, $value);
                } elseif (is_array($value)) {
                    $changes[] = Change::in($document, $path, array_values(array_filter($value, fn (mixed $one): bool => $one !== $id)));
                }
            }
        }

        return $changes;
    }

    /** @return list<Change> a pot that is measured holds what its shape holds, and stands on a flat as its width allows */
    private static function potShape(stdClass $document, Change $change): array
    {
        $row = (new DocumentPath(array_slice($change->path->keys, 0, 2)))->get($document);
        $row = $row instanceof stdClass ? clone $row : new stdClass();
        $row->{$change->path->keys[2]} = $change->to;
        $pot = $row->measured ?? null;
        $sides = ['rim_mm', 'base_mm', 'height_mm'];
        if (! $pot instanceof stdClass || array_filter($sides, fn (string $side): bool => ! is_numeric($pot->{$side} ?? null) || $pot->{$side} <= 0) !== []) {
            return [$change];
        }
        if ($change->path->keys[2] === 'meta' && SameValue::is(self::narrowSides($change->from), self::narrowSides($change->to))) {
            return [$change];
        }
        $number = fn (mixed $side): ?float => is_numeric($side) && $side > 0 ? (float) Cell::text($side) : null;
        $narrow = self::narrowSides($row->meta ?? null);
        $measured = new Measured(
            $pot->round === true,
            ...array_map(fn (string $side): float => (float) Cell::text($pot->{$side}), $sides),
            narrowRimMm: $number($narrow->rim_mm ?? null),
            narrowBaseMm: $number($narrow->base_mm ?? null),
        );
        $sites = max(1, Cell::whole($row->sites_per_unit ?? 1));

        return [$change, ...self::rowChanges($document, $change, [
            'volume_l' => round(PotShape::litres($measured), 4),
            'top_area_m2' => round(PotShape::topArea($measured), 6),
            'flats_per_unit' => round($sites / PotShape::perFlat($measured), 6),
        ])];
    }

    /** The shorter sides of a pot that is longer than wide, which stand beside its measures. */
    private static function narrowSides(mixed $meta): ?stdClass
    {
        $narrow = $meta instanceof stdClass ? $meta->narrow ?? null : null;

        return $narrow instanceof stdClass ? $narrow : null;
    }

    /** @return list<Change> light that nobody has measured is estimated from the lumens on the box, as long as it is not somebody's own number */
    private static function photonFlux(stdClass $document, Change $change): array
    {
        $row = (new DocumentPath(array_slice($change->path->keys, 0, 2)))->get($document);
        if (! $row instanceof stdClass) {
            return [$change];
        }
        $estimate = fn (mixed $lumens, mixed $kelvin): ?float => is_numeric($lumens) && $lumens > 0
            ? PhotonFlux::estimate((float) $lumens, is_numeric($kelvin) ? (float) $kelvin : null) : null;
        $before = $estimate($row->lumens ?? null, $row->kelvin ?? null);
        $key = (string) $change->path->keys[2];
        $after = $estimate(...($key === 'lumens' ? [$change->to, $row->kelvin ?? null] : [$row->lumens ?? null, $change->to]));
        $isOwn = ($row->ppf_umol_s ?? null) !== null && ! SameValue::is($row->ppf_umol_s, $before);

        return $isOwn || $after === null ? [$change] : [$change, ...self::rowChanges($document, $change, ['ppf_umol_s' => $after])];
    }

    /**
     * @param  array<string, float>  $values  of the row that is changed
     * @return list<Change>
     */
    private static function rowChanges(stdClass $document, Change $change, array $values): array
    {
        [$list, $id] = [$change->path->keys[0], $change->path->keys[1] ?? ''];

        return array_map(
            fn (string $key, float $value): Change => Change::in($document, new DocumentPath([$list, $id, $key]), $value),
            array_keys($values),
            array_values($values),
        );
    }

    /** @return list<Change> what still has the catalogue's price has it in the new money too; prices of one's own stay */
    private static function prices(stdClass $document, Change $change): array
    {
        $changes = [$change];
        if (! is_string($change->to)) {
            return $changes;
        }
        [$before, $after] = [new SeasonDraft($document), new SeasonDraft((object) ['currency' => $change->to])];
        foreach (array_keys(SeasonSchema::get()->lists) as $list) {
            foreach ($before->rows($list) as $row) {
                foreach (Catalogue::PRICES as $key) {
                    $price = $before->cataloguePrice($list, $row, $key);
                    if ($price !== null && SameValue::is($price, $row->{$key} ?? null)) {
                        $path = new DocumentPath([$list, Cell::text($row->id), $key]);
                        $changes[] = Change::in($document, $path, $after->cataloguePrice($list, $row, $key));
                    }
                }
            }
        }

        return $changes;
    }

    /** @return list<Change> what is kept to plant gives way, as far as it goes */
    private static function wanted(stdClass $document, Change $change): array
    {
        $split = (new DocumentPath(['crops', $change->path->keys[1], 'split']))->get($document);
        if (! $split instanceof stdClass || ! is_int($change->to)) {
            return [$change];
        }
        $keep = $change->to - self::count($split->give ?? 0) - self::count($split->sell ?? 0);
        $next = $keep < 0 ? null : (object) [...get_object_vars($split), 'keep' => $keep];

        return [$change, Change::in($document, new DocumentPath(['crops', $change->path->keys[1], 'split']), $next)];
    }

    /** @return list<Change> a split says how many are wanted; where all are to plant there is none */
    private static function split(stdClass $document, Change $change): array
    {
        $split = $change->to;
        if (! $split instanceof stdClass) {
            return [$change];
        }
        [$keep, $give, $sell] = array_map(fn (string $part): int => self::count($split->{$part} ?? null), ['keep', 'give', 'sell']);
        if (min($keep, $give, $sell) < 0) {
            return [$change];
        }
        $wanted = new DocumentPath(['crops', $change->path->keys[1], 'wanted']);

        return [
            $give + $sell === 0 ? new Change($change->path, $change->from, null) : $change,
            Change::in($document, $wanted, max(1, $keep + $give + $sell)),
        ];
    }

    /** Whole plants; below 0 for what is none, so that the check can say so. */
    private static function count(mixed $value): int
    {
        return is_int($value) ? $value : -1;
    }

    /**
     * A path as people's edits name it: rows by their ids.
     *
     * @param  non-empty-list<string|int>  $keys
     * @return non-empty-list<string|int>
     */
    private static function byIds(stdClass $document, array $keys): array
    {
        $value = $document;
        foreach ($keys as $i => $key) {
            $value = is_array($value) ? $value[$key] ?? null : $value->{$key} ?? null;
            if (is_int($key) && $value instanceof stdClass && is_string($value->id ?? null)) {
                $keys[$i] = $value->id;
            }
        }

        return $keys;
    }
}

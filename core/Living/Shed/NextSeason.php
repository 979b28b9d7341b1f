<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Shed;

use DateTimeImmutable;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Things\ThingKind;
use stdClass;

/** A season rolled on by a year: its dates a year later, its stock what was left, what was bought its gardener's own. */
final readonly class NextSeason
{
    /** @param  list<Leftover>  $leftovers */
    public static function begin(stdClass $document, array $leftovers): stdClass
    {
        /** @var stdClass $next */
        $next = self::copy($document);
        $year = (int) Cell::text($document->year);
        $next->year = $year + 1;
        $next->name = str_contains(Cell::text($next->name), (string) $year)
            ? str_replace((string) $year, (string) ($year + 1), Cell::text($next->name))
            : mb_substr(Cell::text($next->name), 0, 180).', '.($year + 1);
        foreach (['last_frost', 'first_frost'] as $key) {
            isset($next->{$key}) && $next->{$key} = self::aYearOn(Cell::text($next->{$key}));
        }
        $credit = $next->electricity instanceof stdClass ? $next->electricity->heat_credit ?? null : null;
        if ($credit instanceof stdClass) {
            $credit->until = self::aYearOn(Cell::text($credit->until));
        }
        foreach (Cell::rows($next->crops ?? null) as $crop) {
            isset($crop->sow_on) && $crop->sow_on = self::aYearOn(Cell::text($crop->sow_on));
        }
        // Trays, trials and what was written down are of the season that is over.
        foreach (['trays', 'trials', 'log'] as $list) {
            $next->{$list} = [];
        }
        $left = [];
        foreach ($leftovers as $one) {
            $left["{$one->kind} {$one->id}"] = $one;
        }
        foreach (ThingKind::kept() as $kind) {
            foreach (Cell::rows($next->{$kind->list()} ?? null) as $row) {
                self::stock($kind, $row, $left["{$kind->value} ".Cell::text($row->id)] ?? null, $year);
            }
        }

        return $next;
    }

    private static function stock(ThingKind $kind, stdClass $row, ?Leftover $left, int $year): void
    {
        $amount = $left->left ?? 0.0;
        if ($kind === ThingKind::Seed) {
            $each = is_numeric($row->seeds_per_packet ?? null) ? (float) $row->seeds_per_packet : 0.0;
            // Nothing left: a packet of the new year is bought. A test told of the seed as it was.
            $row->packets_owned = $each > 0.0 ? round($amount / $each, 4) : 0;
            $row->packed_for = $amount > 0.0 || $each <= 0.0 ? $row->packed_for : $year + 1;
            $row->test = null;

            return;
        }
        $key = $kind->stockKey();
        $row->{$key} = match ($key) {
            'in_stock' => round($amount, 4),
            'owned_units' => (int) floor($amount + 1e-9),
            default => $amount > 0.0,
        };
    }

    /** The same day a year later; the last of February where it is the 29th. */
    private static function aYearOn(string $day): string
    {
        $date = new DateTimeImmutable($day);
        $next = $date->modify('+1 year');

        return ($next->format('m-d') === $date->format('m-d') ? $next : $next->modify('last day of previous month'))->format('Y-m-d');
    }

    private static function copy(mixed $value): mixed
    {
        if ($value instanceof stdClass) {
            $copy = new stdClass();
            foreach (get_object_vars($value) as $key => $one) {
                $copy->{$key} = self::copy($one);
            }

            return $copy;
        }

        return is_array($value) ? array_map(self::copy(...), $value) : $value;
    }
}

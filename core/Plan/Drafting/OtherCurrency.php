<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\File\SameValue;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\Units\Currency;
use stdClass;

/** A season in other money: what somebody typed is converted at a rate; what is still the catalogue's follows the currency by itself. */
final readonly class OtherCurrency
{
    /** Cents of a kilowatt-hour matter to the hundredth. */
    private const FINE = 2;

    /**
     * @param  string  $to  code
     * @param  float  $rate  units of the new money for one of the old, above 0
     * @return list<array{path: non-empty-list<string>, to: mixed}> edits, the currency first
     */
    public static function edits(stdClass $document, string $to, float $rate): array
    {
        $places = Currency::places($to);
        $convert = fn (mixed $sum, int $more = 0): ?float => is_numeric($sum) ? round((float) $sum * $rate, $places + $more) : null;
        $draft = new SeasonDraft($document);
        $edits = [['path' => ['currency'], 'to' => $to]];
        foreach (SeasonSchema::get()->values() as $path => $node) {
            $keys = explode('.', $path);
            if (($node->{'x-kind'} ?? null) !== 'money' || $keys[0] === 'electricity') {
                continue;
            }
            if (count($keys) === 1) {
                $edits[] = ['path' => $keys, 'to' => $convert($document->{$path} ?? null)];

                continue;
            }
            [$list, $key] = [$keys[0], $keys[1] ?? ''];
            foreach ($draft->rows($list) as $row) {
                $isCatalogues = in_array($key, Catalogue::PRICES, true)
                    && SameValue::is($draft->cataloguePrice($list, $row, $key) ?? NAN, $row->{$key} ?? null);
                $isCatalogues ?: $edits[] = ['path' => [$list, Cell::text($row->id), $key], 'to' => $convert($row->{$key} ?? null)];
            }
        }
        $power = $document->electricity ?? null;
        if ($power instanceof stdClass) {
            $edits[] = ['path' => ['electricity'], 'to' => self::power($power, fn (mixed $sum): ?float => $convert($sum, self::FINE))];
        }

        return array_values(array_filter($edits, fn (array $edit): bool => $edit['to'] !== null));
    }

    /** @param  callable(mixed): ?float  $convert */
    private static function power(stdClass $power, callable $convert): stdClass
    {
        $power = unserialize(serialize($power));
        assert($power instanceof stdClass);
        $power->rate = $convert($power->rate ?? null) ?? 0.0;
        foreach (Cell::rows($power->windows ?? null) as $window) {
            $window->rate = $convert($window->rate ?? null) ?? 0.0;
        }
        if (($power->heat_credit ?? null) instanceof stdClass) {
            $power->heat_credit->price_per_kwh = $convert($power->heat_credit->price_per_kwh ?? null) ?? 0.0;
        }

        return $power;
    }
}

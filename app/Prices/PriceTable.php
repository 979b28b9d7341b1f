<?php

declare(strict_types=1);

namespace App\Prices;

use JollyPenny\Core\Season\Units\Currency;

/** A table read as prices: its columns by their headings or as somebody says, its lines understood, and what is wrong with the others. */
final readonly class PriceTable
{
    /** Faults told; more are counted. */
    private const TOLD = 50;

    private const DMY = 'dmy';

    /**
     * @param  list<string>  $headings
     * @param  array<string, int>  $map
     * @param  list<PriceLine>  $lines
     * @param  list<array{line: int, why: string}>  $faults
     */
    private function __construct(
        public array $headings,
        public array $map,
        public array $lines,
        public array $faults,
        public int $faulty,
        public int $rows,
    ) {
    }

    /**
     * @param  ?array<string, int>  $map  places of columns; by their headings where it is null
     * @param  string  $currency  where no column says one
     * @param  string  $dates  "dmy" or "mdy", for days that could be both
     * @param  string  $today  where no column says a day
     *
     * @throws NotATable
     */
    public static function parse(string $bytes, ?array $map, string $currency, string $dates, string $today): self
    {
        $table = CsvTable::parse($bytes);
        [, $headings] = $table->rows[0];
        $map ??= Headings::recognise($headings);
        $map = array_filter($map, fn (int $place): bool => $place >= 0 && $place < count($headings));
        $lines = $faults = [];
        $faulty = 0;
        $comma = $currency !== 'USD' && $currency !== 'GBP';
        foreach (array_slice($table->rows, 1) as [$number, $cells]) {
            if (! isset($map['name'], $map['price'])) {
                break;
            }
            $cell = fn (string $column): string => isset($map[$column]) ? ltrim($cells[$map[$column]] ?? '', "'") : '';
            $line = self::line($cell, $currency, $dates, $today, $comma);
            if ($line instanceof PriceLine) {
                $lines[] = $line;
            } else {
                $faulty++;
                count($faults) < self::TOLD && $faults[] = ['line' => $number, 'why' => $line];
            }
        }

        return new self($headings, $map, $lines, $faults, $faulty, count($table->rows) - 1);
    }

    /** @param  callable(string): string  $cell  by column */
    private static function line(callable $cell, string $currency, string $dates, string $today, bool $comma): PriceLine|string
    {
        $name = mb_substr($cell('name'), 0, 200);
        $price = self::number($cell('price'), $comma);
        $holds = $cell('holds') === '' ? null : self::number($cell('holds'), $comma);
        $code = $cell('currency') === '' ? $currency : mb_strtoupper($cell('currency'));
        $on = $cell('on') === '' ? $today : self::day($cell('on'), $dates);
        $unit = $cell('unit') === '' && $cell('holds') !== '' ? trim((string) preg_replace('/[\d.,\s]+/u', ' ', $cell('holds'))) : $cell('unit');

        return match (true) {
            $name === '' => 'No name of the thing.',
            $cell('price') === '' => "No price of \"{$name}\".",
            $price === null || $price < 0 || $price > 1e9 => "\"{$cell('price')}\" is no price.",
            $cell('holds') !== '' && ($holds === null || $holds <= 0 || $holds > 1e9) => "\"{$cell('holds')}\" is not how much a pack holds.",
            ! Currency::isInUse($code) => "\"{$cell('currency')}\" is no currency's three letters.",
            $on === null => "\"{$cell('on')}\" is no day that exists.",
            default => new PriceLine($name, mb_substr($cell('shop'), 0, 100), $holds, mb_substr($unit, 0, 20), $price, $code, $on),
        };
    }

    /** "2,95 €", "$1,234.50", "15 L": the number in it; null where there is none, or more than one. */
    private static function number(string $text, bool $comma): ?float
    {
        if (preg_match_all('/-?\d[\d.,\x{00A0}\x{202F}\' ]*/u', $text, $found) !== 1) {
            return null;
        }
        $plain = (string) preg_replace('/[\x{00A0}\x{202F}\' ]/u', '', rtrim($found[0][0], '., '));
        $point = max((int) strrpos($plain, '.'), (int) strrpos($plain, ','));
        $both = str_contains($plain, '.') && str_contains($plain, ',');
        $groups = preg_match('/^-?\d{1,3}([.,]\d{3})+$/', $plain) === 1;
        // The last of both is the decimals'; a single one before three digits is a thousand's, save where the comma is the decimals'.
        $decimal = $both || ($point > 0 && ! ($groups && ($plain[$point] === ',' ? ! $comma : $comma)));
        $value = $decimal ? str_replace([',', '.'], '', substr($plain, 0, $point)).'.'.substr($plain, $point + 1) : str_replace([',', '.'], '', $plain);

        return is_numeric($value) ? (float) $value : null;
    }

    private static function day(string $text, string $dates): ?string
    {
        $parts = array_map(intval(...), (array) preg_split('/\D+/', trim($text), -1, PREG_SPLIT_NO_EMPTY));
        if (count($parts) < 3) {
            return null;
        }
        [$a, $b, $c] = $parts;
        [$year, $month, $day] = match (true) {
            $a > 31 => [$a, $b, $c],
            $a > 12 => [$c, $b, $a],
            $b > 12 => [$c, $a, $b],
            default => $dates === self::DMY ? [$c, $b, $a] : [$c, $a, $b],
        };
        $year += $year < 100 ? 2000 : 0;

        return $year >= 1990 && $year <= 2100 && checkdate($month, $day, $year) ? sprintf('%04d-%02d-%02d', $year, $month, $day) : null;
    }
}

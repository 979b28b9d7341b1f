<?php

declare(strict_types=1);

namespace App\Ledger;

use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Ledger\Ledger;
use JollyPenny\Core\Plan\Ledger\LedgerInput;
use JollyPenny\Core\Plan\Ledger\LedgerPart;
use JollyPenny\Core\Plan\Ledger\LedgerParts;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\Leftover;
use JollyPenny\Core\Season\Things\ThingKind;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Style\Fill;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;

/**
 * A season's ledger as a workbook with live formulas: prices, what packs hold, lives, the hour's worth and the discount can be changed
 * in a spreadsheet program, and every total follows. Amounts (seeds, litres, kWh, packs at the nursery) are the plan's.
 */
final class LedgerWorkbook
{
    public const INPUTS = 'Inputs';

    /** First row of inputs on their sheet; the season's own two stand above. */
    public const FIRST = 7;

    /** First row of crops on the ledger's sheet. */
    private const LINES = 4;

    public const DISCOUNT = 'C3';

    public const HOURLY = 'C4';

    /** As the core rounds up: a hair above a whole pack is no further pack. */
    private const HAIR = '0.000001';

    private const AMBER = 'FFFFF3D6';

    private Spreadsheet $book;

    /** @var array<string, int> rows of inputs by their path */
    private array $rowOf = [];

    /** @var array<string, true> heads under which something stands, or may */
    private array $heads = [];

    /** @var array<string, array{int, int}> first and last row of parts by crop and head */
    private array $partsOf = [];

    private function __construct(private readonly SeasonCosting $costing, private readonly Setup $setup)
    {
        $this->book = new Spreadsheet();
    }

    public static function forSetup(SeasonCosting $costing, Setup $setup): Spreadsheet
    {
        $self = new self($costing, $setup);
        $parts = LedgerParts::forSetup($costing, $setup);
        $ledger = $self->book->getActiveSheet()->setTitle('Ledger');
        $inputs = $self->book->createSheet()->setTitle(self::INPUTS);
        $self->inputs($inputs, $parts->inputs);
        $self->parts($self->book->createSheet()->setTitle('Parts'), $parts);
        $self->shopping($self->book->createSheet()->setTitle('Shopping'));
        $self->ledger($ledger, Ledger::forSetup($costing, $setup));
        $self->book->setActiveSheetIndex(0);

        return $self->book;
    }

    /** @param  list<LedgerInput>  $inputs */
    private function inputs(Worksheet $sheet, array $inputs): void
    {
        $season = $this->costing->season;
        self::text($sheet, 'A1', 'Change what is amber; every sheet follows. Amounts needed are the plan’s.');
        self::text($sheet, 'A3', 'discount_rate');
        self::text($sheet, 'B3', 'Money later is worth less, a season');
        self::input($sheet, self::DISCOUNT, $season->discountRate);
        self::text($sheet, 'A4', 'hourly_value');
        self::text($sheet, 'B4', 'An hour is worth, '.$season->currency);
        self::input($sheet, self::HOURLY, $season->hourlyValue);
        self::heads($sheet, self::FIRST - 1, [
            'key', 'kind', 'what', 'price, '.$season->currency, 'a pack holds', 'unit', 'lasts, seasons', 'needed', 'in stock', 'charge',
        ]);
        $row = self::FIRST;
        foreach ($inputs as $input) {
            $this->rowOf[$input->id()] = $row;
            self::text($sheet, "A{$row}", $input->id());
            self::text($sheet, "B{$row}", $input->group);
            self::text($sheet, "C{$row}", $input->name);
            self::input($sheet, "D{$row}", $input->price);
            $input->holds === null || self::input($sheet, "E{$row}", $input->holds);
            self::text($sheet, "F{$row}", $input->unit);
            $input->life === null || self::input($sheet, "G{$row}", $input->life);
            $input->need === null || $sheet->setCellValue("H{$row}", $input->need);
            $input->need === null || $sheet->setCellValue("I{$row}", $input->stock);
            $sheet->setCellValue("J{$row}", '='.self::charge($input, $row));
            $row++;
        }
        self::widths($sheet, ['A' => 34, 'B' => 22, 'C' => 34, 'D' => 12, 'E' => 12, 'F' => 8, 'G' => 12, 'H' => 12, 'I' => 10, 'J' => 12]);
        $sheet->freezePane('A'.self::FIRST);
    }

    private static function charge(LedgerInput $input, int $row): string
    {
        if ($input->life !== null) {
            $rate = '$C$3';

            return "IF({$rate}<=0,D{$row}/G{$row},D{$row}*{$rate}/(1-(1+{$rate})^(-G{$row})))";
        }
        if ($input->holds === null || $input->need === null) {
            return "D{$row}";
        }
        [$pack, $stock] = self::packAndStock($input, $row);

        return $input->leftover === Leftover::Keep
            ? "D{$row}*MAX(H{$row}/{$pack},".self::number($input->least).')'
            : "D{$row}*(MIN(H{$row},{$stock})/{$pack}+MAX(0,ROUNDUP((H{$row}-{$stock})/{$pack}-".self::HAIR.',0)))';
    }

    /** @return array{string, string} what a pack makes, and what is in stock of that */
    private static function packAndStock(LedgerInput $input, int $row, string $on = ''): array
    {
        $pack = '('."{$on}E{$row}*".self::number($input->times).')';

        return [$pack, $input->stockInPacks ? "({$on}I{$row}*{$pack})" : "{$on}I{$row}"];
    }

    private function parts(Worksheet $sheet, LedgerParts $parts): void
    {
        self::heads($sheet, 1, ['crop', 'head', 'of what', 'share', 'amount']);
        $sorted = $parts->parts;
        usort($sorted, fn (LedgerPart $a, LedgerPart $b): int => [$a->crop, $a->head, $a->input] <=> [$b->crop, $b->head, $b->input]);
        $row = 2;
        foreach ($sorted as $part) {
            $input = $parts->inputs[$part->input];
            self::text($sheet, "A{$row}", $part->crop);
            self::text($sheet, "B{$row}", $part->head);
            self::text($sheet, "C{$row}", $input->name);
            $sheet->setCellValue("D{$row}", $part->share);
            $sheet->setCellValue("E{$row}", "=D{$row}*".self::INPUTS.'!J'.$this->rowOf[$input->id()]);
            $this->heads[$part->head] = true;
            $key = "{$part->crop} {$part->head}";
            $this->partsOf[$key] = [$this->partsOf[$key][0] ?? $row, $row];
            $row++;
        }
        self::widths($sheet, ['A' => 22, 'B' => 18, 'C' => 34, 'D' => 14, 'E' => 14]);
    }

    private function shopping(Worksheet $sheet): void
    {
        $list = Shopping::fromBooks($this->costing->books($this->setup), []);
        $inputs = array_column(array_map(
            fn (LedgerInput $one): array => [$one->id(), $one],
            LedgerParts::forSetup($this->costing, $this->setup)->inputs,
        ), 1, 0);
        self::heads($sheet, 1, ['kind', 'what', 'packs', 'price', 'cost']);
        $row = 2;
        foreach ($list->items as $item) {
            $id = implode('/', ThingKind::from($item->kind)->pricePath($item->id));
            $at = $this->rowOf[$id] ?? null;
            $input = $inputs[$id] ?? null;
            self::text($sheet, "A{$row}", $item->kind);
            self::text($sheet, "B{$row}", $item->name);
            if ($at !== null && $input?->holds !== null && $input->need !== null) {
                [$pack, $stock] = self::packAndStock($input, $at, self::INPUTS.'!');
                $sheet->setCellValue("C{$row}", '=MAX(0,ROUNDUP(('.self::INPUTS."!H{$at}-{$stock})/{$pack}-".self::HAIR.',0))');
            } else {
                $sheet->setCellValue("C{$row}", $item->packs);
            }
            $sheet->setCellValue("D{$row}", $at === null ? $item->price : '='.self::INPUTS."!D{$at}");
            $sheet->setCellValue("E{$row}", "=C{$row}*D{$row}");
            $row++;
        }
        self::text($sheet, "B{$row}", 'To pay');
        $sheet->setCellValue("E{$row}", $row === 2 ? 0 : '=SUM(E2:E'.($row - 1).')');
        $this->rowOf['till'] = $row;
        $sheet->getStyle("A{$row}:E{$row}")->getFont()->setBold(true);
        $sheet->getStyle("D2:E{$row}")->getNumberFormat()->setFormatCode('#,##0.00');
        self::widths($sheet, ['A' => 12, 'B' => 38, 'C' => 8, 'D' => 12, 'E' => 12]);
    }

    private function ledger(Worksheet $sheet, Ledger $ledger): void
    {
        // Also heads that cost nothing yet: a price may be put in.
        $shown = array_values(array_filter(Head::cases(), fn (Head $head): bool => isset($this->heads[$head->value])));
        self::text($sheet, 'A1', "{$this->costing->season->name}, {$this->setup->name}");
        $sheet->getStyle('A1')->getFont()->setBold(true)->setSize(14);
        $words = array_map(fn (Head $head): string => $head->words(), $shown);
        self::heads($sheet, self::LINES - 1, ['crop', 'how', ...$words, 'total', 'plants of use', 'cost per finished seedling']);
        $crops = array_column($this->costing->setup($this->setup)->crops, null, 'id');
        $row = self::LINES;
        foreach ($ledger->rows as $line) {
            self::text($sheet, "A{$row}", $line->name);
            self::text($sheet, "B{$row}", $line->method ?? 'bought');
            $this->line($sheet, $row, $line->crop, $shown, $crops[$line->crop]->grown ? $crops[$line->crop]->useful : null);
            $row++;
        }
        $this->totals($sheet, $row, count($shown));
        $this->season($sheet, $row + 2, self::column(count($shown) + 3).$row);
        self::widths($sheet, ['A' => 26, 'B' => 30]);
        $sheet->freezePane('C'.self::LINES);
    }

    /** @param  list<Head>  $shown */
    private function line(Worksheet $sheet, int $row, string $crop, array $shown, ?float $useful): void
    {
        foreach ($shown as $n => $head) {
            $range = $this->partsOf["{$crop} {$head->value}"] ?? null;
            $sheet->setCellValue(self::column($n + 3).$row, $range === null ? 0 : "=SUM(Parts!E{$range[0]}:E{$range[1]})");
        }
        $heads = count($shown);
        [$all, $plants, $each] = self::lastColumns($heads);
        $sheet->setCellValue($all.$row, $heads === 0 ? 0 : "=SUM(C{$row}:".self::column($heads + 2)."{$row})");
        if ($useful !== null) {
            $sheet->setCellValue($plants.$row, $useful);
            $sheet->setCellValue($each.$row, "=IF({$plants}{$row}<0.000001,\"\",{$all}{$row}/{$plants}{$row})");
        }
    }

    private function totals(Worksheet $sheet, int $row, int $heads): void
    {
        [$all, $plants, $each] = self::lastColumns($heads);
        [$first, $last] = [self::LINES, $row - 1];
        self::text($sheet, "A{$row}", 'Total');
        foreach (range(3, $heads + 4) as $n) {
            $column = self::column($n);
            $sheet->setCellValue($column.$row, $last < $first ? 0 : "=SUM({$column}{$first}:{$column}{$last})");
        }
        $grownCost = "SUMIF({$plants}{$first}:{$plants}{$last},\">0\",{$all}{$first}:{$all}{$last})";
        $none = ! array_filter($this->costing->setup($this->setup)->crops, fn (CropResult $crop): bool => $crop->grown && $crop->useful !== null);
        $sheet->setCellValue($each.$row, $none ? '' : "=IF({$plants}{$row}<0.000001,\"\",{$grownCost}/{$plants}{$row})");
        $sheet->getStyle("A{$row}:{$each}{$row}")->getFont()->setBold(true);
        $sheet->getStyle("C{$first}:{$each}{$row}")->getNumberFormat()->setFormatCode('#,##0.00');
    }

    private function season(Worksheet $sheet, int $row, string $total): void
    {
        $result = $this->costing->setup($this->setup);
        foreach ([
            ['Season cost', "={$total}"],
            ['Hours of work', $result->hours],
            ['With the hours', "={$total}+B".($row + 1).'*'.self::INPUTS.'!$C$4'],
            ['To pay now', '=Shopping!E'.$this->rowOf['till']],
            ['Income from what is sold', $result->income],
        ] as [$words, $value]) {
            self::text($sheet, "A{$row}", $words);
            $sheet->setCellValue("B{$row}", $value);
            $sheet->getStyle("B{$row}")->getNumberFormat()->setFormatCode('#,##0.00');
            $row++;
        }
    }

    /** @return array{string, string, string} columns after the heads: the total, plants of use, what one costs */
    private static function lastColumns(int $heads): array
    {
        return [self::column($heads + 3), self::column($heads + 4), self::column($heads + 5)];
    }

    private static function column(int $number): string
    {
        return Coordinate::stringFromColumnIndex($number);
    }

    private static function text(Worksheet $sheet, string $cell, string $text): void
    {
        $sheet->setCellValueExplicit($cell, $text, DataType::TYPE_STRING);
    }

    private static function input(Worksheet $sheet, string $cell, float $value): void
    {
        $sheet->setCellValue($cell, $value);
        $sheet->getStyle($cell)->getFill()->setFillType(Fill::FILL_SOLID)->getStartColor()->setARGB(self::AMBER);
    }

    /** @param  list<string>  $words */
    private static function heads(Worksheet $sheet, int $row, array $words): void
    {
        foreach ($words as $n => $text) {
            self::text($sheet, self::column($n + 1).$row, $text);
        }
        $sheet->getStyle("A{$row}:".self::column(count($words)).$row)->getFont()->setBold(true);
    }

    /** @param  array<string, int>  $widths  by column */
    private static function widths(Worksheet $sheet, array $widths): void
    {
        foreach ($widths as $column => $width) {
            $sheet->getColumnDimension($column)->setWidth($width);
        }
    }

    private static function number(float $value): string
    {
        return var_export($value, true);
    }
}

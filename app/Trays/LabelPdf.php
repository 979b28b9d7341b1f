<?php

declare(strict_types=1);

namespace App\Trays;

use Dompdf\Dompdf;
use Dompdf\Options;
use IntlDateFormatter;
use JollyPenny\Core\Showing\Labels\Label;
use JollyPenny\Core\Showing\Labels\LabelSheet;

/** Labels as PDF, laid by their measures: each edge is drawn where the sheet has it. */
final readonly class LabelPdf
{
    /** Narrower than this a label has no room for a code, millimetres. */
    private const ROOM_FOR_CODE = 14.0;

    /** The point of a stick that is cut off slantwise, millimetres. */
    private const POINT = 8.0;

    private const PADDING = 1.2;

    /**
     * @param  string  $root  the address by which phones find this installation
     * @param  bool  $us  months before days
     */
    public function __construct(private string $root, private int $season, private bool $us)
    {
    }

    /**
     * @param  list<Label>  $labels
     * @param  int  $used  labels of the first page that are gone
     */
    public function render(LabelSheet $sheet, array $labels, int $used = 0, bool $code = true): string
    {
        $folder = storage_path('app/fonts');
        is_dir($folder) || mkdir($folder, 0700, true);
        $pdf = new Dompdf(new Options(['fontDir' => $folder, 'fontCache' => $folder, 'tempDir' => sys_get_temp_dir(), 'chroot' => [__DIR__, $folder],
            'isRemoteEnabled' => false, 'defaultFont' => 'DejaVu Sans', 'isFontSubsettingEnabled' => true]));
        $pdf->setPaper([0.0, 0.0, self::points($sheet->paper_width_mm), self::points($sheet->paper_height_mm)]);
        $pdf->loadHtml($this->html($sheet, $labels, $used, $code), 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }

    /** @param  list<Label>  $labels */
    private function html(LabelSheet $sheet, array $labels, int $used, bool $code): string
    {
        $pages = '';
        $places = array_fill(0, $used, null);
        foreach (array_chunk([...$places, ...$labels], $sheet->labelsOnPage()) as $page) {
            $pages .= '<div class="page">';
            foreach ($page as $place => $label) {
                $pages .= $label === null ? '' : $this->label($sheet, $label, $sheet->corner($place), $code);
            }
            $pages .= '</div>';
        }
        $font = fn (string $family, string $file, string $weight): string => "@font-face { font-family: '{$family}'; font-weight: {$weight}; src: url('"
            .__DIR__."/fonts/{$file}.ttf') format('truetype'); }";

        return '<!doctype html><html><head><meta charset="utf-8"><style>'
            .$font('Label', 'atkinson-400', 'normal').$font('Label', 'atkinson-700', 'bold').$font('Figures', 'mono-400', 'normal')
            .'@page { margin: 0; } body { margin: 0; font-family: Label, "DejaVu Sans"; color: #10251d; }'
            ." .page { position: relative; width: {$sheet->paper_width_mm}mm; height: ".($sheet->paper_height_mm - 0.1).'mm; overflow: hidden; }'
            .' .page + .page { page-break-before: always; }'
            .' .label { position: absolute; overflow: hidden; border: 0.1mm solid #9aa8a1; box-sizing: border-box; }'
            .' .label div { position: absolute; white-space: nowrap; overflow: hidden; line-height: 1; } .figures { font-family: Figures, "DejaVu Sans"; }'
            .'</style></head><body>'.$pages.'</body></html>';
    }

    /** @param  array{float, float}  $corner */
    private function label(LabelSheet $sheet, Label $label, array $corner, bool $code): string
    {
        [$left, $top] = $corner;
        [$w, $h] = [$sheet->width_mm, $sheet->height_mm];
        $qr = $code && $h >= self::ROOM_FOR_CODE ? min($h - 2 * self::PADDING, 24.0) : 0.0;
        $start = self::PADDING + ($sheet->stick ? self::POINT : 0.0);
        $room = $w - $start - $qr - 2 * self::PADDING;
        $lines = $sheet->stick ? $this->onStick($label) : $this->onSheet($label);
        $inner = ($h - 2 * self::PADDING) / array_sum(array_column($lines, 1));
        $y = self::PADDING;
        $text = '';
        foreach ($lines as [$words, $share, $class, $size]) {
            $high = $inner * $share;
            $font = min($size, $high * 0.8);
            $style = "left: {$start}mm; top: {$y}mm; width: {$room}mm; height: {$high}mm; font-size: {$font}mm;";
            $text .= "<div class=\"{$class}\" style=\"{$style}\">{$words}</div>";
            $y += $high;
        }
        if ($qr > 0.0) {
            $at = $w - $qr - self::PADDING;
            $image = 'data:image/svg+xml;base64,'.base64_encode(QrCode::svg($this->address($label)));
            $text .= "<div style=\"left: {$at}mm; top: ".(($h - $qr) / 2)."mm; width: {$qr}mm; height: {$qr}mm;\">"
                ."<img src=\"{$image}\" style=\"width: {$qr}mm; height: {$qr}mm;\"></div>";
        }

        return "<div class=\"label\" style=\"left: {$left}mm; top: {$top}mm; width: {$w}mm; height: {$h}mm;\">{$text}</div>";
    }

    /** @return list<array{string, float, string, float}> words, share of the height, class, size in mm at the most */
    private function onStick(Label $label): array
    {
        return [
            ['<b>'.e($label->variety).'</b>'.($label->own_seed ? ' ✿' : ''), 1.3, '', 4.6],
            [e($label->species).$this->seed($label), 1.0, '', 3.2],
            [e($label->code).' · '.$this->day($label->sow_on).' · out '.$this->day($label->out_on), 1.0, 'figures', 3.2],
        ];
    }

    /** @return list<array{string, float, string, float}> */
    private function onSheet(Label $label): array
    {
        return [
            ['<b>'.e($label->variety).'</b>'.($label->own_seed ? ' ✿' : ''), 1.3, '', 5.4],
            [e($label->species).$this->seed($label), 1.0, '', 3.8],
            [e($label->code).', sown '.$this->day($label->sow_on), 1.0, 'figures', 3.8],
            ['out '.$this->day($label->out_on), 1.0, 'figures', 3.8],
        ];
    }

    private function seed(Label $label): string
    {
        $seed = $label->own_seed ? ', own seed' : ($label->packed_for === null ? '' : ', seed');

        return $seed.($label->packed_for === null ? '' : " of {$label->packed_for}");
    }

    /** The page that opens this row's count. */
    private function address(Label $label): string
    {
        return "{$this->root}/seasons/{$this->season}/trays/{$label->tray}/{$label->row}";
    }

    private function day(string $date): string
    {
        $format = new IntlDateFormatter($this->us ? 'en-US' : 'en-GB', IntlDateFormatter::NONE, IntlDateFormatter::NONE, 'UTC', null,
            $this->us ? 'MMM d' : 'd MMM');

        return (string) $format->format((int) strtotime("{$date} UTC"));
    }

    private static function points(float $mm): float
    {
        return $mm * 72 / 25.4;
    }
}

<?php

declare(strict_types=1);

namespace App\Trays;

use BaconQrCode\Common\ErrorCorrectionLevel;
use BaconQrCode\Encoder\Encoder;

/** An address as a QR code (ISO/IEC 18004), drawn as vectors. */
final readonly class QrCode
{
    /** Light modules around it, without which it is not found. ISO/IEC 18004, 6.3.8. */
    private const QUIET = 4;

    public static function svg(string $address): string
    {
        $matrix = Encoder::encode($address, ErrorCorrectionLevel::M(), 'UTF-8')->getMatrix();
        $path = '';
        for ($y = 0; $y < $matrix->getHeight(); $y++) {
            for ($x = 0; $x < $matrix->getWidth(); $x++) {
                // Runs of dark modules in one piece, so that no hairline shows between them.
                $from = $x;
                while ($x < $matrix->getWidth() && $matrix->get($x, $y) === 1) {
                    $x++;
                }
                if ($x > $from) {
                    $path .= 'M'.($from + self::QUIET).' '.($y + self::QUIET).'h'.($x - $from).'v1h-'.($x - $from).'z';
                }
            }
        }
        $size = $matrix->getWidth() + 2 * self::QUIET;

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$size}\" height=\"{$size}\" viewBox=\"0 0 {$size} {$size}\">"
            ."<path d=\"{$path}\" fill=\"#000\"/></svg>";
    }
}

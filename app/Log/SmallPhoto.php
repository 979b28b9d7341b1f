<?php

declare(strict_types=1);

namespace App\Log;

use InvalidArgumentException;

/** A picture made small and drawn anew: what a camera writes beside it, the place above all, is not in it any more. */
final readonly class SmallPhoto
{
    /** Longer side, pixels. */
    private const SIDE = 1280;

    private const QUALITY = 78;

    /** More pixels than this are not unpacked: what a telephone's camera has (4032 by 3024), and a little. Four bytes each. */
    private const MOST_PIXELS = 12_500_000;

    /** What EXIF says of how the camera was held, as degrees to turn. */
    private const TURNS = [3 => 180, 6 => 270, 8 => 90];

    private function __construct(public string $jpeg, public int $width, public int $height)
    {
    }

    /** @throws InvalidArgumentException in words */
    public static function fromBytes(string $bytes): self
    {
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw new InvalidArgumentException('This is no picture that can be read. Give a JPEG, PNG or WebP.');
        }
        [$width, $height] = $size;
        if ($width * $height > self::MOST_PIXELS || $width * $height === 0) {
            throw new InvalidArgumentException('The picture is over 12 megapixels. Take a smaller one, or choose a smaller size in the camera.');
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw new InvalidArgumentException('The picture is damaged. Take it again.');
        }
        $exif = $size[2] === IMAGETYPE_JPEG ? @exif_read_data('data://image/jpeg;base64,'.base64_encode($bytes)) : false;
        $turn = self::TURNS[is_array($exif) ? (int) ($exif['Orientation'] ?? 1) : 1] ?? 0;
        $scale = min(1.0, self::SIDE / max($width, $height));
        [$w, $h] = [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
        $small = imagecreatetruecolor($w, $h);
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled(
            dst_image: $small,
            src_image: $image,
            dst_x: 0,
            dst_y: 0,
            src_x: 0,
            src_y: 0,
            dst_width: $w,
            dst_height: $h,
            src_width: $width,
            src_height: $height,
        );
        // Turned when it is small, which takes a hundredth of the memory.
        $small = $turn === 0 ? $small : (imagerotate($small, $turn, 0) ?: $small);
        ob_start();
        imagejpeg($small, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($small), imagesy($small));
    }
}

<?php

declare(strict_types=1);

use App\Log\SmallPhoto;
use App\Models\Photo;
use App\Trays\QrCode;
use JollyPenny\Core\Showing\Labels\LabelSheet;

/** What a program of Debian's prints. */
function printed(string $command): string
{
    return (string) shell_exec($command.' 2>/dev/null');
}

/** @return list<int> places of the dark dots in a strip of the first page, one dot wide, at 600 to the inch */
function darkDots(string $file, int $x, int $y, int $w, int $h): array
{
    $pgm = printed("pdftoppm -r 600 -gray -f 1 -l 1 -x {$x} -y {$y} -W {$w} -H {$h} ".escapeshellarg($file));
    $dots = substr($pgm, -$w * $h);

    return array_values(array_filter(array_keys(str_split($dots)), fn (int $at): bool => ord($dots[$at]) < 220));
}

function layTrays(object $test, int $season, array $change): Illuminate\Testing\TestResponse
{
    return $test->putJson("/api/seasons/{$season}/setups/bench/trays", $change);
}

it('moves rows, keeps the layout, and takes both back', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $codes = function () use ($season): array {
        $codes = [];
        foreach ($this->getJson("/api/seasons/{$season->id}/setups/bench/trays")->assertOk()->json('trays') as $tray) {
            foreach ($tray['runs'] as $run) {
                $codes[] = "{$run['crop']} {$run['code']}";
            }
        }

        return $codes;
    };
    $before = $codes();
    layTrays($this, $season->id, ['do' => 'move', 'tray' => 'D', 'row' => 7, 'to' => 'E', 'to_row' => 6])->assertOk();
    expect($codes())->toContain('sunday-sauce E6–8')->not->toContain('sunday-sauce D7–9');
    $this->postJson("/api/seasons/{$season->id}/undo")->assertOk();
    expect($codes())->toBe($before);
    layTrays($this, $season->id, ['do' => 'keep'])->assertOk();
    // Fewer are wanted, and what was labelled is still found by its label.
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => ['crops', 'porch-lantern'], 'from' => null, 'to' => null]]]);
    $this->deleteJson("/api/seasons/{$season->id}/nothing")->assertNotFound();
    expect($codes())->toContain('copper-kettle D5–6');
});

it('refuses moves that cannot be, in words', function (array $change, string $says) {
    [$user, $season] = gardener();
    $answer = layTrays($this->actingAs($user), $season->id, $change)->assertStatus(422);
    expect($answer->json('detail'))->toContain($says);
})->with([
    [['do' => 'move', 'tray' => 'D', 'row' => 7, 'to' => 'A', 'to_row' => 1], 'no room'],
    [['do' => 'move', 'tray' => 'Z', 'row' => 9, 'to' => 'A', 'to_row' => 1], 'no tray Z'],
    [['do' => 'columns', 'tray' => 'D', 'columns' => 100], '72 cells'],
    [['do' => 'dance'], 'do'],
    [['do' => 'move', 'tray' => 'D'], 'row'],
]);

it('draws each label where its sheet has it, to a sixth of a millimetre', function (string $id) {
    [$user, $season] = gardener();
    $sheet = array_column(LabelSheet::all(), null, 'id')[$id];
    $pdf = $this->actingAs($user)->get("/api/seasons/{$season->id}/setups/bench/labels.pdf?sheet={$id}&used=1&code=0")->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')->getContent();
    $file = (string) tempnam(sys_get_temp_dir(), 'labels');
    file_put_contents($file, $pdf);
    // The first place was said to be gone; the next is the second of the first row.
    [$left, $top] = [$sheet->left_mm + $sheet->width_mm + $sheet->gap_x_mm, $sheet->top_mm];
    $dots = fn (float $mm): int => (int) round($mm * 600 / 25.4);
    try {
        $size = printed('pdfinfo '.escapeshellarg($file));
        // One row of dots across the label, one column down it, clear of its words; a dot is 0.04 mm.
        $across = darkDots($file, 0, $dots($top + $sheet->height_mm) - 12, $dots($sheet->paper_width_mm), 1);
        $down = darkDots($file, $dots(min($left + $sheet->width_mm, $sheet->paper_width_mm)) - 12, 0, 1, $dots($sheet->paper_height_mm));
    } finally {
        unlink($file);
    }
    preg_match('/Page size:\s+([\d.]+) x ([\d.]+)/', $size, $page);
    expect((float) $page[1] * 25.4 / 72)->toBeNear($sheet->paper_width_mm, 1e-3)->and((float) $page[2] * 25.4 / 72)->toBeNear($sheet->paper_height_mm, 1e-3);
    $off = fn (array $all, float $mm): float => min(array_map(fn (int $one): float => abs($one * 25.4 / 600 - $mm), $all));
    // Nothing is printed where a label is gone.
    [$first, $firstTop] = $sheet->corner(0);
    expect($firstTop === $top ? $off($across, $first) : $off($down, $firstTop))->toBeGreaterThan(0.15, 'the used place');
    expect($off($across, $left))->toBeLessThan(0.15, 'left')->and($off($across, min($left + $sheet->width_mm,
        $sheet->paper_width_mm)))->toBeLessThan(0.15, 'right')
        ->and($off($down, $top))->toBeLessThan(0.15, 'top')->and($off($down, $top + $sheet->height_mm))->toBeLessThan(0.15, 'bottom');
})->with(array_column(LabelSheet::all(), 'id'));

it('leaves a quiet margin around a code', function () {
    // Four modules on every side: ISO/IEC 18004, 6.3.8.
    $svg = QrCode::svg('http://plot.example/seasons/1/trays/D/1');
    preg_match('/viewBox="0 0 (\d+) /', $svg, $box);
    preg_match_all('/M(\d+) (\d+)h(\d+)/', $svg, $runs);
    expect(min(array_map(intval(...), $runs[1])))->toBe(4)->and(min(array_map(intval(...), $runs[2])))->toBe(4)
        ->and(max(array_map(fn (string $x, string $wide): int => (int) $x + (int) $wide, $runs[1], $runs[3])))->toBe((int) $box[1] - 4);
});

it('prints a code that opens the row on a phone, read back by a decoder, and our fonts', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $pdf = $this->get("/api/seasons/{$season->id}/setups/bench/labels.pdf?sheet=a4_99x38&trays=D")->assertOk()->getContent();
    $file = (string) tempnam(sys_get_temp_dir(), 'labels');
    file_put_contents($file, $pdf);
    try {
        printed('pdftoppm -r 150 -png '.escapeshellarg($file).' '.escapeshellarg($file));
        $read = printed('zbarimg -q --raw '.escapeshellarg("{$file}-1.png"));
        $words = printed('pdftotext -layout '.escapeshellarg($file).' -');
        $fonts = printed('pdffonts '.escapeshellarg($file));
        $images = printed('pdfimages -list '.escapeshellarg($file));
    } finally {
        array_map(unlink(...), [$file, ...(glob("{$file}-*.png") ?: [])]);
    }
    // The address by which the page was opened: the configured one is only this machine's loopback.
    $base = url('/')."/seasons/{$season->id}/trays/D/";
    $found = array_filter(explode("\n", $read));
    sort($found);
    expect($found)->toBe(array_map(fn (int $row): string => $base.$row, [1, 10, 3, 5, 7]))
        ->and($words)->toContain('Copper Kettle')->toContain('D5–6')->toContain('own seed')
        ->and($fonts)->toContain('AtkinsonHyperlegibleNext')->toContain('SplineSansMono')
        // Drawn as vectors: there is no picture in it.
        ->and(count(array_filter(explode("\n", trim($images)))))->toBeLessThanOrEqual(2);
});

it('writes the days as people there write them, and says which seed is one\'s own', function (string $units, string $days) {
    [$user, $season] = gardener();
    $this->actingAs($user)->patchJson("/api/seasons/{$season->id}", ['changes' => [['path' => ['units'], 'from' => 'us', 'to' => $units]]]);
    $file = (string) tempnam(sys_get_temp_dir(), 'labels');
    file_put_contents($file, $this->get("/api/seasons/{$season->id}/setups/bench/labels.pdf?sheet=a4_99x38&trays=D")->assertOk()->getContent());
    $words = printed('pdftotext -layout '.escapeshellarg($file).' -');
    unlink($file);
    expect(preg_match($days, $words))->toBe(1, $words)
        // Of five rows one has seed of one's own: what is not marked is bought.
        ->and(substr_count($words, 'own seed'))->toBe(1);
})->with([['us', '/out (Mar|Apr|May|Jun) \d/'], ['metric', '/out \d+ (Mar|Apr|May|Jun)/']]);

it('refuses sheets that do not exist', function (string $query) {
    [$user, $season] = gardener();
    $this->actingAs($user)->getJson("/api/seasons/{$season->id}/setups/bench/labels.pdf?{$query}")->assertStatus(422);
})->with(['sheet=papyrus', 'sheet=a4_70x36&used=24', 'sheet=a4_70x36&used=-1', '']);

/** A JPEG as a camera writes it: held upright, with the place it was taken at. */
function cameraJpeg(int $width, int $height): string
{
    $image = imagecreatetruecolor($width, $height);
    imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($image, 255, 0, 0));
    ob_start();
    imagejpeg($image);
    $jpeg = (string) ob_get_clean();
    // EXIF: orientation 6 (turned a quarter), and a GPS block with a latitude. Exif 2.32, 4.6.
    $ifd = fn (array $entries): string => pack('n', count($entries)).implode('', $entries).pack('N', 0);
    $tiff = "MM\0*".pack('N', 8).$ifd([pack('nnNnn', 0x0112, 3, 1, 6, 0), pack('nnNN', 0x8825, 4, 1, 38)]);
    $tiff .= $ifd([pack('nnNa4', 0x0001, 2, 2, "N\0\0\0"), pack('nnNN', 0x0002, 5, 3, 68)]).pack('NNNNNN', 52, 1, 31, 1, 7, 1);
    $exif = "Exif\0\0".$tiff;

    return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
}

it('keeps pictures small, upright, and without the place they were taken at', function () {
    [$user, $season] = gardener();
    [$other] = gardener();
    $jpeg = cameraJpeg(2000, 1000);
    expect(@exif_read_data('data://image/jpeg;base64,'.base64_encode($jpeg)))->toHaveKey('GPSLatitude');
    $url = "/api/seasons/{$season->id}/photos/picture-0001";
    $this->actingAs($user);
    $body = ['on' => '2027-04-21', 'crop' => 'copper-kettle', 'tray' => 'D', 'image' => base64_encode($jpeg)];
    $this->putJson($url, $body)->assertNoContent();
    $this->putJson($url, $body)->assertNoContent();
    $kept = (string) $this->get($url)->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
    $size = getimagesizefromstring($kept);
    // Turned a quarter to the right: what was left is at the top.
    $image = imagecreatefromstring($kept);
    expect([$size[0], $size[1]])->toBe([640, 1280])->and(strlen($kept))->toBeLessThan(100_000)
        ->and(str_contains($kept, 'Exif'))->toBeFalse()
        ->and(imagecolorat($image, 320, 100) >> 16)->toBeGreaterThan(200)->and(imagecolorat($image, 320, 1200) >> 16)->toBeLessThan(60)
        ->and($this->getJson("/api/seasons/{$season->id}/log")->json('photos'))->toHaveCount(1);
    $this->putJson(str_replace('0001', '0002', $url), $body)->assertNoContent();
    $this->putJson(str_replace('0001', '0003', $url), [...$body, 'on' => '2027-04-02'])->assertNoContent();
    expect(array_column($this->getJson("/api/seasons/{$season->id}/log")->json('photos'), 'id'))->toBe(['picture-0003', 'picture-0001', 'picture-0002']);
    $this->actingAs($other)->get($url)->assertNotFound();
    $this->actingAs($user)->deleteJson($url)->assertNoContent();
    expect(Photo::query()->count())->toBe(2);
});

it('refuses what is no picture', function (string $bytes) {
    [$user, $season] = gardener();
    $this->actingAs($user)->putJson("/api/seasons/{$season->id}/photos/picture-0001", ['on' => '2027-04-21',
        'image' => base64_encode($bytes)])->assertStatus(422);
    expect(fn () => SmallPhoto::fromBytes($bytes))->toThrow(InvalidArgumentException::class);
})->with(['words' => 'no picture at all', 'a damaged one' => fn () => substr(cameraJpeg(40, 40), 0, 150), 'a gif' => "GIF89a\1\0\1\0\0\0\0;"]);

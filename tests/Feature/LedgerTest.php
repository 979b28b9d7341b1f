<?php

declare(strict_types=1);

use App\Ledger\LedgerWorkbook;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use PhpOffice\PhpSpreadsheet\IOFactory;

/**
 * Recomputed by LibreOffice, an outside engine.
 *
 * @param  list<string>  $files
 * @return list<string>
 */
function recomputed(array $files): array
{
    $to = sys_get_temp_dir().'/ledger-'.bin2hex(random_bytes(4));
    mkdir($to);
    $named = fn (string $format): array => array_map(fn (string $file): string => $to.'/'.pathinfo($file, PATHINFO_FILENAME).".{$format}", $files);
    // Through another format and back, so that every formula is reckoned anew.
    foreach ([['ods', $files], ['xlsx', $named('ods')]] as [$format, $from]) {
        exec('HOME='.escapeshellarg($to).' timeout 120 soffice --headless --norestore --convert-to '.$format.' --outdir '.escapeshellarg($to).' '
            .implode(' ', array_map(escapeshellarg(...), $from)).' 2>&1', $said, $code);
        expect($code)->toBe(0, implode("\n", $said));
    }

    return $named('xlsx');
}

/** @return array<string, float> totals of a workbook by their words */
function totalsOf(string $file): array
{
    $sheet = IOFactory::load($file)->getSheetByName('Ledger');
    $totals = [];
    for ($row = 4; $row < 100; $row++) {
        $words = $sheet->getCell("A{$row}")->getValue();
        if (in_array($words, ['Season cost', 'Hours of work', 'With the hours', 'To pay now'], true)) {
            // What LibreOffice has put beside the formula.
            $totals[$words] = (float) ($sheet->getCell("B{$row}")->getOldCalculatedValue() ?? $sheet->getCell("B{$row}")->getValue());
        }
    }

    return $totals;
}

it('answers with a ledger, as a table, and with the result as the command line prints it', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $url = "/api/seasons/{$season->id}/setups/bench";
    $ledger = $this->getJson("{$url}/ledger")->assertOk()->json();
    expect($ledger['rows'])->toHaveCount(12)->and(round(array_sum($ledger['totals']), 2))->toBe($ledger['cost']);
    $text = substr((string) $this->get("{$url}/ledger.csv")->assertOk()->getContent(), 3);
    $rows = array_map(fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\r\n", trim($text)));
    expect($rows)->toHaveCount(14);
    $all = array_search('total', $rows[0], true);
    expect(round(array_sum(array_map(floatval(...), array_column(array_slice($rows, 1, 12), $all))), 2))->toBe((float) $rows[13][$all]);
    $result = $this->getJson("{$url}/result.json")->assertOk()->json();
    expect($result['format'])->toBe('jolly-penny/result')->and($result['setups'][0]['cost'])->toBeNear($ledger['cost'], 1e-3);
    $this->getJson("/api/seasons/{$season->id}/setups/none/ledger")->assertNotFound();
});

/** @return array<string, float> to the cent */
function totalsWanted(stdClass $document, string $setup): array
{
    $costing = new SeasonCosting((new SeasonReader())->readDocument($document));
    $result = $costing->setup(array_column($costing->season->setups, null, 'id')[$setup]);

    return ['Season cost' => round($result->cost, 2), 'Hours of work' => round($result->hours, 2), 'With the hours' => round($result->cost_with_time, 2),
        'To pay now' => round($result->cash_now, 2)];
}

/** Prices, what packs hold and lives changed in a workbook and in the season alike; how many. */
function changeBoth(string $file, stdClass $document): int
{
    $book = IOFactory::load($file);
    $sheet = $book->getSheetByName(LedgerWorkbook::INPUTS);
    $sheet->setCellValue(LedgerWorkbook::DISCOUNT, $document->discount_rate = 0.07);
    $sheet->setCellValue(LedgerWorkbook::HOURLY, $document->hourly_value = 11.5);
    $changed = 2;
    for ($line = LedgerWorkbook::FIRST; is_string($sheet->getCell("A{$line}")->getValue()) && $changed < 14; $line++) {
        $path = explode('/', $sheet->getCell("A{$line}")->getValue());
        if (! in_array($path[0], ['seed_lots', 'supplies', 'containers', 'lights', 'gear'], true)) {
            continue;
        }
        $there = array_column($document->{$path[0]}, null, 'id')[$path[1]];
        $there->{$path[2]} = $price = round((float) $sheet->getCell("D{$line}")->getValue() * 1.21 + 0.3, 2);
        $sheet->setCellValue("D{$line}", $price);
        $changed++;
        foreach (['E' => ['seed_lots' => 'seeds_per_packet', 'supplies' => 'pack_amount'][$path[0]] ?? null, 'G' => 'life_seasons'] as $column => $key) {
            if ($key !== null && is_numeric($sheet->getCell("{$column}{$line}")->getValue()) && $line % 2 === 0) {
                $there->{$key} = $value = $key === 'life_seasons' ? 4 : (int) ceil((float) $sheet->getCell("{$column}{$line}")->getValue() / 3);
                $sheet->setCellValue("{$column}{$line}", $value);
                $changed++;
            }
        }
    }
    IOFactory::createWriter($book, 'Xlsx')->save($file);

    return $changed;
}

it('gives the application\'s totals where another program recomputes the workbook, also after ten inputs are changed in both', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $files = $wanted = [];
    // One with lamps and lives, and one in which washing costs nothing yet.
    foreach (['bench', 'jugs'] as $setup) {
        $content = (string) $this->get("/api/seasons/{$season->id}/setups/{$setup}/workbook.xlsx")->assertOk()->getContent();
        foreach ([false, true] as $change) {
            $files[] = $file = sys_get_temp_dir().'/book-'.bin2hex(random_bytes(4)).'.xlsx';
            file_put_contents($file, $content);
            $document = App\Models\Season::query()->find($season->id)->document;
            $change && expect(changeBoth($file, $document))->toBeGreaterThanOrEqual(10);
            $wanted[] = totalsWanted($document, $setup);
        }
    }
    $cents = fn (string $file): array => array_map(fn (float $one): float => round($one, 2), totalsOf($file));
    expect(array_map($cents, recomputed($files)))->toBe($wanted);
})->skip(! is_executable('/usr/bin/soffice'), 'needs LibreOffice, which bin/test installs');

it('reads a changed workbook back, change by change, in both formats', function (string $format) {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $file = sys_get_temp_dir().'/book-'.bin2hex(random_bytes(4)).".{$format}";
    file_put_contents($file, (string) $this->get("/api/seasons/{$season->id}/setups/bench/workbook.{$format}")->assertOk()->getContent());
    $send = fn () => $this->postJson("/api/seasons/{$season->id}/workbook", ['file' => base64_encode((string) file_get_contents($file))]);
    expect($send()->assertOk()->json('changes'))->toBe([]);
    $book = IOFactory::load($file);
    $sheet = $book->getSheetByName(LedgerWorkbook::INPUTS);
    $line = array_search('supplies/starter/pack_price', array_column($sheet->toArray(), 0), true) + 1;
    $sheet->setCellValue("D{$line}", 9.25);
    $lamp = array_search('lights/led/price', array_column($sheet->toArray(), 0), true) + 1;
    $sheet->setCellValue("G{$lamp}", 11);
    $sheet->setCellValue(LedgerWorkbook::HOURLY, 14);
    IOFactory::createWriter($book, ucfirst($format))->save($file);
    $changes = $send()->assertOk()->json('changes');
    expect(array_column($changes, 'to', 'label'))->toEqual(['An hour is worth' => 14.0, 'Seed-starting mix, 16 qt bag, price' => 9.25,
        'LED shop light, 4 ft, lasts, seasons' => 11.0])
        ->and($changes[1]['path'])->toBe(['supplies', 'starter', 'pack_price']);
    $this->patchJson("/api/seasons/{$season->id}", ['label' => 'from the workbook', 'changes' => array_map(
        fn (array $one): array => ['path' => $one['path'], 'from' => $one['from'], 'to' => $one['to']], $changes)])->assertOk();
    expect($send()->assertOk()->json('changes'))->toBe([])
        // What was uploaded was read, and is gone.
        ->and(glob(storage_path('app/uploads/*')))->toBe([]);
})->with(['xlsx', 'ods']);

it('says so where a file is no workbook', function (string $content) {
    [$user, $season] = gardener();
    $this->actingAs($user)->postJson("/api/seasons/{$season->id}/workbook", ['file' => base64_encode($content)])
        ->assertStatus(422)->assertJsonPath('faults.0.path', 'file');
})->with(['nothing' => '', 'text' => 'crop,price', 'a broken archive' => "PK\x03\x04 and no more"]);

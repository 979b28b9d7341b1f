<?php

declare(strict_types=1);

use Tests\Browser\May;

it('counts a row, loses from it, moves it and takes that back', function () {
    $path = May::open($this, 'trays/F/1', 390);
    // As the code on a label opens it: the row first.
    expect($this->text('#row-title'))->toContain('Sweet Bench, basil, F1–2');
    $this->click('[data-part="row"] [data-action="all"]');
    May::untilSent($this);
    $this->waitFor(fn () => str_contains($this->text('[data-part="timeline"]'), '8 up') ?: null, 'the count in its history');
    $this->click('[data-part="row"] select[name="cause"]');
    $this->find('[data-part="row"] select[name="cause"]')->sendKeys('gnats');
    $this->browser->executeScript('document.querySelectorAll("[data-part=row] [data-action=count]")[1].scrollIntoView({ block: "center" })');
    $this->browser->executeScript('document.querySelectorAll("[data-part=row] [data-action=count]")[1].click()');
    $this->waitFor(fn () => str_contains($this->text('[data-part="timeline"]'), '1 lost') ?: null, 'the loss');
    May::untilSent($this);
    expect($this->api("/api{$path}/setups/bench/trays")['facts']['sweet-bench'])->toMatchArray(['up' => 8, 'alive' => 7])
        ->and($this->accessibilityFindings())->toBe([])->and($this->overflows())->toBeFalse();

    $this->visit("{$path}/trays/E/1", 1280, 800);
    $this->click('[data-part="move"] summary');
    $this->find('[name="to-row"]')->sendKeys([Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
    $this->find('[name="to-row"]')->sendKeys('9');
    $this->click('[data-action="move"]');
    $this->waitFor(fn () => str_contains($this->text('[data-tray="E"]'), 'E9–12') ?: null, 'the rows at their new place');
    $this->click('[data-action="undo-layout"]');
    $this->waitFor(fn () => str_contains($this->text('[data-tray="E"]'), 'E1–4') ?: null, 'the rows back at their old place');
});

it('has a row sown before it is counted, and leaves it in its place', function () {
    $this->openScreen('trays');
    $path = (string) preg_replace('#/trays.*$#', '', $this->path());
    $trays = fn (): array => $this->api("/api{$path}/setups/bench/trays");
    $before = $trays();
    $rows = array_merge(...array_map(fn (array $tray): array => array_map(fn (array $run): array => $run + ['tray' => $tray['id']], $tray['runs']),
        $before['trays']));
    $unsown = array_values(array_filter($rows, fn (array $run): bool => $run['stage'] === 0 && ! $run['filled']
        && ($before['facts'][$run['crop']]['sown_on'] ?? null) === null));
    expect($unsown)->not->toBe([]);
    ['tray' => $tray, 'row' => $row, 'crop' => $crop, 'code' => $code] = $unsown[0];
    $this->visit("{$path}/trays/{$tray}/{$row}", 390, 844);
    expect($this->text('[data-part="row"]'))->toContain('Nothing is sown here yet')->not->toContain('Up?');
    $this->click('[data-action="sown"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="row"]'), 'Up?') ?: null, 'what is sown to be counted');
    May::untilSent($this);
    $after = $trays();
    expect($after['facts'][$crop])->toMatchArray(['sites' => array_sum(array_column(array_filter($rows,
        fn (array $run): bool => $run['crop'] === $crop && $run['stage'] === 0), 'sites'))])
        ->and($this->text('#row-title'))->toContain($code);
    $this->click('[data-part="row"] [data-action="all"]');
    May::untilSent($this);
    $this->waitFor(fn () => ($trays()['facts'][$crop]['up'] ?? 0) > 0 ?: null, 'the count to be kept');
});

it('shows trays, labels and trials, in both themes, and says where a row is not', function () {
    $path = May::open($this, 'trays');
    $this->find('[data-tray="D"] [data-row="7"]');
    expect($this->text('[data-trial="old-seed"]'))->toContain('12 of 12')->and($this->text('[data-part="labels"]'))->toContain('to write or to print');
    expect($this->accessibilityFindings())->toBe([]);
    $this->otherTheme();
    expect($this->paleWords())->toBe([]);
    $this->click('[data-part="new-trial"] summary');
    $this->click('[data-action="add-trial"]');
    expect($this->text('[data-part="new-trial"] [role="alert"]'))->toContain('two different');
    foreach (['side-0' => 'Ink Pot', 'side-1' => 'Porch Lantern'] as $name => $crop) {
        $this->find("select[name=\"{$name}\"]")->sendKeys($crop);
    }
    $this->click('[data-action="add-trial"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="trials"]'), 'Ink Pot beside Porch Lantern') ?: null, 'the new trial');
    $this->visit("{$path}/trays/Z/3");
    expect($this->text('[role="alert"]'))->toContain('Nothing stands in row 3 of tray Z');
});

it('makes a meter known on the bench, and takes over what it measured', function () {
    $path = May::open($this, 'bench');
    $this->find('[data-part="device-offer"]');
    $this->click('[data-action="take-reading"]');
    $this->waitFor(fn () => $this->api("/api{$path}")['season']['lights'][0]['watts'] < 42 ?: null, 'the lamp\'s real watts');
    $this->click('[data-part="add-device"] summary');
    $this->click('[data-action="add-device"]');
    $token = trim((string) preg_replace('/^.*only now: (\S+)\. It posts.*$/s', '$1', $this->text('[data-part="token"]')));
    [$out, $code] = [[], 1];
    exec(PHP_BINARY.' bin/jolly simulate-meter --token '.escapeshellarg($token).' --url '.escapeshellarg($this
        ->url()).' --readings 300 --per-post 100 2>&1', $out, $code);
    $said = json_decode($out[0] ?? '', true);
    expect($code)->toBe(0)->and($said['kept'])->toBe($said['taken'])->and($said['refused'])->toBe(0);
    $devices = $this->api("/api{$path}/setups/bench/devices")['devices'];
    expect($devices)->toHaveCount(4)->and($this->accessibilityFindings())->toBe([]);
});

it('says a plan in two steps where the crop is, and takes it', function () {
    $this->openList();
    $path = '/seasons/'.$this->seasonId();
    $this->click('[data-open="copper-kettle"]');
    $this->click('[data-action="two-step"]');
    expect($this->text('[data-part="two-step"]'))->toContain('if fewer than');
    $this->click('[data-action="take-two-step"]');
    $this->waitFor(fn () => $this->api("/api{$path}")['season']['crops'][0]['sow'] !== null ?: null, 'it to be sown so');
});

it('reads a table of entries, and shows what was taken back when asked', function () {
    $path = May::open($this, 'log', 390);
    $first = $this->find('[data-part="log"] tbody tr')->getAttribute('data-entry');
    $this->click("[data-entry=\"{$first}\"] button");
    $this->waitFor(fn () => $this->browser->findElements(Facebook\WebDriver\WebDriverBy::cssSelector("[data-entry=\"{$first}\"]")) === []
        ?: null, 'it to be gone');
    $this->click('input[name="old"]');
    $this->find("[data-entry=\"{$first}\"]");
    May::untilSent($this);
    $file = tempnam(sys_get_temp_dir(), 'log').'.csv';
    file_put_contents($file, "on,kind,crop,count\n2027-05-11,up,sweet-bench,7\nsoon,up,x,1\n");
    $this->find('input[name="log-table"]')->sendKeys($file);
    $this->waitFor(fn () => str_contains($this->text('[data-part="log-table"] [role="status"]'), '1 entry new') ?: null, 'the table to be read');
    unlink($file);
    expect($this->text('[data-part="log-table"]'))->toContain('Line 3')->and($this->accessibilityFindings())->toBe([])->and($this->overflows())->toBeFalse();
});

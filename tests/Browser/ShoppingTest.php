<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\BrowserTestCase;

function openShopping(BrowserTestCase $test, string $screen = 'shopping', int $width = 1280): void
{
    $test->openScreen($screen, $width, 844);
    $test->find("[data-part='".($screen === 'shopping' ? 'receipt' : 'ledger')."']");
}

it('ticks off what was bought at its price, and what comes to at the till follows', function (int $width) {
    openShopping($this, width: $width);
    $now = $this->text('[data-sum="now"]');
    $this->click('input[name="tick-supply-starter"]');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$8.49' ?: null, 'the planned price to be paid');
    expect($this->text('[data-sum="now"]'))->toBe($now);
    $field = (string) $this->find('[data-item="supply-starter"] input[name$=".paid"]')->getAttribute('name');
    $this->type($field, '7.99');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$7.99' ?: null, 'the paid price');
    $this->type(str_replace('.paid', '.shop', $field), 'Corner shop');
    // The next is bought in the same shop.
    $this->click('input[name="tick-seed-tom-copper"]');
    $this->waitFor(fn () => $this->find('[data-item="seed-tom-copper"] input[name$=".shop"]')->getAttribute('value') === 'Corner shop' ?: null, 'the shop');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$11.94' ?: null, 'both');
    expect($this->overflows())->toBeFalse();
    $this->click('[data-item="supply-starter"] [data-action="unbuy"]');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$3.95' ?: null, 'it not to be bought');
    expect($this->text('[data-sum="now"]'))->toBe($now)->and($this->consoleErrors())->toBe([]);
})->with([1280, 390]);

it('knows what was written down at once, however slow the server is', function () {
    $this->answersLate('GET', '/shopping', 3000);
    $this->answersLate('PUT', '/purchases/', 200);
    openShopping($this);
    $this->click('input[name="tick-supply-starter"]');
    $field = (string) $this->find('[data-item="supply-starter"] input[name$=".shop"]')->getAttribute('name');
    $this->type($field, 'Corner shop');
    // It is sent by now, and the list is not back.
    usleep(1_500_000);
    expect($this->browser->findElement(WebDriverBy::cssSelector("input[name='{$field}']"))->getDomProperty('value'))->toBe('Corner shop');
    $this->click('input[name="tick-seed-tom-copper"]');
    expect($this->find('[data-item="seed-tom-copper"] input[name$=".shop"]')->getAttribute('value'))->toBe('Corner shop');
    $this->click('[data-item="supply-starter"] [data-action="unbuy"]');
    usleep(600_000);
    expect($this->browser->findElements(WebDriverBy::cssSelector('[data-item="supply-starter"] [data-purchase]')))->toBe([]);
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$3.95' ?: null, 'the server to have it so');
});

it('plans with what was bought instead, and the till says what that did', function () {
    openShopping($this);
    $this->click('input[name="tick-supply-potting"]');
    $this->click('[data-item="supply-potting"] [data-action="instead"]');
    $fill = function (string $name, string $text): void {
        $this->find("input[name='instead-{$name}']")->sendKeys([Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
        $this->find("input[name='instead-{$name}']")->sendKeys($text);
    };
    $fill('name', 'Bargain mix');
    $fill('price', 'cheap');
    $this->click('[data-part="instead"] button[type="submit"]');
    expect($this->text('[data-part="instead"] [role="alert"]'))->toContain('price');
    $fill('price', '22.40');
    $fill('holds', '30');
    $this->click('[data-part="instead"] button[type="submit"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'Bargain mix instead of') ?: null, 'the till to say so');
    $this->waitFor(fn () => str_contains($this->text('[data-item="supply-potting"]'), '1 still to buy') ?: null, 'one more pack, as it holds less');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$22.40' ?: null, 'its price');
});

it('keeps what is ticked in a shop without signal, and sends it once', function () {
    $this->keepingCode();
    openShopping($this, width: 390);
    $this->untilKept();
    $this->server(false);
    try {
        $this->click('input[name="tick-seed-tom-copper"]');
        $this->find('[data-item="seed-tom-copper"] [data-purchase]');
        $this->visit($this->path(), 390, 844);
        $this->waitFor(fn () => str_contains($this->text('[data-item="seed-tom-copper"]'), 'kept here') ?: null, 'it to be kept over a reload');
    } finally {
        $this->server(true);
    }
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$3.95' ?: null, 'it to be sent', 25);
    expect($this->browser->findElements(WebDriverBy::cssSelector('[data-purchase]')))->toHaveCount(1);
});

it('writes down what was on no list', function () {
    openShopping($this);
    $this->browser->executeScript('document.querySelectorAll("main details").forEach((d) => { d.open = true; })');
    $this->find('input[name="off-name"]')->sendKeys('A garden gnome');
    $this->find('input[name="off-paid"]')->sendKeys('12');
    $this->press('Add it');
    $this->waitFor(fn () => str_contains($this->text('[data-part="unneeded"]'), 'A garden gnome') ?: null, 'the gnome');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$12.00' ?: null, 'its price');
    expect($this->text('main'))->toContain('with what was not needed');
});

it('opens the working of an amount in the ledger, whose parts add up', function () {
    openShopping($this, 'ledger');
    $cents = fn (string $text): int => (int) round(100 * (float) str_replace(['$', ',', '−'], ['', '', '-'], $text));
    $rows = array_map(fn ($row) => $row->getText(), $this->browser->findElements(WebDriverBy::cssSelector('[data-part="ledger"] tbody td:nth-last-child(3)')));
    $all = $this->text('[data-part="ledger"] tfoot td:nth-last-child(3)');
    expect(array_sum(array_map($cents, $rows)))->toBe($cents($all));
    $this->click('[data-part="ledger"] tbody tr:first-child .figure');
    $this->find('[data-part="working"], .ant-drawer-body');
});

it('has no serious accessibility finding on the list and the ledger, in both themes', function (string $screen) {
    openShopping($this, $screen);
    $screen === 'shopping' && $this->click('input[name="tick-seed-tom-copper"]');
    expect($this->troubles(1280, 390))->toBe([]);
})->with(['shopping', 'ledger']);

it('keeps to a limit: says what to do otherwise, and takes it as a set-up', function () {
    openShopping($this);
    // The kit on the sill has the fewest ways to weigh.
    $this->browser->executeScript("localStorage.setItem('jolly-penny-setup-' + arguments[0], 'kit')", [$this->seasonId()]);
    $this->visit($this->path());
    $this->waitFor(fn () => str_contains($this->text('.list-tools .ant-select'), 'kit') ?: null, 'the kit');
    $this->type('limit', 'little');
    $this->waitFor(fn () => str_contains($this->text('[data-part="limit"] [role="alert"]'), 'number') ?: null, 'what is wrong');
    $this->type('limit', '80');
    $this->waitFor(fn () => str_contains($this->text('[data-part="limit"]'), 'to pay now instead of') ?: null, 'a way to keep to it', 60);
    expect($this->text('[data-part="limit-steps"]'))->not->toBe('');
    $this->click('[data-part="limit"] .ant-btn-primary');
    $this->waitFor(fn () => str_contains($this->text('.list-tools .ant-select'), 'at most $80.00') ?: null, 'the set-up');
    $this->waitFor(fn () => (float) ltrim($this->text('[data-sum="now"]'), '$') <= 80.0 ?: null, 'a till within the limit');
});

it('reads a workbook back that was changed elsewhere, and takes over what one likes', function () {
    openShopping($this, 'ledger');
    $coded = $this->browser->executeAsyncScript(
        'const done = arguments[0]; fetch(document.querySelector("a[href$=\'.xlsx\']").href).then((r) => r.blob()).then((blob) => {
            const reader = new FileReader(); reader.onload = () => done(reader.result.split(",")[1]); reader.readAsDataURL(blob); });',
    );
    $file = sys_get_temp_dir().'/ledger-'.bin2hex(random_bytes(4)).'.xlsx';
    file_put_contents($file, base64_decode((string) $coded));
    $book = PhpOffice\PhpSpreadsheet\IOFactory::load($file);
    $sheet = $book->getSheetByName('Inputs');
    $keys = array_column($sheet->toArray(), 0);
    foreach (['supplies/starter/pack_price' => 5.5, 'supplies/potting/pack_price' => 20] as $key => $price) {
        $sheet->setCellValue('D'.(array_search($key, $keys, true) + 1), $price);
    }
    PhpOffice\PhpSpreadsheet\IOFactory::createWriter($book, 'Xlsx')->save($file);
    $this->find('input[name="workbook"]')->sendKeys($file);
    $this->waitFor(fn () => str_contains($this->text('[data-part="workbook-changes"]'), 'Potting mix') ?: null, 'what was changed');
    // The second is not taken over.
    $this->click('[data-part="workbook-changes"] li:last-child input');
    $this->click('[data-part="workbook-changes"] button[type="submit"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'from the workbook') ?: null, 'it to be taken over');
    $prices = array_column($this->api("/api/seasons/{$this->seasonId()}")['season']['supplies'], 'pack_price', 'id');
    expect($prices['starter'])->toEqual(5.5)->and($prices['potting'])->toEqual(13.9);
});

<?php

declare(strict_types=1);

it('reads in a table after it was looked at, and offers its prices to the season', function (int $width) {
    $this->openScreen('shopping', $width, 844);
    $shopping = $this->path();
    $this->visit('/prices', $width, 844);
    $this->find('[data-part="add-price"]');
    $file = sys_get_temp_dir().'/prices-'.bin2hex(random_bytes(4)).'.csv';
    file_put_contents($file, "a;price;shop;date\nSeed-starting mix, 16 qt bag;7.25;Corner;2027-01-20\nPerlite, 59 qt;cheap;Corner;2027-01-20\n");
    $this->find('input[name="price-file"]')->sendKeys($file);
    $this->waitFor(fn () => str_contains($this->text('[data-part="price-preview"]'), 'Say which column') ?: null, 'a column to be asked for');
    (new Facebook\WebDriver\WebDriverSelect($this->find('select[name="map-name"]')))->selectByValue('0');
    $this->waitFor(fn () => str_contains($this->text('[data-part="price-preview"]'), '1 new') ?: null, 'the lines');
    expect($this->text('[data-part="price-preview"]'))->toContain('Line 3')->toContain('cheap');
    $this->press('Keep 1 price');
    $this->waitFor(fn () => str_contains($this->text('[data-part="prices"]'), 'Seed-starting mix') ?: null, 'it in the book');
    expect($this->overflows())->toBeFalse();
    $this->visit($shopping, $width, 844);
    $this->waitFor(fn () => str_contains($this->text('[data-part="price-offers"]'), '$7.25') ?: null, 'the offer');
    $this->click('[data-action="all-prices"]');
    $this->waitFor(fn () => str_contains($this->text('[data-item="supply-starter"]'), '$7.25') ?: null, 'the season to take it');
    expect($this->consoleErrors())->toBe([]);
})->with([1280, 390]);

it('writes a price down, says what is wrong, and has no serious accessibility finding in both themes', function (int $width) {
    $this->visit('/prices', $width, 844);
    $this->find('[data-part="add-price"]');
    $this->press('Save the price');
    expect($this->text('[data-part="add-price"] [role="alert"]'))->toContain('Type a name');
    $this->find('input[name="price-name"]')->sendKeys('Perlite');
    $this->type('price-price', '18,40');
    $this->waitFor(fn () => str_contains($this->text('[data-part="prices"]'), 'Perlite') ?: null, 'the price');
    expect($this->overflows())->toBeFalse()->and($this->accessibilityFindings())->toBe([]);
    $this->otherTheme();
    expect($this->paleWords())->toBe([])->and($this->consoleErrors())->toBe([]);
})->with([1280, 390]);

it('shows what is written down while the book is still on its way, once', function () {
    $this->answersLate('GET', '/api/prices', 4000, 1);
    $this->answersLate('POST', '/api/prices', 2500);
    $this->visit('/prices');
    $this->find('input[name="price-name"]')->sendKeys('Perlite');
    $this->find('input[name="price-price"]')->sendKeys("18.40\n\n");
    $this->find('input[name="price-name"]')->sendKeys(' again');
    $this->waitFor(fn () => str_contains($this->text('[data-part="prices"]'), 'Perlite') ?: null, 'the price');
    expect($this->find('input[name="price-name"]')->getDomProperty('value'))->toBe('Perlite again');
    usleep(4_500_000);
    expect($this->text('[data-part="prices"]'))->toContain('Perlite')->and($this->text('main'))->toMatch('/\b1 price\n/');
});

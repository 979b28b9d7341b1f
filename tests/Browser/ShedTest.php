<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;

it('puts seed into the shed, tests it, throws it out and has it back', function (int $width) {
    $this->visit('/shed', $width, 844);
    $this->find('[data-part="add-shed"]');
    $this->press('Put it in');
    expect($this->text('[data-part="add-shed"] [role="alert"]'))->toContain('Type a name');
    $this->find('input[name="shed-name"]')->sendKeys('Old Leek');
    $this->find('input[name="shed-amount"]')->sendKeys('60');
    $this->type('shed-year', '2024');
    $this->waitFor(fn () => str_contains($this->text('[data-part="shed-seed"]'), 'Old Leek') ?: null, 'the packet');
    $field = (string) $this->find('[data-part="shed-seed"] input[name$=".test"]')->getAttribute('name');
    $this->type($field, 'of 10, 12 came up');
    expect($this->text('[data-part="shed-seed"] [role="alert"]'))->toContain('No more');
    $this->type($field, 'of 10, 4 came up');
    $this->waitFor(fn () => $this->find('[data-part="shed-seed"] input[name$=".amount"]')->getAttribute('value') === '50' ?: null, 'ten seeds fewer');
    expect($this->overflows())->toBeFalse()->and($this->accessibilityFindings())->toBe([]);
    $this->click('[data-part="shed-seed"] [data-action="throw-out"]');
    $this->waitFor(fn () => str_contains($this->text('main'), '1 thrown out') ?: null, 'it to be gone');
    $this->browser->executeScript('document.querySelectorAll("main details").forEach((d) => { d.open = true; })');
    $this->press('Put back');
    $this->find('[data-part="shed-seed"]');
    $this->otherTheme();
    expect($this->paleWords())->toBe([])->and($this->consoleErrors())->toBe([]);
})->with([1280, 390]);

it('rolls a season on with what cracked, and takes it back', function () {
    $this->visit('/shed');
    $this->waitFor(fn () => str_contains($this->text('[data-part="seed-worth"]'), 'Long Fringe') ?: null, 'what old seed is worth', 20);
    $this->find('[data-part="leftovers"]');
    $this->type('cracked-pot9', '3');
    $this->waitFor(fn () => str_contains($this->text('[data-part="leftovers"]'), '69') ?: null, 'three fewer');
    $this->click('[data-action="roll"]');
    // Nothing was written down of it: that is asked about first.
    $this->press('Carry it over', '.ant-popconfirm');
    $this->waitFor(fn () => str_contains($this->path(), '/list') ?: null, 'the next season');
    $this->waitFor(fn () => str_contains($this->text('[data-menu]'), '2028') ?: null, 'its name');
    $this->visit('/shed');
    $this->waitFor(fn () => str_contains($this->text('[data-part="shed-light"]'), 'served 1 season') ?: null, 'what served');
    // What is known of the shed is shown at once; the button moves when the rest comes.
    $this->settle();
    $this->click('[data-action="roll-back"]');
    $this->waitFor(fn () => str_contains($this->text('.ant-popconfirm'), '2028') ?: null, 'it to be named');
    $this->press('Undo it', '.ant-popconfirm');
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector('[data-part="shed-light"]')) === [] ?: null, 'the shed as it was');
    expect($this->api('/api/seasons')['seasons'])->toHaveCount(1)->and($this->consoleErrors())->toBe([]);
});

it('takes over into the season what the shed has', function () {
    $this->openScreen('shopping');
    $shopping = $this->path();
    $this->visit('/shed');
    (new Facebook\WebDriver\WebDriverSelect($this->find('select[name="shed-kind"]')))->selectByValue('light');
    $this->find('input[name="shed-name"]')->sendKeys('LED shop light, 4 ft');
    $this->type('shed-amount', '1');
    $this->find('[data-part="shed-light"]');
    $this->visit($shopping);
    $this->find('[data-item="light-led"]');
    $this->click('[data-action="all-shed"]');
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector('[data-item="light-led"]')) === [] ?: null, 'the lamp off the list');
    expect($this->text('[data-part="till-moved"]'))->toContain('from the shed');
});

<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

beforeEach(function () {
    $this->openList();
    $this->find('[data-crop="copper-kettle"]');
    $this->seedling = $this->path().'/../crops/copper-kettle';
});

it('changes the lamp\'s hours, sees the cost move on the till, and finds it again after a reload', function () {
    $this->visit($this->seedling);
    $before = $this->text('[data-figure="per_finished"]');
    expect($before)->toBe(coreSays($this));
    $this->type('led.hours_per_day', '4');
    $this->waitFor(fn () => $this->text('[data-figure="per_finished"]') !== $before, 'the till to move');
    $after = $this->text('[data-figure="per_finished"]');
    expect($after)->toBe(coreSays($this))->and($this->text('[data-part="till-moved"]'))->toContain('lamp hours');
    $this->browser->navigate()->refresh();
    expect($this->text('[data-figure="per_finished"]'))
        ->toBe($after)
        ->and($this->find('input[name="led.hours_per_day"]')->getAttribute('value'))
        ->toBe('4');
});

it('refuses what cannot be used beside its field and keeps the last good value', function () {
    $this->visit($this->seedling);
    foreach (
        ['25' => '24', '-3' => 'from 0', 'sixteen' => 'not a number', '' => 'cannot be empty', '1000000000' => '24'] as $typed => $says
    ) {
        $this->type('led.hours_per_day', $typed === '' ? WebDriverKeys::BACKSPACE : (string) $typed);
        expect($this->text('.edit-why'))->toContain($says)->toContain('16 stays');
        $this->find('input[name="led.hours_per_day"]')->sendKeys(WebDriverKeys::ESCAPE);
        expect($this->find('input[name="led.hours_per_day"]')->getAttribute('value'))->toBe('16');
    }
    expect($this->text('[data-figure="per_finished"]'))->toBe(coreSays($this));
});

it('opens the working of an amount by keyboard, and changes a number right there', function () {
    $this->visit($this->seedling);
    $this->find('[data-head="seed"]')->sendKeys(WebDriverKeys::ENTER);
    $this->waitFor(fn () => str_contains($this->text('.ant-drawer'), 'packet') ?: null, 'the working of the seed');
    $before = $this->text('[data-part="working-value"]');
    $this->type('seed_lots.tom-copper.packet_price', '7.90');
    $this->waitFor(fn () => $this->text('[data-part="working-value"]') !== $before ?: null, 'the working to follow');
    expect($this->text('[data-part="working"]'))
        ->toContain('from you')
        ->and(coreSays($this))
        ->toBe($this->text('[data-figure="per_finished"]'));
});

it('works at each width and in both themes without serious accessibility findings', function () {
    $this->visit($this->seedling);
    $this->find('[data-figure="per_finished"]');
    expect($this->troubles(1280, 390, 360))->toBe([]);
});

<?php

declare(strict_types=1);

use JollyPenny\Core\Costing\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;

/** The core's cost per finished seedling of the first crop in the first set-up, for the season this visitor has. */
function coreSays(Tests\Browser\BrowserTestCase $test): string
{
    $id = $test->api('/api/seasons')['seasons'][0]['id'];
    $document = json_decode((string) json_encode($test->api("/api/seasons/{$id}")['season'], JSON_PRESERVE_ZERO_FRACTION));
    foreach ($document->setups as $setup) {
        $setup->overrides = (object) (array) $setup->overrides;
    }
    $cost = (new SeasonCosting((new SeasonReader)->readDocument($document)))->result()['setups'][0]->crops[0]->per_finished;

    return $cost < 0.9995 ? number_format($cost * 100, 1).'¢' : '$'.number_format($cost, 2);
}

it('changes the lamp\'s hours, sees the cost move on the till, and finds it again after a reload', function () {
    $this->visit();
    $before = $this->text('[data-figure="per_finished"]');
    expect($before)->toBe(coreSays($this));
    $this->type('led.hours_per_day', '4');
    $this->waitFor(fn () => $this->text('[data-figure="per_finished"]') !== $before, 'the till to move');
    $after = $this->text('[data-figure="per_finished"]');
    expect($after)->toBe(coreSays($this))->and($this->text('.till-moved'))->toContain('lamp hours');
    $this->browser->navigate()->refresh();
    expect($this->text('[data-figure="per_finished"]'))->toBe($after)
        ->and($this->find('input[name="led.hours_per_day"]')->getAttribute('value'))->toBe('4');
});

it('refuses what cannot be used beside its field and keeps the last good value', function () {
    $this->visit();
    foreach (['25' => '24', '-3' => 'from 0', 'sixteen' => 'not a number', '' => 'cannot be empty', '1000000000' => '24'] as $typed => $says) {
        $this->type('led.hours_per_day', $typed === '' ? Facebook\WebDriver\WebDriverKeys::BACKSPACE : (string) $typed);
        expect($this->text('.edit-why'))->toContain($says)->toContain('16 stays');
        $this->find('input[name="led.hours_per_day"]')->sendKeys(Facebook\WebDriver\WebDriverKeys::ESCAPE);
        expect($this->find('input[name="led.hours_per_day"]')->getAttribute('value'))->toBe('16');
    }
    expect($this->text('[data-figure="per_finished"]'))->toBe(coreSays($this));
});

it('opens the working of an amount by keyboard', function () {
    $this->visit();
    $this->find('[data-head="seed"]')->sendKeys(Facebook\WebDriver\WebDriverKeys::ENTER);
    $this->waitFor(fn () => str_contains($this->text('.ant-drawer'), 'packet') ?: null, 'the working of the seed');
    expect($this->text('.working-value'))->toContain('$');
});

it('works on a phone, in both themes, without serious accessibility findings', function (int $width, int $height) {
    $this->visit('/', $width, $height);
    $this->find('[data-figure="per_finished"]');
    expect($this->browser->executeScript('return document.documentElement.scrollWidth <= window.innerWidth'))->toBeTrue()
        ->and($this->accessibilityFindings())->toBe([]);
    $this->find('.scheme')->click();
    usleep(300_000);
    expect($this->accessibilityFindings())->toBe([])->and($this->consoleErrors())->toBe([]);
})->with([[1280, 800], [390, 844], [360, 740]]);

<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;
use Tests\Browser\BrowserTestCase;

beforeEach(fn () => $this->openList());

function openScreen(BrowserTestCase $test, string $screen): void
{
    $test->visit(str_replace('list', $screen, $test->path()));
    $test->find('h1');
}

it('changes a stage in its sentence and sees the plant grow dearer, for all crops or for one', function () {
    openScreen($this, 'raising');
    $this->waitFor(fn () => str_contains($this->text('[data-part="used"]'), 'use this method') ?: null, 'who is raised so');
    expect($this->text('[data-part="used"]'))->toContain('survive to the end');
    $before = $this->text('[data-ground="3"] text');
    $this->type('stage-2-survival', '60');
    $this->waitFor(fn () => $this->text('[data-ground="3"] text') !== $before ?: null, 'a dearer plant');
    $this->click('[data-preset="careful"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'survival') ?: null, 'the preset');
    (new WebDriverSelect($this->find('select[name="stage-0-light"]')))->selectByValue('');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'light, Germinate') ?: null, 'germinated in the dark');
    expect($this->text('[data-part="touches"]'))->toContain('changes 6 crops');
    $this->click('[data-action="only"]');
    $this->waitFor(fn () => str_contains($this->find('input[name="method_name"]')->getAttribute('value'), 'its own way') ?: null, 'a copy');
    $this->waitFor(fn () => str_contains($this->text('[data-part="used"]'), 'One crop') ?: null, 'for one crop');
    expect($this->consoleErrors())->toBe([]);
});

it('says what else a method uses up, how much, and no more', function () {
    openScreen($this, 'raising');
    $method = fn () => $this->api("/api/seasons/{$this->seasonId()}")['season']['methods'][0];
    $before = count($method()['extras']);
    $this->browser->executeScript('document.querySelectorAll("main details").forEach((one) => { one.open = true; })');
    $choice = new WebDriverSelect($this->find('select[name="add-extra"]'));
    $supply = $choice->getOptions()[1]->getAttribute('value');
    $choice->selectByValue($supply);
    $this->type("extra-{$supply}", '2');
    (new WebDriverSelect($this->find("select[name='per-{$supply}']")))->selectByValue('flat');
    $this->waitFor(fn () => in_array(['supply' => $supply, 'amount' => 2, 'per' => 'flat'], array_map(
        fn (array $one): array => array_diff_key($one, ['meta' => true]), $method()['extras']), false) ?: null, 'two for each tray');
    $this->click("[data-extra='{$supply}'] button");
    $this->waitFor(fn () => count($method()['extras']) === $before ?: null, 'it to be used no more');
    expect($this->consoleErrors())->toBe([]);
});

it('says what is wrong in a sentence, and adds and takes out a stage', function () {
    openScreen($this, 'raising');
    $this->type('stage-1-days', 'when it likes');
    expect($this->text('[data-sentence="1"] [role="alert"]'))->toContain('not a number');
    $this->click('[data-action="add-stage"]');
    $this->find('[data-sentence="4"]');
    $this->browser->executeScript('document.querySelectorAll("li details").forEach((d) => { d.open = true; })');
    $this->click('[data-action="remove-stage-4"]');
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector('[data-sentence="4"]')) === [] ?: null, 'one stage fewer');
});

it('measures a pot, changes a recipe, and sees what the season takes', function () {
    openScreen($this, 'pots');
    $this->click('[data-pot="pot9"]');
    $this->type('pot_price', '9.90');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'price') ?: null, 'a dearer pot');
    $before = $this->find('input[name="volume_l"]')->getAttribute('value');
    $this->type('rim_mm', '4');
    $this->waitFor(fn () => $this->find('input[name="volume_l"]')->getAttribute('value') !== $before ?: null, 'what it holds');
    expect($this->text('[data-part="ways"]'))->toContain('a quart');
    // What a pot of this size takes comes after; the recipes move then.
    $this->settle();
    $this->click('[data-way="two-one"] button');
    $this->type('parts-0', '3');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'parts') ?: null, 'another recipe');
    $this->type('starter.pack_price', '9.49');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'price, Seed-starting') ?: null, 'a dearer bag');
    expect($this->consoleErrors())->toBe([]);
});

it('moves through the season on a bench, takes a better hour, and adds a lamp from the label on its back', function () {
    openScreen($this, 'bench');
    $before = $this->text('h1');
    $this->browser->executeScript('const r = document.querySelector("input[name=bench_day]"); Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(r, "20"); r.dispatchEvent(new Event("input", {bubbles: true}));');
    $this->waitFor(fn () => $this->text('h1') !== $before ?: null, 'another day');
    expect($this->text('[data-best="led"]'))->toContain('from 14:00');
    $this->click('[data-best="led"] button');
    $this->waitFor(fn () => $this->find('input[name="led.on_at"]')->getAttribute('value') === '14:00' ?: null, 'a better hour');
    $this->click('[data-add="lights"]');
    $this->waitFor(function () {
        foreach ($this->browser->findElements(WebDriverBy::cssSelector('.ant-dropdown-menu-item')) as $item) {
            if ($item->getText() === 'A lamp of my own') {
                $item->click();

                return true;
            }
        }
    }, 'a lamp of one\'s own');
    $this->find('[data-thing="my-lamp"]');
    $this->browser->executeScript('document.querySelector("[data-thing=my-lamp] details").open = true');
    $this->type('my-lamp.reading', '120 V, 0.35 A');
    $this->waitFor(fn () => $this->find('input[name="my-lamp.watts"]')->getAttribute('value') === '42' ?: null, 'watts from the label');
    $this->type('my-lamp.lumens', '4440');
    $this->waitFor(fn () => $this->find('input[name="my-lamp.ppf"]')->getAttribute('value') === '60' ?: null, 'light from lumens');
    $this->click('[data-action="outlet"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="load"]'), '12.0 A for hours') ?: null, 'the outlet');
    // A dozen alike stand in one line, are owned with one tick, and an undo takes them back together.
    $lamps = fn (): array => array_values(array_filter($this->api("/api/seasons/{$this->seasonId()}")['season']['lights'],
        fn (array $lamp): bool => str_starts_with($lamp['id'], 'my-lamp')));
    $this->type('my-lamp.count', '12');
    $this->waitFor(fn () => count($lamps()) === 12 ?: null, 'twelve lamps');
    $this->type('my-lamp.watts', '40');
    $this->waitFor(fn () => array_unique(array_column($lamps(), 'watts')) === [40] ?: null, 'the watts of all twelve');
    expect($this->browser->findElements(WebDriverBy::cssSelector('[data-thing^="my-lamp"]')))->toHaveCount(1)
        ->and(array_column($this->api("/api/seasons/{$this->seasonId()}")['season']['setups'], 'lights', 'id')['bench'])
        ->toContain('my-lamp', 'my-lamp-12');
    $this->type('my-lamp.count', '2');
    $this->waitFor(fn () => array_column($lamps(), 'id') === ['my-lamp', 'my-lamp-2'] ?: null, 'two of them');
    expect($this->consoleErrors())->toBe([]);
});

it('keeps days away by their first and last day', function () {
    openScreen($this, 'calendar');
    $this->find('input[name="away_from"]')->sendKeys('04172027');
    $this->find('input[name="away_to"]')->sendKeys('04102027');
    expect($this->text('[data-part="away"] [role="alert"]'))->toContain('The last day is before the first');
    $this->find('input[name="away_to"]')->clear()->sendKeys('04242027');
    $this->press('Add', '[data-part="away"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="away"]'), 'April 17 to April 24') ?: null, 'the days away');
    $away = fn (): ?array => $this->api("/api/seasons/{$this->seasonId()}")['season']['meta']['habits']['away'] ?? null;
    $this->waitFor(fn () => $away() == [['from' => '2027-04-17', 'to' => '2027-04-24']] ?: null, 'the season to have them');
    $this->press('Remove', '[data-part="away"]');
    $this->waitFor(fn () => $away() === [] ?: null, 'to be at home');
});

<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Seasons;

beforeEach(function () {
    $this->openList();
    $this->find('[data-crop="copper-kettle"]');
});

/** The text of a place in a crop's line. */
function inLine(object $test, string $crop, string $css): string
{
    return $test->text("[data-crop=\"{$crop}\"] {$css}");
}

it('changes a figure where it stands and shows what it did', function () {
    $till = $this->text('[data-figure="per_finished"]');
    $this->type('copper-kettle.wanted', '12');
    $this->waitFor(
        fn () => str_contains(inLine($this, 'copper-kettle', '[data-part="line-sow"]'), 'for 12') ?: null,
        'the sowing for twelve',
    );
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'wanted, Copper Kettle') ?: null, 'the till to say so');
    expect($this->text('[data-figure="per_finished"]'))
        ->not->toBe($till)
        ->and(inLine($this, 'copper-kettle', '[data-cost]'))
        ->toBe(coreSays($this));
});

it('is worked by the keyboard alone: arrows, typing, Enter, Escape, undo', function () {
    $this->browser->executeScript('document.querySelector("input[name=\'copper-kettle.wanted\']").focus()');
    $keys = fn (string ...$typed) => $this->browser->getKeyboard()->sendKeys(implode('', $typed));
    $focused = fn () => $this->browser->executeScript('return document.activeElement.name');
    $keys('7', WebDriverKeys::ENTER);
    $this->waitFor(fn () => $focused() === 'sunday-sauce.wanted' ?: null, 'the next line');
    $keys(WebDriverKeys::ARROW_DOWN);
    $this->waitFor(fn () => $focused() === 'porch-lantern.wanted' ?: null, 'the line below');
    $keys(WebDriverKeys::ARROW_RIGHT);
    $this->waitFor(fn () => $focused() === 'porch-lantern.packet_price' ?: null, 'the figure to the right');
    $keys('99', WebDriverKeys::ESCAPE);
    expect($this->find('input[name="porch-lantern.packet_price"]')->getAttribute('value'))
        ->toBe('4.25')
        ->and($this->find('input[name="copper-kettle.wanted"]')->getAttribute('value'))
        ->toBe('7');
    $this->waitFor(fn () => $this->find('[data-status]')->getAttribute('data-status') === 'saved' ?: null, 'the change to be saved');
    $keys(WebDriverKeys::CONTROL, 'z', WebDriverKeys::NULL);
    $this->waitFor(fn () => $this->find('input[name="copper-kettle.wanted"]')->getAttribute('value') === '6' ?: null, 'undo');
});

it('takes back and does again, also after a reload', function () {
    $this->type('copper-kettle.wanted', '9');
    $this->find('[data-action="undo"]');
    $this->browser->navigate()->refresh();
    $this->click('[data-action="undo"]');
    $this->waitFor(fn () => $this->find('input[name="copper-kettle.wanted"]')->getAttribute('value') === '6' ?: null, 'six again');
    $this->click('[data-action="redo"]');
    $this->waitFor(fn () => $this->find('input[name="copper-kettle.wanted"]')->getAttribute('value') === '9' ?: null, 'nine again');
    expect(inLine($this, 'copper-kettle', '[data-part="line-sow"]'))->toContain('for 9');
});

it('adds by two letters, and several by a typed list', function () {
    $add = $this->find('input[name="add"]');
    $add->sendKeys('fe');
    $this->waitFor(fn () => str_contains($this->text('.ant-select-dropdown'), 'Bulb fennel') ?: null, 'fennel to be offered');
    $add->sendKeys(WebDriverKeys::ENTER);
    $this->find('[data-crop="bulb-fennel"]');
    $this->find('[data-part="panel-body"]');
    $add = $this->find('input[name="add"]');
    $add->click();
    $add->sendKeys([WebDriverKeys::CONTROL, 'a']);
    $add->sendKeys('8 sweet pepper, 6 paste tomato, 2 moonfruit'.WebDriverKeys::ENTER);
    $this->find('[data-crop="sweet-pepper"]');
    expect($this->text('[data-part="add-said"]'))
        ->toContain('2 crops added')
        ->and($this->text('[data-part="asked-crop"] legend'))
        ->toContain('2 moonfruit')
        ->and($this->text('h1'))
        ->toContain('15 crops');
});

it('takes a crop that the catalogue does not hold, like a relative but for what is said of it', function () {
    $add = $this->find('input[name="add"]');
    $add->sendKeys('2 moonfruit'.WebDriverKeys::ENTER);
    $this->click('[data-part="unknown-crop"] .ant-select');
    $this->browser->switchTo()->activeElement()->sendKeys('melo'.WebDriverKeys::ENTER);
    $days = $this->find('input[name="own-days"]');
    $days->sendKeys([WebDriverKeys::CONTROL, 'a']);
    $days->sendKeys('14'.WebDriverKeys::TAB);
    $this->click('[data-part="unknown-crop"] .ant-btn-primary');
    $this->find('[data-crop="moonfruit"]');
    $season = $this->api("/api/seasons/{$this->seasonId()}")['season'];
    $species = array_column($season['species'], null, 'name')['Moonfruit'];
    $days = fn (string $name) => array_values(array_filter(array_column(array_column($season['species'], null, 'name')[$name]['germination'], 'days')));
    expect($species['meta'])
        ->toBe(['like' => 'muskmelon'])
        ->and(array_column($season['crops'], 'wanted', 'id')['moonfruit'])
        ->toBe(2)
        ->and(min($days('Moonfruit')))
        ->toBeGreaterThan(4);
});

it('sells plants at a price, sows in the bed on a day of its own, and knows its kind of seed', function () {
    $this->click('[data-open="ink-pot"]');
    $this->type('sell', '2');
    $this->type('sale_price', '3.50');
    $this->waitFor(fn () => preg_match('/bring in \$[4-7]\.\d\d/', $this->text('[data-test="income"]')) === 1 ?: null, 'what sales bring in');
    $this->browser->executeScript('document.querySelectorAll("[data-part=panel-body] details").forEach((one) => { one.open = true; })');
    $this->click('input[name="bed_sow"]');
    $this->type('bed_sow_days', '-14');
    $this->type('fresh_germination', '80');
    $this->type('longevity_years', '5');
    $this->type('emergence_factor', '1.5');
    $season = fn () => $this->api("/api/seasons/{$this->seasonId()}")['season'];
    $crop = fn () => array_column($season()['crops'], null, 'id')['ink-pot'];
    $this->waitFor(fn () => $this->text('[data-status]') === 'everything saved' ?: null, 'all to be kept');
    $lot = array_column($season()['seed_lots'], null, 'id')[$crop()['lot']];
    expect($crop())->toMatchArray(['sale_price' => 3.5, 'bed_sow_offset_days' => -14, 'outdoor_sow_offset_days' => null])
        ->and($crop()['split']['sell'])->toBe(2)
        ->and($lot['emergence_factor'])->toBe(1.5)
        ->and(array_column($season()['species'], null, 'id')[$lot['species']])->toMatchArray(['fresh_germination' => 0.8, 'longevity_years' => 5]);
    $this->type('bed_sow_days', 'soon');
    expect($this->text('[data-part="panel-body"] .edit-why'))->toContain('not a number');
});

it('counts mix that is spilled, and a season\'s share of what one owns already', function () {
    $this->browser->executeScript('document.querySelectorAll("main details").forEach((one) => { one.open = true; })');
    $this->type('mix_overage', '25');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'mix spilled') ?: null, 'a dearer plant');
    $this->click('input[name="charge_owned"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="till-moved"]'), 'things owned already') ?: null, 'a dearer one still');
    expect($this->api("/api/seasons/{$this->seasonId()}")['season'])->toMatchArray(['mix_overage' => 0.25, 'charge_owned' => true]);
});

it('takes a list pasted from a spreadsheet', function () {
    $this->click('input[name="add"]');
    $this->browser->executeScript('const data = new DataTransfer(); data.setData("text", "Tomato\tHarbour\t4\nKale\t\t10\n");
        document.activeElement.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));');
    $this->find('[data-crop="harbour"]');
    expect(inLine($this, 'kale', '[data-part="line-sow"]'))->toContain('for 10');
});

it('shows every way of raising a crop with its cost, takes one, and hears how much to sow', function () {
    $this->click('[data-open="ink-pot"]');
    $this->click('.choices input[value="blocks"]');
    $this->waitFor(fn () => str_contains(inLine($this, 'ink-pot', '[data-part="line-crop"]'), 'soil blocks') ?: null, 'soil blocks');
    expect($this->text('[data-part="cautions"]'))->toContain('Electricity near water');
    $say = $this->find('input[name="say"]');
    $say->sendKeys('nine for four'.WebDriverKeys::ENTER);
    $this->waitFor(fn () => str_contains(inLine($this, 'ink-pot', '[data-part="line-sow"]'), '9 blocks for 4') ?: null, 'nine blocks');
    expect(inLine($this, 'ink-pot', '[data-part="line-sow"]'))->toContain('your choice');
    $this->find('input[name="say"]')->sendKeys('heaps'.WebDriverKeys::ENTER);
    expect($this->text('[data-part="say"] .edit-why'))->toContain('nine for six');
});

it('sees what a test and its age do to the seed', function () {
    $this->click('[data-open="sunday-sauce"]');
    expect($this->text('[data-test="age"]'))->toContain('Fresh 90 % germination; at 2 years it is 85');
    $this->type('test', 'of 20, 17 came up');
    $this->waitFor(fn () => str_contains($this->text('[data-test="age"]'), 'by your test') ?: null, 'the test to count');
    $of = array_values(array_filter(explode(' ', (string) preg_replace('/\D+/', ' ', $this->text('[data-test="tested"]')))));
    // Of 20, 17: 85 of 100 by itself; what was known counts like so many seeds beside it (costing rules, section 3, step 3).
    [$sown, $up, $alone, $known, $seeds, $says] = array_map(intval(...), $of);
    expect([$sown, $up, $alone])->toBe([20, 17, 85])->and($says)->toEqualWithDelta(($known * $seeds + 100 * $up) / ($seeds + $sown), 1.0);
    $this->type('test', '21 of 20');
    expect($this->text('[data-part="panel-body"] .edit-why'))->toContain('No more can come up than were sown');
});

it('closes a crop with Escape, a typed value first, and goes back to where it was opened', function () {
    $this->click('[data-open="ink-pot"]');
    $offset = $this->find('[data-part="panel-body"] input[name="offset"]');
    $offset->sendKeys('99'.WebDriverKeys::ESCAPE);
    expect($this->find('[data-part="panel-body"]')->isDisplayed())->toBeTrue();
    $offset->sendKeys(WebDriverKeys::ESCAPE);
    $this->waitFor(fn () => $this->browser->executeScript('return document.querySelector("[data-part=panel-body]") === null') ?: null, 'it to close');
    expect($this->browser->switchTo()->activeElement()->getAttribute('data-open'))->toBe('ink-pot');
});

it('finds what was typed and not saved again after a reload', function () {
    $wanted = $this->find('input[name="copper-kettle.wanted"]');
    $wanted->click();
    $wanted->sendKeys([WebDriverKeys::CONTROL, 'a']);
    $wanted->sendKeys('17');
    $this->find('input[name="add"]');
    $this->browser->executeScript('window.location.reload()');
    $this->waitFor(fn () => $this->find('input[name="copper-kettle.wanted"]')->getAttribute('value') === '17' ?: null, 'what was typed');
    expect($this->text('[data-crop="copper-kettle"] [role="alert"]'))->toContain('did not save it');
    $this->find('input[name="copper-kettle.wanted"]')->sendKeys(WebDriverKeys::ESCAPE);
    $this->browser->navigate()->refresh();
    expect($this->find('input[name="copper-kettle.wanted"]')->getAttribute('value'))->toBe('6');
});

it('changes many lines at once', function () {
    foreach (['copper-kettle', 'sunday-sauce'] as $crop) {
        $this->click("[data-crop=\"{$crop}\"] input[type=checkbox]");
    }
    $this->type('many.offset', '21');
    $this->waitFor(fn () => str_contains(inLine($this, 'sunday-sauce', '[data-part="line-sow"]'), 'Apr 25') ?: null, 'a later sowing');
    // Packets that came together for one price.
    $this->type('many.kit', '5.01');
    $price = fn (string $crop): ?string => $this->find("input[name=\"{$crop}.packet_price\"]")->getAttribute('value');
    $this->waitFor(fn () => [$price('copper-kettle'), $price('sunday-sauce')] === ['2.51', '2.50'] ?: null, 'the price of each packet');
    $this->click('[data-part="many"] .plain');
    $this->waitFor(fn () => ! str_contains($this->text('[data-part="grow"]'), 'Sunday Sauce') ?: null, 'both to be gone');
    $this->click('[data-action="undo"]');
    expect(inLine($this, 'sunday-sauce', '[data-part="line-sow"]'))->toContain('Apr 25');
});

it('tells a window what another has changed meanwhile, and lets it choose', function (string $choice, string $kept) {
    // Another device changes the same; this window does not know of it.
    $this->elsewhere('PATCH', ['changes' => [['path' => ['crops', 'copper-kettle', 'wanted'], 'from' => 6, 'to' => 10]]]);
    $this->type('copper-kettle.wanted', '8');
    $this->waitFor(
        fn () => str_contains($this->text('[data-part="conflict"]'), '10') && str_contains($this->text('[data-part="conflict"]'), '8') ?:
        null,
        'both values',
    );
    expect($this->text('[data-part="conflict"]'))->toContain('Copper Kettle, wanted');
    $this->press($choice, '.ant-modal');
    $this->waitFor(
        fn () => str_contains(inLine($this, 'copper-kettle', '[data-part="line-sow"]'), "for {$kept}") ?: null,
        "{$kept} to be kept",
    );
})->with([['Use mine', '8'], ['Keep the other window’s', '10']]);

it('tells a window that another has taken out what is changed here, and takes it out here too', function () {
    $season = $this->api('/api/seasons/'.$this->seasonId())['season'];
    $crop = array_column($season['crops'], null, 'id')['copper-kettle'];
    $this->elsewhere('PATCH', ['changes' => [['path' => ['crops', 'copper-kettle'], 'from' => $crop, 'to' => null]]]);
    $this->type('copper-kettle.wanted', '8');
    $gone = 'Copper Kettle, wanted: another window took this out';
    $this->waitFor(fn () => str_contains($this->text('[data-part="gone"]'), $gone) ?: null, 'it to be said');
    $this->press('I see', '.ant-modal');
    $this->waitFor(fn () => $this->browser->executeScript('return document.querySelector("[data-crop=copper-kettle]") === null') ?: null, 'the line to go');
    expect($this->text('h1'))->toContain('Eleven crops');
});

it('shows a second window the first one\'s change when one comes back to it', function () {
    $first = $this->browser->getWindowHandle();
    $path = $this->path();
    $this->browser->switchTo()->newWindow();
    $this->visit($path);
    $this->type('copper-kettle.wanted', '10');
    $this->waitFor(fn () => str_contains(inLine($this, 'copper-kettle', '[data-part="line-sow"]'), 'for 10') ?: null, 'ten to be saved');
    $this->browser->switchTo()->window($first);
    $this->browser->executeScript('window.dispatchEvent(new Event("focus"));
        document.dispatchEvent(new Event("visibilitychange", { bubbles: true }))');
    $this->waitFor(fn () => $this->find('input[name="copper-kettle.wanted"]')->getAttribute('value') === '10' ?: null, 'ten here too');
    expect(inLine($this, 'copper-kettle', '[data-part="line-sow"]'))->toContain('for 10');
});

it('keeps what is typed while the server is away, also over a reload, and sends it when it is back', function () {
    $this->server(false);
    try {
        $this->type('copper-kettle.wanted', '11');
        $this->waitFor(
            fn () => str_contains($this->text('[data-status]'), 'The server is away. 1 change is kept here') ?: null,
            'the strip to say so',
        );
        expect($this->find('input[name="copper-kettle.wanted"]')->getAttribute('value'))->toBe('11');
        $this->server(true);
        $this->waitFor(fn () => $this->text('[data-status]') === 'everything saved' ?: null, 'it to be sent');
        expect(inLine($this, 'copper-kettle', '[data-part="line-sow"]'))->toContain('for 11');
        $this->server(false);
        $this->type('copper-kettle.wanted', '13');
        $this->waitFor(fn () => str_contains($this->text('[data-status]'), 'is kept here') ?: null, 'the strip to say so again');
    } finally {
        $this->server(true);
    }
    $this->browser->navigate()->refresh();
    $this->waitFor(
        fn () => str_contains(inLine($this, 'copper-kettle', '[data-part="line-sow"]'), 'for 13') ?: null,
        'it to be sent after a reload',
    );
});

it('works at each width and in both themes without serious accessibility findings', function () {
    $this->click('[data-open="ink-pot"]');
    $this->find('[data-part="lots"]');
    expect($this->troubles(1280, 390, 360))->toBe([]);
});

it('is edited on a phone', function () {
    $this->visit($this->path(), 390, 844);
    $this->type('ink-pot.wanted', '5');
    $this->waitFor(fn () => str_contains(inLine($this, 'ink-pot', '[data-part="line-sow"]'), 'for 5') ?: null, 'five to be saved');
    expect($this->text('[data-part="till-moved"]'))->toContain('wanted, Ink Pot');
});

it('draws of two hundred crops those that are seen, and finds, chooses and walks through them all', function () {
    $file = Seasons::demo();
    $crops = array_map(fn (int $n): array => ['id' => "crop-{$n}", 'split' => null] + $file['crops'][$n % 12], range(1, 200));
    $text = Seasons::json(['crops' => $crops, 'setups' => [['overrides' => []] + $file['setups'][0]]] + $file);
    $this->season();
    $id = $this->browser->executeAsyncScript('const done = arguments[1]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN[^=]*=([^;]+)/)[1]);
        fetch("/api/seasons", { method: "POST", headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
        body: JSON.stringify({ from: "file", text: arguments[0] }) }).then((answer) => answer.json()).then(({ id }) => done(id));', [$text]);
    $this->visit("/seasons/{$id}/list");
    $this->find('[data-crop="crop-1"]');
    $drawn = fn (): int => count($this->browser->findElements(WebDriverBy::cssSelector('[data-line]')));
    expect($drawn())->toBeLessThan(80);
    // Down the column by keyboard, past what was drawn at first.
    $this->click('input[name="crop-1.wanted"]');
    for ($row = 0; $row < 60; $row++) {
        $this->browser->switchTo()->activeElement()->sendKeys(WebDriverKeys::ARROW_DOWN);
        $this->waitFor(fn () => $this->browser->switchTo()->activeElement()->getAttribute('name') === 'crop-'.($row + 2).'.wanted' ?: null, 'the next line');
    }
    expect($drawn())->toBeLessThan(80);
    $this->click('input[aria-label="Choose all"]');
    expect($this->text('[data-part="many"] b'))->toBe('200 crops');
    expect($this->consoleErrors())->toBe([]);
});

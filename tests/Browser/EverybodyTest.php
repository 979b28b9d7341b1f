<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserTestCase;

// People's settings of their devices, their own names for things, and old addresses.

/** @return int a season read in from the example's file, which a script has changed */
function importChanged(BrowserTestCase $test, string $change, string $name = ''): int
{
    $season = $test->season();

    return (int) $test->browser->executeAsyncScript(
        'const [season, name, done] = arguments; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN[^=]*=([^;]+)/)[1]);
        fetch(`/api/seasons/${season}/file`).then((r) => r.json()).then((file) => { '.$change.'
            return fetch("/api/seasons", { method: "POST", headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
                body: JSON.stringify({ from: "file", text: JSON.stringify(file) }) });
        }).then((r) => r.json()).then(({ id }) => done(id));',
        [$season, $name],
    );
}

it('shows menus, lists and workings where they are looked for, also to whoever wants no motion', function (int $width) {
    $this->lessMotion();
    $this->openScreen('list', $width, 844);
    $places = ['[data-menu]' => '.ant-dropdown', '.list-tools .ant-select' => '.ant-select-dropdown', '[data-figure="per_finished"]' => '.ant-drawer-body'];
    foreach ($places as $pressed => $opened) {
        $this->click($pressed);
        $inSight = $this->waitFor(fn () => $this->browser->executeScript('const box = document.querySelector(arguments[0])?.getBoundingClientRect();
            return box !== undefined && box.height > 0 && box.left >= 0 && box.right <= innerWidth
                && box.top >= 0 && box.top < innerHeight', [$opened]) ?: null,
            "\"{$opened}\" to be in sight");
        expect($inSight)->toBeTrue();
        $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
    }
})->with([1280, 390]);

it('says within the page why a number cannot be used, also at its right edge', function (int $width) {
    $this->openScreen('bench', $width, 844);
    $this->settle();
    $name = $this->browser->executeScript('const right = (field) => field.getBoundingClientRect().right;
        return [...document.querySelectorAll("main input[inputmode=decimal]")].filter((field) => field.checkVisibility() && field.name !== "")
            .sort((a, b) => right(b) - right(a))[0].name');
    $this->type($name, '1e9');
    $box = $this->find('main [role="alert"]');
    expect($box->getText())->toContain('Until then')
        ->and($box->getLocation()->getX())->toBeGreaterThan(0)
        ->and($this->overflows())->toBeFalse();
})->with([1280, 390]);

it('fits a phone whatever things are called', function () {
    $called = 'Object.values(file).filter(Array.isArray).forEach((things) => things.forEach((thing, i) => {
        if (typeof thing.name === "string") thing.name = `${i} ${name}`; })); file.name = name;';
    $season = importChanged($this, $called, str_repeat('Wohlfahrtsgemüse', 5).' <b>&amp;</b>');
    foreach (['list', 'bench', 'calendar', 'compare', 'shopping', 'today?day=2027-04-12', 'trays'] as $screen) {
        $this->visit("/seasons/{$season}/{$screen}", 390, 844);
        $this->settle();
        expect($this->overflows())->toBeFalse($screen)->and($this->text('main'))->toContain('Wohlfahrtsgemüse');
    }
});

it('says on each kind of screen where there is no such season or crop, and where it has no set-up', function () {
    foreach (['abc/today', '99999999/trays', '99999999/list'] as $gone) {
        $this->visit("/seasons/{$gone}", 390, 844);
        expect($this->text('main [role="alert"]'))->toContain('no such season');
    }
    // Nor does it show another crop instead.
    $this->openScreen('crops/gone', 390, 844);
    expect($this->text('h1'))->toBe('No such crop');
    $bare = importChanged($this, 'file.setups = [];');
    $this->visit("/seasons/{$bare}/list", 390, 844);
    expect($this->text('h1'))->toBe('No set-up yet');
    $this->visit("/seasons/{$bare}/today", 390, 844);
    expect($this->text('h1'))->toBe('No set-up yet');
    $this->click('[data-add-setup]');
    $this->click('.ant-dropdown-menu-item');
    $this->find('[data-part="signal"]');
});

<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;

// What people have set on their devices, and what they call their things.

it('shows menus, lists and workings where they are looked for, also to whoever wants no motion', function (int $width) {
    $this->devTools('Emulation.setEmulatedMedia', ['media' => '', 'features' => [['name' => 'prefers-reduced-motion', 'value' => 'reduce']]]);
    $this->openScreen('list', $width, 844);
    $places = ['[data-menu]' => '.ant-dropdown', '.list-tools .ant-select' => '.ant-select-dropdown', '[data-figure="per_finished"]' => '.ant-drawer-body'];
    foreach ($places as $pressed => $opened) {
        $this->click($pressed);
        $inSight = $this->waitFor(fn () => $this->browser->executeScript('const box = document.querySelector(arguments[0])?.getBoundingClientRect();
            return box !== undefined && box.height > 0 && box.left >= 0 && box.top >= 0 && box.right <= innerWidth && box.top < innerHeight', [$opened]) ?: null,
            "\"{$opened}\" to be in sight");
        expect($inSight)->toBeTrue();
        $this->browser->getKeyboard()->sendKeys(WebDriverKeys::ESCAPE);
    }
})->with([1280, 390]);

it('fits a phone whatever things are called', function () {
    $this->season();
    $season = $this->browser->executeAsyncScript(
        'const [name, done] = arguments; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN[^=]*=([^;]+)/)[1]);
        const called = (things) => things.forEach((thing, i) => { if (typeof thing.name === "string") thing.name = `${i} ${name}`; });
        fetch("/api/seasons").then((r) => r.json()).then(({ seasons }) => fetch(`/api/seasons/${seasons[0].id}/file`)).then((r) => r.json()).then((file) => {
            Object.values(file).filter(Array.isArray).forEach(called);
            return fetch("/api/seasons", { method: "POST", headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
                body: JSON.stringify({ from: "file", text: JSON.stringify({ ...file, name }) }) });
        }).then((r) => r.json()).then(({ id }) => done(id));',
        [str_repeat('Wohlfahrtsgemüse', 5).' <b>&amp;</b>'],
    );
    foreach (['list', 'bench', 'calendar', 'compare', 'shopping', 'today?day=2027-04-12', 'trays'] as $screen) {
        $this->visit("/seasons/{$season}/{$screen}", 390, 844);
        $this->settle();
        expect($this->overflows())->toBeFalse($screen)->and($this->text('main'))->toContain('Wohlfahrtsgemüse');
    }
});

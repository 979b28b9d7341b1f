<?php

// From the press of a tab to its screen drawn, at this machine's speed: where nothing of it is known, and where it was looked at before. The
// pointer comes to the tab a little before it presses, as a hand does, which is when the page begins to ask for what it will show.
// Drawn is when the heading stands, the screen does not say that it is busy, and two frames have passed; a part of it may still be worked
// out. Of bin/bench-pages.

declare(strict_types=1);

use Tests\Browser\BrowserTestCase;

$tabs = new class('tabs') extends BrowserTestCase
{
    private const SCREENS = ['list', 'raising', 'pots', 'bench', 'calendar', 'compare', 'shopping', 'today', 'trays', 'weather', 'log', 'reckoning',
        'advice', 'ledger'];

    /** Between coming to a tab and pressing it; a quick hand takes a fifth of a second. Common practice, no source. */
    private const POINTED_US = 200_000;

    private const WATCH = <<<'JS'
        const [screen] = arguments;
        const heading = () => document.querySelector('#work h1')?.textContent;
        const before = heading();
        const tab = [...document.querySelectorAll('nav a')].find((one) => one.pathname.endsWith(`/${screen}`));
        window.drawn = new Promise((done) => tab.addEventListener('click', () => {
          const from = performance.now();
          const look = () => {
            const work = document.querySelector('#work');
            const isThere = location.pathname.endsWith(`/${screen}`) && (heading() ?? before) !== before
              && !work.matches('[aria-busy="true"]') && !work.querySelector(':scope > [aria-busy="true"]');
            if (isThere) requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from)));
            else requestAnimationFrame(look);
          };
          requestAnimationFrame(look);
        }, { once: true }));
        const { x, y, width, height } = tab.getBoundingClientRect();
        return [x + width / 2, y + height / 2];
        JS;

    private const MAKE = <<<'JS'
        const [text, done] = arguments;
        const cookie = document.cookie.split('; ').find((one) => one.startsWith('XSRF')) ?? '=';
        const token = decodeURIComponent(cookie.slice(cookie.indexOf('=') + 1));
        fetch('/api/seasons', { method: 'POST', body: JSON.stringify({ from: 'file', text }),
          headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token } })
          .then((answer) => answer.json()).then(({ id }) => done(id));
        JS;

    private const FORGET = <<<'JS'
        const done = arguments[0];
        indexedDB.databases().then((all) => Promise.all(all.map(({ name }) => new Promise((gone) => {
          const asked = indexedDB.deleteDatabase(name);
          asked.onsuccess = asked.onerror = asked.onblocked = gone;
        })))).then(() => done());
        JS;

    /** @return array<string, array<string, float>> milliseconds by how and screen */
    public function measure(int $crops): array
    {
        $this->setUp();
        $this->visit('/seasons', 1280, 800);
        $id = (int) $this->browser->executeAsyncScript(self::MAKE, [self::file($crops)]);
        $times = [];
        foreach (self::SCREENS as $screen) {
            $other = $screen === 'list' ? 'log' : 'list';
            // A page that knows nothing: what the device kept is deleted from a page without the program.
            $this->browser->get($this->url().'/icon.svg');
            $this->browser->executeAsyncScript(self::FORGET);
            $this->visit("/seasons/{$id}/{$other}", 1280, 800);
            $this->waitFor(fn (): ?bool => $this->browser->executeScript('return document.querySelector("#work h1") !== null') ?: null, 'the page');
            sleep(1);
            $times['new'][$screen] = $this->drawn($screen);
            $this->drawn($other);
            // By then the code of the other screens has come too.
            sleep(4);
            $times['known'][$screen] = $this->drawn($screen);
        }
        $this->tearDown();

        return $times;
    }

    private function drawn(string $screen): float
    {
        [$x, $y] = $this->browser->executeScript(self::WATCH, [$screen]);
        $mouse = fn (string $what) => $this->devTools('Input.dispatchMouseEvent', ['type' => $what, 'x' => $x, 'y' => $y,
            'button' => $what === 'mouseMoved' ? 'none' : 'left', 'clickCount' => $what === 'mouseMoved' ? 0 : 1]);
        $this->devTools('Input.dispatchMouseEvent', ['type' => 'mouseMoved', 'x' => 5, 'y' => 600]);
        $mouse('mouseMoved');
        usleep(self::POINTED_US);
        $mouse('mousePressed');
        $mouse('mouseReleased');

        return (float) $this->browser->executeAsyncScript('window.drawn.then(arguments[0])');
    }

    private static function file(int $crops): string
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../database/demo/pennywhistle.json'), false, 64, JSON_THROW_ON_ERROR);
        $file->crops = array_map(fn (int $n): stdClass => (object) ['id' => "crop-{$n}", ...array_diff_key(
            get_object_vars($file->crops[$n % 12]), ['id' => true],
        )], range(0, $crops - 1));
        foreach ($file->setups as $setup) {
            $setup->overrides = new stdClass;
        }

        return json_encode($file, JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
    }
};

$crops = max(1, (int) ($argv[2] ?? 12));
printf("%-14s %12s %12s\n", "{$crops} crops, ms", 'new', 'known');
$times = $tabs->measure($crops);
foreach ($times['new'] as $screen => $new) {
    printf("%-14s %12.0f %12.0f\n", $screen, $new, $times['known'][$screen]);
}
foreach (['median' => 0.5, 'p95' => 0.95] as $name => $share) {
    $at = function (array $all) use ($share): float {
        sort($all);

        return $all[min(count($all) - 1, (int) floor(count($all) * $share))];
    };
    printf("%-14s %12.0f %12.0f\n", $name, $at($times['new']), $at($times['known']));
}

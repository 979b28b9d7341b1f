<?php

declare(strict_types=1);

use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\May;

it('writes down a sowing day of twelve varieties on a phone in thirty taps and without typing', function () {
    $this->openScreen('today', 390, 844);
    $this->find('h1');
    $path = '/seasons/'.$this->seasonId();
    $season = $this->api("/api{$path}")['season'];
    $this->elsewhere('PATCH', ['label' => 'one day', 'changes' => [
        ...array_map(fn (array $crop): array => ['path' => ['crops', $crop['id'], 'sow_on'], 'from' => $crop['sow_on'],
            'to' => '2027-04-08'], $season['crops']),
        ['path' => ['setups', 'bench', 'overrides', 'autumn-bib'], 'from' => 'direct', 'to' => 'cells-out'],
    ]]);
    $this->visit("{$path}/today?day=2027-04-08", 390, 844);
    // What was known of the day before it was planned anew is shown first.
    $this->find('[data-part="group-wet"] [data-action="done"]');
    for ($taps = 0; $taps < 30; $taps++) {
        $open = $this->browser->findElements(WebDriverBy::cssSelector(
            '[data-part="group-wet"] [data-action="done"], [data-part="group-sow"] [data-action="done"]',
        ));
        if ($open === []) {
            // What is left to do on the day is not of the sowing.
            break;
        }
        try {
            $this->browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$open[0]]);
            $open[0]->click();
        } catch (StaleElementReferenceException) {
            // It was drawn anew meanwhile: that was no tap.
            $taps--;
        }
        usleep(60_000);
        // By keyboard one goes on with the next job.
        $taps > 0 ?: $this->waitFor(
            fn () => $this->browser->executeScript('return document.activeElement.closest("[data-job]") !== null') ?: null,
            'the next job in focus',
        );
    }
    expect($taps)->toBeLessThan(30);
    May::untilSent($this);
    $sown = array_filter(May::written($this, $path), fn (array $entry): bool => $entry['kind'] === 'sown');
    expect(array_unique(array_column($sown, 'crop')))->toHaveCount(12)->and($this->overflows())->toBeFalse();
    $trays = $this->api("/api{$path}/setups/bench/trays")['trays'];
    foreach (array_merge(...array_column($trays, 'runs')) as $run) {
        $run['stage'] > 0 ?: expect($run['filled'])->toBeTrue($run['crop']);
    }
    fwrite(STDERR, "\na sowing day of twelve varieties: {$taps} taps\n");
});

it('is written down without signal, kept over a reload, and sent once in its order', function () {
    $this->keepingCode();
    $path = May::open($this, 'today', 390);
    $this->find('[data-job="sweet-bench-look-2027-05-09"], [data-job="copper-kettle-stage-2"]');
    $this->untilKept();
    $before = count(May::written($this, $path));
    $this->server(false);
    try {
        $this->visit("{$path}/today", 390, 844);
        $this->waitFor(fn () => str_contains($this->text('[data-part="signal"]'), 'no signal') ?: null, 'it to say so');
        // Late from the day before: one fewer than planned.
        $this->click('[data-job="ink-pot-stage-2"] [data-action="fewer"]');
        $this->click('[data-job="ink-pot-stage-2"] [data-action="count"]');
        $this->waitFor(fn () => str_contains($this->text('[data-part="signal"]'), '1 kept') ?: null, 'one to be kept');
        $this->click('[data-job="copper-kettle-stage-2"] button');
        $this->click('[data-job="copper-kettle-stage-2"] [data-action="otherwise"]');
        $this->click('[data-job="copper-kettle-stage-2"] [data-action="not-needed"]');
        $this->click('[data-part="undo"] [data-action="undo"]');
        $this->click('[data-job="copper-kettle-stage-2"] button');
        $this->click('[data-job="copper-kettle-stage-2"] [data-action="count"]');
        $this->waitFor(fn () => str_contains($this->text('[data-part="signal"]'), '4 kept') ?: null, 'four to be kept');
        $this->visit("{$path}/today?day=2027-05-09", 390, 844);
        $this->waitFor(fn () => str_contains($this->text('[data-part="signal"]'), '4 kept') ?: null, 'four to be kept still');
        $this->find('[data-job="copper-kettle-stage-2"][data-done]');
    } finally {
        $this->server(true);
    }
    May::untilSent($this, 40);
    $all = $this->api("/api{$path}/log")['entries'];
    $new = array_values(array_filter($all, fn (array $entry): bool => ! str_starts_with($entry['id'], 'may-')));
    expect(array_map(fn (array $entry): string => $entry['kind'].' '.($entry['count'] ?? ''), $new))->toBe(['potted_on 4', 'done ', 'undo ', 'potted_on 8'])
        ->and(count(May::written($this, $path)))->toBe($before + 2);
    expect($this->accessibilityFindings())->toBe([]);
});

it('sends hundreds of entries once and in order, though the server goes away in the middle', function () {
    $path = May::open($this, 'log');
    $this->find('[data-part="log"]');
    $season = $this->seasonId();
    $before = count(May::written($this, $path));
    // As a phone would have them after a week without signal.
    $this->browser->executeAsyncScript(
        'const [season, many, done] = arguments; const asked = indexedDB.open("jolly-penny-log");
        asked.onsuccess = () => { const db = asked.result; const all = db.transaction("waiting", "readwrite").objectStore("waiting");
            for (let i = 0; i < many; i++) { const n = Date.now() * 100 + i; const id = "week-" + String(i).padStart(6, "0");
                all.put({ n, season, entry: { id, on: "2027-05-10", at: new Date(Date.UTC(2027, 4, 10, 6, 0, 0, i)).toISOString(), kind: "note", note: "n" + i } }, n); }
            all.transaction.oncomplete = () => { db.close(); done(); }; };',
        [$season, 500],
    );
    $this->browser->navigate()->refresh();
    $this->waitFor(fn () => May::count($this, $path) > $before ?: null, 'the first to be there', 20);
    $this->server(false);
    usleep(700_000);
    $this->server(true);
    May::untilSent($this, 60);
    $ids = array_values(array_filter(array_column($this->api("/api{$path}/log")['entries'], 'id'), fn (string $id): bool => str_starts_with($id, 'week-')));
    expect($ids)->toBe(array_map(fn (int $i): string => sprintf('week-%06d', $i), range(0, 499)));
});

it('puts a job off, takes another day, and says what it does not take', function () {
    $path = May::open($this, 'today?day=2027-05-19', 390);
    $this->click('[data-job="paint-box-stage-2"] button');
    $this->click('[data-job="paint-box-stage-2"] [data-action="otherwise"]');
    $this->click('[data-job="paint-box-stage-2"] [data-action="put-off"]');
    expect($this->text('[data-part="otherwise"] [role="alert"]'))->toContain('after this one');
    $this->browser->executeScript('const input = document.querySelector("[name=until]"); const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set;
        set.call(input, "2027-05-22"); input.dispatchEvent(new Event("input", { bubbles: true }));');
    $this->click('[data-job="paint-box-stage-2"] [data-action="put-off"]');
    May::untilSent($this);
    $this->visit("{$path}/today?day=2027-05-22", 390, 844);
    $this->find('[data-job="paint-box-stage-2"]');
    // Nothing a person sees of it is wrong on any width.
    expect($this->overflows())->toBeFalse()->and($this->consoleErrors())->toBe([]);
});

it('says so when the device can store nothing, and sends it from the open page', function () {
    $path = May::open($this, 'today', 390);
    $this->find('[data-job="copper-kettle-stage-2"]');
    $before = count(May::written($this, $path));
    $this->browser->executeScript('IDBObjectStore.prototype.put = () => { throw new DOMException("full", "QuotaExceededError"); }');
    $this->server(false);
    try {
        $this->click('[data-job="ink-pot-stage-2"] [data-action="count"]');
        $this->waitFor(fn () => str_contains($this->text('[data-part="loose"]'), 'Leave this page open') ?: null, 'it to say so');
    } finally {
        $this->server(true);
    }
    May::untilSent($this, 40);
    expect(count(May::written($this, $path)))->toBe($before + 1)
        ->and($this->browser->findElements(WebDriverBy::cssSelector('[data-part="loose"]')))->toBe([]);
});

<?php

declare(strict_types=1);

use Tests\Browser\BrowserTestCase;

/** @return list<string> what the device keeps of answers */
function keptAnswers(BrowserTestCase $test): array
{
    $names = $test->browser->executeAsyncScript(
        'const done = arguments[0]; const asked = indexedDB.open("jolly-penny");
        // Not there yet: the application makes its store, not this look into it.
        asked.onupgradeneeded = () => asked.transaction.abort();
        asked.onerror = (event) => { event.preventDefault(); done([]); };
        asked.onsuccess = () => { const db = asked.result;
            if (!db.objectStoreNames.contains("known")) { db.close(); return done([]); }
            const keys = db.transaction("known").objectStore("known").getAllKeys();
            keys.onsuccess = () => { db.close(); done(keys.result.map(String)); }; };',
    );

    return is_array($names) ? array_values(array_filter($names, is_string(...))) : [];
}

beforeEach(fn () => $this->keepingCode());

it('opens without a server, shows what is known, keeps an edit and sends it by itself', function (int $width) {
    $this->openScreen('calendar', $width, 844);
    $list = str_replace('calendar', 'list', $this->path());
    $this->find('[data-part="tasks"], [data-part="folded"], svg');
    $this->visit($list, $width, 844);
    $this->find('[data-crop="copper-kettle"]');
    $this->untilKept();
    $price = $this->text('[data-figure="per_finished"]');
    $this->server(false);
    try {
        // As a phone would that was put away: the page itself is opened anew.
        $this->visit($list, $width, 844);
        $this->waitFor(fn () => str_contains($this->text('[data-status]'), 'The server is away') ?: null, 'the strip to say so');
        expect($this->text('[data-figure="per_finished"]'))->toBe($price);
        $this->type('copper-kettle.wanted', '11');
        $this->waitFor(fn () => str_contains($this->text('[data-status]'), '1 change is kept here') ?: null, 'it to be kept');
        $this->visit(str_replace('list', 'calendar', $list), $width, 844);
        $this->waitFor(fn () => str_contains($this->text('[data-status]'), '1 change is kept here') ?: null, 'it to be kept still');
        expect($this->text('h1'))->toContain('from seed to bed');
        // A screen that was never opened has its code, and says what is missing.
        $this->visit('/cautions', $width, 844);
        expect($this->text('h1'))->not->toBe('');
        $this->visit($list, $width, 844);
        $this->find('[data-crop="copper-kettle"]');
    } finally {
        $this->server(true);
    }
    $this->waitFor(fn () => $this->text('[data-status]') === 'everything saved' ?: null, 'it to be sent', 25);
    expect($this->text('[data-crop="copper-kettle"] [data-part="line-sow"]'))->toContain('for 11');
})->with([1280, 390]);

it('leaves nothing on the device for whoever comes after', function () {
    $this->openList();
    $this->find('[data-crop="copper-kettle"]');
    $this->untilKept();
    $this->waitFor(fn () => keptAnswers($this) !== [] ?: null, 'answers to be kept');
    $this->visit('/account');
    $email = 'reed-'.bin2hex(random_bytes(4)).'@example.org';
    $this->find('input#email')->sendKeys($email);
    $this->find('input#password')->sendKeys('a long enough secret');
    $this->click('.work button[type=submit]');
    $this->waitFor(fn () => str_contains($this->text('.work'), $email) ?: null, 'the garden to be kept');
    $this->press('Sign out');
    $this->waitFor(fn () => $this->text('h1') === 'Sign in' ?: null, 'the way in');
    usleep(800_000);
    expect(array_filter(keptAnswers($this), fn (string $name) => str_contains($name, 'season')))->toBe([]);
});

it('shows another garden nothing of the one before', function () {
    $this->openList();
    $this->untilKept();
    $season = $this->seasonId();
    $this->browser->manage()->deleteAllCookies();
    $this->visit();
    $this->find('[data-part="stack-svg"]');
    usleep(800_000);
    expect(array_filter(keptAnswers($this), fn (string $name) => str_contains($name, "\"season\",{$season}")))->toBe([]);
});

it('is an application that can be installed', function () {
    $this->visit();
    $manifest = $this->api((string) $this->find('link[rel="manifest"]')->getDomProperty('href'));
    expect($manifest)->toMatchArray(['name' => 'Jolly Penny', 'start_url' => '/', 'scope' => '/', 'display' => 'standalone']);
    foreach ($manifest['icons'] as $icon) {
        $at = $this->browser->executeAsyncScript(
            'const done = arguments[1]; const image = new Image();
            image.onload = () => done(image.naturalWidth); image.onerror = () => done(0); image.src = arguments[0];',
            [$icon['src']],
        );
        expect($at)->toBeGreaterThan(0)->and($icon['sizes'] === 'any' || (int) $icon['sizes'] === $at)->toBeTrue();
    }
});

it('draws a page anew that broke on what the device kept', function () {
    $this->visit();
    $this->find('[data-part="stack-svg"]');
    $this->untilKept();
    $path = $this->path();
    $this->browser->executeAsyncScript(
        'const done = arguments[0]; const asked = indexedDB.open("jolly-penny");
        // Not there yet: the application makes its store, not this look into it.
        asked.onupgradeneeded = () => asked.transaction.abort();
        asked.onerror = (event) => { event.preventDefault(); done([]); };
        asked.onsuccess = () => { const db = asked.result; const known = db.transaction("known", "readwrite").objectStore("known");
            const all = known.getAllKeys();
            all.onsuccess = () => { for (const name of all.result.filter((one) => one.includes("compare"))) {
                const row = known.get(name); row.onsuccess = () => known.put({ ...row.result, data: { comparison: 1 } }, name); }
                known.transaction.oncomplete = () => { db.close(); done(); }; }; };',
    );
    // No answer comes in time to hide it.
    $this->devTools('Network.enable');
    $this->devTools('Network.setBlockedURLs', ['urls' => ['*/compare']]);
    $this->visit(str_replace('/compare', '/bench', $path));
    $this->find('[data-part="gear"]');
    $this->click('a[href$="/compare"]');
    $this->waitFor(fn () => str_contains($this->text('main'), 'could not be drawn') ?: null, 'it to say so', 20);
    $this->devTools('Network.setBlockedURLs', ['urls' => []]);
    $this->waitFor(fn () => $this->browser->findElements(Facebook\WebDriver\WebDriverBy::cssSelector('[data-part="stack-svg"]')) !== [] ?: null, 'the page anew', 25);
    expect($this->text('h1'))->not->toBe('This page broke');
});

it('says on the questions that there is no connection, and answers by itself when it is back', function () {
    $this->visit('/begin', 390, 844);
    $this->press('Guess for me, I write my list');
    $this->find('textarea')->sendKeys("12 tomato\n6 basil");
    $this->waitFor(fn () => str_contains($this->text('.work'), 'Basil') ?: null, 'the list to be read');
    $network = ['latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1];
    $this->devTools('Network.emulateNetworkConditions', ['offline' => true] + $network);
    $this->press('Show me the answer');
    $this->waitFor(fn () => str_contains($this->text('[data-part="no-connection"]'), 'leave this page open') ?: null, 'it to be said');
    expect($this->find('textarea')->getAttribute('value'))->toContain('6 basil');
    $this->devTools('Network.emulateNetworkConditions', ['offline' => false] + $network);
    $this->waitFor(fn () => str_ends_with($this->path(), '/first') ?: null, 'the first answer', 40);
});

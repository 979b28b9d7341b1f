<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Seasons;

it('begins a season by four questions, and shows what it costs and what is guessed', function () {
    $this->visit('/begin');
    $next = fn (int $question) => $this->find("[data-question='{$question}'] button[type=submit]")->click();
    // A date that is none is said where it stands, and nothing goes on.
    $autumn = fn (string $date) => $this->browser->executeScript('const input = document.getElementById("first_frost");
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(input, arguments[0]);
        input.dispatchEvent(new Event("input", { bubbles: true }));', [$date]);
    $this->find('#first_frost');
    $autumn('2020-01-01');
    $next(1);
    expect($this->text('.ant-form-item-explain-error'))->toContain('after your last frost');
    $autumn('');
    $next(1);
    $next(2);
    $this->find('input[value="led"]')->click();
    $next(3);
    $this->find('textarea')->sendKeys("8 sweet pepper, 6 tomato\n2 rows of carrots");
    // What is not clear is asked at once, and answered in the list.
    $this->find('[data-part="unclear"] input')->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '60', WebDriverKeys::ENTER]);
    $this->waitFor(fn () => str_contains($this->text('[data-part="read-list"]'), 'Carrot 60') || ! str_contains($this->text('[data-part="read-list"]'), '?')
        ? true : null, 'the list to be understood');
    // Reloaded, nothing is typed twice.
    $this->browser->navigate()->refresh();
    expect($this->find('textarea')->getAttribute('value'))->toContain('60 Carrot');
    $next(4);
    $this->find('[data-part="guess-line"]');
    expect($this->text('[data-part="first-answer"] dl'))->toContain('Cost per finished seedling')
        ->and($this->text('[data-part="first-answer"]'))->toContain('guesses');
    expect($this->accessibilityFindings())->toBe([]);

    // The first guess is right, the second one is not.
    $lines = fn (): array => $this->browser->findElements(WebDriverBy::cssSelector('[data-part="guess-line"]'));
    $this->browser->findElement(WebDriverBy::linkText('See all'))->click();
    $before = $this->waitFor(fn () => count($lines()) > 3 ? count($lines()) : null, 'all guesses');
    $lines()[0]->findElement(WebDriverBy::cssSelector('button'))->click();
    $this->waitFor(fn () => count($lines()) === $before - 1 ?: null, 'one guess less');
    $lines()[0]->findElement(WebDriverBy::cssSelector('input'))->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '3.33', WebDriverKeys::ENTER]);
    $this->waitFor(fn () => count($lines()) === $before - 2 ?: null, 'two guesses less');
    expect($this->accessibilityFindings())->toBe([]);

    $this->visit(preg_replace('#/guesses$#', '/list', $this->path()));
    expect($this->text('[data-part="guess-count"]'))->toContain('numbers are guesses')
        ->and($this->text('[data-crop="sweet-pepper"] [data-odds]'))->toContain('%')
        ->and($this->text('[data-crop="carrot"]'))->toContain('60');
});

it('answers after one question where the others are left to it, and counts those among the guesses', function () {
    $this->visit('/begin');
    $this->find('[data-question="1"]');
    $this->browser->findElement(WebDriverBy::xpath('//button[contains(., "Guess for me")]'))->click();
    $this->find('[data-question="4"] textarea')->sendKeys('12 tomatoes');
    $this->find('[data-question="4"] button[type=submit]')->click();
    $this->find('[data-part="guess-line"]');
    $this->browser->findElement(WebDriverBy::linkText('See all'))->click();
    $this->find('[data-guess="electricity.rate"]');
    $this->find('[data-guess="last_frost"] button.plain')->click();
    $isGone = fn (string $guess) => $this->browser->findElements(WebDriverBy::cssSelector("[data-guess='{$guess}']")) === [] ?: null;
    $this->waitFor(fn () => $isGone('last_frost'), 'the frost to be right');
    $rate = $this->find('[data-guess="electricity.rate"] input');
    $rate->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, '0.29', WebDriverKeys::ENTER]);
    $this->waitFor(fn () => $isGone('electricity.rate'), 'the price to be one\'s own');
    expect($this->consoleErrors())->toBe([]);
});

it('offers the next step where there is nothing yet', function () {
    $this->visit('/seasons');
    $file = tempnam(sys_get_temp_dir(), 'season').'.json';
    file_put_contents($file, Seasons::json(['crops' => [], 'setups' => []] + Seasons::small()));
    $this->find('input[name="file"]')->setFileDetector(new Facebook\WebDriver\Remote\LocalFileDetector())->sendKeys($file);
    $this->waitFor(fn () => str_contains($this->text('h1'), 'No set-up yet') ?: null, 'the empty season');
    $this->click('[data-add-setup]');
    $this->waitFor(function () {
        foreach ($this->browser->findElements(Facebook\WebDriver\WebDriverBy::cssSelector('.ant-dropdown-menu-item')) as $item) {
            if ($item->getText() === 'Buy what is sold, sow the rest in the bed') {
                $item->click();

                return true;
            }
        }
    }, 'the ready-made ways');
    $this->waitFor(fn () => str_contains($this->text('h1'), 'Nothing on the list yet') ?: null, 'an empty list');
    foreach (
        ['calendar' => 'This set-up grows nothing', 'compare' => 'Nothing to compare yet'] as $screen => $says
    ) {
        $this->visit(str_replace('list', $screen, $this->path()));
        $this->waitFor(fn () => str_contains($this->text('h1'), $says) ?: null, $says);
        $this->visit(str_replace($screen, 'list', $this->path()));
    }
    expect($this->consoleErrors())->toBe([]);
    unlink($file);
});

it('shows what is wrong with a file beside what caused it', function () {
    $this->visit('/seasons');
    $file = tempnam(sys_get_temp_dir(), 'season').'.json';
    $season = Seasons::small();
    $season['crops'][0]['wanted'] = 0;
    $season['lights'][0]['place'] = 'rom';
    file_put_contents($file, Seasons::json($season));
    $this->find('input[name="file"]')->setFileDetector(new Facebook\WebDriver\Remote\LocalFileDetector())->sendKeys($file);
    $this->waitFor(fn () => str_contains($this->text('[data-part="faults"]'), 'crops, lantern, wanted says 0') ?: null, 'the faults');
    expect($this->text('[data-part="faults"]'))->toContain('2 things are wrong')->toContain('lights, Lamp, place says "rom"');
    unlink($file);
});

it('deletes a season and has it back', function () {
    $this->visit('/seasons');
    $this->waitFor(function () {
        $this->click('[data-part="season-more"] summary');

        return $this->find('[data-part="season-more"]')->getAttribute('open') === 'true' ?: null;
    }, 'more on the season');
    $this->click('[data-part="season"] [data-action="delete"]');
    $this->waitFor(fn () => str_contains($this->text('.work'), 'Nothing here yet') ?: null, 'the season to be gone');
    $this->click('.ant-message .plain');
    expect($this->text('[data-part="season-link"]'))->toBe('Plot 17, spring 2027');
});

it('says that a season was deleted elsewhere, and has it back', function () {
    $this->openList();
    $this->find('[data-crop="copper-kettle"]');
    $this->elsewhere('DELETE');
    $this->type('copper-kettle.wanted', '7');
    expect($this->text('[data-part="deleted"] h1'))->toContain('deleted');
    $this->click('[data-action="restore"]');
    expect($this->text('[data-crop="copper-kettle"] [data-part="line-sow"]'))->toContain('for 6');
});

it('names the figures of the till by what they are, and says the new price once, after a pause', function () {
    $this->openList();
    $this->find('[data-crop="copper-kettle"]');
    $tree = $this->devTools('Accessibility.getFullAXTree');
    $names = [];
    foreach ($tree['nodes'] as $node) {
        ($node['role']['value'] ?? '') !== 'button' || $names[] = $node['name']['value'] ?? '';
    }
    $setup = $this->api("/api/seasons/{$this->seasonId()}")['season']['setups'][0]['name'];
    foreach (['Cost per finished seedling', 'Same plants: grow', 'nursery', 'You save', 'Cash now'] as $figure) {
        expect(preg_grep('/^'.preg_quote("{$figure}, {$setup}: ", '/').'\S*\d/u', $names))->toHaveCount(1);
    }
    $said = fn () => $this->browser->executeScript('return document.querySelector(\'[data-part="till-said"]\').textContent');
    $this->browser->executeScript('window.said = []; new MutationObserver(() =>
        window.said.push(document.querySelector(\'[data-part="till-said"]\').textContent)).observe(
        document.querySelector(\'[data-part="till-said"]\'), { childList: true, characterData: true, subtree: true });');
    expect($said())->toBe('');
    $this->type('copper-kettle.wanted', '7');
    $this->type('copper-kettle.wanted', '8');
    $this->waitFor(fn () => preg_match('/wanted, Copper Kettle: cost per finished seedling \d/', $said()) === 1 ?: null, 'the price to be said');
    expect($this->browser->executeScript('return window.said.length'))->toBe(1);
});

it('goes through a menu by the arrows and comes back to its button by Escape', function () {
    $this->openList();
    $button = $this->find('[data-menu]');
    $focus = fn (string $what) => $this->browser->executeScript("return document.activeElement.{$what}");
    expect($button->getAttribute('aria-expanded'))->toBe('false');
    $this->browser->executeScript('document.querySelector("[data-menu]").focus()');
    $this->browser->switchTo()->activeElement()->sendKeys(WebDriverKeys::ENTER);
    $this->waitFor(fn () => $focus('getAttribute("role")') === 'menuitem' ?: null, 'the menu to be entered');
    expect($button->getAttribute('aria-expanded'))->toBe('true');
    $first = $focus('textContent');
    // A key within the moment in which it opens may go to nobody.
    $this->waitFor(function () use ($focus, $first) {
        $this->browser->switchTo()->activeElement()->sendKeys(WebDriverKeys::ARROW_DOWN);

        return $focus('getAttribute("role")') === 'menuitem' && $focus('textContent') !== $first ?: null;
    }, 'the next entry');
    $this->browser->switchTo()->activeElement()->sendKeys(WebDriverKeys::ESCAPE);
    $this->waitFor(fn () => $focus('hasAttribute("data-menu")') ?: null, 'the button to have the focus again');
    expect($button->getAttribute('aria-expanded'))->toBe('false');
});

it('keeps the garden, signs out and in, and finds everything', function () {
    $this->openList();
    $this->find('[data-crop="copper-kettle"]');
    $this->type('copper-kettle.wanted', '7');
    $this->waitFor(fn () => str_contains($this->text('[data-crop="copper-kettle"] [data-part="line-sow"]'), 'for 7') ?: null, 'seven');
    $email = 'fern-'.bin2hex(random_bytes(4)).'@example.org';
    $fill = function (array $fields): void {
        foreach ($fields as $name => $value) {
            $this->find("input#{$name}")->sendKeys($value);
        }
        $this->click('.work button[type=submit]');
    };
    $this->visit('/account');
    $fill(['email' => $email, 'password' => 'a long enough secret']);
    $this->waitFor(fn () => str_contains($this->text('.work'), $email) ?: null, 'the garden to be kept');
    $this->press('Sign out');
    $this->waitFor(fn () => $this->text('h1') === 'Sign in' ?: null, 'the way in');
    $fill(['email' => $email, 'password' => 'wrong password']);
    $this->waitFor(fn () => str_contains($this->text('.work'), 'not right') ?: null, 'the refusal');
    $this->visit('/sign-in');
    $fill(['email' => $email, 'password' => 'a long enough secret']);
    $this->find('[data-part="stack-svg"]');
    $this->openList();
    $this->waitFor(
        fn () => str_contains($this->text('[data-crop="copper-kettle"] [data-part="line-sow"]'), 'for 7') ?: null,
        'everything again',
    );
    expect($this->api('/api/account')['email'])->toBe($email);
});

it('sets a new password by the letter in the mailbox', function () {
    $this->visit('/account');
    $email = 'moss-'.bin2hex(random_bytes(4)).'@example.org';
    $this->find('input#email')->sendKeys($email);
    $this->find('input#password')->sendKeys('a long enough secret'.WebDriverKeys::ENTER);
    $this->waitFor(fn () => str_contains($this->text('.work'), $email) ?: null, 'the garden to be kept');
    $this->visit('/forgotten');
    $this->find('input#email')->sendKeys($email.WebDriverKeys::ENTER);
    $this->waitFor(fn () => str_contains($this->text('.work'), 'on its way') ?: null, 'the letter');
    // Whoever runs the installation knows the word; nobody else is shown a letter.
    $this->visit('/mailbox');
    $this->find('input[name="word"]')->sendKeys($this->setting('JOLLY_MAILBOX_WORD').WebDriverKeys::ENTER);
    $this->click('article a');
    $this->find('input#password')->sendKeys('another long secret'.WebDriverKeys::ENTER);
    $this->waitFor(fn () => $this->text('h1') === 'Sign in' ?: null, 'the way in');
    $this->find('input#email')->sendKeys($email);
    $this->find('input#password')->sendKeys('another long secret'.WebDriverKeys::ENTER);
    $this->find('[data-part="stack-svg"]');
    expect($this->api('/api/account')['email'])->toBe($email);
});

it('has no serious accessibility finding on any other page, in both themes, on a desk and on a phone', function (string $page) {
    $this->visit($page);
    expect($this->troubles(1280, 390))->toBe([]);
})->with(['/seasons', '/account', '/sign-in', '/forgotten', '/cautions', '/words', '/mailbox', '/api/docs']);

it('says on the first visit that the season is made up and what to look at, and afterwards beside its name', function () {
    $this->visit();
    expect($this->text('[data-part="made-up"]'))->toContain('made up')->toContain('Begin your own')->toContain('everything can be undone');
    $this->click('[data-action="seen"]');
    $this->visit($this->path());
    $this->find('h1');
    expect($this->text('[data-menu]'))->toContain('Example')
        ->and($this->browser->findElements(Facebook\WebDriver\WebDriverBy::cssSelector('[data-part="made-up"]')))->toBe([]);
});

it('opens every screen without a connection, once it has had one', function () {
    $this->keepingCode();
    $this->visit();
    $this->find('[data-part="stack-svg"]');
    usleep(4_500_000);
    $this->devTools('Network.emulateNetworkConditions', ['offline' => true, 'latency' => 0, 'downloadThroughput' => 0, 'uploadThroughput' => 0]);
    foreach (['raising' => 'Two per cell', 'list' => 'Twelve crops', 'calendar' => 'from seed to bed'] as $screen => $says) {
        $this->click("a[href\$=\"/{$screen}\"]");
        $shown = $this->waitFor(fn () => str_contains((string) $this->browser->executeScript(
            'const h = document.querySelector("h1"); return h === null ? "" : h.innerText + (h.querySelector("input")?.value ?? "");',
        ), $says) ?: null, "the {$screen} screen offline");
        expect($shown)->toBeTrue();
    }
});

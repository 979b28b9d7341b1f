<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\May;

it('says what it came to, weighs what to do otherwise, takes one change and takes it back', function () {
    $path = May::open($this, 'reckoning');
    expect($this->text('h1'))->toContain('So far')->and($this->text('[data-part="losses"]'))->toContain('Long Day Amber 6, tray B')
        ->and($this->text('[data-part="known"]'))->toContain('11 of 12 crops counted');
    $this->find('[data-part="bridge"] [data-step="lived"]');
    $this->click('[data-part="steps"] [data-figure="came_lived"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="working"]'), 'the step before') ?: null, 'the working');
    $this->browser->getKeyboard()->pressKey(WebDriverKeys::ESCAPE);
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector('[data-part="working"]')) === [] ?: null, 'it to close');
    expect($this->accessibilityFindings())->toBe([]);
    $this->visit("{$path}/advice");
    $this->click('[data-action="ask-advice"]');
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector('[data-change]')) !== [] ?: null, 'the changes', 30);
    $this->click('[data-action="ask-simulation"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="played"]'), '10,000 seasons') ?: null, 'the seasons', 30);
    $this->click('[data-action="ask-room"]');
    expect($this->waitFor(fn () => $this->text('[data-part="leaving"]') ?: null, 'the days to go out', 30))->toContain('Long Day Amber')
        ->and($this->text('[data-lamp]'))->toContain('a season');
    expect($this->accessibilityFindings())->toBe([]);
    $this->click('[data-change="method"] [data-action="take-change"]');
    $this->waitFor(fn () => str_contains($this->text('[data-part="advice"]'), 'has changed since') ?: null, 'it to be taken');
    $before = $this->api("/api{$path}")['revision'];
    $this->click('[data-action="undo"]');
    $this->waitFor(fn () => $this->api("/api{$path}")['revision'] > $before ?: null, 'it to be undone');
    $this->otherTheme();
    expect($this->paleWords())->toBe([])->and($this->consoleErrors())->toBe([]);
});

it('shows it on a phone, says where nothing is known, and begins the next season believing what was counted', function () {
    $this->keepingCode();
    $this->openScreen('reckoning', 390, 844);
    expect($this->text('[data-part="lead"]'))->toContain('Nothing is written down yet')->and($this->text('h1'))->toContain('Planned');
    $path = May::open($this, 'reckoning', 390);
    $this->click('[data-part="end"] summary');
    $this->type('season-hours', '18,5');
    $this->waitFor(fn () => str_contains($this->text('[data-part="beliefs"]'), 'Hours of work') ?: null, 'the hours to be believed');
    // Away, another answer is kept, seen at once and after a reload, and sent when there is somebody.
    $this->untilKept();
    $this->server(false);
    try {
        $this->type('season-hours', '21');
        $this->waitFor(fn () => str_contains($this->text('[data-part="kept-here"]'), '1 kept on this device') ?: null, 'it to be kept');
        $this->visit("{$path}/reckoning", 390, 844);
        $this->click('[data-part="end"] summary');
        expect($this->find('[name="season-hours"]')->getAttribute('value'))->toBe('21');
    } finally {
        $this->server(true);
    }
    $this->waitFor(fn () => str_contains($this->text('[data-belief="minutes minutes"]'), '19.7 h') ?: null, 'it to be believed', 30);
    $this->click('[data-belief="germination ink-pot-2027"] input, [data-belief^="germination"] input');
    $this->click('[data-action="begin-next"]');
    $this->waitFor(fn () => $this->path() !== "{$path}/reckoning" ?: null, 'the next season');
    $season = $this->api('/api'.preg_replace('#/list$#', '', $this->path()))['season'];
    expect($season['year'])->toBe(2028)->and($season['log'])->toBe([])->and($season['luck'])->toBeLessThan(0.1)
        ->and($season['lights'][0]['watts'])->toBeLessThan(42);
    $this->visit("{$path}/reckoning", 390, 844);
    $this->find('[data-part="bridge"]');
    expect($this->overflows())->toBeFalse()->and($this->accessibilityFindings())->toBe([]);
});

it('says it in words that can be read aloud, with the figures the season has', function () {
    $path = May::open($this, 'advice');
    $this->click('[data-action="ask-words"]');
    $said = $this->waitFor(fn () => $this->text('[data-part="said"]') ?: null, 'the words', 60);
    ['season' => $season, 'result' => $result] = $this->api("/api{$path}?setup=bench");
    $result = array_column($result['setups'], null, 'id')['bench'];
    [$lots, $varieties] = [array_column($season['crops'], 'lot', 'id'), array_column($season['seed_lots'], 'variety', 'id')];
    $bought = array_filter($result['crops'], fn (array $crop): bool => $crop['verdict'] === 'buy');
    $bought = array_map(fn (array $crop): string => $varieties[$lots[$crop['id']]], array_values($bought));
    $coins = fn (float $amount): string => number_format($amount * 100, 1).'¢';
    // What the season plays to is checked in the core; here, that the words have it whole and in the right places.
    expect($said)->toContain("A finished seedling costs {$coins($result['per_finished'])}. The plants that a nursery sells too "
        ."cost {$coins($result['same_per_plant'])} each, from the nursery ".sprintf('$%.2f.', $result['nursery_per_plant']))
        ->toContain(sprintf('The season costs $%.2f. You pay $%.2f now, partly for equipment that lasts for years.', $result['cost'], $result['cash_now']))
        ->toContain(sprintf('Growing saves $%.2f against buying', $result['keep']))
        ->toContain('Cheaper bought: '.implode(' and ', $bought).'.')->toContain('In a bad one it is ')
        ->toMatch('/What saves most: (sow|buy|use|fill) .* \(\$\d+\.\d\d\);/')->not->toMatch('/; (Sow|Buy|Use|Fill) /')
        ->toMatch('/Measure or ask first: .+\. Were a bought plant to cost less than \d+\.\d¢, buying would win\./')
        ->and(str_word_count($said))->toBeLessThan(250, 'half a page');
    expect($this->overflows())->toBeFalse();
});

<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserTestCase;
use Tests\Browser\May;

// A season as it is lived: bought in part, sown late and in other numbers, counted on a phone, partly without signal, in two
// windows. The figures of all screens are printed beside the laws they have to keep (docs/after.md).

const COPPER = 'copper-kettle';

/** Opens a job, unless it stands open as the next one. */
function openJob(BrowserTestCase $test, string $job): void
{
    $test->find("[data-job=\"{$job}\"]");
    if ($test->browser->executeScript('return document.querySelector(arguments[0]) === null', ["[data-job=\"{$job}\"] [data-action=\"otherwise\"]"])) {
        $test->click("[data-job=\"{$job}\"] button");
    }
    $test->find("[data-job=\"{$job}\"] [data-action=\"otherwise\"]");
}

/** Types a count into the box of a job's part and writes it down. */
function countIn(BrowserTestCase $test, string $job, int $count, string $part = ''): void
{
    $box = $test->find("[data-job=\"{$job}\"] {$part} input[name=\"count\"]");
    $box->sendKeys([WebDriverKeys::CONTROL, 'a']);
    $box->sendKeys((string) $count);
    $test->click("[data-job=\"{$job}\"] {$part} [data-action=\"count\"]");
}

it('lives a season on a phone, late, without signal and in two windows, and every figure keeps the laws', function () {
    $this->keepingCode();
    // Bought: some of the list.
    $this->openScreen('shopping', 390, 844);
    $path = (string) preg_replace('#/shopping.*$#', '', $this->path());
    $this->click('input[name="tick-supply-starter"]');
    $this->click('input[name="tick-seed-tom-copper"]');
    $this->waitFor(fn () => $this->text('[data-sum="paid"]') === '$12.44' ?: null, 'both to be paid');

    // Sown two weeks late, and fewer than planned.
    $this->visit("{$path}/today?day=2027-04-25", 390, 844);
    openJob($this, COPPER.'-sow');
    $this->click('[data-job="'.COPPER.'-sow"] [data-action="otherwise"]');
    countIn($this, COPPER.'-sow', 9, '[data-part="otherwise"]');
    $this->find('[data-job="'.COPPER.'-sow"][data-done]');
    May::untilSent($this);

    // Counted without signal in one window; another window sees it, and nothing is asked twice.
    $facts = fn (): array => $this->api("/api{$path}/setups/bench/trays")['facts'][COPPER];
    expect($facts())->toMatchArray(['sown_on' => '2027-04-25', 'sites' => 9]);
    $looks = array_values(array_filter($this->api("/api{$path}/setups/bench/today")['jobs'], fn (array $job): bool => $job['crop'] === COPPER
        && $job['kind_of_entry'] === 'up'));
    $full = $looks[count($looks) - 1];
    $this->visit("{$path}/today?day={$full['date']}", 390, 844);
    $this->find("[data-job=\"{$full['id']}\"]");
    $this->untilKept();
    $first = $this->browser->getWindowHandle();
    $this->browser->switchTo()->newWindow();
    $this->visit("{$path}/today?day={$full['date']}", 390, 844);
    $second = $this->browser->getWindowHandle();
    $this->find("[data-job=\"{$full['id']}\"]");
    $this->browser->switchTo()->window($first);
    $this->server(false);
    try {
        openJob($this, $full['id']);
        countIn($this, $full['id'], 7);
        $this->find("[data-job=\"{$full['id']}\"][data-done]");
        $this->browser->switchTo()->window($second);
        $this->find("[data-job=\"{$full['id']}\"][data-done]");
    } finally {
        $this->server(true);
    }
    $this->waitFor(fn () => ($facts()['up'] ?? 0) === 7 ?: null, 'the count to be sent', 40);
    $this->browser->close();
    $this->browser->switchTo()->window($first);
    May::untilSent($this, 40);

    // Five go out; more than there are is refused in words.
    $jobs = fn (): array => array_column($this->api("/api{$path}/setups/bench/today")['jobs'], null, 'id');
    $out = $jobs()[COPPER.'-plant_out'];
    expect($out['of'])->toBe(7);
    $this->visit("{$path}/today?day={$out['date']}", 390, 844);
    openJob($this, COPPER.'-plant_out');
    // The page shows what it knew before, until the server's answer is there; that may have been 7 too, and no limit.
    $this->settle();
    expect($this->find('[data-job="'.COPPER.'-plant_out"] input[name="count"]')->getAttribute('value'))->toBe('7');
    countIn($this, COPPER.'-plant_out', 40);
    expect($this->text('[data-part="count-why"]'))->toContain('There are 7');
    countIn($this, COPPER.'-plant_out', 5);
    $this->find('[data-job="'.COPPER.'-plant_out"][data-done]');
    May::untilSent($this);

    // Every screen says the same.
    $log = array_values(array_filter(May::written($this, $path), fn (array $entry): bool => $entry['crop'] === COPPER));
    $trays = $facts();
    $came = $this->api("/api{$path}/setups/bench/reckoning")['came_to'];
    $crop = array_column($came['crops'], null, 'crop')[COPPER];
    $shopping = $this->api("/api{$path}/setups/bench/shopping")['shopping'];
    $left = array_column($this->api("/api{$path}/setups/bench/leftovers")['leftovers'], null, 'id');
    $seed = $left[array_column($this->api("/api{$path}")['season']['crops'], 'lot', 'id')[COPPER]];
    $laws = [
        ['entries of the crop in the log', count($log), 3],
        ['sown: Trays', $trays['sites'], 9],
        ['up: Trays and Reckoning', $trays['up'], $crop['up']],
        ['there + gone + lost = up', $trays['alive'] + $trays['gone'] + $trays['lost'], $trays['up']],
        ['there: Trays', $trays['alive'], 2],
        ['went out: Trays and Reckoning', $trays['finished'], $came['out']],
        ['paid + to pay', round($shopping['paid'] + $shopping['still'], 6), round($shopping['now'], 6)],
        ['paid: Shopping', round($shopping['paid'], 2), 12.44],
        ['seed sown: Shed and Trays', $seed['used'], $trays['seeds']],
        ['seed: had + bought = sown + left', $seed['used'] + $seed['left'], $seed['before'] + $seed['bought']],
    ];
    fwrite(STDERR, "\nA season lived: figure, law\n".implode('', array_map(
        fn (array $law): string => sprintf("  %-40s %10s %10s\n", $law[0], json_encode($law[1]), json_encode($law[2])), $laws)));
    foreach ($laws as [$what, $figure, $law]) {
        expect($figure)->toEqual($law, $what);
    }
    $this->visit("{$path}/reckoning", 390, 844);
    $this->find('h1');
    expect($this->overflows())->toBeFalse()->and($this->accessibilityFindings())->toBe([]);
});

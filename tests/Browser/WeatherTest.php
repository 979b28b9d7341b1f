<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\May;

it('begins with a thermometer, takes its days, and says line by line what it cannot read', function () {
    $this->openScreen('weather', 390, 844);
    $path = '/seasons/'.$this->seasonId();
    expect($this->text('h1'))->toBe('Weather')->and($this->browser->findElements(WebDriverBy::cssSelector('[data-part="nights"]')))->toBe([]);
    $this->find('[name="place-name"]')->sendKeys('Under the eaves');
    $this->click('[data-action="add-weather-place"]');
    expect($this->text('[data-part="weather-token"]'))->toMatch('/\d+\|[A-Za-z0-9]{40,}/');
    $this->click('[data-part="weather-table"] summary');
    // The token stays until one has it, whatever comes meanwhile.
    sleep(1);
    expect($this->text('[data-part="weather-token"]'))->toMatch('/\d+\|[A-Za-z0-9]{40,}/');
    // A season in US units reads °F, unless it is told otherwise.
    $this->find('[name="weather-days"]')->sendKeys("2027-04-20, 30, 55\n2027-04-21, warm, 60\n4/22/2027, 41, 63\n");
    $this->click('[data-action="read-days"]');
    $told = $this->text('[data-part="weather-kept"]');
    expect($told)->toContain('2 days kept')->toContain('1 could not be read')->toContain('Line 2: “warm” is no temperature');
    $days = $this->api('/api'.$path.'/setups/bench/weather?on=2027-04-22')['days'];
    expect(array_column($days, 'on'))->toBe(['2027-04-20', '2027-04-22'])->and($days[0]['low'])->toEqualWithDelta(-1.11, 0.01);
    $this->click('[data-action="read-days"]');
    expect($this->waitFor(fn () => $this->text('[data-weather-place] [role="alert"]') ?: null, 'why not'))->toContain('Choose a file, or type days');
    $this->click('[data-action="take-out"]');
    $this->click('[data-action="take-out-really"]');
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector('[data-weather-place]')) === [] ?: null, 'it to be gone');
    expect($this->overflows())->toBeFalse()->and($this->consoleErrors())->toBe([]);
});

it('says what must be covered tonight, and writes down what was done about it', function () {
    $path = May::open($this, 'today', 390);
    expect($this->text('[data-part="tonight"]'))->toContain('by dawn')->toContain('something must come in or be covered');
    $job = '[data-job="bring_in-2027-05-09"]';
    $this->click("{$job} button");
    $this->click("{$job} [data-action='left-out']");
    $this->find("{$job}[data-done]");
    May::untilSent($this);
    $said = array_values(array_filter(May::written($this, $path), fn (array $one): bool => ($one['job'] ?? null) === 'bring_in-2027-05-09'));
    expect($said)->toHaveCount(1)->and($said[0]['note'])->toBe('left them out');
    $this->click("{$job} [data-action='not-done']");
    $this->waitFor(fn () => $this->browser->findElements(WebDriverBy::cssSelector("{$job}[data-done]")) === [] ?: null, 'it to be open again');
    expect($this->overflows())->toBeFalse()->and($this->consoleErrors())->toBe([]);
});

it('takes over the frosts of past years and the best day to plant out as steps that are undone', function () {
    $path = May::open($this, 'weather');
    expect($this->text('[data-part="frost"]'))->toContain('Safe in 9 of 10 years from');
    $season = fn () => $this->api("/api{$path}")['season'];
    $before = $season();
    $this->click('[data-action="take-frost"]');
    $this->waitFor(fn () => $season()['first_frost'] !== $before['first_frost'] ?: null, 'the frosts to be taken over');
    expect($this->waitFor(fn () => str_contains($this->text('[data-part="frost"]'), 'goes by already') ?: null, 'nothing to be offered any more'))->toBeTrue();
    // One crop alone, with a cover that has its price.
    $this->browser->findElement(WebDriverBy::cssSelector('[name="out-crop"] option[value="porch-lantern"]'))->click();
    $this->find('[name="cover-price"]')->sendKeys('3');
    $text = $this->waitFor(fn () => str_contains($this->text('[data-part="best-day"]'), 'of 100 springs') ? $this->text('[data-part="going-out"]') : null, 'one crop\'s days');
    expect($text)->toContain('Cheapest without a cover');
    $offset = fn () => array_column($season()['crops'], 'plant_out_offset_days', 'id')['porch-lantern'];
    $now = $offset();
    $this->click('[data-action="plan-best"]');
    $this->waitFor(fn () => $offset() !== $now ?: null, 'the day to be planned');
    $this->find('[name="cover-price"]')->sendKeys('x');
    expect($this->text('[data-part="going-out"] [role="alert"]'))->not->toBe('');
});

it('is readable by everybody, in both themes and on a phone', function () {
    May::open($this, 'weather');
    $this->find('[data-part="best-day"]');
    expect($this->troubles(1280, 390))->toBe([]);
});

it('plays a spring as a station would, and is as it is on the phone of whoever looks in the evening', function () {
    $this->openScreen('weather', 390, 844);
    $path = '/seasons/'.$this->seasonId();
    $this->click('[data-action="add-weather-place"]');
    preg_match('/\d+\|[A-Za-z0-9]{40,}/', $this->text('[data-part="weather-token"]'), $token);
    $play = fn (string $more): int => (int) exec(PHP_BINARY.' bin/jolly simulate-weather --token '.escapeshellarg($token[0])
        .' --url '.escapeshellarg($this->url()).' --years 11 --swing 18 --from 2027-05-20 --to 2027-05-30 --cold-snap 2027-05-31 '.$more.' > /dev/null; echo $?');
    expect($play('--seed 4'))->toBe(0)->and($play('--seed'))->toBe(2);
    // The season is far from today: it is seen from the last day of its log.
    $this->browser->executeAsyncScript('const [url, done] = arguments; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN[^=]*=([^;]+)/)[1]);
        fetch(url, { method: "POST", headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token }, body: JSON.stringify({ entries: [
        { id: "spring-000001", on: "2027-04-21", at: "2027-04-21T10:00:00Z", kind: "sown", crop: "paint-box", count: 24, seeds: 48 },
        { id: "spring-000002", on: "2027-05-01", at: "2027-05-01T10:00:00Z", kind: "up", crop: "paint-box", count: 20 },
        { id: "spring-000003", on: "2027-05-30", at: "2027-05-30T10:00:00Z", kind: "note", note: "Cold wind." }] }) }).then(() => done());', ["/api{$path}/log"]);
    $this->visit("{$path}/weather", 390, 844);
    expect($this->text('[data-night="2027-05-30"]'))->toContain('Bring in 20 Paint Box');
    $this->visit("{$path}/today", 390, 844);
    $this->click('[data-job="bring_in-2027-05-30"] button');
    $this->click('[data-job="bring_in-2027-05-30"] [data-action="done"]');
    $this->find('[data-job="bring_in-2027-05-30"][data-done]');
    expect($this->overflows())->toBeFalse()->and($this->consoleErrors())->toBe([]);
});

it('moves a crop to the sill from the bench that has no room for it', function () {
    $this->openScreen('bench');
    $words = $this->text('[data-part="elsewhere"]');
    expect($words)->toMatch('/^Move .+ to South windowsill on May \d+: 0 crowded days left/');
    $this->click('[data-part="elsewhere"] button');
    $season = fn () => $this->api('/api/seasons/'.$this->seasonId())['season'];
    $moved = fn (): array => array_values(array_filter((array) array_column($season()['setups'], 'overrides', 'id')['bench'], fn (string $one): bool => str_ends_with($one, '-sill')));
    $this->waitFor(fn () => $moved() !== [] ?: null, 'the crop to have a method of its own');
    $this->waitFor(fn () => str_contains($this->text('main'), 'Every tray has room, light and warmth') ?: null, 'the bench to have room');
    expect(array_column($season()['methods'], 'name', 'id')[$moved()[0]])->toContain(', then South windowsill');
});

<?php

declare(strict_types=1);

use App\Models\Season;
use App\Pages\ScreenFiles;
use JollyPenny\Core\Season\Units\MoneyWords;
use Tests\Seasons;

it('gives whoever opens the page a garden with the demo season at once', function () {
    $answer = $this->get('/')->assertOk();
    $this->assertAuthenticated();
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(1)
        ->and($answer->getContent())->toContain('id="app"');
});

it('tells a stranger who asks for no particular form of answer that there is no garden', function () {
    foreach (['/api/seasons', '/api/account/export', '/api/seasons/1/setups/own/labels.pdf'] as $url) {
        expect($this->get($url, ['Accept' => '*/*'])->assertStatus(401)->json('status'))->toBe(401);
    }
});

it('lets only our own scripts run', function () {
    $policy = (string) $this->get('/')->headers->get('Content-Security-Policy');
    expect($policy)->toContain("script-src 'self';")->toContain("style-src 'self' 'nonce-")->not->toContain('unsafe-eval')
        ->and(preg_match('/script-src[^;]*unsafe-inline/', $policy))->toBe(0);
});

it('sends the same strict policy with every route\'s answer, whatever it says', function () {
    foreach (app('router')->getRoutes() as $route) {
        $verb = $route->methods()[0];
        // What a parameter stands for does not matter: a refusal is an answer too.
        $url = '/'.preg_replace('/\{\w+\??\}/', '1', $route->uri());
        $policy = $this->call($verb, $url)->headers->get('Content-Security-Policy');
        expect("{$verb} {$url} {$policy}")->toContain("script-src 'self';", "object-src 'none'", "frame-ancestors 'none'")->not->toContain('unsafe-eval');
    }
});

it('starts no more than sixty gardens a minute from one address', function () {
    for ($i = 0; $i < 60; $i++) {
        Illuminate\Support\Facades\RateLimiter::hit('gardens:127.0.0.1');
    }
    $before = Season::query()->count();
    $this->get('/')->assertStatus(429);
    expect(Season::query()->count())->toBe($before);
});

it('knows a database that is away from one that refuses', function (string $state, bool $away) {
    // The states by their names in appendix A of PostgreSQL's manual.
    $cause = new PDOException("SQLSTATE[{$state}]: something");
    $cause->errorInfo = [$state, 7, 'something'];
    expect(App\Http\Problem::isAway(new Illuminate\Database\QueryException('pgsql', 'select 1', [], $cause)))->toBe($away);
})->with([
    'connection_failure' => ['08006', true], 'admin_shutdown' => ['57P01', true], 'cannot_connect_now' => ['57P03', true],
    'too_many_connections' => ['53300', true], 'read_only_sql_transaction' => ['25006', true],
    'in_failed_sql_transaction' => ['25P02', false], 'unique_violation' => ['23505', false], 'undefined_table' => ['42P01', false],
]);

it('says a season\'s answer in the page itself, and brings what the code would ask for first', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $state = $this->getJson("/api/seasons/{$season->id}")->json();
    foreach (['/', "/seasons/{$season->id}/compare", "/seasons/{$season->id}"] as $page) {
        $html = (string) $this->get($page)->assertOk()->getContent();
        $setup = $state['season']['setups'][0]['id'];
        $cost = (new MoneyWords('USD'))->fine($state['pictures'][$setup]['till']['per_finished']);
        expect($html)->toContain($season->name, "<dt>Cost per finished seedling</dt><dd>{$cost}</dd>", '<dt>You save</dt>');
        preg_match('#<script type="application/json" id="known">(.*?)</script>#s', $html, $found);
        $known = json_decode($found[1], true, 64, JSON_THROW_ON_ERROR);
        expect($known['state'])->toEqual($state)->and($known['seasons'])->toBe($this->getJson('/api/seasons')->json('seasons'));
    }
});

it('keeps a name with marks of a page in it out of the page\'s own', function () {
    [$user, $season] = gardener();
    $this->actingAs($user);
    $variety = $this->getJson("/api/seasons/{$season->id}")->json('season.seed_lots.0');
    $this->patchJson("/api/seasons/{$season->id}", ['changes' => [
        ['path' => ['seed_lots', $variety['id'], 'variety'], 'from' => $variety['variety'], 'to' => '</script><b>Plot</b>'],
    ]])->assertOk();
    expect((string) $this->get("/seasons/{$season->id}/list")->getContent())->not->toContain('</script><b>', '<b>Plot');
});

it('says nothing of seasons in pages that are about none, or about somebody else\'s', function () {
    [$user, $season] = gardener();
    [$other] = gardener();
    $pages = [[$user, '/account'], [$user, '/seasons'], [$user, '/seasons/999999999999999999/list'], [$other, "/seasons/{$season->id}/list"]];
    foreach ($pages as [$who, $page]) {
        expect((string) $this->actingAs($who)->get($page)->assertOk()->getContent())->not->toContain('id="early"', 'id="known"');
    }
});

it('does not keep a page waiting for a long list', function () {
    [$user] = gardener();
    $file = Seasons::demo();
    $grown = function (int $crops) use ($user, $file): string {
        $file['crops'] = array_map(fn (int $n): array => ['id' => "crop-{$n}", 'split' => null] + $file['crops'][$n % 12], range(1, $crops));
        $text = Seasons::json(['setups' => [['overrides' => []] + $file['setups'][0]]] + $file);
        $id = $this->actingAs($user)->postJson('/api/seasons', ['from' => 'file', 'text' => $text])->assertCreated()->json('id');

        return (string) $this->get("/seasons/{$id}/list")->assertOk()->getContent();
    };
    expect($grown(60))->toContain('id="early"')->and($grown(61))->not->toContain('id="early"');
});

it('names the files of a screen, without those every page has', function () {
    $manifest = json_decode((string) file_get_contents(public_path('build/manifest.json')), true);
    $main = "/build/{$manifest['web/src/main.tsx']['file']}";
    $screen = "/build/{$manifest['web/src/screens/bench/BenchScreen.tsx']['file']}";
    $style = "/build/{$manifest['web/src/screens/bench/BenchScreen.tsx']['css'][0]}";
    expect(ScreenFiles::forScreen('bench'))->toContain($screen)->toContain($style)->not->toContain($main)
        ->and(ScreenFiles::forScreen('nowhere'))->toBe([])->and(ScreenFiles::forScreen('../bench'))->toBe([]);
});

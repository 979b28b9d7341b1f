<?php

declare(strict_types=1);

use App\Models\Season;

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

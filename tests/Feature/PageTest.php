<?php

declare(strict_types=1);

use App\Models\Season;

it('gives whoever opens the page a garden with the demo season at once', function () {
    $answer = $this->get('/')->assertOk();
    $this->assertAuthenticated();
    expect($this->getJson('/api/seasons')->json('seasons'))->toHaveCount(1)
        ->and($answer->getContent())->toContain('id="app"');
});

it('lets only our own scripts run', function () {
    $policy = (string) $this->get('/')->headers->get('Content-Security-Policy');
    expect($policy)->toContain("script-src 'self';")->toContain("style-src 'self' 'nonce-")->not->toContain('unsafe-eval')
        ->and(preg_match('/script-src[^;]*unsafe-inline/', $policy))->toBe(0);
});

it('starts no more than sixty gardens a minute from one address', function () {
    for ($i = 0; $i < 60; $i++) {
        Illuminate\Support\Facades\RateLimiter::hit('gardens:127.0.0.1');
    }
    $before = Season::query()->count();
    $this->get('/')->assertStatus(429);
    expect(Season::query()->count())->toBe($before);
});

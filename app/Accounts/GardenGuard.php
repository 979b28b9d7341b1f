<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\CookieNames;
use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Auth\UserProvider;
use Illuminate\Foundation\Application;

/** Knows who was here also when the session is gone, by a long-lived cookie of this copy's own. */
final class GardenGuard extends SessionGuard
{
    /** As AuthManager::createSessionDriver makes the framework's own. */
    public static function create(Application $app, string $name, ?UserProvider $provider): self
    {
        assert($provider !== null);
        $guard = new self($name, $provider, $app->make('session.store'), hashKey: (string) config('app.key'));
        $guard->setCookieJar($app->make('cookie'));
        $guard->setDispatcher($app->make('events'));
        $guard->setRequest($app->refresh('request', $guard, 'setRequest'));

        return $guard;
    }

    /** Under the name the framework's own guard has: sessions from before this one are not lost by an upgrade. */
    public function getName(): string
    {
        return "login_{$this->name}_".sha1(SessionGuard::class);
    }

    public function getRecallerName(): string
    {
        return CookieNames::garden((string) config('app.key'));
    }
}

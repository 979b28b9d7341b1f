<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\GardenGuard;
use App\Mail\Mailbox;
use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Mail\Events\MessageSent;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        Model::shouldBeStrict();
        Auth::extend('session', fn (Application $app, string $name, array $config): GardenGuard => GardenGuard::create(
            $app, $name, Auth::createUserProvider($config['provider']),
        ));
        Event::listen(MessageSent::class, [Mailbox::class, 'keep']);
        // Same origin, whatever name or port the page was opened by.
        Vite::createAssetPathsUsing(fn (string $path): string => '/'.$path);
        RateLimiter::for('edits', fn (Request $request): Limit => Limit::perMinute(1200)
            ->by($request->user() instanceof User ? 'user-'.$request->user()->id : (string) $request->ip()));
        // By address too, since the token may be made up.
        RateLimiter::for('devices', fn (Request $request): array => [
            Limit::perMinute(1200)->by('device-'.hash('sha256', (string) $request->bearerToken())),
            Limit::perMinute(6000)->by('devices-'.$request->ip()),
        ]);
        RateLimiter::for('letters', fn (Request $request): Limit => Limit::perMinute(6)->by((string) $request->ip()));
    }
}

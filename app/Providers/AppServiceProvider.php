<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        Model::shouldBeStrict();
        RateLimiter::for('edits', fn (Request $request): Limit => Limit::perMinute(1200)
            ->by($request->user() instanceof User ? 'user-'.$request->user()->id : (string) $request->ip()));
    }
}

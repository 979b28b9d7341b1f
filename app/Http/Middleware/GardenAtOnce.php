<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Seasons\DemoSeason;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Whoever opens a page without an account gets a private garden to try, with the demo season in it. */
final class GardenAtOnce
{
    private const GARDENS_A_MINUTE = 60;

    /** Pages that need no garden: one who comes to sign in gets none. */
    private const WITHOUT = ['sign-in', 'new-password', 'forgotten', 'mailbox', 'cautions', 'words', 'favicon.ico', 'robots.txt'];

    public function handle(Request $request, Closure $next): Response
    {
        $user = Auth::user();
        if ($user instanceof User) {
            // Once a day is enough to know that somebody still comes.
            $user->last_seen_at->gt(now()->subDay()) ?: $user->forceFill(['last_seen_at' => now()])->saveQuietly();
        } elseif ($request->isMethod('GET') && ! $request->is('api/*', ...self::WITHOUT)) {
            $this->start($request);
        }

        /** @var Response */
        return $next($request);
    }

    private function start(Request $request): void
    {
        $key = 'gardens:'.$request->ip();
        if (RateLimiter::tooManyAttempts($key, self::GARDENS_A_MINUTE)) {
            throw new TooManyRequestsHttpException(
                RateLimiter::availableIn($key),
                'Too many gardens were started from here. Wait a minute and open the page again.',
            );
        }
        RateLimiter::hit($key);
        Auth::login(
            DB::transaction(function (): User {
                // The token of the long-lived cookie: without an account there is no other way back.
                $user = User::query()->create(['trial' => true, 'remember_token' => Str::random(60)]);
                DemoSeason::giveTo($user);

                return $user;
            }),
            remember: true,
        );
    }
}

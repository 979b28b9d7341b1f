<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * What was noted with a time that is now to come is forgotten: whoever had made too many tries would wait until the clock is there
 * again, perhaps a day, and so would letters and long reckonings in the queue.
 */
final class ClockSetBack
{
    private const SEEN = 'clock-seen';

    /** Clocks are put right by less than this all the time, seconds. */
    private const NOTICED = 60;

    public function handle(Request $request, Closure $next): Response
    {
        $now = now()->getTimestamp();
        $limits = Cache::store((string) config('cache.limiter'));
        $seen = $limits->get(self::SEEN);
        if (is_int($seen) && $seen - $now > self::NOTICED) {
            $limits->clear();
            Cache::clear();
            DB::table('jobs')->where('available_at', '>', $now + self::NOTICED)->update(['available_at' => $now]);
            $seen = null;
        }
        if (! is_int($seen) || $now > $seen) {
            $limits->forever(self::SEEN, $now);
        }

        return $next($request);
    }
}

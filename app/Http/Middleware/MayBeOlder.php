<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Health\Standby;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/** Lists, exports and figures are read from the standby, where there is one that is not too far behind. */
final class MayBeOlder
{
    public function handle(Request $request, Closure $next): Response
    {
        $primary = DB::getDefaultConnection();
        if (! Standby::isFresh((float) config('jolly.standby_age'))) {
            return $next($request);
        }
        $this->read($request, Standby::NAME);
        try {
            return $next($request);
        } finally {
            // The session is kept by the primary.
            $this->read($request, $primary);
        }
    }

    private function read(Request $request, string $connection): void
    {
        DB::setDefaultConnection($connection);
        $user = $request->user();
        // What is asked of a model goes where it came from.
        $user instanceof User && $user->setConnection($connection);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Whoever is refused for lack of a token gets no cookie: a form on another site must not put a new session over the one that
 * holds somebody's garden.
 */
final class NoCookieOnRefusal
{
    private const TOKEN_MISSING = 419;

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        if ($response->getStatusCode() === self::TOKEN_MISSING) {
            $response->headers->remove('Set-Cookie');
        }

        return $response;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Behind TLS, browsers are told to stay there. */
final class SecureTransport
{
    private const A_YEAR = 31_536_000;

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age='.self::A_YEAR.'; includeSubDomains');
        }

        return $response;
    }
}

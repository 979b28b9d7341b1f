<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Health\Timing;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Says with every answer how long its parts took. */
final class Timed
{
    public function handle(Request $request, Closure $next): Response
    {
        Timing::begin();
        /** @var Response $response */
        $response = $next($request);
        Timing::part('rest');
        $response->headers->set('Server-Timing', Timing::header());

        return $response;
    }
}

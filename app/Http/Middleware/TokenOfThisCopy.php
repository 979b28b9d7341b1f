<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CookieNames;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Symfony\Component\HttpFoundation\Cookie;

/** The token against forged requests, in a cookie that no other copy on this host puts its own over; none without a session that is kept. */
final class TokenOfThisCopy extends ValidateCsrfToken
{
    protected function addCookieToResponse($request, $response)
    {
        return SessionOnceNeeded::isKept($request) ? parent::addCookieToResponse($request, $response) : $response;
    }

    /** @param  array<string, mixed>  $config */
    protected function newCookie($request, $config): Cookie
    {
        $cookie = parent::newCookie($request, $config);

        return new Cookie(
            name: CookieNames::token((string) config('app.key')),
            value: $cookie->getValue(),
            expire: $cookie->getExpiresTime(),
            path: $cookie->getPath(),
            domain: $cookie->getDomain(),
            secure: $cookie->isSecure(),
            httpOnly: false,
            raw: false,
            sameSite: $cookie->getSameSite(),
        );
    }
}

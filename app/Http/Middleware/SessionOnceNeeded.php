<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CookieNames;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Symfony\Component\HttpFoundation\Response;

/**
 * Keeps a session only once there is something to keep: whoever asks without a cookie and gets no garden leaves no row behind. The pages
 * on which a guest signs in need one for their token; of those an address gets only so many.
 */
final class SessionOnceNeeded extends StartSession
{
    private const GUESTS_A_MINUTE = 60;

    private const KEPT = 'session-kept';

    /** What was in it when the request came. */
    private const WAS = 'session-was';

    /** When it was last written. */
    private const WRITTEN = 'written-at';

    /** So long it need not be written again, seconds; far less than it lives. */
    private const STAYS = 300;

    public function getSession(Request $request): Session
    {
        return tap($this->manager->driver(), function (Session $session) use ($request): void {
            $id = $request->cookies->get($session->getName()) ?? $request->cookies->get(CookieNames::SESSION_BEFORE);
            $request->attributes->set(self::KEPT, is_string($id));
            $session->setId(is_string($id) ? $id : '');
        });
    }

    /** Whether the session of this request is one that is kept; decided once. */
    public static function isKept(Request $request): bool
    {
        if ($request->attributes->get(self::KEPT) !== true && (Auth::check() || self::isGuestWithRoom($request))) {
            $request->attributes->set(self::KEPT, true);
        }

        return $request->attributes->get(self::KEPT) === true;
    }

    private static function isGuestWithRoom(Request $request): bool
    {
        $isPage = $request->isMethod('GET') && (! $request->is('api/*', 'calendar/*') || $request->is('api/account'));

        return $isPage && RateLimiter::attempt('guests:'.$request->ip(), self::GUESTS_A_MINUTE, fn (): bool => true) === true;
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        self::isKept(request()) && parent::addCookieToResponse($response, $session);
    }

    protected function startSession(Request $request, $session)
    {
        $started = parent::startSession($request, $session);
        $request->attributes->set(self::WAS, $started->all());

        return $started;
    }

    /** One in which nothing has changed is written again only now and then, so that it does not run out. */
    protected function saveSession($request): void
    {
        $session = $request->session();
        $isSame = $request->attributes->get(self::WAS) === $session->all() && now()->getTimestamp() - (int) $session->get(self::WRITTEN) < self::STAYS;
        if (self::isKept($request) && ! $isSame) {
            $session->put(self::WRITTEN, now()->getTimestamp());
            parent::saveSession($request);
        }
    }
}

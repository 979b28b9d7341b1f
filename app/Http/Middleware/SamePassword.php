<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use Closure;
use Illuminate\Auth\SessionGuard;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A new password ends every session that began under the one before, wherever sessions lie. */
final readonly class SamePassword
{
    private const MARK = 'password_mark';

    public function handle(Request $request, Closure $next): Response
    {
        $session = $request->session();
        $mark = $this->mark();
        // None yet: it began before there was a password.
        if ($mark !== null && ! hash_equals($mark, (string) ($session->get(self::MARK) ?? $mark))) {
            $this->guard()->logoutCurrentDevice();
            $session->invalidate();
        }
        /** @var Response $response */
        $response = $next($request);
        // Also the answer that signed somebody in, or took the new password.
        $session->put(self::MARK, $this->mark());

        return $response;
    }

    /** Null for nobody, and for a garden to try, which has no password. */
    private function mark(): ?string
    {
        $user = $this->guard()->user();
        $password = $user instanceof User ? $user->password : null;

        return $password === null ? null : $this->guard()->hashPasswordForCookie($password);
    }

    private function guard(): SessionGuard
    {
        $guard = Auth::guard('web');
        assert($guard instanceof SessionGuard);

        return $guard;
    }
}

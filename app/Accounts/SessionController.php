<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\Tries;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Signing in and out. */
final class SessionController
{
    /** A hash of nothing that anybody knows, made as the real ones are: an e-mail that is not known takes as long as one that is. */
    private const NOBODY = '$argon2id$v=19$m=65536,t=4,p=1$Q0FFNzcydUpUc3l3QlVtYQ$XG0+4xRy/9vWQ0w9pH84jlXj8bVQCd+l8FzTptePbFA';

    private const TRIES_A_MINUTE = 5;

    /** From one address, whatever the e-mail. */
    private const TRIES_OF_ALL = 30;

    #[
        OA\Post(
            path: '/api/session',
            operationId: 'signIn',
            summary: 'Sign in; what was typed in a trial garden comes along',
            tags: ['Account'],
        ),
    ]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Credentials'))]
    #[OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: '#/components/schemas/Account'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    #[OA\Response(response: 429, ref: '#/components/responses/TooMany')]
    public function store(Request $request, Garden $garden): JsonResponse
    {
        $input = $request->validate(
            ['email' => ['required', 'string', 'max:255'], 'password' => ['required', 'string', 'max:1000']],
            ['email.required' => 'Type your e-mail.', 'password.required' => 'Type your password.'],
        );
        $email = mb_strtolower(trim($input['email']));
        $keys = ['sign-in:'.$email.'|'.$request->ip() => self::TRIES_A_MINUTE, 'sign-in:'.$request->ip() => self::TRIES_OF_ALL];
        Tries::count($keys, 'Too many tries. Wait a minute, then try again, or ask for a new password.');
        $trial = $request->user();
        $user = User::query()->where('email', $email)->first();
        // Checked against something also where there is no such e-mail, so that both take as long.
        if (! Hash::check($input['password'], $user->password ?? self::NOBODY) || $user === null) {
            throw ValidationException::withMessages(['email' => 'E-mail or password is not right.']);
        }
        Tries::forget((string) array_key_first($keys));
        Auth::login($user, true);
        $request->session()->regenerate(true);
        if ($trial instanceof User && $trial->trial) {
            $garden->bringAlong($trial, $user);
        }

        return AccountController::answer($user);
    }

    #[OA\Delete(path: '/api/session', operationId: 'signOut', summary: 'Sign out', tags: ['Account'])]
    #[OA\Response(response: 204, description: 'Signed out')]
    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();

        return new Response(status: 204);
    }
}

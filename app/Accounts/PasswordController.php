<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\PublicAddress;
use App\Jobs\SendResetLink;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\Rules\Password as Strength;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/**
 * A forgotten password: a letter with a link, and the new password.
 *
 * @phpstan-type EmailShape array{email: string}
 * @phpstan-type ResetShape array{email: string, token: string, password: string}
 */
final class PasswordController
{
    #[OA\Post(path: '/api/password/forgot', operationId: 'forgotPassword', summary: 'Send a link to set a new password', tags: ['Account'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Email'))]
    #[OA\Response(response: 204, description: 'Sent, if there is such an account')]
    public function forgot(Request $request): Response
    {
        $input = $request->validate(
            ['email' => ['required', 'string', 'email', 'max:200']],
            ['email.*' => 'Type the e-mail of your account.'],
        );
        // Known or not, the same is done here; whether there is a letter to write is found out beside.
        SendResetLink::dispatch(mb_strtolower(trim($input['email'])), PublicAddress::root($request));

        return new Response(status: 204);
    }

    #[
        OA\Post(
            path: '/api/password/reset',
            operationId: 'resetPassword',
            summary: 'Set a new password by the link of the letter',
            tags: ['Account'],
        ),
    ]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Reset'))]
    #[OA\Response(response: 204, description: 'Set; sign in with it')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function reset(Request $request): Response
    {
        $input = $request->validate(
            [
                'email' => ['required', 'string', 'max:200'],
                'token' => ['required', 'string', 'max:200'],
                'password' => ['required', 'string', 'max:1000', Strength::min(8), new NotBreached],
            ],
            ['password.min' => 'Take a password of at least 8 characters.'],
        );
        $email = mb_strtolower(trim($input['email']));
        $status = DB::transaction(function () use ($email, $input): mixed {
            // Whoever sends the same link at the same time waits here, and then finds it used up.
            DB::table('password_reset_tokens')->where('email', $email)->lockForUpdate()->first();

            return Password::reset(
                ['email' => $email, 'token' => $input['token'], 'password' => $input['password']],
                function (User $user, string $password): void {
                    $user->update(['password' => $password]);
                },
            );
        });
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['token' => 'This link is used up or too old. Ask for a new one.']);
        }

        return new Response(status: 204);
    }
}

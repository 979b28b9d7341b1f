<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Http\Tries;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Password;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * The account behind a garden: kept with an e-mail and a password, changed, exported, deleted.
 *
 * @phpstan-type AccountShape array{email: ?string, trial: bool, guest: bool, mailbox: bool}
 * @phpstan-type CredentialsShape array{email: string, password: string}
 * @phpstan-type AccountChangeShape array{email?: string, password?: string, current_password: string}
 * @phpstan-type CurrentPasswordShape array{current_password?: string}
 * @phpstan-type ExportShape array{
 *     format: string,
 *     version: int,
 *     email: ?string,
 *     created_at: ?string,
 *     seasons: list<stdClass>,
 *     shed: list<stdClass>,
 *     prices: list<stdClass>,
 * }
 */
final class AccountController
{
    public function __construct(private readonly Gardener $gardener, private readonly Garden $garden)
    {
    }

    #[OA\Get(path: '/api/account', operationId: 'showAccount', summary: 'Whose garden this is', tags: ['Account'])]
    #[OA\Response(response: 200, description: 'The account', content: new OA\JsonContent(ref: '#/components/schemas/Account'))]
    public function show(): JsonResponse
    {
        /** @var ?User $user */
        $user = Auth::user();

        return self::answer($user);
    }

    /** With somebody's e-mail in it: kept by nobody on the way. */
    public static function answer(?User $user): JsonResponse
    {
        $answer = Json::response(['email' => $user?->email, 'trial' => $user->trial ?? false, 'guest' => $user === null,
            'mailbox' => (bool) config('jolly.mailbox')]);
        $answer->headers->set('Cache-Control', 'no-store');

        return $answer;
    }

    #[
        OA\Post(
            path: '/api/account',
            operationId: 'keepGarden',
            summary: 'Keep this garden with an e-mail and a password',
            tags: ['Account'],
        ),
    ]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Credentials'))]
    #[OA\Response(response: 200, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Account'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(AccountRequest $request): JsonResponse
    {
        $user = $this->gardener->user();
        abort_unless($user->trial, 409, 'This garden has an account already.');
        $user->update(['email' => $request->email(), 'password' => Text::in($request, 'password'), 'trial' => false]);
        $request->session()->regenerate(true);

        return $this->show();
    }

    #[OA\Patch(path: '/api/account', operationId: 'changeAccount', summary: 'Change e-mail or password', tags: ['Account'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/AccountChange'))]
    #[OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Account'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function update(AccountRequest $request): JsonResponse
    {
        $user = $this->gardener->user();
        abort_if($user->trial, 409, 'Keep this garden with an e-mail and a password first.');
        if ($request->filled('password')) {
            $user->update(['password' => Text::in($request, 'password')]);
            Password::deleteToken($user);
        }
        if ($request->filled('email')) {
            $user->update(['email' => $request->email()]);
        }
        $request->session()->regenerate(true);

        return $this->show();
    }

    #[OA\Delete(path: '/api/account', operationId: 'deleteAccount', summary: 'Delete the garden with everything in it', tags: ['Account'])]
    #[OA\RequestBody(required: false, content: new OA\JsonContent(ref: '#/components/schemas/CurrentPassword'))]
    #[OA\Response(response: 204, description: 'Deleted')]
    public function destroy(Request $request): Response
    {
        $user = $this->gardener->user();
        self::countGuess($user);
        $user->trial ?:
        $request->validate(
            ['current_password' => ['required', 'current_password']],
            ['current_password.*' => 'That is not your password.'],
        );
        Auth::logout();
        $user->delete();
        $request->session()->invalidate();

        return new Response(status: 204);
    }

    #[OA\Get(path: '/api/account/export', operationId: 'exportAccount', summary: 'All your data in one file', tags: ['Account'])]
    #[
        OA\Response(
            response: 200,
            description: 'E-mail, every season as its file, and its history',
            content: new OA\JsonContent(ref: '#/components/schemas/Export'),
        ),
    ]
    public function export(): StreamedResponse
    {
        $user = $this->gardener->user();

        return new StreamedResponse(function () use ($user): void {
            foreach ($this->garden->export($user) as $piece) {
                echo $piece;
            }
        }, 200, ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="jolly-penny.json"', 'Cache-Control' => 'no-store']);
    }

    /** Whoever sits at somebody's open page may not try passwords without end. */
    public static function countGuess(User $user): void
    {
        $user->trial ?: Tries::count(['password:'.$user->id => 5], 'Too many tries. Wait a minute, then try again.');
    }
}

<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\Text;
use App\Http\Tries;
use App\Models\User;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;

/** E-mail and password: both to keep a garden, either with the current password to change it. */
final class AccountRequest extends FormRequest
{
    /** Registering tells whether an e-mail is known: from one address only so often. */
    private const AN_HOUR = 5;

    private const SHORTEST = 8;

    private const KNOWN = 'There is an account with this e-mail. Sign in instead; what you typed here comes along.';

    public function authorize(): bool
    {
        return true;
    }

    protected function prepareForValidation(): void
    {
        $user = $this->user();
        if ($this->isMethod('PATCH') && $user instanceof User) {
            AccountController::countGuess($user);
        }
        if (is_string($this->input('email'))) {
            $this->merge(['email' => mb_strtolower(trim(Text::in($this, 'email')))]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $user = $this->user();
        $id = $user instanceof User ? $user->id : null;
        $change = $this->isMethod('PATCH');

        return [
            'email' => ['bail', $change ? 'nullable' : 'required', 'string', 'email', 'max:200',
                $change ? Rule::unique('users', 'email')->ignore($id) : $this->isNew(...)],
            'password' => [$change ? 'nullable' : 'required', 'string', 'max:1000', Password::min(self::SHORTEST), new NotBreached],
            'current_password' => $change ? ['required', 'current_password'] : ['nullable'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.unique' => self::KNOWN,
            ...array_fill_keys(['email.required', 'email.string', 'email.email', 'email.max'], 'Type an e-mail address, such as name@example.org.'),
            'password.min' => 'Take a password of at least '.self::SHORTEST.' characters.',
            'current_password.*' => 'That is not your present password.',
        ];
    }

    /** A slip of the pen is refused without a look at who has an account, and does not count as a try. */
    private function isNew(string $attribute, mixed $email, Closure $fail): void
    {
        if (mb_strlen(Text::in($this, 'password')) < self::SHORTEST) {
            return;
        }
        Tries::count(['register:'.$this->ip() => self::AN_HOUR], 'Too many gardens were kept from here. Try again in an hour.', 3600);
        User::query()->where('email', $email)->doesntExist() || $fail(self::KNOWN);
    }

    public function email(): string
    {
        return Text::in($this, 'email');
    }
}

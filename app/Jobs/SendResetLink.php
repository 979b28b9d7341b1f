<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Mail\NewPasswordLetter;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use SensitiveParameter;

/** Writes the letter with the link for a new password, where there is an account with the e-mail. */
final class SendResetLink implements ShouldQueue
{
    use Queueable;

    /** @param  string  $root  the address by which whoever asks finds this installation */
    public function __construct(private readonly string $email, private readonly string $root)
    {
    }

    public function handle(): void
    {
        Password::sendResetLink(['email' => $this->email], function (User $user, #[SensitiveParameter] string $token): void {
            Mail::to($this->email)->queue(new NewPasswordLetter($this->email, $token, $this->root));
        });
    }
}

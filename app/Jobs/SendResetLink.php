<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Password;

/** Writes the letter with the link for a new password, where there is an account with the e-mail. */
final class SendResetLink implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly string $email)
    {
    }

    public function handle(): void
    {
        Password::sendResetLink(['email' => $this->email]);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Mail\Mailbox;
use Illuminate\Contracts\View\View;

/** The letters this machine has sent, where there is no post. */
final class MailboxController
{
    public function __invoke(Mailbox $mailbox): View
    {
        abort_unless((bool) config('jolly.mailbox'), 404);

        return view('mailbox', ['letters' => $mailbox->letters()]);
    }
}

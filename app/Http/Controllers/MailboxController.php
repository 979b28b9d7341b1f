<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\TrustedHosts;
use App\Mail\Mailbox;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The letters this machine has sent, where there is no post. */
final class MailboxController
{
    private const LOOPBACK = ['127.0.0.1', '::1'];

    public function __invoke(Request $request, Mailbox $mailbox): View
    {
        // Letters hold links that open gardens: they are shown on a machine of one's own only.
        abort_unless((bool) config('jolly.mailbox') && TrustedHosts::isLoopback() && in_array($request->ip(), self::LOOPBACK, true), 404);

        return view('mailbox', ['letters' => $mailbox->letters()]);
    }
}

<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Http\Text;
use App\Http\Tries;
use App\Http\TrustedHosts;
use App\Mail\Mailbox;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The letters this machine has sent, where there is no post. */
final class MailboxController
{
    private const LOOPBACK = ['127.0.0.1', '::1'];

    private const TRIES_A_MINUTE = 20;

    public function __invoke(Request $request, Mailbox $mailbox): View
    {
        // Letters hold links that open gardens: they are shown on a machine of one's own only.
        abort_unless((bool) config('jolly.mailbox') && TrustedHosts::isLoopback() && in_array($request->ip(), self::LOOPBACK, true), 404);
        // Every user of the machine can open its loopback; only who can read the installation's settings knows the word.
        $word = config('jolly.mailbox_word');
        if (! is_string($word) || $word === '' || ! hash_equals($word, Text::in($request, 'word'))) {
            Tries::count(['mailbox:'.$request->ip() => self::TRIES_A_MINUTE], 'Too many tries. Wait a minute.');

            return view('mailbox', ['letters' => null]);
        }

        return view('mailbox', ['letters' => $mailbox->letters()]);
    }
}

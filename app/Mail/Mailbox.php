<?php

declare(strict_types=1);

namespace App\Mail;

use Illuminate\Mail\Events\MessageSent;

/** On a local machine there is no post: letters are kept here, and a page shows them. */
final class Mailbox
{
    private const KEPT = 50;

    public function keep(MessageSent $event): void
    {
        $mail = $event->message;
        if (! config('jolly.mailbox')) {
            return;
        }
        $letters = [
            [
                'at' => now()->toIso8601String(),
                'to' => implode(', ', array_map(fn ($address) => $address->getAddress(), $mail->getTo())),
                'subject' => (string) $mail->getSubject(),
                'text' => (string) $mail->getTextBody(),
            ],
            ...$this->letters(),
        ];
        file_put_contents(self::file(), json_encode(array_slice($letters, 0, self::KEPT), JSON_THROW_ON_ERROR), LOCK_EX);
    }

    /** @return list<array{at: string, to: string, subject: string, text: string}> the newest first */
    public function letters(): array
    {
        /** @var list<array{at: string, to: string, subject: string, text: string}> */
        return is_file(self::file()) ? json_decode((string) file_get_contents(self::file()), true, 8, JSON_THROW_ON_ERROR) : [];
    }

    private static function file(): string
    {
        return storage_path('app/mailbox.json');
    }
}

<?php

declare(strict_types=1);

namespace App\Mail;

use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The letter with the link to set a new password: to the address by which this installation is found. */
final class NewPasswordLetter extends Mailable
{
    /** The post may be away for hours: tried again after minutes first, then hours, as long as the link is good for something. */
    public int $tries = 8;

    /** @var list<int> seconds */
    public array $backoff = [60, 300, 900, 1800, 3600, 7200, 14400];

    public function __construct(private readonly string $email, private readonly string $token, private readonly string $root)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'A new password for Jolly Penny');
    }

    public function content(): Content
    {
        return new Content(
            text: 'letters.new-password',
            with: [
                'link' => $this->root.'/new-password?'.
                    http_build_query(['email' => $this->email, 'token' => $this->token]),
            ],
        );
    }
}

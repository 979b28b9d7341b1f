<?php

declare(strict_types=1);

return [
    // A page with the letters the application sent. For a machine of one's own: never where others can open it.
    'mailbox' => env('JOLLY_MAILBOX', false),
];

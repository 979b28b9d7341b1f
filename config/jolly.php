<?php

declare(strict_types=1);

return [
    // A page with the letters the application sent. For a machine of one's own: never where others can open it.
    'mailbox' => env('JOLLY_MAILBOX', false),

    // The word without which it shows no letters; bin/start makes one and prints the address that has it.
    'mailbox_word' => env('JOLLY_MAILBOX_WORD'),
    // Names and addresses of this machine in the local network, with commas between (bin/start --lan).
    'lan_hosts' => array_values(array_filter(explode(',', (string) env('JOLLY_LAN_HOSTS', '')))),

    // The operator's token for /metrics; without one there is no such page.
    'metrics_token' => env('JOLLY_METRICS_TOKEN'),

    // How many seconds older than the primary a standby may be for lists and exports.
    'standby_age' => (float) env('JOLLY_STANDBY_AGE', 10),
];

<?php

declare(strict_types=1);

return [
    'name' => 'Jolly Penny',
    'env' => env('APP_ENV', 'production'),
    'debug' => false,
    'url' => env('APP_URL', 'http://127.0.0.1'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'key' => env('APP_KEY'),
    'cipher' => 'AES-256-CBC',
];

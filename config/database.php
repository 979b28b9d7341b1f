<?php

declare(strict_types=1);

$primary = [
    'driver' => 'pgsql',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '5432'),
    'database' => env('DB_DATABASE', 'jolly'),
    'username' => env('DB_USERNAME', 'jolly'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8',
    'prefix' => '',
    'search_path' => 'public',
    'sslmode' => env('DB_SSLMODE', 'prefer'),
    // Signing in to PostgreSQL costs more than most requests: a worker keeps its connection.
    'options' => [PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false)],
];

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => $primary,
        // What lists and exports may be read from, where there is one.
        'standby' => [...$primary, 'host' => env('DB_STANDBY_HOST'), 'port' => env('DB_STANDBY_PORT', $primary['port']),
            'database' => env('DB_STANDBY_DATABASE', $primary['database'])],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

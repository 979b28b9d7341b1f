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
    'sslmode' => env('DB_SSLMODE', 'prefer'),
    // Signing in to PostgreSQL costs more than most requests: a worker keeps its connection.
    // A question goes to the database with its values in one message, instead of three to prepare it, ask and forget it.
    'options' => [PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false), PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
];

// A worker waits 5 s for its next job, and nobody much longer for a Redis that is gone.
$redis = [
    'host' => env('REDIS_HOST', '127.0.0.1'),
    'port' => env('REDIS_PORT', '6379'),
    'password' => env('REDIS_PASSWORD'),
    'timeout' => 2.0,
    'read_timeout' => 8.0,
    'max_retries' => 1,
];

return [
    'default' => 'pgsql',
    'connections' => [
        'pgsql' => $primary,
        // What lists and exports may be read from, where there is one.
        'standby' => [...$primary, 'host' => env('DB_STANDBY_HOST'), 'port' => env('DB_STANDBY_PORT', $primary['port']),
            'database' => env('DB_STANDBY_DATABASE', $primary['database'])],
    ],
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => 'jolly-penny-'],
        'default' => [...$redis, 'database' => '0'],
        'cache' => [...$redis, 'database' => '1'],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];

<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    // What counts a person's requests: in the memory of each web machine, so that an edit costs the database none for it.
    'limiter' => env('CACHE_LIMITER', 'database'),
    // What can always be worked out again: in the memory of each web machine.
    'near' => env('CACHE_NEAR', 'apc'),
    'stores' => ['apc' => ['driver' => 'apc'], 'array' => ['driver' => 'array']],
    'prefix' => 'jolly-penny-',
];

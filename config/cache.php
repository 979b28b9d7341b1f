<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'database'),
    // What counts a person's requests: in the memory of each web machine, so that an edit costs the database none for it.
    'limiter' => env('CACHE_LIMITER', 'database'),
    'stores' => ['apc' => ['driver' => 'apc']],
    'prefix' => 'jolly-penny-',
];

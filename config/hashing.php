<?php

declare(strict_types=1);

return ['driver' => 'argon2id', 'rehash_on_login' => true,
    'argon' => ['memory' => (int) env('HASH_MEMORY', 65536), 'threads' => 1, 'time' => (int) env('HASH_TIME', 4)]];

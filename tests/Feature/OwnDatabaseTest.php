<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;

// What a test counts or deletes is its own only where no other process writes beside it.
it('has a database that no other process of the tests uses', function () {
    $process = (int) getenv('TEST_TOKEN');
    expect(DB::scalar('SELECT current_database()'))->toBe('jolly_feature'.($process > 1 ? $process : ''));
});

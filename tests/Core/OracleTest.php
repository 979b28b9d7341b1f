<?php

declare(strict_types=1);

use Tests\Oracle\Agreement;
use Tests\Oracle\SeasonGenerator;

// The same rules read twice: tests/Oracle/PlainCosting.php takes none of the core's shortcuts and none of its code.

it('agrees with the plain oracle on made-up seasons', function (int $from) {
    for ($seed = $from; $seed < $from + 25; $seed++) {
        expect(Agreement::differences((new SeasonGenerator($seed))->season()))->toBe([], "season {$seed}");
    }
})->with([1, 101, 201, 301, 401, 501]);

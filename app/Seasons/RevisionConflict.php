<?php

declare(strict_types=1);

namespace App\Seasons;

use RuntimeException;

/** A change made on an older state of the season, to values that have changed since. */
final class RevisionConflict extends RuntimeException
{
    /** @param  non-empty-list<array{path: list<string|int>, was: mixed, theirs: mixed, yours: mixed, gone: bool}>  $conflicts */
    public function __construct(public readonly int $revision, public readonly array $conflicts)
    {
        parent::__construct('This was changed in another window meanwhile. Look at both values and choose.');
    }
}

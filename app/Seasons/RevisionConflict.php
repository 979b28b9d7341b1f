<?php

declare(strict_types=1);

namespace App\Seasons;

use RuntimeException;

/** A change made on an older state of the season, to a value that has changed since. */
final class RevisionConflict extends RuntimeException
{
    public function __construct(public readonly int $revision)
    {
        parent::__construct('This season was changed in another window. Look at the new values and choose.');
    }
}

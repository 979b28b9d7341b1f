<?php

declare(strict_types=1);

namespace App\Seasons;

/** One value changed by a person: where, what it was on their screen, what it is to be. */
final readonly class Change
{
    public function __construct(public DocumentPath $path, public mixed $from, public mixed $to)
    {
    }
}

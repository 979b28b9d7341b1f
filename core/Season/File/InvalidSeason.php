<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use RuntimeException;

/** A season file that cannot be used, with everything that is wrong with it. */
final class InvalidSeason extends RuntimeException
{
    /** @param  non-empty-list<Fault>  $faults */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(implode("\n", array_map(fn (Fault $fault): string => $fault->line(), $faults)));
    }

    /** @param  list<string|int>  $keys */
    public static function because(array $keys, string $problem, string $remedy): self
    {
        return new self([Fault::at($keys, $problem, $remedy)]);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** What could be done otherwise, and what was looked at and left out. */
final readonly class WeighedChanges
{
    /**
     * @param  list<Weighed>  $changes  the best first; those that break the list after those that do not
     * @param  array<string, int>  $left_out  how many changes were left out, by the warning that a crop would have had; one change
     *                                        counts once, under the gravest
     */
    public function __construct(public array $changes, public array $left_out)
    {
    }
}

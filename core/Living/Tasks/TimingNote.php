<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

/** Something about a crop's timing that a gardener would want to know. */
final readonly class TimingNote
{
    /** @param  string  $code  too_early, too_late, tap_root or outgrown */
    public function __construct(public string $crop, public string $code, public string $words)
    {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/** Plants lost of one cause. */
final readonly class Loss
{
    /**
     * @param  list<array{crop: string, tray: ?string, week: string, count: int}>  $where  the most first; week: its Monday
     */
    public function __construct(public string $cause, public int $count, public array $where)
    {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\GoingOut;

use JollyPenny\Core\Living\Weather\FrostChance;

/** What a cold night can take of one crop that stands out. */
final readonly class Threat
{
    /**
     * @param  int  $planned  day number on which it goes out by the plan
     * @param  float  $buyAnew  money for all of it
     * @param  ?FrostChance  $covered  null where nobody knows how much rarer such nights are
     */
    public function __construct(private int $planned, public float $buyAnew, private FrostChance $bare, private ?FrostChance $covered)
    {
    }

    public function chance(int $shift): float
    {
        return $this->bare->from($this->planned + $shift);
    }

    /** Under a cover; where nobody knows how much rarer such nights are, it takes nothing off. */
    public function chanceCovered(int $shift): float
    {
        return $this->covered?->from($this->planned + $shift) ?? $this->chance($shift);
    }

    public function years(): int
    {
        return $this->bare->years;
    }
}

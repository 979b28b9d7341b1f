<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

/** The outlet that a place's lamps and mats share. */
final readonly class Outlet
{
    public function __construct(public float $volts, public float $amps)
    {
    }
}

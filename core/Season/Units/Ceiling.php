<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Units;

/** Every ceiling in the costing rules: rounded numbers of the file must not buy a third tray for two full ones. */
final readonly class Ceiling
{
    public const TOLERANCE = 1e-6;

    public static function roundUp(float $x): int
    {
        return (int) ceil($x - self::TOLERANCE);
    }
}

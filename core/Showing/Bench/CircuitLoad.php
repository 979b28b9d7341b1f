<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

use JollyPenny\Core\Season\Things\Outlet;

/**
 * What hangs on a place's outlet at once, against what it may carry. Loads of three hours and more are continuous: 80 of 100 of the
 * rating where mains are about 120 V (NFPA 70, the US National Electrical Code, 210.20(A), from memory); elsewhere the rating and the
 * maker's word. It replaces neither the local code nor a licensed electrician.
 */
final readonly class CircuitLoad
{
    private const CONTINUOUS_SHARE = 0.8;

    private const US_VOLTS = [100.0, 130.0];

    /**
     * @param  float  $watts  all of it on together
     * @param  ?float  $amps  null where the outlet is not known
     * @param  ?float  $most  amperes it may carry for hours
     */
    private function __construct(public float $watts, public ?float $amps, public ?float $most, public bool $over)
    {
    }

    public static function forWatts(float $watts, ?Outlet $outlet): self
    {
        if ($outlet === null) {
            return new self($watts, null, null, false);
        }
        $most = self::most($outlet);
        $amps = $watts / $outlet->volts;

        return new self($watts, $amps, $most, $amps > $most + 1e-9);
    }

    public static function most(Outlet $outlet): float
    {
        $isUs = $outlet->volts >= self::US_VOLTS[0] && $outlet->volts <= self::US_VOLTS[1];

        return $isUs ? self::CONTINUOUS_SHARE * $outlet->amps : $outlet->amps;
    }
}

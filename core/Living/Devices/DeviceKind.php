<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Devices;

/** What a device measures: power drawn through a plug, or the temperature of soil or air. */
enum DeviceKind: string
{
    case Meter = 'meter';
    case Soil = 'soil';
    case Air = 'air';

    public function unit(): string
    {
        return $this === self::Meter ? 'W' : '°C';
    }

    /** Whether a bench can read as much: a plug carries no more than 4 kW; soil and air are between frost and cooking. */
    public function isSense(float $value): bool
    {
        return $this === self::Meter ? $value >= 0.0 && $value <= 4000.0 : $value >= -40.0 && $value <= 80.0;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Units;

/**
 * Units people type in, by what one of them is in the unit the core reckons with (litre, metre, kilogram). Exact, after
 * NIST Special Publication 811, appendix B, and Handbook 44, appendix C. Temperatures have a zero point of their own.
 */
enum Measure: string
{
    case Litre = 'L';
    case Millilitre = 'mL';
    case Gallon = 'gal';
    case Quart = 'qt';
    case Pint = 'pt';
    case Cup = 'cup';
    case FluidOunce = 'fl oz';
    case Tablespoon = 'tbsp';
    case Teaspoon = 'tsp';
    case CubicFoot = 'cu ft';
    case DryQuart = 'dry qt';
    case Bushel = 'bu';
    case Metre = 'm';
    case Centimetre = 'cm';
    case Millimetre = 'mm';
    case Inch = 'in';
    case Foot = 'ft';
    case Kilogram = 'kg';
    case Gram = 'g';
    case Pound = 'lb';
    case Ounce = 'oz';
    case Celsius = '°C';
    case Fahrenheit = '°F';

    /** A value in this unit, in litres, metres, kilograms or °C. */
    public function toCore(float $value): float
    {
        return $this === self::Fahrenheit ? ($value - 32.0) / 1.8 : $value * $this->factor();
    }

    /** A value of the core's in this unit. */
    public function fromCore(float $value): float
    {
        return $this === self::Fahrenheit ? $value * 1.8 + 32.0 : $value / $this->factor();
    }

    private function factor(): float
    {
        return match ($this) {
            self::Litre, self::Metre, self::Kilogram, self::Celsius, self::Fahrenheit => 1.0,
            self::Millilitre, self::Millimetre, self::Gram => 0.001,
            self::Centimetre => 0.01,
            self::Gallon => 3.785411784,
            self::Quart => 0.946352946,
            self::Pint => 0.473176473,
            self::Cup => 0.2365882365,
            self::FluidOunce => 0.0295735295625,
            self::Tablespoon => 0.01478676478125,
            self::Teaspoon => 0.00492892159375,
            self::CubicFoot => 28.316846592,
            self::DryQuart => 1.101220942715,
            self::Bushel => 35.23907016688,
            self::Inch => 0.0254,
            self::Foot => 0.3048,
            self::Pound => 0.45359237,
            self::Ounce => 0.028349523125,
        };
    }
}

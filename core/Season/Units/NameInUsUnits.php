<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Units;

/**
 * Names as US shops and growers say them: "Perlite, 56 L" is "Perlite, 59 qt", "5 cm soil block" is "2 in soil block", "Pot on" is
 * "Pot up". The amounts themselves are the season's, to the litre; a name only says about how much.
 */
final readonly class NameInUsUnits
{
    /** Common practice, no source. */
    private const TERMS = ['Pot on' => 'Pot up', 'potted on' => 'potted up'];

    private const QUARTERS = ['', '¼', '½', '¾'];

    /** Smaller packs are said in fluid ounces. Litres. */
    private const SMALL_L = 1.5;

    public static function convert(string $name): string
    {
        $name = strtr($name, self::TERMS);
        // Where inches stand already, the centimetres beside them go: "8.3 cm (3½ in trade size)".
        if (preg_match('/\d[¼½¾]? in\b/u', $name) === 1) {
            return trim((string) preg_replace(['/\(?\b[\d.]+ cm\)?/u', '/^(.*?), *\((.*)\)$/u'], ['', '$1, $2'], $name), ' ,');
        }

        return (string) preg_replace_callback(
            '/\b(\d+(?:\.\d+)?) (L|cm|mm|m|kg)\b/',
            fn (array $found): string => self::said((float) $found[1], $found[2]),
            $name,
        );
    }

    private static function said(float $amount, string $unit): string
    {
        return match ($unit) {
            'L' => self::volume($amount),
            'cm' => self::inches($amount / 100),
            'mm' => self::inches($amount / 1000),
            'm' => round(Measure::Foot->fromCore($amount)).' ft',
            default => self::tidy(Measure::Pound->fromCore($amount)).' lb',
        };
    }

    private static function volume(float $litres): string
    {
        return $litres < self::SMALL_L
            ? round(Measure::FluidOunce->fromCore($litres)).' fl oz'
            : self::tidy(Measure::Quart->fromCore($litres)).' qt';
    }

    private static function tidy(float $amount): string
    {
        return (string) round($amount, $amount < 10 ? 1 : 0);
    }

    private static function inches(float $metres): string
    {
        $quarters = (int) max(1, round(Measure::Inch->fromCore($metres) * 4));

        return (intdiv($quarters, 4) ?: '').self::QUARTERS[$quarters % 4].' in';
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Units;

/** Pennies add up: parts rounded for show still make the shown total (largest remainder). */
final readonly class Penny
{
    /**
     * @template K of array-key
     *
     * @param  array<K, float>  $parts
     * @param  int  $places  decimals of the currency
     * @return array<K, float> the same keys, each rounded down or up so that they add up to the rounded total
     */
    public static function parts(array $parts, int $places = 2): array
    {
        $scale = 10 ** $places;
        $floors = array_map(fn (float $part): float => floor($part * $scale + 1e-9), $parts);
        $missing = (int) round(array_sum($parts) * $scale) - (int) array_sum($floors);
        $rests = [];
        foreach ($parts as $key => $part) {
            $rests[$key] = $part * $scale - $floors[$key];
        }
        arsort($rests);
        foreach (array_slice(array_keys($rests), 0, max(0, $missing)) as $key) {
            $floors[$key]++;
        }

        return array_map(fn (float $floor): float => $floor / $scale, $floors);
    }
}

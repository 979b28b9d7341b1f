<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

/**
 * A rate that one knows only so well: in one case of five it is bad, else good. Mean and, where neither is cut, standard deviation
 * are those given. Costing rules, section 4; a guess until there are counts.
 */
final readonly class TwoValues
{
    private const BAD = 0.2;

    private const GOOD = 0.8;

    /** Of the bad and of the good value. */
    public const WEIGHTS = [self::BAD, self::GOOD];

    /** No worse than this share of the mean. */
    private const WORST = 0.25;

    /** @return array{float, float} the bad value and the good one */
    public static function around(float $mean, float $deviation): array
    {
        $bad = $mean - 2.0 * $deviation;
        $good = $mean + $deviation / 2.0;
        if ($good > 1.0) {
            $good = 1.0;
            $bad = 1.0 - (1.0 - $mean) / self::BAD;
        }
        if ($bad < $mean * self::WORST) {
            $bad = $mean * self::WORST;
            $good = ($mean - self::BAD * $bad) / self::GOOD;
        }

        return [$bad, $good];
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

/** From which season on a new lamp is cheaper than going on with the old one, each bearing its replacements. */
final readonly class LampSwap
{
    private const MOST_SEASONS = 30;

    /**
     * @param  float  $oldRunning  money a season for the old lamp's power
     * @param  float  $newRunning  for the new one's
     * @param  float  $price  of the new one
     * @param  float  $rate  discount rate per season
     * @return ?int null where it does not pay within thirty seasons
     */
    public static function cheaperFrom(float $oldRunning, float $newRunning, float $price, float $rate): ?int
    {
        $saved = 0.0;
        for ($season = 1; $season <= self::MOST_SEASONS; $season++) {
            // Savings come at the season's end, the price at its beginning: the present worth of an annuity.
            $saved += ($oldRunning - $newRunning) / (1.0 + $rate) ** $season;
            if ($saved >= $price - 1e-9) {
                return $season;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;

/** Why a crop is less sure to be enough than was asked for, and what helps. */
final readonly class BelowAsked
{
    /** Sown again so much later it is still worth the room in the bed. Common practice, no source. */
    private const LATE_DAYS = 21;

    /**
     * @param  int  $asked  of 100
     * @param  float  $mishap  chance that a batch is lost whole, where that alone is the reason; 0 where so much is sown because somebody says so
     * @param  string  $again_until  day until which one can sow again
     * @param  bool  $can_buy  whether somebody sells it
     */
    private function __construct(public int $asked, public float $mishap, public string $again_until, public bool $can_buy)
    {
    }

    public static function forCrop(CropResult $result, Crop $crop, Season $season): ?self
    {
        if ($result->p_enough === null || $result->sow_on === null || $result->p_enough >= $season->confidence) {
            return null;
        }
        $withoutMishap = $season->mishap < 1.0 ? $result->p_enough / (1.0 - $season->mishap) : 0.0;

        return new self(
            (int) round(100 * $season->confidence),
            $withoutMishap >= $season->confidence ? $season->mishap : 0.0,
            Day::ofNumber(Day::parse($result->sow_on)->number + self::LATE_DAYS)->format(),
            SeasonIndex::fromSeason($season)->isSold($crop),
        );
    }
}

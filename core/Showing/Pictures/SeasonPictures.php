<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;

/** What screens draw of a result, by set-up. */
final readonly class SeasonPictures
{
    /**
     * @param  list<SetupResult>  $setups
     * @return array<string, SetupPicture>
     */
    public static function forSetups(array $setups, Season $season): array
    {
        $index = SeasonIndex::fromSeason($season);
        $pictures = [];
        foreach ($setups as $setup) {
            $pictures[$setup->id] = SetupPicture::fromResult($setup, $index);
        }

        return $pictures;
    }
}

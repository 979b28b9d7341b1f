<?php

declare(strict_types=1);

namespace JollyPenny\Core\Pictures;

use JollyPenny\Core\Costing\CropResult;
use JollyPenny\Core\Costing\SetupResult;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Units\Currency;
use JollyPenny\Core\Units\Penny;

/**
 * What screens draw of a result, by set-up and crop: tills, penny stacks, and the heads as shown, which add up to the
 * penny.
 */
final readonly class SeasonPictures
{
    /**
     * @param  list<SetupResult>  $setups
     * @return array<string, array{till: Till, crops: array<string, array{line: CropLine, stack: ?PennyStack, till: Till, shown: ?array<string, float>}>}>
     */
    public static function of(array $setups, Season $season): array
    {
        $pictures = [];
        $index = SeasonIndex::of($season);
        $byId = array_column($season->crops, null, 'id');
        foreach ($setups as $setup) {
            $crops = array_map(fn (CropResult $crop): array => [
                'line' => CropLine::of($crop, $byId[$crop->id], $index),
                'stack' => PennyStack::ofCrop($crop, $season), 'till' => Till::ofCrop($crop, $season, $setup),
                'shown' => $crop->heads === null ? null : Penny::parts($crop->heads, Currency::places($season->currency)),
            ], $setup->crops);
            $pictures[$setup->id] = ['till' => Till::ofSetup($setup), 'crops' => array_combine(array_column($setup->crops, 'id'), $crops)];
        }

        return $pictures;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Season\Units\Penny;

/** What screens draw of a set-up's result. */
final readonly class SetupPicture
{
    /**
     * @param  int  $wanted  plants of the whole list
     * @param  array<string, CropPicture>  $crops  by crop
     */
    private function __construct(public Till $till, public int $wanted, public array $crops)
    {
    }

    public static function fromResult(SetupResult $setup, SeasonIndex $index): self
    {
        $rows = array_column($index->season->crops, null, 'id');
        $places = Currency::places($index->season->currency);
        $pictures = array_map(
            fn (CropResult $crop): CropPicture => new CropPicture(
                CropLine::forCrop($crop, $rows[$crop->id], $index),
                PennyStack::ofCrop($crop, $index->season->currency),
                Till::ofCrop($crop, $setup),
                $crop->heads === null ? null : Penny::parts($crop->heads, $places),
                PotSizes::forCrop($index->methods[$crop->grown ? $crop->method : ''] ?? null, $rows[$crop->id], $index),
                BelowAsked::forCrop($crop, $rows[$crop->id], $index->season),
            ),
            $setup->crops,
        );

        return new self(
            Till::ofSetup($setup),
            array_sum(array_column($rows, 'wanted')),
            array_combine(array_column($setup->crops, 'id'), $pictures),
        );
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

use JollyPenny\Core\Plan\Results\SetupResult;

/** The tills of a set-up and of each of its crops: what a later change of the season is held against. */
final readonly class SetupTills
{
    /** @param  array<string, Till>  $crops  by crop */
    private function __construct(public Till $setup, public array $crops)
    {
    }

    public static function ofResult(SetupResult $result): self
    {
        $crops = [];
        foreach ($result->crops as $crop) {
            $crops[$crop->id] = Till::ofCrop($crop, $result);
        }

        return new self(Till::ofSetup($result), $crops);
    }

    public static function ofPicture(SetupPicture $picture): self
    {
        return new self($picture->till, array_map(fn (CropPicture $crop): Till => $crop->till, $picture->crops));
    }
}

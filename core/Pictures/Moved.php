<?php

declare(strict_types=1);

namespace JollyPenny\Core\Pictures;

use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\Season;

/** By how much a change of the season moved a set-up's till, and that of each of its crops. */
final readonly class Moved
{
    /**
     * @param  string  $setup  id
     * @param  array<string, TillMove>  $crops  by crop; those that are there before and after
     */
    private function __construct(public string $setup, public TillMove $till, public array $crops)
    {
    }

    /** Null where the set-up was not there before. */
    public static function since(Season $before, string $setup, SetupPicture $after): ?self
    {
        $row = array_column($before->setups, null, 'id')[$setup] ?? null;
        if ($row === null) {
            return null;
        }
        $result = (new SeasonCosting($before))->setup($row);
        $tills = [];
        foreach ($result->crops as $crop) {
            if (isset($after->crops[$crop->id])) {
                $tills[$crop->id] = $after->crops[$crop->id]->till->less(Till::ofCrop($crop, $result));
            }
        }

        return new self($setup, $after->till->less(Till::ofSetup($result)), $tills);
    }
}

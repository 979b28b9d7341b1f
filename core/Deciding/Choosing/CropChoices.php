<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Crops\Crop;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\SeedLot;

/**
 * The other ways one crop could go in a set-up, each costed with everything else as it is: by every method of the season or
 * bought, and from every lot of its species.
 */
final readonly class CropChoices
{
    public function __construct(private Season $season)
    {
    }

    /** @return list<CropChoice> in the file's order, the nursery last */
    public function methods(Setup $setup, string $crop): array
    {
        $costing = new SeasonCosting($this->season);
        $choices = [];
        foreach ([...array_column($this->season->methods, 'id'), Setup::NURSERY] as $method) {
            $choice = $this->choice($method, $costing->setup($setup->raising($crop, $method)), $crop);
            if ($method !== Setup::NURSERY || $choice->cost !== null) {
                $choices[] = $choice;
            }
        }

        return $choices;
    }

    /** @return list<CropChoice> by lot, in the file's order */
    public function lots(Setup $setup, string $crop): array
    {
        $species = array_column($this->season->seedLots, 'species', 'id');
        $own = array_column($this->season->crops, 'lot', 'id')[$crop];
        $choices = [];
        foreach ($this->season->seedLots as $lot) {
            if ($species[$lot->id] === $species[$own]) {
                $choices[] = $this->choice($lot->id, (new SeasonCosting($this->sownFrom($crop, $lot)))->setup($setup), $crop);
            }
        }

        return $choices;
    }

    private function sownFrom(string $crop, SeedLot $lot): Season
    {
        return $this->season->withCrop(array_column($this->season->crops, null, 'id')[$crop]->with(lot: $lot->id));
    }

    private function choice(string $id, SetupResult $result, string $crop): CropChoice
    {
        $line = array_column($result->crops, null, 'id')[$crop];

        return new CropChoice(
            id: $id,
            grown: $line->grown,
            cost: $line->cost,
            per_finished: $line->per_finished,
            extra_cost: $line->extra_cost,
            hours: $line->hours,
            g: $line->g,
            seeds: $line->seeds,
            p_enough: $line->p_enough,
            sow_on: $line->sow_on,
            warnings: $line->warnings,
            fill_cost: $result->fill_cost,
            missing: $result->missing,
            crowded_days: $result->crowded_days,
        );
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\SetupBooks;

/** What it takes to have every wanted plant, and what growing saves against buying them. Costing rules, section 8. */
final readonly class FillingTheList
{
    /** Money for the plants that growing is expected to fall short of, where somebody sells them, and the trip after them. */
    public float $filling;

    public float $filled;

    public float $missing;

    /** Money for buying every supplied crop that is on offer, the trip once; null where none is. */
    public ?float $buyTotal;

    /** Money for one of those same plants at the nursery. */
    public ?float $nurseryPerPlant;

    /** Money that growing saves against buying those crops, what falls short and the trip after it bought. */
    public ?float $keep;

    /** Money for one of those same plants by this set-up, to stand beside the nursery's price. */
    public ?float $samePerPlant;

    /** Money that an hour of the gardener's work earns. */
    public ?float $impliedWage;

    /** @param  list<CropResult>  $crops */
    public function __construct(array $crops, SetupBooks $books)
    {
        $season = $books->season();
        $wanted = $shortfallBought = $filled = $plants = 0.0;
        $buying = $spending = $hours = 0.0;
        $any = false;
        foreach ($crops as $i => $crop) {
            $w = $season->crops[$i]->wanted;
            $wanted += $w;
            if ($crop->cost === null) {
                continue;
            }
            if ($crop->buy_cost === null) {
                $filled += (float) $crop->useful;

                continue;
            }
            $short = $crop->shortfallBought();
            $shortfallBought += $short;
            $filled += $w;
            $plants += $w;
            $buying += $crop->buy_cost;
            $spending += $crop->cost + $short;
            $any = true;
            if ($crop->grown) {
                $hours += (float) $crop->hours;
            }
        }
        $trip = $books->tripForShortfall();
        $this->filling = $shortfallBought + $trip;
        $this->filled = $filled;
        $this->missing = $wanted - $filled;
        $this->buyTotal = $any ? $buying + $season->nurseryTripCost : null;
        $this->nurseryPerPlant = $this->buyTotal === null ? null : CropAccount::quotient($this->buyTotal, $plants);
        $this->keep = $this->buyTotal === null ? null : $this->buyTotal - $spending - $trip;
        $this->samePerPlant = $this->buyTotal === null ? null : CropAccount::quotient($this->buyTotal - $this->keep, $plants);
        $this->impliedWage = $this->keep !== null && $hours > 0.0 ? $this->keep / $hours : null;
    }
}

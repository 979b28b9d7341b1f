<?php

declare(strict_types=1);

namespace JollyPenny\Core\Choosing;

use JollyPenny\Core\Results\SetupResult;
use JollyPenny\Core\Season\Season;

/** One set-up of a comparison. */
final readonly class ComparedSetup
{
    /**
     * @param  bool  $fair  whether it supplies the list, so that its price compares with the others'
     * @param  bool  $fair_priced_in  whether it would with those plants bought that it cannot supply
     * @param  list<string>  $unsupplied  crops it neither raises nor buys
     * @param  ?float  $priced_in  money for one plant with those of them that somebody sells bought too; null where there are none
     * @param  float  $still_missing  plants then still missing
     * @param  float  $electricity  kWh
     */
    private function __construct(
        public string $id,
        public bool $fair,
        public bool $fair_priced_in,
        public array $unsupplied,
        public ?float $priced_in,
        public float $still_missing,
        public float $electricity,
    ) {
    }

    public static function of(SetupResult $result, Season $season): self
    {
        $unsupplied = [];
        $cost = $result->fill_cost;
        $plants = $result->filled;
        foreach ($result->crops as $i => $crop) {
            if ($crop->cost !== null) {
                continue;
            }
            $unsupplied[] = $crop->id;
            if ($crop->buy_cost !== null) {
                $cost += $crop->buy_cost;
                $plants += $season->crops[$i]->wanted;
            }
        }

        $stillMissing = $result->missing - ($plants - $result->filled);

        return new self($result->id, $result->isFair(), $stillMissing < SetupResult::FAIR, $unsupplied,
            $plants > $result->filled ? $cost / $plants : null, $stillMissing, array_sum($result->kwh));
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Pictures;

use JollyPenny\Core\Costing\SetupResult;
use JollyPenny\Core\Season\Season;

/** One set-up of a comparison. */
final readonly class ComparedSetup
{
    /**
     * @param  bool  $fair  whether it supplies the list, so that its price compares with the others'
     * @param  list<string>  $unsupplied  crops it neither raises nor buys
     * @param  ?float  $priced_in  money for one plant with those of them that somebody sells bought too; null where there are none
     * @param  float  $still_missing  plants then still missing
     * @param  float  $electricity  kWh
     */
    private function __construct(
        public string $id,
        public ?PennyStack $stack,
        public bool $fair,
        public array $unsupplied,
        public ?float $priced_in,
        public float $still_missing,
        public float $electricity,
    ) {
    }

    public static function of(SetupResult $result, ?PennyStack $stack, Season $season): self
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

        return new self($result->id, $stack, $result->missing < Comparison::FAIR, $unsupplied,
            $plants > $result->filled ? $cost / $plants : null, $result->missing - ($plants - $result->filled), array_sum($result->kwh));
    }
}

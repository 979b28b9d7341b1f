<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Years;

/** A set-up over several seasons. Property names are the result's keys. */
final readonly class SetupYears
{
    /**
     * @param  bool  $comparable  whether buying would give the same plants
     * @param  list<YearLine>  $seasons
     * @param  ?int  $payback_season  the first by whose end it has cost no more than buying
     * @param  ?int  $till_payback_season  the first by whose end no more was paid than for buying: what a gardener calls paid for itself
     * @param  float  $present_value  money, at the season's discount rate
     */
    public function __construct(
        public string $id,
        public bool $comparable,
        public array $seasons,
        public ?int $payback_season,
        public ?int $till_payback_season,
        public float $present_value,
        public ?float $buying_present_value,
    ) {
    }
}

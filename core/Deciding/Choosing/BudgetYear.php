<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

/** One of several seasons under the same limit. */
final readonly class BudgetYear
{
    /**
     * @param  list<array{kind: string, name: string, cost: float}>  $lasting  bought now, and there in later seasons
     * @param  float  $saved  money so far, against buying the whole list in each of these seasons; never less for what is left out
     */
    public function __construct(public int $year, public Budgeted $budget, public array $lasting, public float $saved)
    {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Germination;

use JollyPenny\Core\Season\Things\GerminationRow;

/**
 * How a species answers to soil temperature: emergence per day, and what percent comes up. Between the rows of its table
 * rate and percent run straight. Costing rules, section 3, step 5.
 */
final readonly class TemperatureResponse
{
    /** How far beyond its ends the table's end rows still hold, °C. */
    private const REACH = 2.0;

    private function __construct(public float $rate, public float $percent)
    {
    }

    /** @param  non-empty-list<GerminationRow>  $table  in rising order of temperature */
    public static function at(array $table, float $temperature): self
    {
        $last = $table[count($table) - 1];
        foreach ([[$table[0], $table[0]->tempC - $temperature], [$last, $temperature - $last->tempC]] as [$end, $beyond]) {
            if ($beyond >= 0) {
                $holds = $beyond === 0.0 || ($beyond <= self::REACH && $end->percent > 0.0);

                return $holds ? new self($end->rate(), $end->percent) : new self(0.0, 0.0);
            }
        }
        $upper = 1;
        while ($table[$upper]->tempC < $temperature) {
            $upper++;
        }
        [$a, $b] = [$table[$upper - 1], $table[$upper]];
        $share = ($temperature - $a->tempC) / ($b->tempC - $a->tempC);

        return new self($a->rate() + $share * ($b->rate() - $a->rate()), $a->percent + $share * ($b->percent - $a->percent));
    }

    /**
     * The first row of the highest percent.
     *
     * @param  non-empty-list<GerminationRow>  $table
     */
    public static function best(array $table): GerminationRow
    {
        $best = $table[0];
        foreach ($table as $row) {
            $best = $row->percent > $best->percent ? $row : $best;
        }

        return $best;
    }
}

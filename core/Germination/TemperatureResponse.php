<?php

declare(strict_types=1);

namespace JollyPenny\Core\Germination;

use JollyPenny\Core\Season\GerminationRow;
use JollyPenny\Core\Season\Species;

/**
 * How a species answers to soil temperature: what share comes up of what would at best, and in how many days.
 * Costing rules, section 3, step 5. `failure` is set where it cannot be raised at that temperature.
 */
final readonly class TemperatureResponse
{
    /** How far beyond its ends the table's end rows still hold, °C. */
    private const REACH = 2.0;

    private const NONE_PERCENT = 1e-9;

    private function __construct(
        public float $relative,
        public ?float $days,
        public ?Failure $failure = null,
    ) {
    }

    public static function of(Species $species, ?float $temperature): self
    {
        $table = $species->germination;
        if ($table === [] || $temperature === null) {
            return new self(1.0, $species->daysToEmerge);
        }
        $best = self::best($table);
        [$rate, $percent] = self::at($table, $temperature);
        if ($percent < self::NONE_PERCENT) {
            return new self(0.0, null, $temperature < $best->tempC ? Failure::TooCold : Failure::TooHot);
        }

        return new self($percent / $best->percent, 1.0 / $rate);
    }

    /**
     * @param  non-empty-list<GerminationRow>  $table
     * @return array{float, float} rate per day and percent
     */
    private static function at(array $table, float $temperature): array
    {
        $last = $table[count($table) - 1];
        foreach ([[$table[0], $table[0]->tempC - $temperature], [$last, $temperature - $last->tempC]] as [$end, $beyond]) {
            if ($beyond >= 0) {
                return $beyond <= self::REACH ? [$end->rate(), $end->percent] : [0.0, 0.0];
            }
        }
        $upper = 1;
        while ($table[$upper]->tempC < $temperature) {
            $upper++;
        }
        [$a, $b] = [$table[$upper - 1], $table[$upper]];
        $share = ($temperature - $a->tempC) / ($b->tempC - $a->tempC);

        return [$a->rate() + $share * ($b->rate() - $a->rate()), $a->percent + $share * ($b->percent - $a->percent)];
    }

    /**
     * The first row of the highest percent.
     *
     * @param  non-empty-list<GerminationRow>  $table
     */
    private static function best(array $table): GerminationRow
    {
        $best = $table[0];
        foreach ($table as $row) {
            $best = $row->percent > $best->percent ? $row : $best;
        }

        return $best;
    }
}

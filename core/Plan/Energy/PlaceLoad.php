<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Energy;

use JollyPenny\Core\Plan\Calendar\StagePlan;

/** What stands at one place on each day: flats in all, flats that want light, flats that want heat, and how many stages. */
final class PlaceLoad
{
    public const ALL = 0;

    public const LIGHT = 1;

    public const HEAT = 2;

    /** @var array{list<float>, list<float>, list<float>} flats by kind and day */
    public array $flats;

    /** @var list<int> stages standing there by day */
    public array $standing;

    /** @param  list<StagePlan>  $stages  all that stand there */
    public function __construct(public readonly int $firstDay, private readonly int $days, array $stages)
    {
        $flats = [array_fill(0, $this->days + 1, 0.0), array_fill(0, $this->days + 1, 0.0), array_fill(0, $this->days + 1, 0.0)];
        $standing = array_fill(0, $this->days + 1, 0);
        foreach ($stages as $plan) {
            [$start, $end] = [$plan->start - $this->firstDay, $plan->end - $this->firstDay];
            $standing[$start]++;
            $standing[$end]--;
            foreach ([true, $plan->stage->light, $plan->stage->mat] as $kind => $counts) {
                if ($counts) {
                    $flats[$kind][$start] += $plan->flats;
                    $flats[$kind][$end] -= $plan->flats;
                }
            }
        }
        $this->flats = [$this->running($flats[0]), $this->running($flats[1]), $this->running($flats[2])];
        $count = 0;
        $this->standing = [];
        for ($day = 0; $day < $this->days; $day++) {
            $this->standing[] = $count += $standing[$day];
        }
    }

    public function peak(int $kind): float
    {
        return $this->flats[$kind] === [] ? 0.0 : max($this->flats[$kind]);
    }

    /**
     * @param  array<int, float>  $steps
     * @return list<float> what is left after adding up; the dust of adding and taking away again is swept to 0
     */
    private function running(array $steps): array
    {
        $now = 0.0;
        $running = [];
        for ($day = 0; $day < $this->days; $day++) {
            $now += $steps[$day];
            $running[] = $now < 1e-12 ? 0.0 : $now;
        }

        return $running;
    }
}

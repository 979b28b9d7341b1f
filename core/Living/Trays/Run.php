<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Things\Container;

/** Sites of one crop that are filled together at one stage, and stand in that container until the next. */
final readonly class Run
{
    private const MONDAY = 3;

    private const WEEK = 7;

    /** Depths of less than this apart are alike, millimetres. */
    private const DEPTH_STEP_MM = 6.0;

    /**
     * @param  int  $index  of the stage
     * @param  int  $order  of the crop on the list
     * @param  int  $end  day number after the last in this container
     */
    private function __construct(
        public CropPlan $plan,
        public StagePlan $stage,
        public Container $container,
        public int $index,
        public int $order,
        public int $end,
        private float $depthMm,
    ) {
    }

    /**
     * @param  float  $depthMm  at which the seed lies; 0 where it is not known
     * @return list<self> one for each container a plan fills
     */
    public static function ofPlan(CropPlan $plan, int $order, float $depthMm): array
    {
        $runs = [];
        foreach ($plan->stages as $i => $stage) {
            if (! $stage->fills() || $stage->container === null || $stage->sites === 0) {
                continue;
            }
            $end = $stage->end;
            for ($next = $i + 1; isset($plan->stages[$next]) && ! $plan->stages[$next]->fills(); $next++) {
                $end = $plan->stages[$next]->end;
            }
            $runs[] = new self($plan, $stage, $stage->container, $i, $order, $end, $i === 0 ? $depthMm : 0.0);
        }

        return $runs;
    }

    /** What may stand in one tray: the same container, at one place, on the mat or not, under the lamp or not. */
    public function companions(): string
    {
        return "{$this->container->id}|{$this->stage->place->id}|".(int) $this->stage->stage->mat.'|'.(int) $this->stage->stage->light;
    }

    /**
     * Sown in one week, then alike in warmth, then leaving the tray in one week (so as high as each other), then of one depth.
     *
     * @return list<int|string>
     */
    public function sortKey(): array
    {
        return [
            self::week($this->stage->start),
            $this->companions(),
            self::week($this->end),
            (int) round($this->depthMm / self::DEPTH_STEP_MM),
            $this->stage->start,
            $this->order,
        ];
    }

    public function is(string $crop, int $stage, string $container): bool
    {
        return $this->plan->crop->id === $crop && $this->index === $stage && $this->container->id === $container;
    }

    private static function week(int $day): int
    {
        return (int) floor(($day + self::MONDAY) / self::WEEK);
    }
}

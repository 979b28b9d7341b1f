<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

/** One evening's call: how cold it gets by dawn, and what of the plants outdoors is brought in or covered. */
final readonly class Night
{
    /**
     * @param  string  $on  the evening, year-month-day
     * @param  float  $low_c  expected by dawn in the open, as the garden goes by the forecast, °C
     * @param  float  $forecast_c  as it was forecast
     * @param  ?float  $measured_c  as it came; null while that is not known
     * @param  float  $spread_c  how far it may stray, a standard deviation
     * @param  list<array{crop: string, name: string, count: int, limit_c: float, chance: float}>  $bring_in  what may be too cold, with how likely that is
     * @param  list<array{crop: string, name: string, count: int, limit_c: float, chance: float}>  $cover  the same of what stands in the bed
     * @param  bool  $cover_may_fail  so cold that a cover may not be enough
     * @param  float  $minutes  that it takes
     * @param  bool  $is_cold  whether there is anything to do
     * @param  ?bool  $was_cold  whether it came too cold for something; null while that is not known
     */
    public function __construct(
        public string $on,
        public float $low_c,
        public float $forecast_c,
        public ?float $measured_c,
        public float $spread_c,
        public array $bring_in,
        public array $cover,
        public bool $cover_may_fail,
        public float $minutes,
        public bool $is_cold,
        public ?bool $was_cold,
    ) {
    }
}

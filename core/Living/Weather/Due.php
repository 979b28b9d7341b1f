<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

/** When what was sown should be up, as the weather has been and is said to become. */
final readonly class Due
{
    /**
     * @param  string  $sown_on  year-month-day, as all days here
     * @param  string  $on  most likely
     * @param  string  $from  were the days that nobody has measured warmer than thought
     * @param  ?string  $until  were they colder; null: not at all then
     * @param  string  $planned_on  as planned, without the weather
     * @param  bool  $is_late  it has taken more than a third longer than it should have, and nothing is up
     * @param  int  $measured  days since sowing that rest on a thermometer
     * @param  int  $forecast  that rest on a forecast
     * @param  ?float  $soil_c  mean of the soil until it is up, °C; null where nothing is modelled
     */
    public function __construct(
        public string $crop,
        public string $sown_on,
        public string $on,
        public string $from,
        public ?string $until,
        public string $planned_on,
        public bool $is_late,
        public int $measured,
        public int $forecast,
        public ?float $soil_c,
    ) {
    }
}

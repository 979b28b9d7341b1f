<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Weather;

use JollyPenny\Core\Season\Things\Monthly;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Stands in for a weather service: days that wander around the monthly means of a place, warm and cold spells of some days, and
 * forecasts that are mostly nearly right and sometimes wrong. The same for the same seed.
 */
final class SimulatedWeather
{
    /** How far a day strays from its month, and how much of that is still there the day after. Common practice, no source. */
    private const STRAYS_C = 3.2;

    private const STAYS = 0.75;

    /** How far the swing of a day strays: a clear night is colder. */
    private const SWING_STRAYS_C = 2.5;

    private const LEAST_SWING_C = 3.0;

    /** A forecast is off by so much for tomorrow, and by so much more for each day after that. */
    private const MORE_A_DAY_C = 0.35;

    /** A cold snap comes over three days. */
    private const SNAP_C = [5.0, 9.0, 5.0];

    /** @var array<int, DayWeather> by day number */
    public readonly array $days;

    private readonly Randomizer $errors;

    /**
     * @param  list<float>  $months  mean temperature of each, °C, January first
     * @param  int  $from  day number, to another, both with it
     * @param  float  $swingC  from dawn to the afternoon, on the mean: 10 near the sea, 18 in high, dry country
     * @param  float  $offC  standard deviation of a forecast for the next dawn
     * @param  float  $colderC  the garden lies in a hollow: so much colder at dawn than any forecast has it
     * @param  ?int  $coldSnap  day number on which it is worst
     */
    public function __construct(array $months, int $from, int $to, int $seed, float $swingC = 11.0, private readonly float $offC = 2.0,
        private readonly float $colderC = 0.0, ?int $coldSnap = null)
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->errors = new Randomizer(new Xoshiro256StarStar($seed ^ 0x5DEECE66D));
        $days = [];
        $spell = self::STRAYS_C * self::normal($random);
        for ($day = $from; $day <= $to; $day++) {
            $spell = self::STAYS * $spell + sqrt(1 - self::STAYS ** 2) * self::STRAYS_C * self::normal($random);
            $half = max(self::LEAST_SWING_C, $swingC + self::SWING_STRAYS_C * self::normal($random)) / 2;
            $snap = $coldSnap === null ? 0.0 : self::SNAP_C[$day - $coldSnap + 1] ?? 0.0;
            $mean = (float) Monthly::on($months, $day) + $spell - $snap;
            $days[$day] = new DayWeather(round($mean - $half - $colderC, 1), round($mean + $half, 1));
        }
        $this->days = $days;
    }

    /** @return array<int, DayWeather> by day number: what is said on a day of the seven after it */
    public function forecast(int $made): array
    {
        $said = [];
        $off = 0.0;
        for ($lead = 1; $lead <= WeatherBook::AHEAD; $lead++) {
            // What is off tomorrow is mostly off the day after too.
            $spread = $this->offC + self::MORE_A_DAY_C * ($lead - 1);
            $new = $spread * self::normal($this->errors);
            $off = $lead === 1 ? $new : self::STAYS * $off + sqrt(1 - self::STAYS ** 2) * $new;
            $real = $this->days[$made + $lead] ?? null;
            if ($real !== null) {
                $low = round($real->low + $this->colderC + $off, 1);
                $said[$made + $lead] = new DayWeather($low, max($low, round($real->high + $off / 2, 1)));
            }
        }

        return $said;
    }

    /** @return array<int, array<int, DayWeather>> a forecast on each of those days */
    public function forecasts(int $from, int $to): array
    {
        $all = [];
        for ($made = $from; $made <= $to; $made++) {
            $all[$made] = $this->forecast($made);
        }

        return $all;
    }

    /** Box and Muller's way from two even numbers to a normal one. */
    private static function normal(Randomizer $random): float
    {
        $even = fn (): float => ($random->getInt(0, 999_999) + 0.5) / 1_000_000;

        return sqrt(-2 * log($even())) * cos(2 * M_PI * $even());
    }
}

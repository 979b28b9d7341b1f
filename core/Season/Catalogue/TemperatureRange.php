<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Catalogue;

/**
 * How a species without a table of days answers to soil temperature, from its minimum, optimum and maximum, °C. A rule of our own:
 * the rate of emergence is 0 at minimum and maximum and highest at the optimum, straight in between; all that can comes up over
 * the optimum range, 40 of 100 of it at the minimum and the maximum.
 */
final readonly class TemperatureRange
{
    /** Share of the best that comes up at the ends. */
    private const AT_THE_ENDS = 0.4;

    /** So close to an end a row still has a rate, °C. */
    private const WITHIN = 0.1;

    public function __construct(
        public float $minimum,
        public float $optimumLow,
        public float $optimumHigh,
        public float $optimum,
        public float $maximum,
        public string $source,
    ) {
    }

    /** @param  array<string, string|int|float|bool|null>  $row  of temperature-ranges.csv */
    public static function fromRow(array $row): self
    {
        $low = (float) $row['optimum_low_c'];
        $optimum = (float) $row['optimum_c'];

        return new self((float) $row['minimum_c'], min($low, $optimum), max((float) $row['optimum_high_c'], $optimum), $optimum,
            (float) $row['maximum_c'], (string) $row['source']);
    }

    /**
     * The table of the season file that follows the rule.
     *
     * @param  float  $days  to emergence at the optimum
     * @return list<array{temp_c: float, days: ?float, percent: float}>
     */
    public function table(float $days): array
    {
        $temperatures = [$this->minimum + self::WITHIN, $this->optimumLow, $this->optimum, $this->optimumHigh, $this->maximum - self::WITHIN];
        $rows = ["{$this->minimum}" => self::none($this->minimum)];
        foreach ($temperatures as $temperature) {
            if ($temperature > $this->minimum && $temperature < $this->maximum) {
                $rows["{$temperature}"] = [
                    'temp_c' => round($temperature, 4),
                    'days' => round($days / $this->rate($temperature), 2),
                    'percent' => round(100 * $this->share($temperature), 1),
                ];
            }
        }
        $rows["{$this->maximum}"] = self::none($this->maximum);
        usort($rows, fn (array $a, array $b): int => $a['temp_c'] <=> $b['temp_c']);

        return $rows;
    }

    /** Of the rate at the optimum. */
    private function rate(float $temperature): float
    {
        return $temperature <= $this->optimum
            ? ($temperature - $this->minimum) / ($this->optimum - $this->minimum)
            : ($this->maximum - $temperature) / ($this->maximum - $this->optimum);
    }

    /** Of what comes up at best. */
    private function share(float $temperature): float
    {
        $slope = fn (float $from, float $to): float => self::AT_THE_ENDS + (1 - self::AT_THE_ENDS) * ($temperature - $from) / ($to - $from);

        return match (true) {
            $temperature < $this->optimumLow => $slope($this->minimum, $this->optimumLow),
            $temperature > $this->optimumHigh => $slope($this->maximum, $this->optimumHigh),
            default => 1.0,
        };
    }

    /** @return array{temp_c: float, days: null, percent: float} */
    private static function none(float $temperature): array
    {
        return ['temp_c' => $temperature, 'days' => null, 'percent' => 0.0];
    }
}

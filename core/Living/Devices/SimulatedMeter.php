<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Devices;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Stands in for a plug meter or a thermometer: the posts that it would send, with noise, gaps, repeats and restarts, the same for the
 * same seed. A reading carries the time at which it was taken, by which it is known again.
 */
final readonly class SimulatedMeter
{
    private const NOISE = 0.02;

    private const NOISE_C = 0.3;

    private const STANDBY_WATTS = 0.4;

    /** The chance of each at every post. */
    private const REPEAT = 0.05;

    private const RESTART = 0.01;

    /** Of every reading: it is not taken. */
    private const GAP = 0.02;

    /**
     * @param  float  $level  watts while on, or °C
     * @param  float  $hours  a day that it is on
     * @param  int  $every  seconds between readings
     */
    public function __construct(
        private DeviceKind $kind,
        private float $level,
        private float $hours = 24.0,
        private int $every = 60,
        private int $perPost = 20,
        private int $seed = 1,
    ) {
    }

    /**
     * @param  int  $from  seconds since 1970
     * @return iterable<list<array{at: string, value: float}>> one post after the other
     */
    public function posts(int $from, int $readings): iterable
    {
        $random = new Randomizer(new Xoshiro256StarStar($this->seed));
        $post = [];
        for ($i = 0; $i < $readings; $i++) {
            $at = $from + $i * $this->every;
            if ($this->chance($random) < self::GAP) {
                continue;
            }
            $post[] = ['at' => gmdate('Y-m-d\TH:i:s\Z', $at), 'value' => round($this->value($at, $random), 2)];
            if (count($post) < $this->perPost) {
                continue;
            }
            yield $post;
            if ($this->chance($random) < self::REPEAT) {
                yield $post;
            }
            // After a restart it no longer knows what it has sent, and sends the last half again.
            $post = $this->chance($random) < self::RESTART ? array_slice($post, intdiv($this->perPost, 2)) : [];
        }
        if ($post !== []) {
            yield $post;
        }
    }

    private function value(int $at, Randomizer $random): float
    {
        $noise = 2.0 * $this->chance($random) - 1.0;
        if ($this->kind !== DeviceKind::Meter) {
            return $this->level + self::NOISE_C * $noise;
        }
        $on = ($at % 86400) / 3600 < $this->hours;

        return $on ? $this->level * (1.0 + self::NOISE * $noise) : self::STANDBY_WATTS;
    }

    private function chance(Randomizer $random): float
    {
        return $random->getInt(0, 999_999) / 1_000_000;
    }
}

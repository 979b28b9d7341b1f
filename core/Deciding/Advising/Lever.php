<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** An input that the answer hangs on, moved over what it may well be. */
final readonly class Lever
{
    /**
     * @param  list<string|int>  $path  in the season
     * @param  string  $source  measured, you, guess, or known by its chances
     * @param  float  $value  as it is
     * @param  float  $low  what it may be at the least
     * @param  float  $high  at the most
     * @param  float  $keep_low  money kept against buying at the least value
     * @param  float  $keep_high  at the most
     * @param  float  $moves  money between the lowest and the highest of it
     * @param  float  $worth_knowing  money that one would save on average, were it known before deciding: by buying all, or one crop, or none
     */
    public function __construct(
        public array $path,
        public string $name,
        public string $source,
        public float $value,
        public float $low,
        public float $high,
        public float $keep_low,
        public float $keep_high,
        public float $moves,
        public float $worth_knowing,
    ) {
    }
}

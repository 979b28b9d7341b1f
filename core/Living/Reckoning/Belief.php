<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/** A rate as it was planned, as it was counted, and as it is believed from now on. */
final readonly class Belief
{
    /**
     * @param  string  $key  germination, survival, luck, minutes, life, measured or weather
     * @param  string  $name  of what
     * @param  ?float  $counted  null where it was measured only as one value
     * @param  ?array{low: float, high: float}  $planned_range  10 and 90 % points of what was believed before (beta); null of what is no share
     * @param  ?array{low: float, high: float}  $believed_range  after
     * @param  float  $weight  what the plan counted for, in seeds or plants
     * @param  int  $of  seeds, plants or things counted
     * @param  float  $similar  seeds or plants that what was counted of similar ones is worth beside that
     * @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits  that take it over
     */
    public function __construct(
        public string $key,
        public string $id,
        public string $name,
        public float $planned,
        public ?float $counted,
        public float $believed,
        public ?array $planned_range,
        public ?array $believed_range,
        public float $weight,
        public int $of,
        public float $similar,
        public array $edits,
    ) {
    }
}

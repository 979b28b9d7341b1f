<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season;

use stdClass;

/**
 * One way to furnish a season: which method for which crop, which lights, mats and gear.
 */
final readonly class Setup
{
    use With;

    /** Stands in a method's place for crops that are bought. */
    public const NURSERY = 'nursery';

    /**
     * @param  array<array-key, string>  $overrides  method ids, or "nursery", by crop id
     * @param  list<string>  $lights  ids
     * @param  list<string>  $mats  ids
     * @param  list<string>  $appliances  ids
     * @param  list<string>  $gear  ids
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $method,
        public array $overrides = [],
        public array $lights = [],
        public array $mats = [],
        public array $appliances = [],
        public array $gear = [],
        public ?stdClass $meta = null,
    ) {
    }

    /** The id of the method that raises a crop here, or "nursery". */
    public function methodFor(string $crop): string
    {
        return $this->overrides[$crop] ?? $this->method;
    }

    /** The same set-up with one crop raised by another method. */
    public function raising(string $crop, string $method): self
    {
        return $this->with(overrides: [$crop => $method] + $this->overrides);
    }
}

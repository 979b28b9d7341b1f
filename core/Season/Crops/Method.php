<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use JollyPenny\Core\Season\ListOf;
use JollyPenny\Core\Season\With;
use stdClass;

/**
 * How a crop is raised: an ordered list of stages. Plants that go out young do so after a share of the species' weeks.
 */
final readonly class Method
{
    use With;

    /**
     * @param  list<Stage>  $stages
     * @param  list<string>  $needs  ids
     * @param  list<Extra>  $extras
     */
    public function __construct(
        public string $id,
        public string $name,
        public Pattern $pattern,
        public int $seedsPerSite,
        #[ListOf(Stage::class)] public array $stages,
        public int $minPlants = 1,
        public int $roundSitesTo = 1,
        public float $weeksShare = 1.0,
        public array $needs = [],
        #[ListOf(Extra::class)] public array $extras = [],
        public ?stdClass $meta = null,
    ) {
    }

    /** Sown in the bed where it will grow. */
    public function isDirectSowing(): bool
    {
        return $this->stages[0]->container === null;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Cell;
use stdClass;

/** A species that the catalogue does not hold, taken to do what a relative does but for what the person knows of it. */
final readonly class OwnSpecies
{
    /** No seed is up sooner than the tenth of a day to which a table is kept. */
    private const LEAST_DAYS = 0.1;

    /**
     * @param  string  $like  the relative's id in the catalogue
     * @param  ?float  $days  to emergence where the relative takes its usual days; null as the relative
     * @param  ?float  $weeks  from sowing to planting out; null as the relative
     * @param  ?bool  $tender  killed by frost; null as the relative
     */
    public function __construct(
        public string $name,
        public string $like,
        public ?int $wanted = null,
        private ?float $days = null,
        private ?float $weeks = null,
        private ?bool $tender = null,
    ) {
    }

    /**
     * The species for a season, its table of emergence stretched to the days said.
     *
     * @param  stdClass  $relative  as a row of `species`
     * @param  float  $usual  days the relative takes
     */
    public function row(stdClass $relative, float $usual): stdClass
    {
        $relative->id = $relative->name = $this->name;
        $relative->meta = (object) [SeasonDraft::KIN => $this->like];
        $slower = ($this->days ?? $usual) / $usual;
        foreach (Cell::rows($relative->germination ?? null) as $at) {
            $at->days = is_numeric($at->days) ? max(self::LEAST_DAYS, round((float) $at->days * $slower, 1)) : null;
        }
        if (is_numeric($relative->days_to_emerge ?? null)) {
            $relative->days_to_emerge = (float) $relative->days_to_emerge * $slower;
        }
        $relative->weeks = $this->weeks ?? $relative->weeks ?? null;
        $relative->tender = $this->tender ?? $relative->tender ?? false;

        return $relative;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use JollyPenny\Core\Season\ListOf;
use JollyPenny\Core\Season\With;
use stdClass;

/** Rows that stand against each other, to see which way is better. */
final readonly class Trial
{
    use With;

    /** @param  list<TrialSide>  $sides  two */
    public function __construct(
        public string $id,
        public string $name,
        #[ListOf(TrialSide::class)] public array $sides,
        public TrialMeasure $measure = TrialMeasure::Up,
        public ?stdClass $meta = null,
    ) {
    }
}

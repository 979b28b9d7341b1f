<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

use JollyPenny\Core\Season\ListOf;
use JollyPenny\Core\Season\With;
use stdClass;

/** A tray, or ten pots, whose rows somebody has laid out by hand or has labelled. */
final readonly class Tray
{
    use With;

    /**
     * @param  string  $id  its letters
     * @param  string  $container  id
     * @param  ?int  $columns  sites in a row; null as its shape suggests
     * @param  list<TrayRun>  $runs
     */
    public function __construct(
        public string $id,
        public string $container,
        public ?int $columns = null,
        #[ListOf(TrayRun::class)] public array $runs = [],
        public ?stdClass $meta = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

/** What stands at a place from one day to another. */
final readonly class Stand
{
    /**
     * @param  string  $from  day
     * @param  string  $to  day after the last
     * @param  bool  $light  wants a lamp
     * @param  bool  $mat  wants warmth
     * @param  int  $sites  as they were really filled, where that is written down
     * @param  ?string  $container  id
     * @param  ?string  $codes  rows of trays: C1–2
     */
    public function __construct(
        public string $crop,
        public string $stage,
        public string $from,
        public string $to,
        public float $flats,
        public bool $light,
        public bool $mat,
        public ?string $container,
        public int $sites,
        public ?string $codes,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Living\Log\TaskKind;

/** One thing to do on a day. The id stays the same when the day moves. */
final readonly class Task
{
    /**
     * @param  string  $id  of the crop, the kind and which of them, within a set-up
     * @param  string  $date  year-month-day
     * @param  ?string  $crop  null for what all crops share
     * @param  ?int  $stage  of the method, where it belongs to one
     */
    public function __construct(
        public string $id,
        public string $date,
        public TaskKind $kind,
        public ?string $crop,
        public string $words,
        public ?int $stage = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Log;

use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\With;

/** One thing written down in the season. It is never changed: a later entry corrects it or takes it back. */
final readonly class LogEntry
{
    use With;

    /**
     * @param  string  $id  given where it was written down
     * @param  string  $at  when it was written down there, as ISO 8601 in UTC; puts entries of one day in order
     * @param  ?string  $crop  id, also of a crop that is no longer on the list
     * @param  ?string  $tray  letters of the tray
     * @param  ?int  $row  first row of it
     * @param  ?int  $rows  how many rows
     * @param  ?int  $count  sites sown, plants counted, lost or moved
     * @param  ?float  $amount  used of something, or a reading, in `unit`
     * @param  ?string  $job  the job of the season this was
     * @param  ?Day  $until  to which day a job is put off
     * @param  bool  $waited  on a device that was away: kept also where it cannot be, and shown until it is put right
     * @param  ?string  $corrects  id of the entry in whose place this one stands, or which it takes back
     */
    public function __construct(
        public string $id,
        public Day $on,
        public string $at,
        public LogKind $kind,
        public ?string $crop = null,
        public ?string $tray = null,
        public ?int $row = null,
        public ?int $rows = null,
        public ?int $count = null,
        public ?int $seeds = null,
        public ?float $amount = null,
        public ?string $unit = null,
        public ?LossCause $cause = null,
        public ?string $job = null,
        public ?Day $until = null,
        public ?string $corrects = null,
        public string $note = '',
        public bool $waited = false,
    ) {
    }
}

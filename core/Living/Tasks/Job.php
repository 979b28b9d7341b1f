<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Season\Log\LogKind;
use JollyPenny\Core\Season\With;

/** One thing that a person does on a day, for one crop or for all that share it, with how to do it and how it is written down. */
final readonly class Job
{
    use With;

    /**
     * @param  string  $id  stays the same when the day moves; what is shared has its day in it
     * @param  string  $date  day it is due
     * @param  string  $until  last day on which it is still worth being reminded of
     * @param  ?string  $crop  null for what several crops share
     * @param  list<string>  $crops  all that have part in it
     * @param  string  $words  what to do
     * @param  ?string  $detail  how
     * @param  ?string  $codes  rows of trays
     * @param  ?string  $tray  letters of the tray, where it is one
     * @param  ?int  $row  first row in it
     * @param  ?int  $count  that is expected to be written down with it; null where nothing is counted
     * @param  ?int  $of  of so many at most
     * @param  ?int  $seeds  to sow
     * @param  ?float  $amount  of a mix, litres
     * @param  ?string  $supply  id of the mix
     * @param  float  $minutes  that it takes, by the plan
     * @param  bool  $away  on a day on which one is away
     * @param  list<string>  $cautions  keys
     * @param  ?string  $done_on  day it was done; null while it is not
     * @param  list<string>  $entries  ids of the entries that say so
     * @param  ?int  $counted  what was written down
     * @param  list<array{tray: string, row: int, sites: int, seeds: int}>  $parts  in which rows it is sown
     * @param  bool  $asks_again  whether it is the time to ask if one had better sow again
     */
    public function __construct(
        public string $id,
        public string $date,
        public string $until,
        public JobGroup $group,
        public TaskKind $kind,
        public ?string $crop,
        public array $crops,
        public string $words,
        public ?string $detail = null,
        public ?string $codes = null,
        public ?string $tray = null,
        public ?int $row = null,
        public LogKind $kind_of_entry = LogKind::Done,
        public ?int $count = null,
        public ?int $of = null,
        public ?int $seeds = null,
        public ?float $amount = null,
        public ?string $supply = null,
        public float $minutes = 0.0,
        public bool $away = false,
        public array $cautions = [],
        public ?string $done_on = null,
        public array $entries = [],
        public ?int $counted = null,
        public array $parts = [],
        public bool $asks_again = false,
    ) {
    }
}

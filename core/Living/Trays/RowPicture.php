<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

/** Rows of a tray that hold one crop. */
final readonly class RowPicture
{
    /**
     * @param  string  $crop  id
     * @param  int  $stage  which of the method's fills them
     * @param  string  $code  as on the label: C1–2
     * @param  int  $row  the first, from 1
     * @param  int  $seeds  sown here, or to be sown; 0 where plants are moved into it
     * @param  string  $from  day they are filled
     * @param  string  $to  day after the last
     * @param  bool  $filled  written down as sown or moved
     * @param  bool  $continued  goes on in another tray, or began in one
     * @param  ?int  $up  counted in this tray; null where it was not
     * @param  ?int  $plants  that stand here now: counted in this tray, or its part of what was counted of the crop; null before a count
     * @param  int  $count_of  what a count here is of: so many sites, or seeds where they are sown thick
     * @param  string  $unit  of it: sites or seeds
     * @param  float  $expected  of those up, by the plan
     * @param  bool  $own_seed  costs nothing, so one's own
     * @param  bool  $left  nothing of it stands here any more: moved on, planted out, given away or lost
     */
    public function __construct(
        public string $crop,
        public int $stage,
        public string $code,
        public int $row,
        public int $rows,
        public int $sites,
        public int $seeds_per_site,
        public int $seeds,
        public string $from,
        public string $to,
        public bool $filled,
        public bool $continued,
        public ?int $up,
        public ?int $plants,
        public int $count_of,
        public string $unit,
        public float $expected,
        public bool $own_seed,
        public bool $left,
    ) {
    }
}

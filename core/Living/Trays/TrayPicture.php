<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Trays;

/** A tray as it stands, row by row. Also ten pots, or ten packs. */
final readonly class TrayPicture
{
    /**
     * @param  string  $id  its letters
     * @param  string  $container  id
     * @param  int  $columns  sites in a row
     * @param  int  $sites  the last row may be short
     * @param  bool  $by_tens  ten pots or packs instead of one tray
     * @param  bool  $label_row  the first row is kept for labels
     * @param  bool  $mat  on the mat to begin with
     * @param  bool  $light  under the lamp to begin with
     * @param  string  $from  first day anything stands in it
     * @param  string  $to  day after the last
     * @param  bool  $by_hand  laid out by somebody
     * @param  list<RowPicture>  $runs  by their rows
     * @param  int  $free_rows  at the end
     */
    public function __construct(
        public string $id,
        public string $container,
        public string $name,
        public int $columns,
        public int $rows,
        public int $sites,
        public bool $by_tens,
        public bool $label_row,
        public string $place,
        public bool $mat,
        public bool $light,
        public string $from,
        public string $to,
        public bool $by_hand,
        public array $runs,
        public int $free_rows,
    ) {
    }
}

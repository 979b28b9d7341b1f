<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Labels;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Trays\RowPicture;
use JollyPenny\Core\Living\Trays\TrayPicture;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Season\Day;

/** What stands on the label of a row: variety, species, day sown, tray and rows, bought or own seed, day it goes out. */
final readonly class Label
{
    /**
     * @param  string  $code  tray and rows: C1–2
     * @param  string  $tray  letters
     * @param  int  $row  the first
     * @param  bool  $own_seed  marked, so that it can be told from bought seed beside it
     * @param  ?int  $packed_for  year of old seed; null of this season's
     * @param  string  $sow_on  day it is sown
     * @param  string  $out_on  day it is planted out
     */
    private function __construct(
        public string $crop,
        public string $variety,
        public string $species,
        public string $code,
        public string $tray,
        public int $row,
        public bool $own_seed,
        public ?int $packed_for,
        public string $sow_on,
        public string $out_on,
    ) {
    }

    /**
     * @param  list<TrayPicture>  $trays
     * @return list<self> one for each row of each tray, in their order
     */
    public static function ofTrays(array $trays, SetupBooks $books, LogBook $log): array
    {
        $labels = [];
        foreach ($trays as $tray) {
            foreach ($tray->runs as $run) {
                $labels[] = self::forRow($tray, $run, $books, $log->crop($run->crop)->sown_on);
            }
        }

        return $labels;
    }

    private static function forRow(TrayPicture $tray, RowPicture $run, SetupBooks $books, ?string $sownOn): self
    {
        $plan = $books->plans[$books->grown[$run->crop]];
        $species = $books->index->species[$plan->lot->species];

        return new self(
            crop: $run->crop,
            variety: $plan->lot->variety,
            species: $species->name,
            code: $run->code,
            tray: $tray->id,
            row: $run->row,
            own_seed: $run->own_seed,
            packed_for: $plan->viability->age > 0 ? $plan->lot->packedFor : null,
            sow_on: $sownOn ?? Day::ofNumber($plan->sowOn())->format(),
            out_on: Day::ofNumber($plan->plantOutOn())->format(),
        );
    }
}

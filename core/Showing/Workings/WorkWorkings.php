<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Plan\Results\PlaceResult;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Things\Place;

/** The workings of a set-up's figures that are not money: hours and what they earn, plants supplied, odds, crowded days. */
final readonly class WorkWorkings
{
    public function __construct(private SetupBooks $books, private SetupResult $result)
    {
    }

    /** @throws NoSuchFigure */
    public function explain(string $figure): Working
    {
        return match ($figure) {
            'hours' => $this->hours(),
            'implied_wage' => $this->impliedWage(),
            'filled' => $this->filled(),
            'p_all_enough' => $this->allEnough(),
            'crowded_days' => $this->crowdedDays(),
            default => throw new NoSuchFigure("There is no figure \"{$figure}\"."),
        };
    }

    private function hours(): Working
    {
        return new Working(
            'hours',
            'Your hours',
            $this->result->hours,
            Unit::Hours,
            'Minutes at each cell or pot, for each tray and day, for mixing and for washing, over 60.',
            Figures::number($this->result->hours),
            $this->byCrop(fn (CropResult $crop): ?float => $crop->grown ? $crop->hours : null, Unit::Hours),
        );
    }

    private function impliedWage(): Working
    {
        return new Working(
            'implied_wage',
            'What an hour earns',
            $this->result->implied_wage,
            Unit::Money,
            'What growing saves against buying, the trip after plants that fail included, for each hour of your work at the crops that somebody sells.',
            $this->wage(),
            $this->byCrop(
                fn (CropResult $crop): ?float => $crop->grown && $crop->buy_cost !== null ? $this->earned($crop) : null,
                Unit::Money,
            ),
        );
    }

    private function filled(): Working
    {
        return new Working(
            'filled',
            'Plants you get of those you need',
            $this->result->filled,
            Unit::Plants,
            'All plants that are bought or can be replaced at the nursery. Of crops not sold as plants, those that finish on average.',
            Figures::number($this->result->filled).' and '.Figures::number($this->result->missing).' missing',
            $this->byCrop($this->supplied(...), Unit::Plants),
        );
    }

    private function allEnough(): Working
    {
        return new Working(
            'p_all_enough',
            'The chance that every crop is enough',
            $this->result->p_all_enough,
            Unit::Share,
            'The chance that no crop is short. A bad season is bad for all crops. A mishap takes all that was sown in one place in one week.',
            '',
            $this->byCrop(fn (CropResult $crop): ?float => $crop->p_enough, Unit::Share),
        );
    }

    private function crowdedDays(): Working
    {
        return new Working(
            'crowded_days',
            'Crowded days',
            $this->result->crowded_days,
            Unit::Days,
            'Days on which a place has too many trays: for its lamps, for its mats, or for its room.',
            '',
            array_map($this->crowded(...), $this->result->places),
        );
    }

    private function crowded(PlaceResult $place): Term
    {
        $most = Figures::number(round($place->peak_light_flats, 1));
        $covered = Figures::number($place->light_flats);

        return new Term("{$this->place($place->id)}: at most {$most} trays want light, lamps cover {$covered}", $place->over_days, Unit::Days);
    }

    /**
     * @param  callable(CropResult): ?float  $value
     * @return list<Term> by crop, those that have none left out
     */
    private function byCrop(callable $value, Unit $unit): array
    {
        $terms = [];
        $lots = array_column($this->books->season()->crops, 'lot', 'id');
        foreach ($this->result->crops as $crop) {
            $amount = $value($crop);
            if ($amount !== null) {
                $terms[] = new Term($this->books->index->lots[$lots[$crop->id]]->variety, $amount, $unit);
            }
        }

        return $terms;
    }

    private function wanted(CropResult $crop): int
    {
        return array_column($this->books->season()->crops, 'wanted', 'id')[$crop->id];
    }

    private function earned(CropResult $crop): float
    {
        return (float) $crop->buy_cost - (float) $crop->filledCost();
    }

    private function supplied(CropResult $crop): float
    {
        return match (true) {
            $crop->cost === null => 0.0,
            $crop->buy_cost === null => (float) $crop->useful,
            default => (float) $this->wanted($crop),
        };
    }

    private function wage(): string
    {
        $hours = 0.0;
        foreach ($this->result->crops as $crop) {
            $hours += $crop->grown && $crop->buy_cost !== null ? (float) $crop->hours : 0.0;
        }

        return $this->result->keep === null ? '' : Figures::number($this->result->keep).' ÷ '.Figures::number($hours).' h';
    }

    private function place(string $id): string
    {
        $place = $this->books->index->places[$id] ?? null;

        return $place instanceof Place ? $place->name : $id;
    }
}

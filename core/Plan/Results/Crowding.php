<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Results;

use JollyPenny\Core\Plan\Books\EnergyBook;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Energy\PlaceLoad;
use JollyPenny\Core\Season\Units\Ceiling;

/** Which days are over-full, by place and in all. Costing rules, section 6, crowding. */
final readonly class Crowding
{
    /**
     * @param  list<PlaceResult>  $places
     * @param  int  $days  on which any place is over-full
     */
    private function __construct(public array $places, public int $days)
    {
    }

    public static function fromEnergy(EnergyBook $book): self
    {
        $places = [];
        $any = [];
        foreach ($book->places as $energy) {
            $over = self::overDays($energy);
            foreach ($over as $day) {
                $any[$day] = true;
            }
            $hasMats = ! $energy->mats->isEmpty();
            $places[] = new PlaceResult(
                $energy->place->id,
                $energy->load->peak(PlaceLoad::ALL),
                $energy->place->flats,
                $energy->load->peak(PlaceLoad::LIGHT),
                $energy->lamps->flats(),
                $hasMats ? $energy->load->peak(PlaceLoad::HEAT) : 0.0,
                $hasMats ? $energy->mats->flats() : null,
                count($over),
            );
        }

        return new self($places, count($any));
    }

    /** @return list<int> days, counted from the first of the season */
    private static function overDays(PlaceEnergy $energy): array
    {
        $limits = [
            PlaceLoad::ALL => $energy->place->flats ?? INF,
            PlaceLoad::LIGHT => $energy->lamps->flats(),
            PlaceLoad::HEAT => $energy->mats->isEmpty() ? INF : $energy->mats->flats(),
        ];
        $over = [];
        foreach ($energy->load->standing as $day => $_) {
            foreach ($limits as $kind => $limit) {
                if ($energy->load->flats[$kind][$day] > $limit + Ceiling::TOLERANCE) {
                    $over[] = $day;
                    break;
                }
            }
        }

        return $over;
    }
}

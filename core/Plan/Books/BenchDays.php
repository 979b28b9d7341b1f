<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Energy\PlaceLoad;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Ceiling;

/** An indoor place day by day: flats that stand there, want light and want heat, against what there is; and its over-full days. */
final readonly class BenchDays
{
    /**
     * @param  string  $first  day of the first figure
     * @param  list<float>  $all  flats by day
     * @param  list<float>  $light
     * @param  list<float>  $heat
     * @param  ?float  $room  flats, null without limit
     * @param  float  $lit  flats that the lamps cover
     * @param  ?float  $warmed  flats that the mats cover; null without mats
     * @param  list<array{from: string, to: string, why: string, crops: list<string>}>  $crowded  from and to inclusive; why: room, light or heat
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $first,
        public array $all,
        public array $light,
        public array $heat,
        public ?float $room,
        public float $lit,
        public ?float $warmed,
        public array $crowded,
    ) {
    }

    /** @return list<self> every indoor place on which something stands */
    public static function fromBooks(SetupBooks $books): array
    {
        $days = [];
        foreach ($books->energy()->places as $energy) {
            if ($energy->load->peak(PlaceLoad::ALL) > 0.0) {
                $days[] = self::place($energy, $books);
            }
        }

        return $days;
    }

    /**
     * @param  list<self>  $bench
     * @return list<string> crops that stand on any over-full day
     */
    public static function crowding(array $bench): array
    {
        $crops = [];
        foreach ($bench as $place) {
            foreach ($place->crowded as $run) {
                array_push($crops, ...$run['crops']);
            }
        }

        return array_values(array_unique($crops));
    }

    private static function place(PlaceEnergy $energy, SetupBooks $books): self
    {
        $warmed = $energy->mats->isEmpty() ? null : $energy->mats->flats();
        $limits = [
            'room' => [PlaceLoad::ALL, $energy->place->flats ?? INF],
            'light' => [PlaceLoad::LIGHT, $energy->lamps->flats()],
            'heat' => [PlaceLoad::HEAT, $warmed ?? INF],
        ];
        $crowded = [];
        foreach ($limits as $why => [$kind, $limit]) {
            foreach (self::runs($energy->load->flats[$kind], $limit) as [$from, $to]) {
                $crowded[] = [
                    'from' => Day::ofNumber($energy->load->firstDay + $from)->format(),
                    'to' => Day::ofNumber($energy->load->firstDay + $to)->format(),
                    'why' => $why,
                    'crops' => self::crops($energy, $books, $kind, $from, $to),
                ];
            }
        }

        return new self(
            id: $energy->place->id,
            name: $energy->place->name,
            first: Day::ofNumber($energy->load->firstDay)->format(),
            all: $energy->load->flats[PlaceLoad::ALL],
            light: $energy->load->flats[PlaceLoad::LIGHT],
            heat: $energy->load->flats[PlaceLoad::HEAT],
            room: $energy->place->flats,
            lit: $energy->lamps->flats(),
            warmed: $warmed,
            crowded: $crowded,
        );
    }

    /**
     * @param  list<float>  $flats
     * @return list<array{int, int}> first and last day of each run over the limit
     */
    private static function runs(array $flats, float $limit): array
    {
        $runs = [];
        foreach ($flats as $day => $amount) {
            if ($amount <= $limit + Ceiling::TOLERANCE) {
                continue;
            }
            $last = count($runs) - 1;
            if ($last >= 0 && $runs[$last][1] === $day - 1) {
                $runs[$last][1] = $day;
            } else {
                $runs[] = [$day, $day];
            }
        }

        return $runs;
    }

    /** @return list<string> crops that stand there then, the widest first */
    private static function crops(PlaceEnergy $energy, SetupBooks $books, int $kind, int $from, int $to): array
    {
        $flats = [];
        foreach ($books->plans as $plan) {
            foreach ($plan->stages as $stage) {
                $wants = [true, $stage->stage->light, $stage->stage->mat][$kind];
                if (
                    $stage->place->id === $energy->place->id &&
                    $wants &&
                    $stage->start - $energy->load->firstDay <= $to &&
                    $stage->end - $energy->load->firstDay > $from
                ) {
                    $flats[$plan->crop->id] = max($flats[$plan->crop->id] ?? 0.0, $stage->flats);
                }
            }
        }
        arsort($flats);

        return array_map(strval(...), array_keys($flats));
    }
}

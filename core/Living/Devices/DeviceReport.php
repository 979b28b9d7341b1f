<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Devices;

use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Energy\PlaceLoad;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;

/** What a device measured, beside what the plan says, and what of it the plan could take over. */
final readonly class DeviceReport
{
    /** Nearer than this to the plan there is nothing to tell. */
    private const SAME_SHARE = 0.03;

    private const SAME_C = 0.5;

    /**
     * @param  list<array{date: string, hours: float, mean: float, kwh: float, planned: ?float}>  $days  planned: kWh of that day by the plan
     * @param  list<array{path: non-empty-list<string>, name: string, now: float, real: float, unit: string}>  $offers
     */
    private function __construct(public array $days, public array $offers)
    {
    }

    /**
     * @param  string  $list  lights, mats, appliances or places: what it is fixed to
     * @param  ?Measured  $air  at the same place, where a device reads it
     */
    public static function compare(SetupBooks $books, DeviceKind $kind, string $list, string $thing, Measured $measured, ?Measured $air): self
    {
        $days = array_map(
            fn (array $day): array => [...$day, 'planned' => $kind === DeviceKind::Meter ? self::planned($books, $list, $thing, $day['date']) : null],
            $measured->days(),
        );

        return new self($days, self::offers($books, $kind, $list, $thing, $measured, $air));
    }

    /** kWh that a lamp or mat draws on a day by the plan; null of anything else. */
    private static function planned(SetupBooks $books, string $list, string $thing, string $date): ?float
    {
        $row = match ($list) {
            'lights' => $books->index->lights[$thing] ?? null,
            'mats' => $books->index->mats[$thing] ?? null,
            default => null,
        };
        $energy = $row === null ? null : $books->energy()->places[$row->place] ?? null;
        $order = $row === null ? false : array_search($thing, self::atPlace($books, $row), true);
        if ($row === null || $energy === null || $order === false) {
            return null;
        }
        $day = Day::parse($date)->number - $energy->load->firstDay;
        $flats = $energy->load->flats[$row instanceof Light ? PlaceLoad::LIGHT : PlaceLoad::HEAT][$day] ?? 0.0;
        if ($order >= ($row instanceof Light ? $energy->lamps : $energy->mats)->onFor($flats)) {
            return 0.0;
        }

        return $row instanceof Light ? $row->watts / 1000 * $row->hoursPerDay
            : $row->watts / 1000 * 24 * PlaceEnergy::duty($row, (float) $energy->place->airOn($energy->load->firstDay + $day));
    }

    /** @return list<string> ids of the set-up's lamps (or mats) at a thing's place, in the order they are switched on */
    private static function atPlace(SetupBooks $books, Light|Mat $thing): array
    {
        $rows = $thing instanceof Light ? $books->index->lights : $books->index->mats;
        $ids = $thing instanceof Light ? $books->setup->lights : $books->setup->mats;

        return array_values(array_filter($ids, fn (string $id): bool => $rows[$id]->place === $thing->place));
    }

    /** @return list<array{path: non-empty-list<string>, name: string, now: float, real: float, unit: string}> */
    private static function offers(SetupBooks $books, DeviceKind $kind, string $list, string $thing, Measured $measured, ?Measured $air): array
    {
        if ($kind === DeviceKind::Meter) {
            $row = match ($list) {
                'lights' => $books->index->lights[$thing] ?? null,
                'mats' => $books->index->mats[$thing] ?? null,
                'appliances' => array_column($books->season()->appliances, null, 'id')[$thing] ?? null,
                default => null,
            };

            return $row === null ? [] : self::offer([$list, $thing, 'watts'], $row->name, $row->watts, $measured->wattsOn(),
                self::SAME_SHARE * $row->watts, 'W');
        }
        $mat = $kind === DeviceKind::Soil && $list === 'mats' ? $books->index->mats[$thing] ?? null : null;
        if ($mat !== null && $air !== null) {
            return self::offer([$list, $thing, 'lift_c'], $mat->name, $mat->liftC, $measured->above($air), self::SAME_C, '°C');
        }
        $place = $kind === DeviceKind::Air && $list === 'places' ? $books->index->places[$thing] ?? null : null;

        return $place === null || ! is_float($place->tempC) ? []
            : self::offer([$list, $thing, 'temp_c'], $place->name, $place->tempC, $measured->mean(), self::SAME_C, '°C');
    }

    /**
     * @param  non-empty-list<string>  $path
     * @param  float  $same  nearer than this there is nothing to tell
     * @return list<array{path: non-empty-list<string>, name: string, now: float, real: float, unit: string}>
     */
    private static function offer(array $path, string $name, float $now, ?float $real, float $same, string $unit): array
    {
        return $real === null || abs($real - $now) <= $same
            ? [] : [['path' => $path, 'name' => $name, 'now' => $now, 'real' => round($real, 1), 'unit' => $unit]];
    }
}

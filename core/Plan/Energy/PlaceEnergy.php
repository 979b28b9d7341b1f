<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Energy;

use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Electricity;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Place;

/**
 * Lamps, mats and appliances of one place, day by day: kWh, money and heat credit, what of it falls to each stage by its
 * flats, and what would be saved without a stage. Costing rules, section 6.
 */
final class PlaceEnergy
{
    public const LIGHT = 0;

    public const HEAT = 1;

    public const APPLIANCE = 2;

    public const KWH = 0;

    public const COST = 1;

    public const CREDIT = 2;

    /** The flats by which each kind of energy is shared. */
    private const SHARED_BY = [PlaceLoad::LIGHT, PlaceLoad::HEAT, PlaceLoad::ALL];

    public readonly Bank $lamps;

    public readonly Bank $mats;

    /** @var array{array{float, float, float}, array{float, float, float}, array{float, float, float}} by kind: kWh, cost, credit */
    public array $totals = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];

    /** @var array{array{float, float, float}, array{float, float, float}, array{float, float, float}} of days without any flats to share by */
    public array $unshared = [[0.0, 0.0, 0.0], [0.0, 0.0, 0.0], [0.0, 0.0, 0.0]];

    /** @var list<array{float, float, float}> lamps' kWh, cost and full credit a day with the first 0, 1, … of them on */
    private array $lampSteps;

    /** @var list<list<array{float, float, float}>> the same of the mats, by day */
    private array $matSteps;

    private readonly ?float $lampDose;

    /** @var array{float, float, float} */
    private array $applianceDay;

    /** @var array<int, array<int, list<float>>> by kind and figure: sum per flat up to the beginning of each day */
    private array $perFlat = [];

    /** @var list<bool> whether the heat credit holds, by day */
    private array $credited = [];

    /**
     * @param  list<Light>  $lights  of the set-up at this place, in order
     * @param  list<Mat>  $mats
     * @param  list<Appliance>  $appliances
     */
    public function __construct(
        public readonly Place $place,
        public readonly PlaceLoad $load,
        Electricity $electricity,
        DailyTariff $tariff,
        array $lights,
        array $mats,
        array $appliances,
    ) {
        $this->lamps = Bank::fromFlats(array_map(fn (Light $light): float => $light->flats, $lights));
        $this->lampDose = DailyLightIntegral::ofAll($lights);
        $this->mats = Bank::fromFlats(array_map(fn (Mat $mat): float => $mat->flats, $mats));
        $credit = $electricity->heatCredit;
        $rate = $credit === null || ! $place->heated ? 0.0 : $credit->fraction * $credit->pricePerKwh;
        $days = count($load->standing);
        for ($day = 0; $day < $days; $day++) {
            $this->credited[] = $rate > 0.0 && $load->firstDay + $day <= $credit?->until->number;
        }
        $this->lampSteps = self::steps(
            array_map(
                fn (Light $light): array => self::figures(
                    ($light->watts / 1000) * $light->hoursPerDay,
                    $tariff->meanOver($light->onAt, $light->hoursPerDay),
                    $rate,
                ),
                $lights,
            ),
        );
        $this->matSteps = $this->matSteps($mats, $days, $tariff->mean(), $rate);
        $running = self::steps(
            array_map(
                fn (Appliance $one): array => self::figures(($one->watts / 1000) * $one->hoursPerDay, $tariff->mean(), $rate),
                $appliances,
            ),
        );
        $this->applianceDay = $running[count($running) - 1];
        $this->addUp();
    }

    /**
     * @param  list<Mat>  $mats
     * @return list<list<array{float, float, float}>> figures with the first 0, 1, … mats on, by day
     */
    private function matSteps(array $mats, int $days, float $price, float $rate): array
    {
        // Only where the air changes and a thermostat follows it is one day unlike another.
        $steady = ! is_array($this->place->tempC) || array_filter($mats, fn (Mat $mat): bool => $mat->thermostatC !== null) === [];
        $steps = [];
        for ($day = 0; $day < $days; $day++) {
            $air = (float) $this->place->airOn($this->load->firstDay + $day);
            $steps[] = $steady && $day > 0 ? $steps[0] : self::steps(
                array_map(fn (Mat $mat): array => self::figures(($mat->watts / 1000) * 24 * self::duty($mat, $air), $price, $rate), $mats),
            );
        }

        return $steps;
    }

    /** Light that a stage gets here on its middle day, lamps and daylight, mol/m²; null where it cannot be judged. */
    public function dose(StagePlan $stage): ?float
    {
        $daylight = $this->place->daylightOn($stage->middleDay());
        if (! $this->lit($stage)) {
            return $daylight;
        }

        return $this->lampDose === null ? null : $this->lampDose + (float) $daylight;
    }

    /** The share of the day a mat is on: the warmth it has to make up over what it can. */
    public static function duty(Mat $mat, float $air): float
    {
        return $mat->thermostatC === null ? 1.0 : max(0.0, min(1.0, ($mat->thermostatC - $air) / $mat->liftC));
    }

    /** What falls to a stage of one kind of energy: kWh, cost or credit. */
    public function share(StagePlan $stage, int $kind, int $figure): float
    {
        if ($kind !== self::APPLIANCE && ! ($kind === self::LIGHT ? $this->lit($stage) : $this->warmed($stage))) {
            return 0.0;
        }
        $sums = $this->perFlat()[$kind][$figure];

        return $stage->flats * ($sums[$stage->end - $this->load->firstDay] - $sums[$stage->start - $this->load->firstDay]);
    }

    /** Money, credit included, that would be saved if this stage did not stand here. */
    public function savedWithout(StagePlan $stage): float
    {
        $saved = 0.0;
        [$lit, $warmed] = [$this->lit($stage), $this->warmed($stage)];
        $to = $stage->end - $this->load->firstDay;
        for ($day = $stage->start - $this->load->firstDay; $day < $to; $day++) {
            if ($lit) {
                $flats = $this->load->flats[PlaceLoad::LIGHT][$day];
                $with = $this->lamps->onFor($flats);
                $without = $this->lamps->onFor($flats - $stage->flats);
                if ($with !== $without) {
                    $saved += $this->money($this->lampSteps[$with], $day) - $this->money($this->lampSteps[$without], $day);
                }
            }
            if ($warmed) {
                $flats = $this->load->flats[PlaceLoad::HEAT][$day];
                $with = $this->mats->onFor($flats);
                $without = $this->mats->onFor($flats - $stage->flats);
                if ($with !== $without) {
                    $steps = $this->matSteps[$day];
                    $saved += $this->money($steps[$with], $day) - $this->money($steps[$without], $day);
                }
            }
            if ($this->load->standing[$day] === 1) {
                $saved += $this->money($this->applianceDay, $day);
            }
        }

        return $saved;
    }

    /**
     * Money more, credit included, if some of the stages that stand here were others; null where one would stand before the season's first
     * day or after its last.
     *
     * @param  list<StagePlan>  $own
     * @param  list<StagePlan>  $others
     */
    public function moved(array $own, array $others): ?float
    {
        $changes = [];
        foreach ([[$own, -1], [$others, 1]] as [$stages, $sign]) {
            foreach ($stages as $stage) {
                [$from, $to] = [$stage->start - $this->load->firstDay, $stage->end - $this->load->firstDay];
                if ($from < 0 || $to > count($this->load->standing)) {
                    return null;
                }
                [$light, $heat] = [$stage->stage->light ? $sign * $stage->flats : 0.0, $stage->stage->mat ? $sign * $stage->flats : 0.0];
                for ($day = $from; $day < $to; $day++) {
                    [$lit, $warmed, $standing] = $changes[$day] ?? [0.0, 0.0, 0];
                    $changes[$day] = [$lit + $light, $warmed + $heat, $standing + $sign];
                }
            }
        }
        $more = 0.0;
        foreach ($changes as $day => [$light, $heat, $standing]) {
            $flats = [$this->load->flats[PlaceLoad::LIGHT][$day], $this->load->flats[PlaceLoad::HEAT][$day]];
            $before = $this->load->standing[$day];
            $more += $this->costOf($day, $flats[0] + $light, $flats[1] + $heat, $before + $standing) - $this->costOf($day, $flats[0], $flats[1], $before);
        }

        return $more;
    }

    /** Money of a day on which so many flats want light, so many want heat, and so many stages stand here. */
    private function costOf(int $day, float $light, float $heat, int $standing): float
    {
        return $standing === 0 ? 0.0
            : $this->money($this->lampSteps[$this->lamps->onFor($light)], $day)
                + $this->money($this->matSteps[$day][$this->mats->onFor($heat)], $day)
                + $this->money($this->applianceDay, $day);
    }

    public function lit(StagePlan $stage): bool
    {
        return $stage->stage->light && ! $this->lamps->isEmpty();
    }

    public function warmed(StagePlan $stage): bool
    {
        return $stage->stage->mat && ! $this->mats->isEmpty();
    }

    /**
     * What is used on one day, by kind.
     *
     * @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}}
     */
    public function onDay(int $day): array
    {
        $use = [
            $this->lampSteps[$this->lamps->onFor($this->load->flats[PlaceLoad::LIGHT][$day])],
            $this->matSteps[$day][$this->mats->onFor($this->load->flats[PlaceLoad::HEAT][$day])],
            $this->load->standing[$day] > 0 ? $this->applianceDay : [0.0, 0.0, 0.0],
        ];
        foreach ($use as $kind => $figures) {
            $use[$kind][self::CREDIT] = $this->credited[$day] ? $figures[self::CREDIT] : 0.0;
        }

        return $use;
    }

    private function addUp(): void
    {
        foreach ($this->load->standing as $day => $standing) {
            if ($standing === 0) {
                continue;
            }
            foreach ($this->onDay($day) as $kind => $figures) {
                $shared = $this->load->flats[self::SHARED_BY[$kind]][$day] > 0.0;
                foreach ($figures as $figure => $amount) {
                    $this->totals[$kind][$figure] += $amount;
                    if (! $shared) {
                        $this->unshared[$kind][$figure] += $amount;
                    }
                }
            }
        }
    }

    /** @return array<int, array<int, list<float>>> made when shares are first asked for: weighing set-ups asks for totals only */
    private function perFlat(): array
    {
        if ($this->perFlat === []) {
            $this->perFlat = array_fill(0, 3, array_fill(0, 3, [0.0]));
            foreach ($this->load->standing as $day => $standing) {
                foreach ($this->onDay($day) as $kind => $figures) {
                    $flats = $this->load->flats[self::SHARED_BY[$kind]][$day];
                    foreach ($figures as $figure => $amount) {
                        $this->perFlat[$kind][$figure][] = $this->perFlat[$kind][$figure][$day] + ($flats > 0.0 ? $amount / $flats : 0.0);
                    }
                }
            }
        }

        return $this->perFlat;
    }

    /** @param  array{float, float, float}  $figures */
    private function money(array $figures, int $day): float
    {
        return $figures[self::COST] + ($this->credited[$day] ? $figures[self::CREDIT] : 0.0);
    }

    /** @return array{float, float, float} kWh, cost and, as a negative cost, credit */
    private static function figures(float $kwh, float $rate, float $credit): array
    {
        return [$kwh, $kwh * $rate, -$kwh * $credit];
    }

    /**
     * @param  list<array{float, float, float}>  $each
     * @return non-empty-list<array{float, float, float}> the first 0, 1, … together
     */
    private static function steps(array $each): array
    {
        $sum = [0.0, 0.0, 0.0];
        $steps = [$sum];
        foreach ($each as $one) {
            $steps[] = $sum = [$sum[0] + $one[0], $sum[1] + $one[1], $sum[2] + $one[2]];
        }

        return $steps;
    }
}

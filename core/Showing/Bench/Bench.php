<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Bench;

use JollyPenny\Core\Deciding\Advising\BestHour;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Trays\TrayPicture;
use JollyPenny\Core\Living\Trays\Trays;
use JollyPenny\Core\Plan\Books\BenchDays;
use JollyPenny\Core\Plan\Books\CapitalRecovery;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Energy\DailyLightIntegral;
use JollyPenny\Core\Plan\Energy\DailyTariff;
use JollyPenny\Core\Plan\Energy\PhotonFlux;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Energy\PlaceLoad;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Place;

/** All places of a set-up with what stands on them, what lights and warms it, the bill by month, and a day's tariff. */
final readonly class Bench
{
    /** Dose that seedlings need, mol/m²/day. Costing rules, section 6. */
    private const NEEDED_DOSE = 10.0;

    private const HALF_HOURS = 48;

    /**
     * @param  list<BenchPlace>  $places  in the file's order
     * @param  list<MonthBill>  $bill
     * @param  array{kwh: float, cost: float, credit: float}  $billed  of all months
     * @param  list<float>  $tariff  price of a kWh by half hour from midnight
     */
    private function __construct(public array $places, public array $bill, public array $billed, public array $tariff)
    {
    }

    /** @param  LogBook  $log  what was really sown stands in that number, and where */
    public static function fromBooks(SetupBooks $books, LogBook $log = new LogBook([])): self
    {
        $tariff = new DailyTariff($books->season()->electricity);
        $days = array_column(BenchDays::fromBooks($books), null, 'id');
        $places = [];
        $trays = (new Trays($books, $log))->pictures();
        foreach ($books->season()->places as $place) {
            [$lights, $mats, $appliances] = [self::at($place, $books, 'lights'), self::at($place, $books, 'mats'), self::at($place, $books, 'appliances')];
            $energy = $books->energy()->places[$place->id] ?? null;
            $things = $energy === null ? [] : self::things($energy, $books, $tariff, $lights, $mats, $appliances);
            $watts = array_sum(array_map(fn (Light|Mat|Appliance $thing): float => $thing->watts, [...$lights, ...$mats, ...$appliances]));
            $places[] = new BenchPlace($place->id, $days[$place->id] ?? null, self::stands($place, $books, $trays), $things,
                CircuitLoad::forWatts($watts, $place->outlet), (new SoilWishes($books, $lights, $mats))->at($place->id));
        }

        $bill = self::bill($books);
        $sum = fn (string $key): float => (float) array_sum(array_column($bill, $key));

        return new self($places, $bill, ['kwh' => $sum('kwh'), 'cost' => $sum('cost'), 'credit' => $sum('credit')], self::halfHours($tariff));
    }

    /**
     * @param  list<TrayPicture>  $trays
     * @return list<Stand>
     */
    private static function stands(Place $place, SetupBooks $books, array $trays): array
    {
        $rows = [];
        foreach ($trays as $tray) {
            foreach ($tray->runs as $run) {
                $rows["{$run->crop} {$run->stage}"][] = $run;
            }
        }
        $stands = [];
        foreach ($books->plans as $plan) {
            $filled = 0;
            foreach ($plan->stages as $i => $stage) {
                $filled = $stage->fills() ? $i : $filled;
                if ($stage->place->id !== $place->id || $stage->days() <= 0) {
                    continue;
                }
                $here = $rows["{$plan->crop->id} {$filled}"] ?? [];
                $sites = $here === [] ? $stage->sites : array_sum(array_column($here, 'sites'));
                $stands[] = new Stand(
                    crop: $plan->crop->id,
                    stage: $stage->stage->name,
                    from: Day::ofNumber($stage->start)->format(),
                    to: Day::ofNumber($stage->end)->format(),
                    flats: $stage->sites === 0 ? 0.0 : $stage->flats * $sites / $stage->sites,
                    light: $stage->stage->light,
                    mat: $stage->stage->mat,
                    container: $stage->container?->id,
                    sites: $sites,
                    codes: $here === [] ? null : implode(', ', array_column($here, 'code')),
                );
            }
        }

        return $stands;
    }

    /**
     * @param  'lights'|'mats'|'appliances'  $list
     * @return ($list is 'lights' ? list<Light> : ($list is 'mats' ? list<Mat> : list<Appliance>)) the set-up's at a place, in its order
     */
    private static function at(Place $place, SetupBooks $books, string $list): array
    {
        $rows = $books->index->{$list};

        return array_values(array_filter(
            array_map(fn (string $id): Light|Mat|Appliance => $rows[$id], $books->setup->{$list}),
            fn (Light|Mat|Appliance $thing): bool => $thing->place === $place->id,
        ));
    }

    /**
     * @param  list<Light>  $lights
     * @param  list<Mat>  $mats
     * @param  list<Appliance>  $appliances
     * @return list<ThingUse>
     */
    private static function things(PlaceEnergy $energy, SetupBooks $books, DailyTariff $tariff, array $lights, array $mats, array $appliances): array
    {
        $days = ['lights' => array_fill(0, count($lights), 0), 'mats' => array_fill(0, count($mats), 0), 'duty' => array_fill(0, count($mats), 0.0)];
        $standing = 0;
        foreach ($energy->load->standing as $day => $count) {
            $standing += $count > 0 ? 1 : 0;
            $lit = $energy->lamps->onFor($energy->load->flats[PlaceLoad::LIGHT][$day]);
            for ($i = 0; $i < $lit; $i++) {
                $days['lights'][$i]++;
            }
            $warm = $energy->mats->onFor($energy->load->flats[PlaceLoad::HEAT][$day]);
            for ($i = 0; $i < $warm; $i++) {
                $days['mats'][$i]++;
                $days['duty'][$i] += PlaceEnergy::duty($mats[$i], (float) $energy->place->airOn($energy->load->firstDay + $day));
            }
        }
        $things = [];
        foreach ($lights as $i => $light) {
            $things[] = self::lamp($light, $days['lights'][$i], $books, $tariff);
        }
        foreach ($mats as $i => $mat) {
            $kwh = $mat->watts / 1000 * 24 * $days['duty'][$i];
            $things[] = new ThingUse('mats', $mat->id, $days['mats'][$i], $kwh, ...self::costs($kwh * $tariff->mean(), $mat, $books));
        }
        foreach ($appliances as $appliance) {
            $kwh = $appliance->watts / 1000 * $appliance->hoursPerDay * $standing;
            $things[] = new ThingUse('appliances', $appliance->id, $standing, $kwh, ...self::costs($kwh * $tariff->mean(), $appliance, $books));
        }

        return $things;
    }

    /** A lamp that burns on so many days, with the light it gives a seedling, and when it would burn for less. */
    private static function lamp(Light $light, int $days, SetupBooks $books, DailyTariff $tariff): ThingUse
    {
        $kwh = $light->watts / 1000 * $light->hoursPerDay * $days;
        $dose = DailyLightIntegral::forLight($light);
        $estimated = $light->lumens !== null && $light->ppfUmolS !== null
            && abs($light->ppfUmolS - PhotonFlux::estimate($light->lumens, $light->kelvin)) < 0.06;
        $ppfd = $dose === null || $light->hoursPerDay <= 0.0 ? null : $dose / ($light->hoursPerDay * 0.0036);
        $hours = $ppfd === null || $ppfd <= 0.0 ? null : self::NEEDED_DOSE / ($ppfd * 0.0036);
        $power = $kwh * $tariff->meanOver($light->onAt, $light->hoursPerDay);
        $share = self::share($light, $books);

        return new ThingUse(
            kind: 'lights',
            id: $light->id,
            days: $days,
            kwh: $kwh,
            power: $power,
            share: $share,
            cost: $power + $share,
            dose: $dose,
            ppfd: $ppfd,
            hours_to_dose: $hours,
            estimated: $estimated,
            best_hour: BestHour::forLight($light, $tariff, $kwh),
            instead: $light->owned ? LampOffer::instead($light, $power, $books->season(), new Catalogue()) : null,
        );
    }

    /** @return array{power: float, share: float, cost: float} money */
    private static function costs(float $power, Mat|Appliance $thing, SetupBooks $books): array
    {
        $share = self::share($thing, $books);

        return ['power' => $power, 'share' => $share, 'cost' => $power + $share];
    }

    private static function share(Light|Mat|Appliance $thing, SetupBooks $books): float
    {
        $season = $books->season();

        return $thing->owned && ! $season->chargeOwned ? 0.0 : CapitalRecovery::share($thing->price, $thing->lifeSeasons, $season->discountRate);
    }

    /** @return list<MonthBill> */
    private static function bill(SetupBooks $books): array
    {
        $months = [];
        foreach ($books->energy()->places as $place) {
            foreach ($place->load->standing as $day => $count) {
                if ($count === 0) {
                    continue;
                }
                $month = substr(Day::ofNumber($place->load->firstDay + $day)->format(), 0, 8).'01';
                $months[$month] ??= [0.0, 0.0, 0.0, 0.0, 0.0];
                foreach ($place->onDay($day) as $kind => $figures) {
                    $months[$month][0] += $figures[PlaceEnergy::KWH];
                    $months[$month][1 + $kind] += $figures[PlaceEnergy::COST];
                    $months[$month][4] += $figures[PlaceEnergy::CREDIT];
                }
            }
        }
        ksort($months);

        return array_map(function (string $month, array $sums): MonthBill {
            [$kwh, $light, $heat, $appliance, $credit] = $sums;

            return new MonthBill($month, $kwh, $light, $heat, $appliance, $light + $heat + $appliance, $credit);
        }, array_keys($months), array_values($months));
    }

    /** @return list<float> */
    private static function halfHours(DailyTariff $tariff): array
    {
        return array_map(fn (int $half): float => $tariff->meanOver(new ClockTime($half * 30), 0.5), range(0, self::HALF_HOURS - 1));
    }
}

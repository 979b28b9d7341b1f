<?php

declare(strict_types=1);

namespace Tests\Oracle;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Made-up seasons that reach into the corners of the rules; the same seed gives the same season. */
final class SeasonGenerator
{
    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array<string, mixed> */
    public function season(): array
    {
        $crops = $this->count(1, 4);
        $methods = [];
        for ($m = 0; $m < 3; $m++) {
            $methods[] = $this->method("m{$m}");
        }
        $list = $lots = [];
        for ($c = 0; $c < $crops; $c++) {
            $lots[] = $this->lot("lot{$c}");
            $list[] = $this->crop("c{$c}", $c > 0 && $this->chance(0.2) ? 'lot0' : "lot{$c}");
        }

        return [
            'format' => 'jolly-penny/season',
            'version' => 1,
            'name' => 'Made up',
            'currency' => 'USD',
            'year' => 2027,
            'last_frost' => '2027-05-'.$this->count(10, 28),
            'first_frost' => '2027-09-20',
            'confidence' => $this->pick([0.5, 0.8, 0.9, 0.97]),
            'hourly_value' => $this->pick([0, 4.5]),
            'discount_rate' => $this->pick([0, 0, 0.06]),
            'charge_owned' => $this->chance(0.2),
            'mix_overage' => $this->pick([0, 0.1]),
            'luck' => $this->pick([0, 0.1, 0.1, 0.3]),
            'mishap' => $this->pick([0, 0.03, 0.03, 0.2]),
            'last_frost_spread_days' => $this->pick([0, 7, 12.5]),
            'nursery_trip_cost' => $this->pick([0, 6.4]),
            'electricity' => [
                'rate' => $this->real(0.05, 0.4),
                'windows' => $this->pick([
                    [],
                    [['from' => '23:30', 'to' => '06:15', 'rate' => 0.09]],
                    [['from' => '08:00', 'to' => '08:00', 'rate' => 0.2]],
                    [['from' => '00:00', 'to' => '07:00', 'rate' => 0.1], ['from' => '17:00', 'to' => '20:30', 'rate' => 0.5]],
                ]),
            ] +
                ($this->chance(0.5)
                    ? ['heat_credit' => ['fraction' => 0.6, 'price_per_kwh' => 0.07, 'until' => '2027-04-'.$this->count(10, 30)]]
                    : []),
            'feed' => $this->chance(0.6) ? ['supply' => 'feed', 'dose_per_l' => 0.004, 'litres_per_flat' => 1.1] : null,
            'places' => [
                ['id' => 'room', 'name' => 'Room', 'temp_c' => $this->real(12, 24)] +
                ($this->chance(0.5) ? ['flats' => $this->real(0.2, 3)] : []) +
                ($this->chance(0.5) ? ['daylight' => $this->daylight(), 'outlet' => ['volts' => 230, 'amps' => 16]] : []),
                ['id' => 'shed', 'name' => 'Shed', 'temp_c' => array_map(fn () => $this->real(6, 26), range(1, 12)), 'heated' => false] +
                ($this->chance(0.5) ? ['daylight' => $this->daylight()] : []),
                [
                    'id' => 'yard',
                    'name' => 'Yard',
                    'temp_c' => $this->pick([null, $this->real(10, 22), $this->real(3, 9), $this->course()]),
                    'outdoors' => true,
                ],
            ],
            'supplies' => array_map(
                fn (string $id) => [
                    'id' => $id,
                    'name' => $id,
                    'unit' => 'L',
                    'pack_price' => $this->real(0, 20),
                    'pack_amount' => $this->real(1, 40),
                    'expansion' => $this->pick([1, 1.8]),
                    'in_stock' => $this->pick([0, 0, $this->real(0, 3)]),
                    'leftover' => $this->pick(['keep', 'waste']),
                ],
                ['peat', 'perlite', 'bag', 'grit', 'feed', 'label'],
            ),
            'mixes' => [
                [
                    'id' => 'stirred',
                    'name' => 'Stirred',
                    'parts' => [['supply' => 'peat', 'parts' => 2], ['supply' => 'perlite', 'parts' => $this->real(0.5, 2)]],
                    'shrinkage' => $this->pick([0, 0.08]),
                    'additives' => [['supply' => 'bag', 'amount_per_l' => 0.1]],
                    'minutes_per_l' => 1.2,
                    'kwh_per_l' => $this->pick([0, 0.05]),
                ],
            ],
            'containers' => [
                $this->container('cell', 6, false),
                $this->container('pot', 1, false),
                $this->container('pellet', 1, true),
                $this->container('pack', $this->pick([4, 6]), false),
            ],
            'trayware' => [['id' => 'tray', 'name' => 'Tray', 'price' => 4.4, 'life_seasons' => 2.5, 'owned_units' => $this->count(0, 1)]],
            'lights' => [$this->electric('lamp', 'room'), $this->electric('lamp2', 'room'), $this->electric('lamp3', 'shed')],
            'mats' => [$this->mat('mat', 'room'), $this->mat('mat2', 'room'), $this->mat('mat3', 'shed')],
            'appliances' => [
                [
                    'id' => 'fan',
                    'name' => 'Fan',
                    'place' => $this->pick(['room', 'shed']),
                    'watts' => 6,
                    'hours_per_day' => $this->real(0, 24),
                    'price' => 14,
                    'life_seasons' => 5,
                    'owned' => $this->chance(0.5),
                ],
            ],
            'gear' => [
                ['id' => 'shelf', 'name' => 'Shelf', 'price' => 58, 'life_seasons' => 12, 'owned' => $this->chance(0.3)],
                ['id' => 'press', 'name' => 'Press', 'price' => 38, 'life_seasons' => 15],
            ],
            'species' => [
                [
                    'id' => 'table',
                    'name' => 'Table',
                    'fresh_germination' => $this->real(0.4, 0.99),
                    'longevity_years' => $this->real(0.5, 6),
                    'weeks' => $this->real(2, 12),
                    'tender' => $this->chance(0.5),
                    'germination' => [
                        ['temp_c' => 8, 'days' => null, 'percent' => 0],
                        ['temp_c' => 14, 'days' => 20, 'percent' => 60],
                        ['temp_c' => 21, 'days' => 9, 'percent' => 95],
                        ['temp_c' => 26, 'days' => 7, 'percent' => 95],
                        ['temp_c' => 30, 'days' => 8, 'percent' => 40],
                    ],
                ],
                [
                    'id' => 'plain',
                    'name' => 'Plain',
                    'fresh_germination' => $this->real(0.4, 0.99),
                    'days_to_emerge' => $this->real(2, 15),
                    'weeks' => $this->count(1, 10),
                    'tender' => $this->chance(0.3),
                ],
            ],
            'seed_lots' => $lots,
            'methods' => $methods,
            'nursery' => [
                ['id' => 'six', 'name' => 'Six', 'plants' => 6, 'price' => $this->real(0, 6), 'pot_l' => $this->pick([null, 0.07])],
                ['id' => 'one', 'name' => 'One', 'plants' => 1, 'price' => $this->real(0.5, 5), 'pot_l' => $this->pick([null, 0.3, 0.5])],
            ],
            'crops' => $list,
            'setups' => [$this->setup('s0', $list), $this->setup('s1', $list)],
        ];
    }

    /** @return array<string, mixed> */
    private function method(string $id): array
    {
        $direct = $this->chance(0.12);
        $stages = [
            $direct
                ? [
                    'name' => 'In the bed',
                    'place' => 'yard',
                    'days' => $this->count(0, 30),
                    'extra_days' => $this->count(0, 4),
                    'survival' => $this->real(0.5, 1),
                    'minutes_per_site' => 0.5,
                ]
                : $this->stage([
                    'name' => 'Germinate',
                    'container' => $this->pick(['cell', 'pot', 'pellet']),
                    'days' => $this->pick(['emergence', $this->count(0, 20), $this->count(5, 20), 130]),
                    'extra_days' => $this->count(0, 4),
                ]),
        ];
        for ($i = $this->count(0, 3); $i > 0; $i--) {
            $stages[] = $direct
                ? ['name' => 'Thinned', 'place' => 'yard', 'days' => 7, 'survival' => 0.9]
                : $this->stage(
                    ['name' => "Later {$i}", 'days' => $this->count(0, 20)] +
                        ($this->chance(0.4)
                            ? ['container' => $this->pick(['pot', 'pack', 'pellet']), 'plants_per_site' => $this->count(1, 2)]
                            : []),
                );
        }
        if (! $direct) {
            $stages[] = [
                'name' => 'Harden off',
                'place' => 'yard',
                'days' => $this->count(0, 9),
                'survival' => $this->pick([1, 0.96]),
                'minutes_per_flat_day' => 2.5,
            ];
        }
        if (count($stages) > 1 && $this->chance(0.35)) {
            $stages[$this->count(1, count($stages) - 1)]['days'] = 'rest';
        }
        // Waiting for emergence needs a place with a temperature; the yard may have none.
        if ($stages[0]['place'] === 'yard' && $stages[0]['days'] === 'emergence') {
            $stages[0]['days'] = 9;
        }

        return [
            'id' => $id,
            'name' => $id,
            'pattern' => $this->pick(['per_site', 'per_site', 'community']),
            'seeds_per_site' => ($per = $this->count(1, 4)),
            'min_plants' => $this->count(1, $per),
            'round_sites_to' => $this->pick([1, 1, 6]),
            'weeks_share' => $this->pick([1, 1, 0.6, 0.35]),
            'needs' => $this->chance(0.3) ? ['press'] : [],
            'extras' => $this->chance(0.5) ? [['supply' => 'label', 'amount' => 1, 'per' => $this->pick(['site', 'flat', 'crop'])]] : [],
            'stages' => $stages,
        ];
    }

    /**
     * @param  array<string, mixed>  $stage
     * @return array<string, mixed>
     */
    private function stage(array $stage): array
    {
        $place = $this->pick(['room', 'room', 'shed', 'yard']);
        $indoors = $place !== 'yard';

        return $stage + [
            'place' => $place,
            'survival' => $this->real(0.7, 1),
            'light' => $indoors && $this->chance(0.6),
            'mat' => $indoors && $this->chance(0.5),
            'mix' => isset($stage['container']) ? $this->pick([null, 'stirred', 'bag']) : null,
            'fill' => $this->pick([1, 0.5]),
            'trayware' => $this->chance(0.4) ? ['tray'] : [],
            'top_dressing' => $this->chance(0.3) ? ['supply' => 'grit', 'depth_mm' => 3] : null,
            'minutes_per_site' => 0.4,
            'minutes_per_flat_day' => 1,
            'feeds_per_week' => $this->pick([0, 0.5, 1]),
        ];
    }

    /** @return array<string, mixed> */
    private function lot(string $id): array
    {
        $own = $this->chance(0.15);

        return [
            'id' => $id,
            'species' => $this->pick(['table', 'plain']),
            'variety' => $id,
            'packet_price' => $own ? 0 : $this->real(0, 5),
            'seeds_per_packet' => $own ? null : $this->count(5, 60),
            'packets_owned' => $this->pick([0, 0.4, 1, $this->real(0, 2)]),
            'packed_for' => $this->count(2021, 2028),
            'germination' => $this->chance(0.3) ? $this->real(0, 1) : null,
            'test' => $this->chance(0.3) ? ['sown' => 20, 'sprouted' => $this->count(0, 20)] : null,
            'emergence_factor' => $this->pick([1, 1.6]),
            'leftover' => $this->pick(['keep', 'waste']),
        ];
    }

    /** @return array<string, mixed> */
    private function crop(string $id, string $lot): array
    {
        $wanted = $this->count(1, 9);
        $keep = $this->count(0, $wanted);
        $give = $this->count(0, $wanted - $keep);

        return [
            'id' => $id,
            'lot' => $lot,
            'wanted' => $wanted,
            'split' => $this->chance(0.5) ? ['keep' => $keep, 'give' => $give, 'sell' => $wanted - $keep - $give] : null,
            'sale_price' => $this->pick([0, 0.8]),
            'anchor' => $this->pick(['last_frost', 'last_frost', 'first_frost']),
            'plant_out_offset_days' => $this->count(-40, 20),
            'outdoor_sow_offset_days' => $this->chance(0.4) ? $this->count(-60, 20) : null,
            'bed_sow_offset_days' => $this->chance(0.4) ? $this->count(-60, 20) : null,
            'sow_on' => $this->chance(0.25) ? sprintf('2027-%02d-%02d', $this->count(1, 7), $this->count(1, 28)) : null,
            'cold_days' => $this->pick([0, 14, 30]),
            'sow' => $this->chance(0.2)
                ? ['method' => $this->pick(['m0', 'm1', 'm2'])] +
                    ($this->chance(0.5) ? ['sites' => $this->count(1, 15)] : ['seeds' => $this->count(1, 30)])
                : null,
            'move_on' => $this->pick(['enough', 'enough', 'all']),
            'nursery' => $this->pick([[], ['six'], ['one', 'six'], ['six', 'one']]),
            'pot_at_least_l' => $this->pick([null, null, 0.05, 0.3, 0.5]),
            'bought_loss' => $this->pick([0, 0.1]),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $crops
     * @return array<string, mixed>
     */
    private function setup(string $id, array $crops): array
    {
        $overrides = [];
        foreach ($crops as $crop) {
            if ($this->chance(0.5)) {
                $overrides[$crop['id']] = $this->pick(['m0', 'm1', 'm2', 'nursery']);
            }
        }
        $some = fn (array $ids): array => array_values(array_filter($this->random->shuffleArray($ids), fn () => $this->chance(0.6)));

        return [
            'id' => $id,
            'name' => $id,
            'method' => $this->pick(['m0', 'm1', 'nursery']),
            'overrides' => $overrides,
            'lights' => $some(['lamp', 'lamp2', 'lamp3']),
            'mats' => $some(['mat', 'mat2', 'mat3']),
            'appliances' => $some(['fan']),
            'gear' => $some(['shelf', 'press']),
        ];
    }

    /** @return array<string, mixed> */
    private function container(string $id, int $sites, bool $single): array
    {
        return [
            'id' => $id,
            'name' => $id,
            'sites_per_unit' => $sites,
            'units_per_pack' => $this->pick([1, 5]),
            'pack_price' => $this->real(0, 12),
            'single_use' => $single,
            'life_seasons' => $this->pick([1, 2.5, 4]),
            'owned_units' => $this->pick([0, 0, 3]),
            'volume_l' => $this->real(0, 0.5),
            'top_area_m2' => $this->real(0.001, 0.01),
            'flats_per_unit' => $this->pick([0.05555555555555555, 0.0833333, 0.25, 1]),
            'prep_cost_per_unit' => 0.02,
            'prep_minutes_per_unit' => 1,
        ];
    }

    /** @return array<string, mixed> */
    private function electric(string $id, string $place): array
    {
        return [
            'id' => $id,
            'name' => $id,
            'place' => $place,
            'watts' => $this->real(10, 90),
            'flats' => $this->pick([0.5, 1, 2]),
            'hours_per_day' => $this->pick([0, 14.5, 16, 24]),
            'on_at' => $this->pick(['06:00', '22:00', '16:45']),
            'ppf_umol_s' => $this->pick([null, 92, 20]),
            'lift_c' => $this->pick([0, 1.5]),
            'price' => 31,
            'life_seasons' => 8,
            'owned' => $this->chance(0.3),
        ];
    }

    /** @return array<string, mixed> */
    private function mat(string $id, string $place): array
    {
        return [
            'id' => $id,
            'name' => $id,
            'place' => $place,
            'watts' => 20,
            'flats' => $this->pick([0.5, 1]),
            'lift_c' => $this->pick([6, 5.5, -4]),
            'thermostat_c' => $this->pick([null, 24.5, 15]),
            'price' => 34,
            'life_seasons' => 6,
            'owned' => $this->chance(0.2),
        ];
    }

    /** @return float|list<float>|null */
    private function daylight(): float|array|null
    {
        return $this->pick([null, $this->real(0, 12), array_map(fn () => $this->real(1, 14), range(1, 12))]);
    }

    /** @return list<float> a year outdoors */
    private function course(): array
    {
        return array_map(fn (int $month): float => round(11 - 9 * cos((($month - 1) * M_PI) / 6) + $this->real(-2, 2), 2), range(1, 12));
    }

    /** PHP 8.2's Randomizer has no floats of its own. */
    private function unit(): float
    {
        return $this->random->getInt(0, 2 ** 30 - 1) / 2 ** 30;
    }

    private function chance(float $p): bool
    {
        return $this->unit() < $p;
    }

    private function count(int $least, int $most): int
    {
        return $this->random->getInt($least, $most);
    }

    private function real(float $least, float $most): float
    {
        return round($least + ($most - $least) * $this->unit(), 4);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}

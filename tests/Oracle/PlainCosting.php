<?php

declare(strict_types=1);

namespace Tests\Oracle;

/**
 * The costing rules read plainly, without the core's shortcuts and sharing none of its code: every day is walked, every
 * plant count is carried in full from stage to stage, every crop's extra cost is a whole season simulated again. Works on the decoded
 * season file. Slow on purpose.
 */
final class PlainCosting
{
    /** @var array<string, mixed> */
    private array $s;

    /** @var array<string, array<string, mixed>> a crop's plan depends on no other crop */
    private array $plans = [];

    /** @param  array<string, mixed>  $season  decoded file */
    public function __construct(array $season)
    {
        $this->s = $season + [
            'confidence' => 0.9,
            'hourly_value' => 0,
            'discount_rate' => 0,
            'charge_owned' => false,
            'mix_overage' => 0.1,
            'luck' => 0.1,
            'mishap' => 0.03,
            'nursery_trip_cost' => 0,
            'feed' => null,
            'first_frost' => null,
        ];
        foreach (
            [
                'places',
                'supplies',
                'mixes',
                'containers',
                'trayware',
                'lights',
                'mats',
                'appliances',
                'gear',
                'species',
                'seed_lots',
                'methods',
                'nursery',
            ] as $list
        ) {
            $this->s[$list] ??= [];
        }
    }

    /** @return array<string, mixed> the figures of a set-up, crops by id */
    public function setup(string $id): array
    {
        $setup = $this->row('setups', $id);
        $whole = $this->simulate($setup, $this->s['crops']);
        foreach ($whole['crops'] as $crop => $figures) {
            if ($figures['grown']) {
                $rest = $this->simulate($setup, array_values(array_filter($this->s['crops'], fn ($c) => $c['id'] !== (string) $crop)));
                $whole['crops'][$crop]['extra_cost'] = $whole['cost'] - $rest['cost'];
                $short = $figures['shortfall_cost'] ?? 0.0;
                $extra = $whole['crops'][$crop]['extra_cost'] + $short;
                $whole['crops'][$crop]['verdict'] = match (true) {
                    $figures['buy_cost'] === null => 'grow_only',
                    $extra > $figures['buy_cost'] => 'buy',
                    $figures['buy_cost'] >= $figures['cost'] + $short => 'grow',
                    default => 'grow_along',
                };
            }
        }

        return $whole + $this->totals($whole['crops']);
    }

    /** @return array<string, mixed> */
    private function simulate(array $setup, array $crops): array
    {
        $grown = $bought = $out = $warnings = [];
        foreach ($crops as $crop) {
            $method = $setup['overrides'][$crop['id']] ?? $setup['method'];
            $buy = $this->cheapest($crop);
            if ($method === 'nursery') {
                if ($buy === null) {
                    $out[$crop['id']] = [
                        'grown' => false,
                        'cost' => null,
                        'buy_cost' => null,
                        'warnings' => ['no_offer'],
                        'wanted' => $crop['wanted'],
                    ];
                } else {
                    $bought[] = $crop;
                    $out[$crop['id']] = [
                        'grown' => false,
                        'cost' => 0.0,
                        'buy_cost' => $buy['cost'],
                        'packs' => $buy['packs'],
                        'warnings' => [],
                        'wanted' => $crop['wanted'],
                    ];
                }

                continue;
            }
            $plan = $this->plans[$setup['id']][$crop['id']] ??= $this->plan($crop, $this->row('methods', $method), $setup);
            if (is_string($plan)) {
                $out[$crop['id']] = [
                    'grown' => false,
                    'cost' => null,
                    'buy_cost' => $buy['cost'] ?? null,
                    'warnings' => [$plan],
                    'verdict' => 'buy_only',
                    'wanted' => $crop['wanted'],
                ];
            } else {
                $grown[$crop['id']] = $plan;
                $out[$crop['id']] =
                    ['grown' => true, 'buy_cost' => $buy['cost'] ?? null, 'wanted' => $crop['wanted'], 'warnings' => $plan['warnings']] +
                    $plan['report'] +
                    $this->prospects($crop, $plan);
            }
        }
        $heads = array_map(fn () => [], $grown);
        $kwh = ['light' => 0.0, 'heat' => 0.0, 'appliance' => 0.0];
        $cash = 0.0;
        $this->seedCost($grown, $heads, $cash);
        $litres = $this->supplyCost($grown, $heads, $cash);
        $this->containerCost($grown, $heads, $cash);
        $crowded = $this->electricity($grown, $setup, $heads, $kwh, $litres);
        $this->equipment($grown, $setup, $heads, $cash);
        foreach ($grown as $id => $plan) {
            $out[$id]['heads'] = $heads[$id];
            $out[$id]['cost'] = array_sum($heads[$id]);
            foreach (
                ['per_finished' => 'useful', 'per_finished_low' => 'useful_high', 'per_finished_high' => 'useful_low'] as $key => $plants
            ) {
                $out[$id][$key] = $out[$id][$plants] < 1e-6 ? null : $out[$id]['cost'] / $out[$id][$plants];
            }
            $minutes = 0.0;
            foreach ($plan['stages'] as $stage) {
                $days = $stage['end'] - $stage['start'];
                $minutes +=
                    $stage['sites'] * ($stage['row']['minutes_per_site'] ?? 0) +
                    $stage['flats'] * $days * ($stage['row']['minutes_per_flat_day'] ?? 0);
                if (($stage['row']['container'] ?? null) !== null) {
                    $minutes +=
                        ($stage['sites'] / $stage['container']['sites_per_unit']) * ($stage['container']['prep_minutes_per_unit'] ?? 0);
                }
                $mix = $this->find('mixes', $stage['row']['mix'] ?? null);
                $minutes += $mix === null ? 0 : $this->litres($stage) * ($mix['minutes_per_l'] ?? 0);
            }
            $out[$id]['hours'] = $minutes / 60;
        }
        $wantedBought = array_sum(array_column($bought, 'wanted'));
        foreach ($bought as $crop) {
            $out[$crop['id']]['cost'] = $out[$crop['id']]['buy_cost'] + ($this->s['nursery_trip_cost'] * $crop['wanted']) / $wantedBought;
            $cash += $out[$crop['id']]['buy_cost'];
        }
        $cash += $bought === [] ? 0 : $this->s['nursery_trip_cost'];

        return [
            'crops' => $out,
            'cost' => array_sum(array_map(fn ($crop) => $crop['cost'] ?? 0.0, $out)),
            'cash_now' => $cash,
            'kwh' => $kwh,
            'crowded_days' => $crowded,
        ];
    }

    /** @return array<string, mixed> what comes of a crop: plants over the two seasons and a mishap */
    private function prospects(array $crop, array $plan): array
    {
        $w = $crop['wanted'];
        $m = $this->s['mishap'];
        $all = [0 => $m];
        foreach ([0.2, 0.8] as $season => $weight) {
            foreach ($plan['seasons'][$season] as $k => $mass) {
                $all[$k] = ($all[$k] ?? 0.0) + (1 - $m) * $weight * $mass;
            }
        }
        $expect = fn (callable $value): float => array_sum(array_map(fn ($k, $mass) => $mass * $value($k), array_keys($all), $all));
        $useful = [];
        foreach ($all as $k => $mass) {
            $useful[min($k, $w)] = ($useful[min($k, $w)] ?? 0.0) + $mass;
        }
        $split = $crop['split'] ?? null;

        return [
            'finished' => $expect(fn ($k) => $k),
            'p_enough' => $expect(fn ($k) => $k >= $w ? 1 : 0),
            'shortfall' => $expect(fn ($k) => max(0, $w - $k)),
            'useful' => $expect(fn ($k) => min($w, $k)),
            'surplus' => $expect(fn ($k) => max(0, $k - $w)),
            'useful_low' => $this->percentile($useful, 0.1),
            'useful_high' => $this->percentile($useful, 0.9),
            'shortfall_cost' => $this->cheapest($crop) === null ? null : $expect(fn ($k) => $this->cheapest(['wanted' => max(0, $w - $k)] + $crop)['cost']),
            'income' => $split === null
                    ? 0.0
                    : ($crop['sale_price'] ?? 0) * $expect(fn ($k) => min(max(0, $k - $split['keep'] - $split['give']), $split['sell'])),
            'seasons' => $plan['seasons'],
            'batch' => $plan['batch'],
            'crop' => $crop,
        ];
    }

    /** @param  array<int, float>  $masses */
    private function percentile(array $masses, float $p): int
    {
        ksort($masses);
        $sum = 0.0;
        foreach ($masses as $value => $mass) {
            $sum += $mass;
            if ($sum >= $p - 1e-12) {
                return $value;
            }
        }

        return 0;
    }

    /**
     * @param  array<string, array<string, mixed>>  $crops  grown
     * @param  callable(array<string, mixed>, int): int  $value  of a crop with so many finished
     * @return array<int, float>
     */
    private function together(array $crops, callable $value): array
    {
        $plus = function (array $a, array $b): array {
            $sum = [];
            foreach ($a as $x => $p) {
                foreach ($b as $y => $q) {
                    $sum[$x + $y] = ($sum[$x + $y] ?? 0.0) + $p * $q;
                }
            }

            return $sum;
        };
        $all = [];
        foreach ([0.2, 0.8] as $season => $weight) {
            $sum = [0 => 1.0];
            foreach (array_unique(array_column($crops, 'batch')) as $batch) {
                $one = [0 => 1.0 - $this->s['mishap']];
                $lost = 0;
                foreach (array_filter($crops, fn ($crop) => $crop['batch'] === $batch) as $crop) {
                    $masses = [];
                    foreach ($crop['seasons'][$season] as $k => $mass) {
                        $at = $value($crop, $k);
                        $masses[$at] = ($masses[$at] ?? 0.0) + $mass;
                    }
                    $one = $plus($one, $masses);
                    $lost += $value($crop, 0);
                }
                $one[$lost] = ($one[$lost] ?? 0.0) + $this->s['mishap'];
                $sum = $plus($sum, $one);
            }
            foreach ($sum as $x => $p) {
                $all[$x] = ($all[$x] ?? 0.0) + $weight * $p;
            }
        }

        return $all;
    }

    /** @param  array<string, array<string, mixed>>  $crops  grown */
    private function allEnough(array $crops): float
    {
        $sum = 0.0;
        foreach ([0.2, 0.8] as $season => $weight) {
            $product = 1.0;
            foreach ($crops as $crop) {
                $product *= array_sum(array_slice($crop['seasons'][$season], $crop['wanted']));
            }
            $sum += $weight * $product;
        }

        return $sum * (1 - $this->s['mishap']) ** count(array_unique(array_column($crops, 'batch')));
    }

    /** @return array<string, mixed> */
    private function totals(array $crops): array
    {
        $over = fn (float $a, float $b): ?float => $b < 1e-6 ? null : $a / $b;
        $sum = fn (array $rows, string $key): float => array_sum(array_map(fn ($row) => $row[$key] ?? 0.0, $rows));
        $supplied = array_filter($crops, fn ($crop) => $crop['cost'] !== null);
        $grown = array_filter($supplied, fn ($crop) => $crop['grown']);
        $offered = array_filter($supplied, fn ($crop) => $crop['buy_cost'] !== null);
        $grownOffered = array_intersect_key($grown, $offered);
        $cost = $sum($supplied, 'cost');
        $trip = $this->s['nursery_trip_cost'];
        $short = $sum($grownOffered, 'shortfall_cost');
        $buysNone = count($supplied) === count($grown);
        $tripAfter = $buysNone ? $trip * (1 - $this->allEnough($grownOffered)) : 0.0;
        $fill = $cost + $short + $tripAfter;
        $filled = $sum($offered, 'wanted') + $sum(array_diff_key($grown, $offered), 'useful');
        $buyTotal = $offered === [] ? null : $sum($offered, 'buy_cost') + $trip;
        $useful = $this->together($grown, fn ($crop, $k) => min($k, $crop['wanted']));
        [$low, $high] = [$this->percentile($useful, 0.1), $this->percentile($useful, 0.9)];
        $keep = null;
        if ($grownOffered !== [] && $buyTotal > 0) {
            $delta = $buyTotal / 1000;
            $sums = $this->together(
                $grownOffered,
                fn ($crop, $k) => (int) floor(
                    $this->cheapest(['wanted' => max(0, $crop['wanted'] - $k)] + $crop['crop'])['cost'] / $delta + 0.5 + 1e-9,
                ),
            );
            if ($buysNone) {
                $more = (int) floor($trip / $delta + 0.5 + 1e-9);
                $tripped = [];
                foreach ($sums as $x => $p) {
                    $tripped[$x > 0 ? $x + $more : 0] = ($tripped[$x > 0 ? $x + $more : 0] ?? 0.0) + $p;
                }
                $sums = $tripped;
            }
            $most = floor(($buyTotal - $sum($offered, 'cost')) / $delta + 1e-9);
            $keep = array_sum(array_filter($sums, fn ($x) => $x <= $most, ARRAY_FILTER_USE_KEY));
        }
        $hours = $sum($grown, 'hours');
        $kept = $buyTotal === null ? null : $buyTotal - $sum($offered, 'cost') - $short - $tripAfter;

        return [
            'hours' => $hours,
            'finished' => $sum($grown, 'finished'),
            'useful' => $sum($grown, 'useful'),
            'useful_low' => $low,
            'useful_high' => $high,
            'surplus' => $sum($grown, 'surplus'),
            'cost_with_time' => $cost + $hours * $this->s['hourly_value'],
            'per_finished' => $over($sum($grown, 'cost'), $sum($grown, 'useful')),
            'per_finished_low' => $over($sum($grown, 'cost'), $high),
            'per_finished_high' => $over($sum($grown, 'cost'), $low),
            'per_raised' => $over($sum($grown, 'cost'), $sum($grown, 'finished')),
            'p_all_enough' => $grown === [] ? null : $this->allEnough($grown),
            'fill_cost' => $fill,
            'filled' => $filled,
            'per_wanted' => $over($fill, $filled),
            'missing' => $sum($crops, 'wanted') - $filled,
            'buy_total' => $buyTotal,
            'nursery_per_plant' => $buyTotal === null ? null : $buyTotal / $sum($offered, 'wanted'),
            'same_per_plant' => $buyTotal === null ? null : ($buyTotal - $kept) / $sum($offered, 'wanted'),
            'keep' => $kept,
            'p_keep' => $keep,
            'income' => $sum($grown, 'income'),
            'implied_wage' => $kept !== null && $sum($grownOffered, 'hours') > 0 ? $kept / $sum($grownOffered, 'hours') : null,
        ];
    }

    /** @return array<string, mixed>|string */
    private function plan(array $crop, array $method, array $setup): array|string
    {
        $lot = $this->row('seed_lots', $crop['lot']);
        $species = $this->row('species', $lot['species']);
        $first = $method['stages'][0];
        $outdoors = array_map(fn ($stage) => $this->row('places', $stage['place'])['outdoors'] ?? false, $method['stages']);
        $direct = ($first['container'] ?? null) === null;
        $toFirstFrost = ($crop['anchor'] ?? 'last_frost') === 'first_frost';
        $anchor = $this->day($this->s[$toFirstFrost ? 'first_frost' : 'last_frost']);
        $target = $anchor + $crop['plant_out_offset_days'];
        $days = [];
        $rest = null;
        foreach ($method['stages'] as $i => $stage) {
            $rest = $stage['days'] === 'rest' ? $i : $rest;
            $days[] = $i === 0 || $stage['days'] === 'rest' ? 0 : $stage['days'] + ($stage['extra_days'] ?? 0);
        }
        $offset = $direct ? $crop['bed_sow_offset_days'] ?? null : ($outdoors[0] ? $crop['outdoor_sow_offset_days'] ?? null : null);
        // What growth needs: the species' weeks in good warmth, less a first stage in that same warmth and all the other stages.
        $table = array_filter(array_column($species['germination'] ?? [], 'days'), fn ($n) => $n !== null);
        $quickest = $this->isModelled($first, $species)
            ? max(is_int($first['days']) ? $first['days'] : 0, $table === [] ? 1 : max(1, $this->ceil(($lot['emergence_factor'] ?? 1) * min($table)))) + ($first['extra_days'] ?? 0)
            : null;
        $growth = fn (): int => max(1, $this->ceil(7 * $species['weeks'] * ($method['weeks_share'] ?? 1))
            - ($quickest ?? $this->firstStage($first, $lot, $species, $setup, $target)['own']) - array_sum($days));
        $fixed = isset($crop['sow_on']) ? $this->day($crop['sow_on']) : ($offset === null ? null : $anchor + $offset);
        $from = fn (int $day): array|string => $this->firstStage($first, $lot, $species, $setup, $day);
        $late = 0;
        if ($fixed !== null) {
            $sown = $from($fixed);
            if (is_string($sown)) {
                return $sown;
            }
            $start = $fixed;
            // The other stages first: the growth that is needed is what they leave.
            if ($rest !== null) {
                $needed = $growth();
            }
            $days[0] = $sown['own'];
            if ($rest !== null) {
                $days[$rest] = max($needed, $target - $start - array_sum($days));
            }
            $wait = $target - $start - array_sum($days);
            $late = $direct ? 0 : max(0, -$wait);
            if (! $direct && $wait > 0) {
                $indoor = array_keys($outdoors, false, true);
                $days[$indoor === [] ? count($days) - 1 : end($indoor)] += $wait;
            }
        } else {
            if ($rest !== null) {
                $days[$rest] = $growth();
            }
            $end = $target - array_sum($days);
            if ($this->isModelled($first, $species)) {
                $extra = $first['extra_days'] ?? 0;
                $farthest = max(120, is_int($first['days']) ? $first['days'] : 0);
                $start = null;
                for ($back = 0; $back <= $farthest && $start === null; $back++) {
                    $try = $this->emergence($first, $lot, $species, $setup, $end - $extra - $back);
                    if ($try['n'] !== null && $back >= max($try['n'], is_int($first['days']) ? $first['days'] : 0)) {
                        $start = $end - $extra - $back;
                    }
                }
                if ($start === null) {
                    return $this->tooColdOrHot($first, $species, $setup, $end - $extra - 120, 120);
                }
            } else {
                $start = $end - $from($end)['own'];
            }
            $sown = $from($start);
            if (is_string($sown)) {
                return $sown;
            }
            $days[0] = $end - $start;
        }
        $up = $start + $sown['up'];
        $out = $start + array_sum($days);
        $lastFrost = $toFirstFrost ? null : $this->day($this->s['last_frost']);
        $frost = false;
        if ($species['tender'] ?? false) {
            if ($lastFrost !== null && $outdoors[0] && $up < $lastFrost) {
                return 'frost';
            }
            $frost =
                ($lastFrost !== null && $out < $lastFrost) ||
                ($this->s['first_frost'] !== null && $out >= $this->day($this->s['first_frost']));
        }
        [$v, $known] = $this->viability($lot, $species);
        $g = $v * $sown['relative'];
        $packets = array_map(fn ($one) => $one * $sown['relative'], $this->badAndGood($v, sqrt(($v * (1 - $v)) / ($known + 1))));
        $sow = $this->sow($crop, $method, $g, $packets);
        if ($sow === null) {
            return 'cannot_reach';
        }
        $sownOn = $start;
        $stages = [];
        $warnings = [...$late > 0 ? ['late'] : [], ...$frost ? ['frost'] : []];
        $container = null;
        $sites = $sow['sites'];
        $pot = 0;
        foreach ($method['stages'] as $i => $stage) {
            if (($stage['container'] ?? null) !== null) {
                $container = $this->row('containers', $stage['container']);
                if ($i > 0) {
                    $sites = $this->ceil($sow['moved'][$pot++] / ($stage['plants_per_site'] ?? 1));
                }
            }
            $place = $this->row('places', $stage['place']);
            $lit = ($stage['light'] ?? false) && $this->at($setup, 'lights', $place['id']) !== [];
            $warm = ($stage['mat'] ?? false) && $this->at($setup, 'mats', $place['id']) !== [];
            if (($stage['light'] ?? false) && ! $lit) {
                $warnings[] = 'no_light';
            }
            if (($stage['mat'] ?? false) && ! $warm) {
                $warnings[] = 'no_mat';
            }
            if ($i > 0 && ! ($place['outdoors'] ?? false) && $this->isDim($place, $setup, $lit, $start + intdiv($days[$i], 2))) {
                $warnings[] = 'dim';
            }
            $stages[] = [
                'row' => $stage,
                'place' => $place,
                'container' => $container,
                'start' => $start,
                'end' => $start + $days[$i],
                'sites' => $sites,
                'lit' => $lit,
                'warm' => $warm,
                'flats' => $container === null ? 0.0 : ($sites / $container['sites_per_unit']) * $container['flats_per_unit'],
            ];
            $start += $days[$i];
        }
        $least = $crop['pot_at_least_l'] ?? null;
        if ($least !== null && $container !== null && $container['volume_l'] > 0 && $container['volume_l'] < $least - 1e-9) {
            $warnings[] = 'small';
        }
        $order = ['frost', 'no_light', 'no_mat', 'late', 'dim', 'small'];
        $spread = $this->s['last_frost_spread_days'] ?? 0;
        $risk = null;
        if (($species['tender'] ?? false) && $lastFrost !== null && $spread > 0) {
            $risk = 1 - $this->phi(max(-40, min(40, (($direct ? $up : $out) - $lastFrost - 0.5) / $spread)));
        }
        $coldDays = $crop['cold_days'] ?? 0;
        $cold = $coldDays === 0 ? null : $sownOn - $coldDays;
        $there = $this->row('places', $first['place']);
        if ($cold !== null && $outdoors[0] && $there['temp_c'] !== null) {
            $sum = 0.0;
            for ($d = $sownOn; $d < $sownOn + $coldDays; $d++) {
                $sum += $this->monthly($there['temp_c'], $d);
            }
            $cold = $sum / $coldDays <= 7 + 1e-9 ? null : $cold;
        }

        return [
            'crop' => $crop,
            'lot' => $lot,
            'species' => $species,
            'method' => $method,
            'stages' => $stages,
            'seeds' => $sow['seeds'],
            'seasons' => $sow['seasons'],
            'batch' => $first['place'].'/'.($first['container'] ?? '').'/'.$this->monday($sownOn),
            'warnings' => array_values(array_filter($order, fn ($code) => in_array($code, $warnings, true))),
            'report' => ['late_days' => $late, 'p_frost' => $risk, 'cold_on' => $cold === null ? null : $this->date($cold),
                'sow_on' => $this->date($sownOn), 'plant_out_on' => $this->date($out), 'g' => $g, 'q' => $sow['q'], 'seeds' => $sow['seeds'], 'sites' => $sow['sites']],
        ];
    }

    private function date(int $day): string
    {
        return (new \DateTimeImmutable('1970-01-01'))->modify("{$day} days")->format('Y-m-d');
    }

    private function monday(int $day): string
    {
        $date = (new \DateTimeImmutable('1970-01-01'))->modify("{$day} days");

        return $date->modify('-'.((int) $date->format('N') - 1).' days')->format('Y-m-d');
    }

    private function isDim(array $place, array $setup, bool $lit, int $middle): bool
    {
        $lamps = $lit ? array_filter($this->at($setup, 'lights', $place['id']), fn ($light) => isset($light['ppf_umol_s'])) : [];
        $daylight = $this->monthly($place['daylight'] ?? null, $middle);
        if (($lit && $lamps === []) || (! $lit && $daylight === null)) {
            return false;
        }
        $dose = 0.0;
        foreach ($lamps as $lamp) {
            $ppfd = (0.75 * $lamp['ppf_umol_s']) / ($lamp['flats'] * 0.129032);
            $dose += ($ppfd * $lamp['hours_per_day'] * 0.0036 * $lamp['flats']) / array_sum(array_column($lamps, 'flats'));
        }

        return $dose + ($daylight ?? 0.0) < 10 - 1e-9;
    }

    private function isModelled(array $first, array $species): bool
    {
        return ($species['germination'] ?? []) !== [] && $this->row('places', $first['place'])['temp_c'] !== null;
    }

    /** @return array{own: int, up: int, relative: float}|string the first stage sown on a day, or what is wrong */
    private function firstStage(array $first, array $lot, array $species, array $setup, int $day): array|string
    {
        $extra = $first['extra_days'] ?? 0;
        if (! $this->isModelled($first, $species)) {
            if ($first['days'] === 'emergence') {
                $n = $this->ceil($species['days_to_emerge'] * ($lot['emergence_factor'] ?? 1));

                return ['own' => $n + $extra, 'up' => $n, 'relative' => 1.0];
            }

            return ['own' => $first['days'] + $extra, 'up' => $first['days'] + $extra, 'relative' => 1.0];
        }
        $found = $this->emergence($first, $lot, $species, $setup, $day);
        if ($found['n'] === null || $found['relative'] < 0.05) {
            return $this->tooColdOrHot($first, $species, $setup, $day, $found['n'] ?? 120);
        }
        $least = $first['days'] === 'emergence' ? 0 : $first['days'];

        return ['own' => max($least, $found['n']) + $extra, 'up' => $found['n'], 'relative' => $found['relative']];
    }

    /** @return array{n: ?int, relative: float} day by day */
    private function emergence(array $first, array $lot, array $species, array $setup, int $day): array
    {
        $rates = $weighted = 0.0;
        for ($n = 1; $n <= 120; $n++) {
            [$rate, $percent] = $this->response($species['germination'], $this->soil($first, $setup, $day + $n - 1));
            $rates += $rate;
            $weighted += $rate * $percent;
            if ($rates >= ($lot['emergence_factor'] ?? 1) - 1e-9) {
                return ['n' => $n, 'relative' => $weighted / $rates / max(array_column($species['germination'], 'percent'))];
            }
        }

        return ['n' => null, 'relative' => 0.0];
    }

    private function tooColdOrHot(array $first, array $species, array $setup, int $from, int $days): string
    {
        $sum = 0.0;
        for ($d = $from; $d < $from + $days; $d++) {
            $sum += $this->soil($first, $setup, $d);
        }
        $percents = array_column($species['germination'], 'percent');
        $best = $species['germination'][array_search(max($percents), $percents, true)]['temp_c'];

        return $sum / $days < $best ? 'too_cold' : 'too_hot';
    }

    /** @return array{float, float} */
    private function badAndGood(float $m, float $d): array
    {
        $bad = $m - 2 * $d;
        $good = $m + $d / 2;
        if ($good > 1) {
            [$bad, $good] = [1 - (1 - $m) / 0.2, 1.0];
        }
        if ($bad < $m / 4) {
            [$bad, $good] = [$m / 4, ($m - (0.2 * $m) / 4) / 0.8];
        }

        return [$bad, $good];
    }

    private function soil(array $stage, array $setup, int $day): float
    {
        $air = $this->monthly($this->row('places', $stage['place'])['temp_c'], $day);
        if ($stage['light'] ?? false) {
            $air += $this->at($setup, 'lights', $stage['place'])[0]['lift_c'] ?? 0;
        }
        $mat = $stage['mat'] ?? false ? $this->at($setup, 'mats', $stage['place'])[0] ?? null : null;
        if ($mat === null) {
            return $air;
        }
        $t = $air + $mat['lift_c'];
        if (isset($mat['thermostat_c'])) {
            if ($mat['lift_c'] > 0 && $t > $mat['thermostat_c']) {
                $t = $mat['thermostat_c'] > $air ? $mat['thermostat_c'] : $air;
            }
            if ($mat['lift_c'] < 0 && $t < $mat['thermostat_c']) {
                $t = $mat['thermostat_c'] < $air ? $mat['thermostat_c'] : $air;
            }
        }

        return $t;
    }

    /** @return array{float, float} rate and percent */
    private function response(array $rows, float $t): array
    {
        $rate = fn (array $row): float => $row['days'] === null ? 0.0 : 1 / $row['days'];
        foreach ($rows as $i => $row) {
            if ($row['temp_c'] == $t) {
                return [$rate($row), $row['percent']];
            }
            if ($row['temp_c'] > $t) {
                if ($i === 0) {
                    return $row['percent'] > 0 && $row['temp_c'] - $t <= 2 ? [$rate($row), $row['percent']] : [0.0, 0.0];
                }
                $x = ($t - $rows[$i - 1]['temp_c']) / ($row['temp_c'] - $rows[$i - 1]['temp_c']);

                return [(1 - $x) * $rate($rows[$i - 1]) + $x * $rate($row), (1 - $x) * $rows[$i - 1]['percent'] + $x * $row['percent']];
            }
        }
        $end = end($rows);

        return $end['percent'] > 0 && $t - $end['temp_c'] <= 2 ? [$rate($end), $end['percent']] : [0.0, 0.0];
    }

    /** @return array{float, int} share alive, and what one knows of it in seeds */
    private function viability(array $lot, array $species): array
    {
        $v = min(0.999, max(0.001, $lot['germination'] ?? $species['fresh_germination']));
        $age = max(0, $this->s['year'] - $lot['packed_for']);
        $v *= $this->phi(2 - (1.16 * $age) / ($species['longevity_years'] ?? 3)) / $this->phi(2);
        $k = $age === 0 ? 20 : 6;
        $n = $lot['test']['sown'] ?? 0;
        $v = ($k * $v + ($lot['test']['sprouted'] ?? 0)) / ($k + $n);

        return [min(0.999, max(0.001, $v)), $k + $n];
    }

    /** Φ by Simpson's rule from 0; 2,000 steps give 1e-13 within the range used here. */
    private function phi(float $z): float
    {
        $n = 2000;
        $h = $z / $n;
        $sum = 0.0;
        for ($i = 0; $i <= $n; $i++) {
            $sum += ($i === 0 || $i === $n ? 1 : ($i % 2 ? 4 : 2)) * exp(-(($i * $h) ** 2) / 2);
        }

        return 0.5 + ($sum * $h) / 3 / sqrt(2 * M_PI);
    }

    /** @return list<float> all of it, from the logarithms of the factorials */
    private function binomial(int $n, float $p): array
    {
        if ($p <= 0.0 || $p >= 1.0) {
            $all = array_fill(0, $n + 1, 0.0);
            $all[$p <= 0.0 ? 0 : $n] = 1.0;

            return $all;
        }
        static $logs = [0.0];
        for ($k = count($logs); $k <= $n; $k++) {
            $logs[$k] = $logs[$k - 1] + log($k);
        }
        $masses = [];
        for ($k = 0; $k <= $n; $k++) {
            $masses[] = exp($logs[$n] - $logs[$k] - $logs[$n - $k] + $k * log($p) + ($n - $k) * log1p(-$p));
        }

        return $masses;
    }

    /** The smallest n of wanted … limit for which it holds, by halving; null where it never does. */
    private function smallest(int $wanted, int $limit, callable $holds): ?int
    {
        [$low, $high] = [$wanted - 1, $wanted];
        while (! $holds($high)) {
            if ($high >= $limit) {
                return null;
            }
            [$low, $high] = [$high, min($limit, 2 * $high + 5)];
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            $holds($middle) ? ($high = $middle) : ($low = $middle);
        }

        return $high;
    }

    private function tail(int $n, float $p, int $k): float
    {
        return array_sum(array_slice($this->binomial($n, $p), max(0, $k)));
    }

    /**
     * @param  array{float, float}  $packets  g of a bad and a good packet
     * @return array<string, mixed>|null
     */
    private function sow(array $crop, array $method, float $g, array $packets): ?array
    {
        $w = $crop['wanted'];
        $per = $method['seeds_per_site'];
        $community = $method['pattern'] === 'community';
        $fills = fn (float $g): float => $community ? $g : $this->tail($per, $g, $method['min_plants'] ?? 1);
        $stages = $method['stages'];
        $whole = array_product(array_column($stages, 'survival'));
        $exponents =
            $whole >= 1
                ? [1.0, 1.0]
                : array_map(
                    fn ($value) => log($value) / log($whole),
                    $this->badAndGood($whole, sqrt($this->s['luck'] * $whole * (1 - $whole))),
                );
        $lives = fn (int $season, int $i): float => $stages[$i]['survival'] ** $exponents[$season];
        $throughout = fn (int $season, int $from, int $to): float => array_product(
            array_map(fn ($i) => $lives($season, $i), $from < $to ? range($from, $to - 1) : []),
        );
        $potting = array_values(array_filter(array_keys($stages), fn ($i) => $i > 0 && ($stages[$i]['container'] ?? null) !== null));
        $limit = 20 * $w + 100;
        $caps = [];
        if (($crop['move_on'] ?? 'enough') === 'enough') {
            $sure = 1 - (1 - $this->s['confidence']) / (count($potting) + 1);
            foreach ($potting as $j) {
                $m = $this->smallest(
                    $w,
                    $limit,
                    fn (int $n) => 0.2 * $this->tail($n, $throughout(0, $j, count($stages)), $w) +
                        0.8 * $this->tail($n, $throughout(1, $j, count($stages)), $w) >=
                        $sure - 1e-12,
                );
                if ($m === null) {
                    return null;
                }
                $caps[$j] = $m;
            }
        }
        // Of a season and a packet: each stage caps and then thins, plant by plant.
        $chain = function (int $n, int $season, float $g) use ($stages, $caps, $fills, $lives): array {
            $alive = $this->binomial($n, $fills($g) * $lives($season, 0));
            foreach (array_slice(array_keys($stages), 1) as $i) {
                if (isset($caps[$i]) && count($alive) > $caps[$i]) {
                    $alive = [...array_slice($alive, 0, $caps[$i]), array_sum(array_slice($alive, $caps[$i]))];
                }
                $next = array_fill(0, count($alive), 0.0);
                foreach ($alive as $k => $mass) {
                    if ($mass < 1e-18) {
                        continue;
                    }
                    foreach ($this->binomial($k, $lives($season, $i)) as $l => $share) {
                        $next[$l] += $mass * $share;
                    }
                }
                $alive = $next;
            }

            return $alive;
        };
        $seasons = fn (int $n): array => array_map(
            function (int $season) use ($chain, $packets, $n): array {
                [$bad, $good] = [$chain($n, $season, $packets[0]), $chain($n, $season, $packets[1])];

                return array_map(fn ($a, $b) => 0.2 * $a + 0.8 * $b, $bad, $good);
            },
            [0, 1],
        );
        $enough = function (int $n) use ($seasons, $w): float {
            [$bad, $good] = $seasons($n);

            return 0.2 * array_sum(array_slice($bad, $w)) + 0.8 * array_sum(array_slice($good, $w));
        };
        $sow = $crop['sow'] ?? null;
        $most = 0.2 * max($packets) * $throughout(0, 0, count($stages)) + 0.8 * max($packets) * $throughout(1, 0, count($stages));
        if ($sow !== null && $sow['method'] === $method['id']) {
            $n = isset($sow['sites'])
                ? ($community
                    ? $sow['sites'] * $per
                    : $sow['sites'])
                : ($community
                    ? $sow['seeds']
                    : $this->ceil($sow['seeds'] / $per));
        } elseif ($limit * $per * $most < 0.5 * $w) {
            return null; // Markov: P(F >= W) <= E[F] / W, below every confidence allowed
        } else {
            $n = $this->smallest($w, $limit, fn (int $n) => $enough($n) >= $this->s['confidence'] - 1e-12);
            if ($n === null) {
                return null;
            }
            $round = $community ? 1 : $method['round_sites_to'] ?? 1;
            $n = $this->ceil($n / $round) * $round;
        }
        $moved = [];
        foreach ($potting as $j) {
            if (isset($caps[$j])) {
                $moved[] = min($caps[$j], $n);

                continue;
            }
            $expected = 0.0;
            foreach ([0.2, 0.8] as $season => $weight) {
                foreach ([0.2, 0.8] as $packet => $other) {
                    $expected += $weight * $other * $n * $fills($packets[$packet]) * $throughout($season, 0, $j);
                }
            }
            $moved[] = $expected;
        }

        return [
            'q' => $fills($g),
            'seeds' => $community ? $n : $n * $per,
            'sites' => $community ? $this->ceil($n / $per) : $n,
            'moved' => $moved,
            'seasons' => $seasons($n),
        ];
    }

    private function seedCost(array $grown, array &$heads, float &$cash): void
    {
        foreach ($this->s['seed_lots'] as $lot) {
            $users = array_filter($grown, fn ($plan) => $plan['lot']['id'] === $lot['id']);
            $need = array_sum(array_column($users, 'seeds'));
            $per = $lot['seeds_per_packet'] ?? null;
            if ($per === null || $need == 0) {
                continue;
            }
            $owned = ($lot['packets_owned'] ?? 0) * $per;
            $packets = max(0, $this->ceil(($need - $owned) / $per));
            $cash += $packets * $lot['packet_price'];
            $life = $this->row('species', $lot['species'])['longevity_years'] ?? 3;
            $charge =
                ($lot['leftover'] ?? 'keep') === 'keep'
                    ? $lot['packet_price'] * max($need / $per, 1 / max(1, $life))
                    : (min($need, $owned) * $lot['packet_price']) / $per + $packets * $lot['packet_price'];
            foreach ($users as $id => $plan) {
                $this->add($heads, $id, 'seed', ($charge * $plan['seeds']) / $need);
            }
        }
    }

    private function litres(array $stage): float
    {
        return $stage['sites'] * $stage['container']['volume_l'] * ($stage['row']['fill'] ?? 1) * (1 + $this->s['mix_overage']);
    }

    /** @return array<string, float> kWh of boiling by crop */
    private function supplyCost(array $grown, array &$heads, float &$cash): array
    {
        $uses = $boil = [];
        foreach ($grown as $id => $plan) {
            $boil[$id] = 0.0;
            foreach ($plan['stages'] as $stage) {
                $row = $stage['row'];
                if (($row['mix'] ?? null) !== null) {
                    $litres = $this->litres($stage);
                    $mix = $this->find('mixes', $row['mix']) ?? ['parts' => [['supply' => $row['mix'], 'parts' => 1]]];
                    $parts = array_sum(array_column($mix['parts'], 'parts'));
                    foreach ($mix['parts'] as $part) {
                        $uses[] = [$part['supply'], $id, 'mix', ($litres * $part['parts']) / ($parts * (1 - ($mix['shrinkage'] ?? 0)))];
                    }
                    foreach ($mix['additives'] ?? [] as $additive) {
                        $uses[] = [$additive['supply'], $id, 'mix', $litres * $additive['amount_per_l']];
                    }
                    $boil[$id] += $litres * ($mix['kwh_per_l'] ?? 0);
                }
                if (($row['top_dressing'] ?? null) !== null) {
                    $uses[] = [
                        $row['top_dressing']['supply'],
                        $id,
                        'top_dressing',
                        $stage['sites'] * $stage['container']['top_area_m2'] * $row['top_dressing']['depth_mm'],
                    ];
                }
                if ($this->s['feed'] !== null) {
                    $feed = $this->s['feed'];
                    $uses[] = [
                        $feed['supply'],
                        $id,
                        'feed',
                        (($stage['flats'] * $feed['litres_per_flat'] * ($row['feeds_per_week'] ?? 0) * ($stage['end'] - $stage['start'])) /
                            7) *
                        $feed['dose_per_l'],
                    ];
                }
            }
            foreach ($plan['method']['extras'] ?? [] as $extra) {
                $uses[] = [
                    $extra['supply'],
                    $id,
                    'extras',
                    $extra['amount'] *
                    ['site' => $plan['stages'][0]['sites'], 'flat' => $plan['stages'][0]['flats'], 'crop' => 1][$extra['per']],
                ];
            }
        }
        foreach ($this->s['supplies'] as $supply) {
            $mine = array_filter($uses, fn ($use) => $use[0] === $supply['id']);
            $need = array_sum(array_column($mine, 3));
            if ($need <= 0) {
                continue;
            }
            $per = $supply['pack_amount'] * ($supply['expansion'] ?? 1);
            $stock = $supply['in_stock'] ?? 0;
            $packs = max(0, $this->ceil(($need - $stock) / $per));
            $cash += $packs * $supply['pack_price'];
            $charge =
                ($supply['leftover'] ?? 'keep') === 'keep'
                    ? ($need * $supply['pack_price']) / $per
                    : (min($need, $stock) * $supply['pack_price']) / $per + $packs * $supply['pack_price'];
            foreach ($mine as [, $id, $head, $amount]) {
                $this->add($heads, $id, $head, ($charge * $amount) / $need);
            }
        }

        return $boil;
    }

    private function containerCost(array $grown, array &$heads, float &$cash): void
    {
        foreach ($this->s['containers'] as $container) {
            $unit = $container['pack_price'] / ($container['units_per_pack'] ?? 1);
            $daily = [];
            $filled = array_fill_keys(array_keys($grown), 0);
            foreach ($grown as $id => $plan) {
                foreach ($plan['stages'] as $stage) {
                    if (($stage['container']['id'] ?? null) !== $container['id']) {
                        continue;
                    }
                    for ($d = $stage['start']; $d < $stage['end']; $d++) {
                        $daily[$d] = ($daily[$d] ?? 0) + $stage['sites'];
                    }
                    if (($stage['row']['container'] ?? null) !== null) {
                        $filled[$id] += $stage['sites'];
                        $this->add(
                            $heads,
                            $id,
                            'prep',
                            ($stage['sites'] / $container['sites_per_unit']) * ($container['prep_cost_per_unit'] ?? 0),
                        );
                    }
                }
            }
            $owned = $container['owned_units'] ?? 0;
            if ($container['single_use'] ?? false) {
                $needed = $this->ceil(array_sum($filled) / $container['sites_per_unit']);
                foreach ($filled as $id => $sites) {
                    $this->add($heads, $id, 'containers', ($sites / $container['sites_per_unit']) * $unit);
                }
            } else {
                $needed = $daily === [] ? 0 : $this->ceil(max($daily) / $container['sites_per_unit']);
                $charged = max(0, $needed - ($this->s['charge_owned'] ? 0 : $owned)) * $this->share($unit, $container['life_seasons'] ?? 1);
                foreach ($filled as $id => $sites) {
                    $this->add($heads, $id, 'containers', $sites > 0 ? ($charged * $sites) / array_sum($filled) : 0.0);
                }
            }
            $cash += max(0, $this->ceil(($needed - $owned) / ($container['units_per_pack'] ?? 1))) * $container['pack_price'];
        }
        foreach ($this->s['trayware'] as $tray) {
            $daily = $weight = [];
            foreach ($grown as $id => $plan) {
                foreach ($plan['stages'] as $stage) {
                    if (in_array($tray['id'], $stage['row']['trayware'] ?? [], true)) {
                        for ($d = $stage['start']; $d < $stage['end']; $d++) {
                            $daily[$d] = ($daily[$d] ?? 0) + $stage['flats'];
                            $weight[$id] = ($weight[$id] ?? 0) + $stage['flats'];
                        }
                    }
                }
            }
            $needed = $daily === [] ? 0 : $this->ceil(max($daily));
            $owned = $tray['owned_units'] ?? 0;
            foreach ($weight as $id => $w) {
                $this->add(
                    $heads,
                    $id,
                    'containers',
                    (max(0, $needed - ($this->s['charge_owned'] ? 0 : $owned)) * $this->share($tray['price'], $tray['life_seasons']) * $w) /
                        array_sum($weight),
                );
            }
            $cash += max(0, $needed - $owned) * $tray['price'];
        }
    }

    private function electricity(array $grown, array $setup, array &$heads, array &$kwh, array $boil): int
    {
        $mean = $this->meanRate(0, 24);
        foreach ($boil as $id => $one) {
            $this->add($heads, $id, 'appliance_power', $one * $mean);
            $kwh['appliance'] += $one;
        }
        if ($grown === []) {
            return 0;
        }
        $first = min(array_map(fn ($plan) => $plan['stages'][0]['start'], $grown));
        $last = max(array_map(fn ($plan) => end($plan['stages'])['end'], $grown));
        $credit = $this->s['electricity']['heat_credit'] ?? null;
        $crowdedDays = [];
        foreach ($this->s['places'] as $place) {
            if ($place['outdoors'] ?? false) {
                continue;
            }
            $lights = $this->at($setup, 'lights', $place['id']);
            $mats = $this->at($setup, 'mats', $place['id']);
            for ($d = $first; $d < $last; $d++) {
                $flats = ['light' => [], 'heat' => [], 'appliance' => []];
                $want = ['light' => 0.0, 'heat' => 0.0];
                foreach ($grown as $id => $plan) {
                    foreach ($plan['stages'] as $stage) {
                        if ($stage['place']['id'] !== $place['id'] || $d < $stage['start'] || $d >= $stage['end']) {
                            continue;
                        }
                        $flats['appliance'][$id] = $stage['flats'];
                        $want['light'] += $stage['row']['light'] ?? false ? $stage['flats'] : 0;
                        $want['heat'] += $stage['row']['mat'] ?? false ? $stage['flats'] : 0;
                        if ($stage['lit']) {
                            $flats['light'][$id] = $stage['flats'];
                        }
                        if ($stage['warm']) {
                            $flats['heat'][$id] = $stage['flats'];
                        }
                    }
                }
                if (
                    $want['light'] > array_sum(array_column($lights, 'flats')) + 1e-6 ||
                    ($mats !== [] && $want['heat'] > array_sum(array_column($mats, 'flats')) + 1e-6) ||
                    (isset($place['flats']) && array_sum($flats['appliance']) > $place['flats'] + 1e-6)
                ) {
                    $crowdedDays[$d] = true;
                }
                $used = ['light' => [0.0, 0.0], 'heat' => [0.0, 0.0], 'appliance' => [0.0, 0.0]];
                foreach (['light' => $lights, 'heat' => $mats] as $kind => $fixtures) {
                    $covered = 0.0;
                    foreach ($fixtures as $fixture) {
                        if ($covered >= $this->ceil(array_sum($flats[$kind])) - 1e-6) {
                            break;
                        }
                        $covered += $fixture['flats'];
                        $one =
                            $kind === 'light'
                                ? ($fixture['watts'] / 1000) * $fixture['hours_per_day']
                                : ($fixture['watts'] / 1000) * 24 * $this->duty($fixture, (float) $this->monthly($place['temp_c'], $d));
                        $used[$kind][0] += $one;
                        $used[$kind][1] +=
                            $one *
                            ($kind === 'light'
                                ? $this->meanRate($this->minutes($fixture['on_at'] ?? '06:00') / 60, $fixture['hours_per_day'])
                                : $mean);
                    }
                }
                if ($flats['appliance'] !== []) {
                    foreach ($this->at($setup, 'appliances', $place['id']) as $appliance) {
                        $used['appliance'][0] += ($appliance['watts'] / 1000) * $appliance['hours_per_day'];
                        $used['appliance'][1] += ($appliance['watts'] / 1000) * $appliance['hours_per_day'] * $mean;
                    }
                }
                foreach ($used as $kind => [$energy, $money]) {
                    $kwh[$kind] += $energy;
                    $saved =
                        $credit !== null && ($place['heated'] ?? true) && $d <= $this->day($credit['until'])
                            ? $energy * $credit['fraction'] * $credit['price_per_kwh']
                            : 0.0;
                    foreach ($flats[$kind] as $id => $f) {
                        $part = array_sum($flats[$kind]) > 0 ? $f / array_sum($flats[$kind]) : 0.0;
                        $this->add($heads, $id, "{$kind}_power", $money * $part);
                        $this->add($heads, $id, 'heat_credit', -$saved * $part);
                    }
                }
            }
        }

        return count($crowdedDays);
    }

    private function equipment(array $grown, array $setup, array &$heads, float &$cash): void
    {
        if ($grown === []) {
            return;
        }
        $needs = [];
        foreach ($grown as $id => $plan) {
            foreach ($plan['method']['needs'] ?? [] as $gear) {
                $needs[$gear][] = $id;
            }
        }
        foreach (['lights' => 'lit', 'mats' => 'warm', 'appliances' => null, 'gear' => null] as $list => $flag) {
            foreach ($this->s[$list] as $thing) {
                $listed = in_array($thing['id'], $setup[$list] ?? [], true);
                $joined = $list === 'gear' && ! $listed && isset($needs[$thing['id']]);
                if (! $listed && ! $joined) {
                    continue;
                }
                $cash += $thing['owned'] ?? false ? 0 : $thing['price'];
                $charge =
                    ($thing['owned'] ?? false) && ! $this->s['charge_owned'] ? 0.0 : $this->share($thing['price'], $thing['life_seasons']);
                $weight = $wanted = [];
                foreach ($grown as $id => $plan) {
                    if ($joined && ! in_array($id, $needs[$thing['id']], true)) {
                        continue;
                    }
                    $wanted[$id] = $plan['crop']['wanted'];
                    $weight[$id] = 0.0;
                    foreach ($plan['stages'] as $stage) {
                        $here = $list === 'gear' ? ! ($stage['place']['outdoors'] ?? false) : $stage['place']['id'] === $thing['place'];
                        $weight[$id] +=
                            $here && ($flag === null || $stage[$flag]) ? $stage['flats'] * ($stage['end'] - $stage['start']) : 0;
                    }
                }
                $weight = array_sum($weight) > 0 ? $weight : $wanted;
                foreach ($weight as $id => $w) {
                    $this->add($heads, $id, $list, ($charge * $w) / array_sum($weight));
                }
            }
        }
    }

    /** @return array{cost: float, packs: int}|null */
    private function cheapest(array $crop): ?array
    {
        // A plug is no price for a plant in a big pot.
        $least = $crop['pot_at_least_l'] ?? null;
        $offers = array_filter($crop['nursery'] ?? [], fn ($id) => $least === null || ($this->row('nursery', $id)['pot_l'] ?? null) === null
            || $this->row('nursery', $id)['pot_l'] >= $least - 1e-9);
        if ($offers === []) {
            return null;
        }
        $need = $this->ceil($crop['wanted'] / (1 - ($crop['bought_loss'] ?? 0)));
        $best = array_fill(0, $need + 1, INF);
        $best[0] = 0.0;
        for ($n = 1; $n <= $need; $n++) {
            foreach ($offers as $id) {
                $offer = $this->row('nursery', $id);
                $best[$n] = min($best[$n], $best[max(0, $n - $offer['plants'])] + $offer['price']);
            }
        }

        return ['cost' => $best[$need], 'packs' => 0];
    }

    private function duty(array $mat, float $air): float
    {
        return isset($mat['thermostat_c']) ? max(0.0, min(1.0, ($mat['thermostat_c'] - $air) / $mat['lift_c'])) : 1.0;
    }

    /** Mean rate over so many hours from an hour of the day on, minute by minute (and the last part of a minute). */
    private function meanRate(float $from, float $hours): float
    {
        $e = $this->s['electricity'];
        if ($hours <= 0 || ($e['windows'] ?? []) === []) {
            return $e['rate'];
        }
        $rate = function (int $minute) use ($e): float {
            foreach ($e['windows'] as $w) {
                [$a, $b] = [$this->minutes($w['from']), $this->minutes($w['to'])];
                $in = $a === $b || ($a < $b ? $minute >= $a && $minute < $b : $minute >= $a || $minute < $b);
                if ($in) {
                    return $w['rate'];
                }
            }

            return $e['rate'];
        };
        $sum = 0.0;
        $left = $hours * 60;
        for ($m = (int) round($from * 60); $left > 1e-9; $m++, $left--) {
            $sum += $rate($m % 1440) * min(1.0, $left);
        }

        return $sum / ($hours * 60);
    }

    private function share(float $price, float $life): float
    {
        $i = $this->s['discount_rate'];
        if ($i == 0) {
            return $price / $life;
        }

        return ($price * $i * (1 + $i) ** $life) / ((1 + $i) ** $life - 1);
    }

    /** A day's value of a year's course: each month's mean on its 15th, straight lines between. */
    private function monthly(array|float|int|null $means, int $day): ?float
    {
        if (! is_array($means)) {
            return $means;
        }
        $date = (new \DateTimeImmutable('1970-01-01'))->modify("{$day} days");
        $from = $date->setDate((int) $date->format('Y'), (int) $date->format('n') - ($date->format('j') < 15 ? 1 : 0), 15);
        $to = $from->modify('+1 month');
        $x = $from->diff($date)->days / $from->diff($to)->days;

        return (1 - $x) * $means[(int) $from->format('n') - 1] + $x * $means[(int) $to->format('n') - 1];
    }

    private function at(array $setup, string $list, string $place): array
    {
        return array_values(
            array_filter(array_map(fn ($id) => $this->row($list, $id), $setup[$list] ?? []), fn ($row) => $row['place'] === $place),
        );
    }

    private function add(array &$heads, string|int $id, string $head, float $amount): void
    {
        $heads[$id][$head] = ($heads[$id][$head] ?? 0.0) + $amount;
    }

    private function row(string $list, string $id): array
    {
        return $this->find($list, $id) ?? throw new \OutOfBoundsException("{$list} {$id}");
    }

    private function find(string $list, ?string $id): ?array
    {
        foreach ($this->s[$list] as $row) {
            if ($row['id'] === $id) {
                return $row;
            }
        }

        return null;
    }

    private function day(string $date): int
    {
        return (int) (new \DateTimeImmutable('1970-01-01'))->diff(new \DateTimeImmutable($date))->format('%r%a');
    }

    private function minutes(string $time): int
    {
        return (int) substr($time, 0, 2) * 60 + (int) substr($time, 3);
    }

    private function ceil(float $x): int
    {
        return (int) ceil($x - 1e-6);
    }
}

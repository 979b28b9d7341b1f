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
                $short = ($figures['shortfall'] * ($figures['buy_cost'] ?? 0)) / $figures['wanted'];
                $extra = $whole['crops'][$crop]['extra_cost'] + $short;
                $whole['crops'][$crop]['verdict'] = match (true) {
                    $figures['buy_cost'] === null => 'grow_only',
                    $extra > $figures['buy_cost'] => 'buy',
                    $figures['buy_cost'] >= $figures['cost'] + $short => 'grow',
                    default => 'grow_along',
                };
            }
        }

        return $whole;
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
                    $plan['report'];
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

        return $this->totals($out, $kwh, $crowded) + ['cash_now' => $cash, 'crops' => $out];
    }

    private function totals(array $crops, array $kwh, int $crowded): array
    {
        $t = ['cost' => 0.0, 'hours' => 0.0, 'finished' => 0.0, 'useful' => 0.0, 'surplus' => 0.0, 'filled' => 0.0];
        [$grownCost, $short, $wanted, $plants, $buy, $spent, $earned, $workHours] = [0.0, 0.0, 0, 0, 0.0, 0.0, 0.0, 0.0];
        [$p, $anyGrown, $anyOffer] = [1.0, false, false];
        foreach ($crops as $c) {
            $wanted += $c['wanted'];
            if ($c['cost'] === null) {
                continue;
            }
            $t['cost'] += $c['cost'];
            $lack = 0.0;
            if ($c['grown']) {
                $anyGrown = true;
                $grownCost += $c['cost'];
                foreach (['hours', 'finished', 'useful', 'surplus'] as $key) {
                    $t[$key] += $c[$key];
                }
                $p *= $c['p_enough'];
                $lack = $c['buy_cost'] === null ? 0.0 : ($c['shortfall'] * $c['buy_cost']) / $c['wanted'];
                $short += $lack;
            }
            if ($c['buy_cost'] === null) {
                $t['filled'] += $c['useful'];
            } else {
                $anyOffer = true;
                $t['filled'] += $c['wanted'];
                $plants += $c['wanted'];
                $buy += $c['buy_cost'];
                $spent += $c['cost'] + $lack;
                if ($c['grown']) {
                    $earned += $c['buy_cost'] - $c['cost'] - $lack;
                    $workHours += $c['hours'];
                }
            }
        }
        $over = fn (float $a, float $b): ?float => $b < 1e-6 ? null : $a / $b;
        $buyTotal = $anyOffer ? $buy + $this->s['nursery_trip_cost'] : null;

        return $t + [
            'cost_with_time' => $t['cost'] + $t['hours'] * $this->s['hourly_value'],
            'per_finished' => $over($grownCost, $t['useful']),
            'per_raised' => $over($grownCost, $t['finished']),
            'p_all_enough' => $anyGrown ? $p : null,
            'fill_cost' => $t['cost'] + $short,
            'per_wanted' => $over($t['cost'] + $short, $t['filled']),
            'missing' => $wanted - $t['filled'],
            'buy_total' => $buyTotal,
            'nursery_per_plant' => $buyTotal === null ? null : $buyTotal / $plants,
            'keep' => $buyTotal === null ? null : $buyTotal - $spent,
            'implied_wage' => $workHours > 0 ? $earned / $workHours : null,
            'kwh' => $kwh,
            'crowded_days' => $crowded,
        ];
    }

    /** @return array<string, mixed>|string */
    private function plan(array $crop, array $method, array $setup): array|string
    {
        $lot = $this->row('seed_lots', $crop['lot']);
        $species = $this->row('species', $lot['species']);
        $first = $method['stages'][0];
        $days = array_map(
            fn ($stage) => ($stage['days'] === 'emergence' ? 0 : $stage['days']) + ($stage['extra_days'] ?? 0),
            $method['stages'],
        );
        $target =
            $this->day(($crop['anchor'] ?? 'last_frost') === 'last_frost' ? $this->s['last_frost'] : $this->s['first_frost']) +
            $crop['plant_out_offset_days'];
        $sowOn = isset($crop['sow_on']) ? $this->day($crop['sow_on']) : null;
        $month = $this->month($sowOn ?? $target - array_sum(array_slice($days, 1)));
        $temperature = $this->soil($first, $setup, $month);
        [$relative, $emergence] = [1.0, $species['days_to_emerge'] ?? null];
        if ($temperature !== null && ($species['germination'] ?? []) !== []) {
            $response = $this->response($species['germination'], $temperature);
            if (is_string($response)) {
                return $response;
            }
            [$relative, $emergence] = $response;
        }
        if ($first['days'] === 'emergence') {
            $days[0] += $this->ceil($emergence * ($lot['emergence_factor'] ?? 1));
        }
        $g = $this->viability($lot, $species) * $relative;
        $sown = $this->sow($crop, $method, $g);
        if ($sown === null) {
            return 'cannot_reach';
        }
        $late = false;
        $start = $target - array_sum($days);
        if ($sowOn !== null) {
            $wait = $target - ($sowOn + array_sum($days));
            $late = $wait < 0;
            if ($wait > 0) {
                $indoor = array_keys(
                    array_filter($method['stages'], fn ($stage) => ! ($this->row('places', $stage['place'])['outdoors'] ?? false)),
                );
                $days[$indoor === [] ? count($days) - 1 : end($indoor)] += $wait;
            }
            $start = $sowOn;
        }
        $stages = [];
        $warnings = $late ? ['late'] : [];
        $container = null;
        $sites = $sown['sites'];
        $pot = 0;
        foreach ($method['stages'] as $i => $stage) {
            if (($stage['container'] ?? null) !== null) {
                $container = $this->row('containers', $stage['container']);
                if ($i > 0) {
                    $sites = $this->ceil($sown['moved'][$pot++] / ($stage['plants_per_site'] ?? 1));
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
        $warnings = array_values(array_unique($warnings));
        sort($warnings);

        return [
            'crop' => $crop,
            'lot' => $lot,
            'method' => $method,
            'stages' => $stages,
            'seeds' => $sown['seeds'],
            'warnings' => $warnings,
            'report' => [
                'g' => $g,
                'q' => $sown['q'],
                'seeds' => $sown['seeds'],
                'sites' => $sown['sites'],
                'finished' => $sown['finished'],
                'p_enough' => $sown['p'],
                'shortfall' => $sown['shortfall'],
                'useful' => $sown['useful'],
                'surplus' => $sown['surplus'],
            ],
        ];
    }

    private function soil(array $stage, array $setup, int $month): ?float
    {
        $air = $this->air($this->row('places', $stage['place']), $month);
        if ($air === null) {
            return null;
        }
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

    /** @return array{float, float}|string */
    private function response(array $rows, float $t): array|string
    {
        $percents = array_column($rows, 'percent');
        $max = max($percents);
        $fail = $t < $rows[array_search($max, $percents, true)]['temp_c'] ? 'too_cold' : 'too_hot';
        $rate = fn (array $row): float => $row['days'] === null ? 0.0 : 1 / $row['days'];
        $end = end($rows);
        if ($t < $rows[0]['temp_c']) {
            return $rows[0]['temp_c'] - $t <= 2 && $rows[0]['percent'] > 0 ? [$rows[0]['percent'] / $max, 1 / $rate($rows[0])] : $fail;
        }
        if ($t > $end['temp_c']) {
            return $t - $end['temp_c'] <= 2 && $end['percent'] > 0 ? [$end['percent'] / $max, 1 / $rate($end)] : $fail;
        }
        foreach ($rows as $i => $row) {
            if ($row['temp_c'] == $t) {
                return $row['percent'] < 1e-9 ? $fail : [$row['percent'] / $max, 1 / $rate($row)];
            }
            if ($row['temp_c'] > $t) {
                $x = ($t - $rows[$i - 1]['temp_c']) / ($row['temp_c'] - $rows[$i - 1]['temp_c']);
                $percent = (1 - $x) * $rows[$i - 1]['percent'] + $x * $row['percent'];

                return $percent < 1e-9 ? $fail : [$percent / $max, 1 / ((1 - $x) * $rate($rows[$i - 1]) + $x * $rate($row))];
            }
        }

        return $fail;
    }

    private function viability(array $lot, array $species): float
    {
        $v = min(0.999, max(0.001, $lot['germination'] ?? $species['fresh_germination']));
        $age = max(0, $this->s['year'] - $lot['packed_for']);
        if ($age > 0) {
            $v = $this->phi(
                $this->probit($v) -
                    ($age / ($species['longevity_years'] ?? 3)) * $this->probit(min(0.999, max($species['fresh_germination'], 0.6))),
            );
        }
        if (isset($lot['test'])) {
            $v = (20 * $v + $lot['test']['sprouted']) / (20 + $lot['test']['sown']);
        }

        return $v;
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

    /** Φ⁻¹ by halving. */
    private function probit(float $p): float
    {
        [$low, $high] = [-10.0, 10.0];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            $this->phi($middle) < $p ? ($low = $middle) : ($high = $middle);
        }

        return ($low + $high) / 2;
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

    /** @return array<string, mixed>|null */
    private function sow(array $crop, array $method, float $g): ?array
    {
        $w = $crop['wanted'];
        $per = $method['seeds_per_site'];
        $community = $method['pattern'] === 'community';
        $q = $community ? $g : $this->tail($per, $g, $method['min_plants'] ?? 1);
        $stages = $method['stages'];
        $potting = array_values(array_filter(array_keys($stages), fn ($i) => $i > 0 && ($stages[$i]['container'] ?? null) !== null));
        $limit = 50 * $w + 1000;
        $caps = [];
        if (($crop['move_on'] ?? 'enough') === 'enough') {
            $sure = 1 - (1 - $this->s['confidence']) / (count($potting) + 1);
            foreach ($potting as $j) {
                $survival = array_product(array_map(fn ($stage) => $stage['survival'], array_slice($stages, $j)));
                $m = $this->smallest($w, $limit, fn (int $n) => $this->tail($n, $survival, $w) >= $sure - 1e-12);
                if ($m === null) {
                    return null;
                }
                $caps[$j] = $m;
            }
        }
        $chain = function (int $n) use ($stages, $caps, $q): array {
            $alive = $this->binomial($n, $q * $stages[0]['survival']);
            foreach ($stages as $i => $stage) {
                if ($i === 0) {
                    continue;
                }
                if (isset($caps[$i])) {
                    $over = array_sum(array_slice($alive, $caps[$i]));
                    if (count($alive) > $caps[$i]) {
                        $alive = [...array_slice($alive, 0, $caps[$i]), $over];
                    }
                }
                $next = array_fill(0, count($alive), 0.0);
                foreach ($alive as $k => $mass) {
                    if ($mass < 1e-18) {
                        continue;
                    }
                    foreach ($this->binomial($k, $stage['survival']) as $l => $share) {
                        $next[$l] += $mass * $share;
                    }
                }
                $alive = $next;
            }

            return $alive;
        };
        $sow = $crop['sow'] ?? null;
        if ($sow !== null && $sow['method'] === $method['id']) {
            $n = isset($sow['sites'])
                ? ($community
                    ? $sow['sites'] * $per
                    : $sow['sites'])
                : ($community
                    ? $sow['seeds']
                    : $this->ceil($sow['seeds'] / $per));
        } elseif ($limit * $q * array_product(array_column($stages, 'survival')) < 0.5 * $w) {
            return null; // Markov: P(F >= W) <= E[F] / W, below every confidence allowed
        } else {
            $n = $this->smallest($w, $limit, fn (int $n) => array_sum(array_slice($chain($n), $w)) >= $this->s['confidence'] - 1e-12);
            if ($n === null) {
                return null;
            }
            $round = $community ? 1 : $method['round_sites_to'] ?? 1;
            $n = $this->ceil($n / $round) * $round;
        }
        $alive = $chain($n);
        $moved = [];
        foreach ($potting as $j) {
            $moved[] = isset($caps[$j])
                ? min($caps[$j], $n)
                : $n * $q * array_product(array_map(fn ($stage) => $stage['survival'], array_slice($stages, 0, $j)));
        }
        $mean = $short = $useful = $surplus = 0.0;
        foreach ($alive as $k => $mass) {
            $mean += $k * $mass;
            $short += max(0, $w - $k) * $mass;
            $useful += min($w, $k) * $mass;
            $surplus += max(0, $k - $w) * $mass;
        }

        return [
            'q' => $q,
            'seeds' => $community ? $n : $n * $per,
            'sites' => $community ? $this->ceil($n / $per) : $n,
            'moved' => $moved,
            'finished' => $mean,
            'p' => array_sum(array_slice($alive, $w)),
            'shortfall' => $short,
            'useful' => $useful,
            'surplus' => $surplus,
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
            $charge =
                ($lot['leftover'] ?? 'keep') === 'keep'
                    ? ($need * $lot['packet_price']) / $per
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
                                : ($fixture['watts'] / 1000) * 24 * $this->duty($fixture, (float) $this->air($place, $this->month($d)));
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
        if (($crop['nursery'] ?? []) === []) {
            return null;
        }
        $need = $this->ceil($crop['wanted'] / (1 - ($crop['bought_loss'] ?? 0)));
        $best = array_fill(0, $need + 1, INF);
        $best[0] = 0.0;
        for ($n = 1; $n <= $need; $n++) {
            foreach ($crop['nursery'] as $id) {
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

    private function air(array $place, int $month): ?float
    {
        return is_array($place['temp_c']) ? $place['temp_c'][$month - 1] : $place['temp_c'];
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

    private function month(int $day): int
    {
        return (int) (new \DateTimeImmutable('1970-01-01'))->modify("{$day} days")->format('n');
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

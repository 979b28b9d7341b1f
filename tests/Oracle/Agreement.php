<?php

declare(strict_types=1);

namespace Tests\Oracle;

use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;

/** Where the fast core and the plain oracle differ by more than 1e-9. */
final class Agreement
{
    private const SETUP = [
        'cost',
        'cost_with_time',
        'cash_now',
        'hours',
        'finished',
        'useful',
        'useful_low',
        'useful_high',
        'surplus',
        'per_finished',
        'per_finished_low',
        'per_finished_high',
        'per_raised',
        'p_all_enough',
        'fill_cost',
        'filled',
        'per_wanted',
        'missing',
        'buy_total',
        'nursery_per_plant',
        'same_per_plant',
        'keep',
        'p_keep',
        'income',
        'implied_wage',
        'crowded_days',
        'kwh',
    ];

    private const CROP = [
        'grown',
        'late_days',
        'p_frost',
        'cold_on',
        'sow_on',
        'plant_out_on',
        'g',
        'q',
        'seeds',
        'sites',
        'finished',
        'p_enough',
        'shortfall',
        'shortfall_cost',
        'useful',
        'useful_low',
        'useful_high',
        'surplus',
        'cost',
        'per_finished',
        'per_finished_low',
        'per_finished_high',
        'income',
        'extra_cost',
        'buy_cost',
        'verdict',
        'hours',
        'warnings',
        'heads',
    ];

    /**
     * @param  array<string, mixed>  $season
     * @return list<string>
     */
    public static function differences(array $season): array
    {
        $document = json_decode((string) json_encode($season, JSON_PRESERVE_ZERO_FRACTION));
        foreach ($document->setups as $setup) {
            $setup->overrides = (object) ($setup->overrides ?? []);
        }
        $result = json_decode(
            (string) json_encode((new SeasonCosting((new SeasonReader())->readDocument($document)))->result(), JSON_PRESERVE_ZERO_FRACTION),
            true,
        );
        $oracle = new PlainCosting($season);
        $differences = [];
        foreach ($result['setups'] as $fast) {
            $plain = $oracle->setup($fast['id']);
            foreach (self::SETUP as $key) {
                self::compare("{$fast['id']}.{$key}", $fast[$key], $plain[$key], $differences);
            }
            foreach ($fast['crops'] as $crop) {
                $other = $plain['crops'][$crop['id']];
                foreach (self::CROP as $key) {
                    if (array_key_exists($key, $other) && ($key !== 'heads' || $crop['grown'])) {
                        // A verdict may fall either way where two prices are equal to the last place.
                        $left = (float) $crop['buy_cost'] - (float) $crop['shortfall_cost'];
                        $tie =
                            $key === 'verdict' &&
                            $crop['extra_cost'] !== null &&
                            $crop['buy_cost'] !== null &&
                            min(abs($crop['extra_cost'] - $left), abs($crop['cost'] - $left)) < 1e-6;
                        $tie ?: self::compare("{$fast['id']}.{$crop['id']}.{$key}", $crop[$key], $other[$key], $differences);
                    }
                }
            }
        }

        return $differences;
    }

    /** @param  list<string>  $differences */
    private static function compare(string $path, mixed $fast, mixed $plain, array &$differences): void
    {
        if (is_array($fast) && is_array($plain) && ! array_is_list($fast)) {
            foreach ($fast as $key => $value) {
                self::compare("{$path}.{$key}", $value, $plain[$key] ?? 0.0, $differences);
            }
        } elseif (is_numeric($fast) && is_numeric($plain)) {
            if (abs($fast - $plain) > 1e-9 * max(1.0, abs($plain))) {
                $differences[] = "{$path}: {$fast} and {$plain}";
            }
        } elseif ($fast !== $plain) {
            $differences[] = "{$path}: ".json_encode($fast).' and '.json_encode($plain);
        }
    }
}

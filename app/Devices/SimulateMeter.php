<?php

declare(strict_types=1);

namespace App\Devices;

use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\SimulatedMeter;

/**
 * bin/jolly simulate-meter: posts readings to a running application as a real device would, and again as long as nobody takes them.
 */
final class SimulateMeter
{
    private const USAGE = <<<'TEXT'
    Usage: bin/jolly simulate-meter --token TOKEN [--url http://127.0.0.1:8017] [--kind meter|soil|air] [--level 38] [--hours 16]
             [--readings 1440] [--every 60] [--per-post 20] [--seed 1] [--rate 0]
    The readings are of the time up to now, one every so many seconds; --rate is how many are sent in a second, 0 as fast as they are taken.

    TEXT;

    private const OPTIONS = ['token' => '', 'url' => 'http://127.0.0.1:8017', 'kind' => 'meter', 'level' => '38', 'hours' => '16', 'readings' => '1440',
        'every' => '60', 'per-post' => '20', 'seed' => '1', 'rate' => '0'];

    /** @param  list<string>  $arguments */
    public static function run(array $arguments): int
    {
        $options = self::OPTIONS;
        foreach (array_chunk($arguments, 2) as $pair) {
            [$name, $value] = [substr($pair[0], 2), $pair[1] ?? ''];
            if (! isset(self::OPTIONS[$name]) || $value === '') {
                return self::usage();
            }
            $options[$name] = $value;
        }
        $kind = DeviceKind::tryFrom($options['kind']);
        if ($kind === null || $options['token'] === '' || (int) $options['readings'] < 1 || (int) $options['every'] < 1
            || (int) $options['per-post'] < 1 || (int) $options['per-post'] > Readings::MOST) {
            return self::usage();
        }
        $meter = new SimulatedMeter($kind, (float) $options['level'], (float) $options['hours'], (int) $options['every'], (int) $options['per-post'],
            (int) $options['seed']);
        $client = new DeviceClient($options['url'], $options['token']);
        $from = time() - (int) $options['readings'] * (int) $options['every'];
        $sum = ['taken' => [], 'posts' => 0, 'tries' => 0, 'kept' => 0, 'known' => 0, 'refused' => 0];
        $began = microtime(true);
        foreach ($meter->posts($from, (int) $options['readings']) as $post) {
            $answer = $client->post('/api/device/readings', ['readings' => $post]);
            if ($answer === null) {
                fwrite(STDERR, "Nobody takes the readings. Check the address and the token, and that the application runs.\n");

                return 1;
            }
            $sum['posts']++;
            $sum['taken'] += array_fill_keys(array_column($post, 'at'), true);
            foreach ($answer as $key => $count) {
                $sum[$key] += $count;
            }
            $due = (float) $options['rate'] > 0.0 ? count($sum['taken']) / (float) $options['rate'] - (microtime(true) - $began) : 0.0;
            $due <= 0.0 ?: usleep((int) ($due * 1e6));
        }
        $sum['taken'] = count($sum['taken']);
        $sum['tries'] = $client->tries;
        echo json_encode([...$sum, 'seconds' => round(microtime(true) - $began, 1)], JSON_THROW_ON_ERROR)."\n";

        return 0;
    }

    private static function usage(): int
    {
        fwrite(STDERR, self::USAGE);

        return 2;
    }
}

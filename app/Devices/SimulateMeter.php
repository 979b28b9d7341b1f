<?php

declare(strict_types=1);

namespace App\Devices;

use GuzzleHttp\Client;
use GuzzleHttp\Exception\GuzzleException;
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

    private const PATIENCE = 5.0;

    private const AGAIN_S = 0.5;

    /** After so many tries in a row nobody is there. */
    private const TRIES = 240;

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
        $client = new Client(['base_uri' => $options['url'], 'timeout' => self::PATIENCE, 'headers' => ['Authorization' => "Bearer {$options['token']}",
            'Accept' => 'application/json']]);
        $from = time() - (int) $options['readings'] * (int) $options['every'];
        $sum = ['taken' => [], 'posts' => 0, 'tries' => 0, 'kept' => 0, 'known' => 0, 'refused' => 0];
        $began = microtime(true);
        foreach ($meter->posts($from, (int) $options['readings']) as $post) {
            $answer = self::post($client, $post, $sum['tries']);
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
        echo json_encode([...$sum, 'seconds' => round(microtime(true) - $began, 1)], JSON_THROW_ON_ERROR)."\n";

        return 0;
    }

    /**
     * @param  list<array{at: string, value: float}>  $post
     * @return ?array{kept: int, known: int, refused: int} null where nobody takes it
     */
    private static function post(Client $client, array $post, int &$tries): ?array
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $tries++;
            try {
                $answer = $client->post('/api/device/readings', ['json' => ['readings' => $post], 'http_errors' => false]);
                if ($answer->getStatusCode() === 200) {
                    /** @var array{kept: int, known: int, refused: int} */
                    return json_decode((string) $answer->getBody(), true, 8, JSON_THROW_ON_ERROR);
                }
                if (in_array($answer->getStatusCode(), [401, 422], true)) {
                    return null;
                }
            } catch (GuzzleException) {
                // Nobody is there just now.
            }
            usleep((int) (self::AGAIN_S * 1e6));
        }

        return null;
    }

    private static function usage(): int
    {
        fwrite(STDERR, self::USAGE);

        return 2;
    }
}

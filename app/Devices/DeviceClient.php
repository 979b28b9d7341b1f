<?php

declare(strict_types=1);

namespace App\Devices;

use GuzzleHttp\Client;
use GuzzleHttp\Exception\GuzzleException;

/** Posts what a simulated device has to say, and again as long as nobody takes it. */
final class DeviceClient
{
    private const PATIENCE = 10.0;

    private const AGAIN_S = 0.5;

    /** After so many tries in a row nobody is there. */
    private const TRIES = 240;

    public int $tries = 0;

    private readonly Client $client;

    public function __construct(string $url, string $token)
    {
        $this->client = new Client(['base_uri' => $url, 'timeout' => self::PATIENCE, 'http_errors' => false,
            'headers' => ['Authorization' => "Bearer {$token}", 'Accept' => 'application/json']]);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return ?array<string, int> how many were kept, known and so on; null where nobody takes it
     */
    public function post(string $path, array $body): ?array
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $this->tries++;
            try {
                $answer = $this->client->post($path, ['json' => $body]);
                if ($answer->getStatusCode() === 200) {
                    /** @var array<string, int> */
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
}

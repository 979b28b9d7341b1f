<?php

declare(strict_types=1);

namespace Tests\Hostile;

use CurlHandle;
use RuntimeException;

/** Somebody with a garden of their own at the served application, who sends whatever they like. */
final class Visitor
{
    private string $jar;

    public readonly int $season;

    public function __construct()
    {
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'jar');
        $this->read('/');
        $this->season = (int) ($this->json('/api/seasons')['seasons'][0]['id'] ?? 0);
    }

    /** The same visitor with cookies of their own to write to. */
    public function __clone()
    {
        $own = (string) tempnam(sys_get_temp_dir(), 'jar');
        copy($this->jar, $own);
        $this->jar = $own;
    }

    public function __destruct()
    {
        @unlink($this->jar);
    }

    public static function url(): string
    {
        return getenv('JOLLY_URL') ?: throw new RuntimeException('These tests are run by bin/test, which serves the application.');
    }

    /** @return array{int, string, float} status (0 without an answer), body and seconds */
    public function send(string $verb, string $path, ?string $body = null): array
    {
        $curl = $this->request($verb, $path, $body);
        $answer = curl_exec($curl);

        return [
            (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
            is_string($answer) ? $answer : '',
            (float) curl_getinfo($curl, CURLINFO_TOTAL_TIME),
        ];
    }

    /** @return array<string, mixed> */
    public function json(string $path): array
    {
        return (array) json_decode($this->read($path), true);
    }

    /** What is read is asked for again, for up to 20 s, while a part that was killed is still away, as pages do. */
    private function read(string $path): string
    {
        for ($n = 0; ; $n++) {
            [$status, $answer] = $this->send('GET', $path);
            if (! in_array($status, [0, 502, 503, 504], true)) {
                return $answer;
            }
            if ($n === 100) {
                throw new RuntimeException("No answer to {$path} within 20 s: {$status}");
            }
            usleep(200_000);
        }
    }

    private function request(string $verb, string $path, ?string $body): CurlHandle
    {
        $curl = curl_init();
        $token = '';
        foreach (@file($this->jar) ?: [] as $line) {
            $token = str_contains($line, 'XSRF-TOKEN') ? rawurldecode(trim((string) strrchr($line, "\t"))) : $token;
        }
        curl_setopt_array($curl, [
            CURLOPT_URL => self::url().$path,
            CURLOPT_CUSTOMREQUEST => $verb,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => 60,
            CURLOPT_COOKIEJAR => $this->jar,
            CURLOPT_COOKIEFILE => $this->jar,
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: {$token}"],
        ]);
        if ($body !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, $body);
        }

        return $curl;
    }
}

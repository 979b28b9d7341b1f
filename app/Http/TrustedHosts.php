<?php

declare(strict_types=1);

namespace App\Http;

/**
 * The names this installation answers to: its own address, on any of the loopback's names where that is loopback, and those of
 * the local network where it is opened to that.
 */
final readonly class TrustedHosts
{
    private const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

    /** @return list<string> */
    public static function patterns(): array
    {
        return array_map(fn (string $host): string => '^'.preg_quote($host).'$', self::names());
    }

    public static function isLoopback(): bool
    {
        return in_array(self::own(), self::LOOPBACK, true);
    }

    /** @return list<string> */
    private static function names(): array
    {
        /** @var list<string> $lan */
        $lan = config('jolly.lan_hosts', []);

        return [...self::isLoopback() ? self::LOOPBACK : [self::own()], ...$lan];
    }

    private static function own(): string
    {
        $url = config('app.url');

        return (string) parse_url(is_string($url) ? $url : '', PHP_URL_HOST);
    }
}

<?php

declare(strict_types=1);

namespace App\Health;

/** How long each part of a request took, for its Server-Timing header: what a browser's tools show and `bin/bench-edits` adds up. */
final class Timing
{
    /** @var array<string, float> milliseconds by part */
    private static array $parts = [];

    private static float $last = 0.0;

    /** At the beginning of a request: what went before was the framework's. */
    public static function begin(): void
    {
        self::$last = (float) $_SERVER['REQUEST_TIME_FLOAT'];
        self::$parts = [];
        self::part('boot');
    }

    /** What has passed since the last part ended belongs to this one. */
    public static function part(string $name): void
    {
        $now = microtime(true);
        self::$parts[$name] = (self::$parts[$name] ?? 0.0) + ($now - self::$last) * 1000.0;
        self::$last = $now;
    }

    public static function header(): string
    {
        $total = (microtime(true) - (float) $_SERVER['REQUEST_TIME_FLOAT']) * 1000.0;
        $parts = [...self::$parts, 'total' => $total];

        return implode(', ', array_map(fn (string $name, float $took): string => sprintf('%s;dur=%.1f', $name, $took), array_keys($parts), $parts));
    }
}

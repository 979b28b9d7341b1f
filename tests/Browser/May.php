<?php

declare(strict_types=1);

namespace Tests\Browser;

use Throwable;

/** The made-up season in May, opened for a visitor, and its log as the server has it. */
final class May
{
    /** @return string the season's path */
    public static function open(BrowserTestCase $test, string $screen, int $width = 1280): string
    {
        $test->season();
        $id = $test->browser->executeAsyncScript(
            'const done = arguments[0]; const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN[^=]*=([^;]+)/)[1]);
            fetch("/api/seasons", { method: "POST", headers: { "Content-Type": "application/json", "X-XSRF-TOKEN": token },
            body: JSON.stringify({ from: "demo", demo: "may" }) }).then((r) => r.json()).then(({ id }) => done(id));',
        );
        $path = "/seasons/{$id}";
        $test->visit("{$path}/{$screen}", $width, 844);

        return $path;
    }

    /** @return list<array<string, mixed>> entries of the log that stand */
    public static function written(BrowserTestCase $test, string $path): array
    {
        return array_values(array_filter($test->api("/api{$path}/log")['entries'], fn (array $entry): bool => $entry['stands']));
    }

    /** How many; 0 while the server does not answer. */
    public static function count(BrowserTestCase $test, string $path): int
    {
        try {
            return count(self::written($test, $path));
        } catch (Throwable) {
            return 0;
        }
    }

    public static function untilSent(BrowserTestCase $test, float $seconds = 30): void
    {
        $test->waitFor(fn () => $test->text('[data-part="signal"]') === '' ?: null, 'everything to be sent', $seconds);
    }
}

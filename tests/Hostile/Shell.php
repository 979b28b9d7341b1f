<?php

declare(strict_types=1);

namespace Tests\Hostile;

/** Commands of bin/lib, run as bin/start runs them. */
final readonly class Shell
{
    /** @return array{int, string} exit code and what was said */
    public static function run(string $commands): array
    {
        exec('cd '.escapeshellarg(self::root()).' && bash -c '.escapeshellarg("set -eo pipefail; . bin/lib/machine.sh; {$commands}").' 2>&1', $said, $code);

        return [$code, implode("\n", $said)];
    }

    public static function root(): string
    {
        return dirname(__DIR__, 2);
    }

    /** A setting of the tested instance. */
    public static function setting(string $name, string $instance = 'test'): string
    {
        return self::run("setting {$instance} {$name}")[1];
    }

    /** @return list<list<string>> rows of the tested instance's database, asked by the superuser */
    public static function rows(string $sql): array
    {
        [$code, $said] = self::run('database_home; PG_PORT=$(cat "$PG_DIR/port"); pg -d jolly_test <<<'.escapeshellarg($sql));
        $code === 0 ?: throw new \RuntimeException($said);

        return array_map(fn (string $line): array => explode('|', $line), array_values(array_filter(explode("\n", $said))));
    }
}

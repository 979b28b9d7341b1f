<?php

declare(strict_types=1);

use Tests\Hostile\Shell;

/**
 * Runs commands while the command lines of all processes are read, again and again.
 *
 * @return array{list<string>, int} command lines that hold a secret, and how many were read
 */
function commandLinesWhile(string $commands, callable $secrets): array
{
    $watched = tempnam(sys_get_temp_dir(), 'watched');
    $watcher = pcntl_fork();
    if ($watcher === 0) {
        for ($until = microtime(true) + 120; microtime(true) < $until && ! file_exists("{$watched}.end");) {
            foreach (glob('/proc/[0-9]*/cmdline') ?: [] as $file) {
                $line = (string) @file_get_contents($file);
                $line === '' || $seen[str_replace("\0", ' ', $line)] = true;
            }
        }
        file_put_contents($watched, implode("\n", array_keys($seen ?? [])));
        posix_kill(posix_getpid(), SIGKILL);
    }
    try {
        [$code, $said] = Shell::run($commands);
        expect($code)->toBe(0, $said);
    } finally {
        touch("{$watched}.end");
        pcntl_waitpid($watcher, $ended);
    }
    $lines = explode("\n", (string) file_get_contents($watched));
    array_map(unlink(...), [$watched, "{$watched}.end"]);

    return [array_values(array_filter($lines, fn (string $line): bool => array_filter($secrets(), fn (string $secret): bool => str_contains($line, $secret)) !== [])), count($lines)];
}

it('shows no secret in the command line of any process while it is set up', function () {
    $files = ['postgres.password', 'jolly.password'];
    // Ten times, since a process may be gone before it is looked at.
    [$shown, $read] = commandLinesWhile(
        'database_home; postgres_answers; for n in 1 2 3 4 5 6 7 8 9 10; do ensure_database jolly_test; sed -i "/^DB_PASSWORD/d; /^APP_KEY/d" "$VAR/checked/.env" 2>/dev/null || true;
            write_settings checked jolly_test 1; managed_setting checked DB_PASSWORD other; write_settings checked jolly_test 1; done; rm -rf "$VAR/checked"',
        fn (): array => array_map(fn (string $file): string => trim(Shell::run("database_home; cat \"\$PG_DIR/{$file}\"")[1]), $files),
    );
    expect($shown)->toBe([])->and($read)->toBeGreaterThan(20);
});

it('keeps what it writes from every other user of the machine', function () {
    // After a day's work: the other parts have run by now. Served code, the sockets' folder and what is meant for phones are open on
    // purpose; what lies in a folder that nobody else may enter is closed, whatever its own mode (svlogd sets that of its logs).
    exec('find '.escapeshellarg(Shell::root().'/var').' -type d ! -perm /0005 -prune'
        .' -o \( -path "*/releases" -o -path "*/lan/trust" -o -path "*/var/node" -o -path "*/postgres/socket" \) -prune'
        .' -o ! -type l -perm /0007 -printf "%m %p\n"', $open);
    // Folders one may pass through without seeing what is in them.
    $open = array_values(array_filter($open, fn (string $line): bool => preg_match('#^711 .*/var(/postgres)?$#', $line) !== 1));
    expect($open)->toBe([]);
})->skip(posix_getuid() !== 0, 'as a user of one\'s own there is nobody to keep it from but by the folders above');

it('ends a leftover group only where it is the one that was noted', function () {
    [$code, $said] = Shell::run(<<<'BASH'
        file=$(mktemp)
        # Somebody else's process, leading its own group, by a number that a stale file holds: from another boot, or begun at another time.
        setsid sleep 60 & other=$!; sleep 0.2
        group=$(ps -o pgid= -p $other | tr -d ' ')
        ends() { echo "ended $1"; }
        echo "$group $(started_at "$group") another-boot" >"$file"; end_leftovers "$file"
        echo "$group 1 $(boot)" >"$file"; end_leftovers "$file"
        echo "$group" >"$file"; end_leftovers "$file"
        echo "left alone"
        # Its own, as it was noted.
        echo "$group $(started_at "$group") $(boot)" >"$file"; end_leftovers "$file" | grep -c "ended $other"
        kill $other; rm -f "$file"
        BASH);
    expect($code)->toBe(0, $said)->and($said)->toStartWith("left alone\n1");
});

it('notes what it leaves behind where a reboot clears it', function () {
    [, $file] = Shell::run('left_file test nginx');
    expect($file)->toStartWith(posix_getuid() === 0 ? '/run/' : '/')->and($file)->not->toContain('/var/');
    exec('ls /run | grep -c jolly-penny', $found);
    expect(file_exists($file))->toBeTrue();
});

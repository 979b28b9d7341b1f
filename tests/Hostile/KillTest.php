<?php

declare(strict_types=1);

use Tests\Hostile\Visitor;

/**
 * Processes of the tested instance, and of no other on the machine: such as work in this checkout's folder for it, or name it.
 *
 * @return list<int>
 */
function processes(string $pattern): array
{
    exec('pgrep -f '.escapeshellarg($pattern), $found);
    $var = dirname(__DIR__, 2).'/var/';
    $isOurs = function (int $pid) use ($var): bool {
        // It may be gone meanwhile.
        exec("ps -o args= -p {$pid}; readlink /proc/{$pid}/cwd 2>/dev/null", $lines);
        $said = implode(' ', $lines);
        $hash = substr(hash('sha256', dirname(__DIR__, 2)."\n"), 0, 8);

        return str_contains($said, "{$var}test/") || str_contains($said, "{$var}postgres") || str_contains($said, "-test-{$hash}");
    };

    return array_values(array_filter(array_map(intval(...), $found), $isOurs));
}

/**
 * The same, once there is one of them and it stays: a new supervisor ends what the old one left before it starts its own.
 *
 * @return list<int> what was found at the last look
 */
function settled(string $pattern): array
{
    $before = [];
    for ($n = 0; $n < 40; $n++) {
        $found = processes($pattern);
        if (count($found) === 1 && $found === $before) {
            return $found;
        }
        $before = $found;
        usleep(500_000);
    }

    return $found;
}

it('loses no acknowledged edit when a part is killed, and is back by itself', function (string $part, string $pattern) {
    $visitor = new Visitor();
    $change = fn (int $from, int $to) => $visitor->send(
        'PATCH',
        "/api/seasons/{$visitor->season}",
        (string) json_encode([
            'changes' => [['path' => ['crops', 'copper-kettle', 'wanted'], 'from' => $from, 'to' => $to]],
        ]),
    );
    $kept = 6;
    $killed = 0.0;
    $away = 0.0;
    for ($n = 0; $n < 60; $n++) {
        if ($n === 15 && $killed === 0.0) {
            $victims = processes($pattern);
            expect($victims)->not->toBe([], "{$part} runs");
            $killed = microtime(true);
            posix_kill($victims[0], SIGKILL);
        }
        [$status] = $change($kept, $next = 7 + $n);
        if ($status === 200) {
            $kept = $next;
            $away = $away === 0.0 && $killed > 0.0 ? microtime(true) - $killed : $away;
        } elseif ($status === 409) {
            // It was saved, but the answer never came.
            $kept = (int) collect($visitor->json("/api/seasons/{$visitor->season}")['season']['crops'])->firstWhere(
                'id',
                'copper-kettle',
            )['wanted'];
        } else {
            expect($status)->toBeIn([0, 502, 503, 504]);
            usleep(100_000);
            expect(microtime(true) - $killed)->toBeLessThan(20.0, "{$part} comes back by itself");
            $n--;
        }
    }
    fwrite(STDERR, sprintf("\n%s killed: the next edit was acknowledged after %.2f s\n", $part, $away));
    $season = $visitor->json("/api/seasons/{$visitor->season}")['season'];
    expect(collect($season['crops'])->firstWhere('id', 'copper-kettle')['wanted'])->toBe($kept)
        ->and(settled('runsv php-fpm'))->toHaveCount(1)
        ->and(settled('php-fpm: master process'))->toHaveCount(1, 'no master is left over, and one is there')
        ->and(settled('nginx: master process'))->toHaveCount(1);
})->with([
    ['php-fpm', 'php-fpm: master process .*/var/test/'],
    ['a worker', 'php-fpm: pool edits-test-'],
    ['nginx', 'nginx: master process .*/var/test/'],
    ['PostgreSQL', 'bin/postgres -D .*/postgres/data'],
    ['a supervisor', 'runsv php-fpm'],
]);

it('has the entries of two phones once and in order, though a part is killed and answers are lost', function () {
    $visitor = new Visitor();
    $path = "/api/seasons/{$visitor->season}/log";
    $entry = fn (int $phone, int $n): array => ['id' => sprintf('phone-%d-%05d', $phone, $n), 'on' => '2027-04-21',
        'at' => sprintf('2027-04-21T%02d:%02d:%02d.%dZ', 8 + intdiv($n, 3600), intdiv($n, 60) % 60, $n % 60, $phone), 'kind' => 'note', 'note' => "n{$n}"];
    $sent = [0, 0];
    $lost = $tries = 0;
    $killed = false;
    while (min($sent) < 500) {
        $phone = $sent[0] <= $sent[1] ? 0 : 1;
        $batch = (string) json_encode(['entries' => array_map(fn (int $n): array => $entry($phone, $n), range($sent[$phone], min(499, $sent[$phone] + 24)))]);
        expect(++$tries)->toBeLessThan(400, 'it comes back by itself');
        if (! $killed && $sent[1] >= 200) {
            $killed = posix_kill(processes('php-fpm: pool edits-test-')[0] ?? 0, SIGKILL)
                && posix_kill(processes('nginx: master process .*/var/test/')[0] ?? 0, SIGKILL);
        }
        [$status, $answer] = $visitor->send('POST', $path, $batch);
        if ($status !== 200) {
            expect($status)->toBeIn([0, 502, 503, 504]);
            usleep(100_000);
        } elseif ($tries % 7 === 3) {
            // The answer never reached the phone: it sends the same again.
            $lost++;
        } else {
            expect(json_decode($answer, true)['refused'])->toBe([]);
            $sent[$phone] = min(500, $sent[$phone] + 25);
        }
    }
    expect($killed)->toBeTrue()->and($lost)->toBeGreaterThan(3);
    $ids = array_column($visitor->json($path)['entries'], 'id');
    $expected = [];
    foreach (range(0, 499) as $n) {
        array_push($expected, sprintf('phone-0-%05d', $n), sprintf('phone-1-%05d', $n));
    }
    expect($ids)->toBe($expected);
});

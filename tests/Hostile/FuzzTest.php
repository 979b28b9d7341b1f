<?php

declare(strict_types=1);

use Tests\Hostile\Fuzz;
use Tests\Hostile\Visitor;

it('answers whatever is sent without failing, and leaves no season that cannot be opened', function () {
    $requests = (int) (getenv('JOLLY_REQUESTS') ?: 800);
    $seed = (int) (getenv('JOLLY_SEED') ?: random_int(1, 999_999));
    $fuzz = new Fuzz($seed);
    $visitor = new Visitor();
    $visitors = [$visitor];
    $failures = $statuses = [];
    $slowest = [0.0, ''];
    $waits = 0;
    for ($sent = 0; $sent < $requests;) {
        [$verb, $path, $body] = $fuzz->next($visitor->season);
        [$status, $answer, $seconds] = $visitor->send($verb, $path, $body);
        if ($status === 429 || $status === 401) {
            // A minute's share is used up, or the garden is gone: another visitor goes on.
            usleep(500_000);
            $visitors[] = $visitor = new Visitor();
            expect(++$waits)->toBeLessThan(200, 'somebody is let in again');

            continue;
        }
        $waits = 0;
        $sent++;
        $statuses[$status] = ($statuses[$status] ?? 0) + 1;
        $slowest = $seconds > $slowest[0] ? [$seconds, "{$verb} {$path}"] : $slowest;
        if ($status >= 500 || $status === 0) {
            $failures[] = "{$status} {$verb} {$path} ".substr((string) $body, 0, 300).' => '.substr($answer, 0, 120);
        }
        if (str_contains($answer, '.php') || str_contains($answer, 'SQLSTATE')) {
            $failures[] = "tells too much: {$verb} {$path} => ".substr($answer, 0, 200);
        }
    }
    ksort($statuses);
    fwrite(STDERR, sprintf("\n%d requests, seed %d: %s; slowest %.2f s (%s)\n", $sent, $seed, json_encode($statuses), ...$slowest));
    expect($failures)->toBe([]);
    foreach ($visitors as $one) {
        foreach ($one->json('/api/seasons')['seasons'] ?? [] as $line) {
            [$status, $answer] = $one->send('GET', "/api/seasons/{$line['id']}");
            expect($status)->toBe(200)->and(json_decode($answer, true)['unreckoned'] ?? false)->toBeFalse();
        }
    }
});

it('answers only to its own name', function () {
    $curl = curl_init(Visitor::url().'/mailbox');
    curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HTTPHEADER => ['Host: elsewhere.example.org']]);
    curl_exec($curl);
    expect(curl_getinfo($curl, CURLINFO_RESPONSE_CODE))->toBe(400);
});

it('counts sixteen guesses at once as sixteen', function () {
    $many = curl_multi_init();
    $each = [];
    $visitor = new Visitor();
    // Each with the token of its own visit, all sent together.
    $four = array_map(fn () => new Visitor(), range(1, 4));
    $visitors = array_map(fn (int $n) => clone $four[$n % 4], range(0, 15));
    $statuses = [];
    $email = 'guess-'.bin2hex(random_bytes(4)).'@example.org';
    $children = [];
    foreach (range(0, 15) as $n) {
        $child = pcntl_fork();
        if ($child === 0) {
            [$status] = $visitors[$n]->send('POST', '/api/session', (string) json_encode(['email' => $email, 'password' => 'wrong']));
            file_put_contents(sys_get_temp_dir()."/jolly-guess-{$n}", (string) $status);
            posix_kill(posix_getpid(), SIGKILL);
        }
        $children[] = $child;
    }
    foreach ($children as $child) {
        pcntl_waitpid($child, $ended);
    }
    foreach (range(0, 15) as $n) {
        $statuses[] = (int) file_get_contents(sys_get_temp_dir()."/jolly-guess-{$n}");
        unlink(sys_get_temp_dir()."/jolly-guess-{$n}");
    }
    expect(count(array_filter($statuses, fn (int $status) => $status === 422)))->toBe(5)
        ->and(count(array_filter($statuses, fn (int $status) => $status === 429)))->toBe(11);
})->skip(! function_exists('pcntl_fork'), 'needs pcntl');

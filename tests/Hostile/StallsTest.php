<?php

declare(strict_types=1);

use Tests\Hostile\Shell;
use Tests\Hostile\Visitor;

it('answers the next visitor beside 1,100 requests that are sent by halves', function () {
    $port = (int) parse_url(Visitor::url(), PHP_URL_PORT);
    $half = [];
    for ($n = 0; $n < 1100; $n++) {
        $socket = @stream_socket_client("tcp://127.0.0.1:{$port}", $error, $words, 2);
        if ($socket !== false) {
            fwrite($socket, "GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Half: ");
            $half[] = $socket;
        }
    }
    expect(count($half))->toBeGreaterThan(1000);
    for ($n = 0; $n < 5; $n++) {
        $curl = curl_init(Visitor::url().'/up');
        curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 10]);
        curl_exec($curl);
        expect(curl_getinfo($curl, CURLINFO_RESPONSE_CODE))->toBe(200);
    }
    // And those that never end are ended.
    sleep(10);
    $ended = array_filter($half, function ($socket): bool {
        stream_set_blocking($socket, false);
        fread($socket, 1);

        return feof($socket);
    });
    expect(count($ended))->toBeGreaterThan(1000);
});

it('refuses a picture by its pixels before it is unpacked', function () {
    $visitor = new Visitor;
    // 20,000 by 20,000 pixels of one colour are 50 kB packed and 1.6 GB unpacked.
    $rows = str_repeat("\0".str_repeat("\0", 2500), 20_000);
    $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    $png = "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNCCCCC', 20_000, 20_000, 1, 0, 0, 0, 0)).$chunk('IDAT', (string) gzcompress($rows, 9)).$chunk('IEND', '');
    [$status, $answer, $seconds] = $visitor->send('PUT', "/api/seasons/{$visitor->season}/photos/picture-0001", (string) json_encode(['on' => '2027-04-21', 'image' => base64_encode($png)]));
    expect($status)->toBe(422)->and($answer)->toContain('12 megapixels')->and($seconds)->toBeLessThan(5.0);
});

it('gives a workbook up at the first bound it breaks, and leaves no upload behind', function () {
    $visitor = new Visitor;
    $file = (string) tempnam(sys_get_temp_dir(), 'bomb');
    $zip = new ZipArchive;
    $zip->open($file, ZipArchive::OVERWRITE);
    $zip->addFromString('[Content_Types].xml', '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>');
    $zip->addFromString('xl/worksheets/sheet1.xml', '<?xml version="1.0"?><worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData><row r="1">'
        .str_repeat('<c><v>1</v></c>', 1_000_000).'</row></sheetData></worksheet>');
    $zip->close();
    $body = (string) json_encode(['file' => base64_encode((string) file_get_contents($file))]);
    unlink($file);
    [$status, $answer, $seconds] = $visitor->send('POST', "/api/seasons/{$visitor->season}/workbook", $body);
    expect($status)->toBe(422)->and($answer)->toContain('larger than a ledger')->and($seconds)->toBeLessThan(5.0)
        ->and(glob(Shell::root().'/var/test/storage/app/uploads/*'))->toBe([]);
});

it('lets a link for a new password be used once, though it is sent four times at once', function () {
    $email = 'once-'.bin2hex(random_bytes(4)).'@example.org';
    $visitor = new Visitor;
    [$status] = $visitor->send('POST', '/api/account', (string) json_encode(['email' => $email, 'password' => 'a long enough secret']));
    expect($status)->toBe(200);
    $guest = new Visitor;
    // Six letters a minute go to one address of the network: other tests may have asked just before.
    $status = 429;
    for ($until = microtime(true) + 70; $status !== 204 && microtime(true) < $until; $status === 204 || sleep(5)) {
        [$status] = $guest->send('POST', '/api/password/forgot', (string) json_encode(['email' => $email]));
    }
    expect($status)->toBe(204);
    // The letter is written beside the answer.
    for ($until = microtime(true) + 20; microtime(true) < $until; usleep(100_000)) {
        $letters = json_decode((string) @file_get_contents(Shell::root().'/var/test/storage/app/mailbox.json'), true) ?? [];
        if (preg_match('/token=([0-9a-f]+)/', array_column($letters, 'text', 'to')[$email] ?? '', $match) === 1) {
            break;
        }
    }
    // Kept until the end: a visitor takes the cookies along when it goes.
    $four = array_map(fn () => clone $guest, range(0, 3));
    $reset = function (Visitor $own, int $n) use ($email, $match): int {
        $asked = ['email' => $email, 'token' => $match[1], 'password' => "another long secret {$n}"];

        return $own->send('POST', '/api/password/reset', (string) json_encode($asked))[0];
    };
    $atOnce = function () use ($four, $reset): array {
        $children = [];
        foreach ($four as $n => $own) {
            $children[$n] = pcntl_fork();
            if ($children[$n] === 0) {
                file_put_contents(sys_get_temp_dir()."/jolly-reset-{$n}", (string) $reset($own, $n));
                posix_kill(posix_getpid(), SIGKILL);
            }
        }
        $statuses = [];
        foreach ($children as $n => $child) {
            pcntl_waitpid($child, $ended);
            $statuses[] = (int) file_get_contents(sys_get_temp_dir()."/jolly-reset-{$n}");
            unlink(sys_get_temp_dir()."/jolly-reset-{$n}");
        }

        return $statuses;
    };
    // None of the four is let in where others have asked six times from this address in the same minute.
    for ($until = microtime(true) + 70; array_unique($statuses = $atOnce()) === [429] && microtime(true) < $until;) {
        sleep(5);
    }
    sort($statuses);
    // Used up, or asked too often from one address where other tests have asked just before.
    expect($statuses[0])->toBe(204)->and(array_diff(array_slice($statuses, 1), [422, 429]))->toBe([]);
});

it('answers whatever its own limits allow', function () {
    $visitor = new Visitor;
    $season = $visitor->season;
    [[$user]] = Shell::rows("SELECT user_id FROM seasons WHERE id = {$season}");
    // 48,000 prices of one name, 4,700 entries of the log, 1,900 things in the shed, 1,900 purchases.
    Shell::rows("INSERT INTO prices (user_id, name, shop, holds, unit, price, currency, seen_on, mark)
        SELECT {$user}, 'Perlite', 'Corner', 10, 'L', n / 1000.0, 'USD', date '2027-01-01' - (n % 3000), md5(n::text) FROM generate_series(1, 48000) AS n;
        INSERT INTO shed_items (user_id, kind, name, packed_for, amount, unit) SELECT {$user}, 'gear', 'Thing ' || n, 0, 1, 'each' FROM generate_series(1, 1900) AS n;
        INSERT INTO purchases (season_id, token, kind, thing, name, packs, paid, bought_on, shop)
        SELECT {$season}, 'token-' || n, 'gear', 'x', 'Thing', 1, 1, '2027-03-01', 'Corner' FROM generate_series(1, 1900) AS n;");
    $csv = "on,kind,note\r\n";
    for ($n = 0; $n < 4700; $n++) {
        $csv .= "2027-04-21,note,\"Note {$n}\"\r\n";
    }
    [$status, $answer] = $visitor->send('POST', "/api/seasons/{$season}/log/table", (string) json_encode(['file' => base64_encode($csv)]));
    expect($status)->toBe(200, substr($answer, 0, 300))->and(json_decode($answer, true)['new'])->toBe(4700);
    $slow = [];
    foreach (['/api/prices', '/api/prices.csv', '/api/shed', '/api/account/export', "/api/seasons/{$season}/log", "/api/seasons/{$season}/log.csv",
        "/api/seasons/{$season}/setups/bench/prices", "/api/seasons/{$season}/setups/bench/shopping", "/api/seasons/{$season}/setups/bench/today?day=2027-04-21",
        "/api/seasons/{$season}/setups/bench/trays", "/api/seasons/{$season}/setups/bench/reckoning", "/api/seasons/{$season}/file"] as $path) {
        [$status, $answer, $seconds] = $visitor->send('GET', $path);
        expect($status)->toBe(200, "{$path}: ".substr($answer, 0, 200));
        $slow[$path] = round($seconds, 2);
    }
    fwrite(STDERR, "\nat the limits, seconds: ".json_encode($slow, JSON_UNESCAPED_SLASHES)."\n");
    [, $export] = $visitor->send('GET', '/api/account/export');
    $all = json_decode($export, true);
    expect($all['prices'])->toHaveCount(48_000)->and($all['seasons'][0]['log'])->toHaveCount(4700)->and($all['shed'])->toHaveCount(1900);
});

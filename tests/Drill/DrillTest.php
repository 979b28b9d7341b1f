<?php

declare(strict_types=1);

/** Whether this machine lets one make networks and processes of one's own. */
function canDrill(): bool
{
    exec('[ "$(id -u)" = 0 ] && unshare --net --mount --pid --fork --mount-proc ip link add left0 type veth peer name right0 2>/dev/null', $said, $code);

    return $code === 0;
}

it('loses nothing of a site of three machines when a web host and the primary are killed', function () {
    exec(escapeshellarg(dirname(__DIR__, 2).'/deploy/drill').' --short 2>&1', $lines, $code);
    $said = implode("\n", $lines);
    fwrite(STDERR, "\n{$said}\n");
    preg_match('/(\d+) edits and (\d+) entries acknowledged, .* (\d+) errors shown, (\d+) lost or doubled/', $said, $found);
    expect($code)->toBe(0, $said)->and((int) ($found[1] ?? 0))->toBeGreaterThan(50)->and((int) ($found[2] ?? 0))->toBeGreaterThan(10)
        ->and(array_slice($found, 3))->toBe(['0', '0'])->and($said)->toContain('the primary is killed: next edit after')
        ->and($said)->not->toContain('Infinity');
})->skip(fn (): bool => ! canDrill(), 'needs root and networks of one\'s own');

it('renders every configuration whole, and says what is missing', function () {
    $root = dirname(__DIR__, 2);
    $folder = sys_get_temp_dir().'/render-'.getmypid();
    mkdir($folder);
    $site = (string) file_get_contents("{$root}/deploy/site.env.example");
    $render = function (string $site, string $machine) use ($root, $folder): array {
        file_put_contents("{$folder}/site.env", preg_replace('#=/(etc|var/lib|run|var/log)/jolly-penny$#m', "={$folder}/\$1", $site));
        exec("{$root}/deploy/render {$folder}/site.env {$machine} {$folder}/out 2>&1", $said, $code);

        return [$code, implode("\n", $said)];
    };
    expect($render($site, 'one'))->toBe([2, "POSTGRES_PASSWORD is empty in {$folder}/site.env."]);
    $filled = (string) preg_replace('/^(\w+(?:PASSWORD|KEY))=$/m', '$1=secret', $site);
    expect($render($filled, 'four'))->toBe([2, 'A machine is one, two or three.']);
    expect($render($filled, 'two')[0])->toBe(0);
    foreach (glob("{$root}/deploy/etc/*") ?: [] as $file) {
        $text = (string) file_get_contents("{$folder}/out/".basename($file));
        expect($text)->not->toContain('{{')->and(strlen($text))->toBeGreaterThan(10);
    }
    expect(file_get_contents("{$folder}/out/patroni.yml"))->toContain("name: two\n")->toContain('connect_address: 10.0.0.12:5432')
        ->and(file_get_contents("{$folder}/out/machine"))->toBe("two\n")
        ->and(file_get_contents("{$folder}/out/web.env"))->toContain('APP_URL=https://garden.example');
    exec('rm -rf '.escapeshellarg($folder));
});

<?php

declare(strict_types=1);

// What bin/start serves is a copy without what only development needs; it has to start by itself.

/** @return array{int, string} exit code and what was said */
function inBash(string $commands): array
{
    $root = dirname(__DIR__, 2);
    exec('cd '.escapeshellarg($root).' && bash -c '.escapeshellarg("set -eo pipefail; . bin/lib/machine.sh; {$commands}").' 2>&1', $said, $code);

    return [$code, implode("\n", $said)];
}

it('serves a release without development packages, which starts by itself', function () {
    $dev = array_filter(json_decode((string) file_get_contents(dirname(__DIR__, 2).'/vendor/composer/installed.json'), true)['dev-package-names']);
    expect($dev)->toContain('pestphp/pest');
    [$code, $said] = inBash('release=$(make_release checked); echo "$release"');
    $release = trim((string) strrchr("\n{$said}", "\n"));
    expect($code)->toBe(0, $said)->and(is_dir($release))->toBeTrue($said);
    foreach ($dev as $package) {
        expect(is_dir("{$release}/vendor/{$package}"))->toBeFalse($package);
    }
    expect(is_dir("{$release}/tests"))->toBeFalse();
    [$code, $said] = inBash('PG_DIR=$VAR/postgres; postgres_answers; write_settings checked jolly_test 1; prepare_release checked '.escapeshellarg($release));
    expect($code)->toBe(0, $said);
    [$code, $said] = inBash('artisan_in '.escapeshellarg($release).' checked jolly:check');
    expect($code)->toBe(0, $said);
    inBash('rm -rf '.escapeshellarg($release).' "$VAR/checked" "$(storage_of checked)"');
});

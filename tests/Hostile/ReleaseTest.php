<?php

declare(strict_types=1);

use Tests\Hostile\Shell;

// What bin/start serves is a copy without what only development needs; it has to start by itself.

it('serves a release without development packages, which starts by itself', function () {
    $dev = array_filter(json_decode((string) file_get_contents(dirname(__DIR__, 2).'/vendor/composer/installed.json'), true)['dev-package-names']);
    expect($dev)->toContain('pestphp/pest');
    [$code, $said] = Shell::run('release=$(make_release checked); echo "$release"');
    $release = trim((string) strrchr("\n{$said}", "\n"));
    expect($code)->toBe(0, $said)->and(is_dir($release))->toBeTrue($said);
    foreach ($dev as $package) {
        expect(is_dir("{$release}/vendor/{$package}"))->toBeFalse($package);
    }
    expect(is_dir("{$release}/tests"))->toBeFalse();
    [$code, $said] = Shell::run('PG_DIR=$VAR/postgres; postgres_answers; write_settings checked jolly_test 1; prepare_release checked '.escapeshellarg($release));
    expect($code)->toBe(0, $said);
    [$code, $said] = Shell::run('artisan_in '.escapeshellarg($release).' checked jolly:check');
    expect($code)->toBe(0, $said);
    Shell::run('rm -rf '.escapeshellarg($release).' "$VAR/checked" "$(storage_of checked)"');
});

it('lists what is missing where nobody here may install it', function () {
    [$code, $said] = Shell::run(<<<'BASH'
        is_root() { false; }
        bin=$(mktemp -d); for one in dpkg-query grep; do ln -s "$(command -v $one)" "$bin/$one"; done
        PATH=$bin; install_packages dpkg no-such-package another-that-is-missing
        BASH);
    expect($code)->toBe(1)->and($said)->toContain("only root can install them (there is no sudo here):\n  no-such-package\n  another-that-is-missing\n")
        ->and($said)->toContain('apt-get install --no-install-recommends no-such-package another-that-is-missing');
});

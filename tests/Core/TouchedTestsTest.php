<?php

declare(strict_types=1);

// What bin/test --changed gives to the tests' runner: of a part, the files that changes touch; and the runner takes them.

it('runs of a part only what changes touch', function () {
    $settings = sys_get_temp_dir().'/touched-'.bin2hex(random_bytes(6)).'.xml';
    try {
        $suite = 'ROOT=$PWD; VAR=/nowhere; touched=(tests/Core/JobIdTest.php tests/Core/KnownTest.php tests/Feature/EditingTest.php);'
            .' . bin/lib/parts.sh; touched_suite core';
        exec('bash -c '.escapeshellarg($suite).' >'.escapeshellarg($settings), result_code: $code);
        $suites = (array) simplexml_load_file($settings)->xpath('//testsuite[@name="core"]/*');
        expect($code)->toBe(0)->and(array_map(fn (SimpleXMLElement $one): string => basename((string) $one), $suites))
            ->toBe(['JobIdTest.php', 'KnownTest.php']);
        exec('php vendor/bin/pest --colors=never --testsuite core --configuration='.escapeshellarg($settings).' --parallel --processes=2 2>&1', $said, $code);
        expect($code)->toBe(0, implode("\n", $said))->and(implode("\n", $said))->toContain(' passed');
    } finally {
        @unlink($settings);
    }
});

<?php

declare(strict_types=1);

arch('the core leans on nothing but PHP and the schema validator')
    ->expect('JollyPenny\Core')
    ->toOnlyUse(['JollyPenny\Core', 'Opis\JsonSchema']);

arch('everything is typed strictly')->expect(['JollyPenny\Core', 'App'])->toUseStrictTypes();

it('reads neither clock nor environment in the core', function () {
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core', FilesystemIterator::SKIP_DOTS)) as $file) {
        if ($file->getExtension() === 'php') {
            expect(preg_match('/\b(getenv|\$_ENV|\$_SERVER|microtime|hrtime|time|date|mt_rand|random_int)\s*\(/', (string) file_get_contents($file->getPathname())))->toBe(0, $file->getFilename());
        }
    }
});

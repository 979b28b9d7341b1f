<?php

declare(strict_types=1);

arch('the core leans on nothing but PHP, the schema validator and a helper of words')
    ->expect('JollyPenny\Core')
    ->toOnlyUse(['JollyPenny\Core', 'Nette\Utils\Helpers', 'Opis\JsonSchema']);

arch('everything is typed strictly')
    ->expect(['JollyPenny\Core', 'App'])
    ->toUseStrictTypes();

it('has no circles between the folders of the core', function () {
    $uses = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core', FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        if ($file->getExtension() !== 'php') {
            continue;
        }
        $code = (string) file_get_contents($file->getPathname());
        preg_match('/^namespace JollyPenny.Core.([^;]+);/m', $code, $own);
        preg_match_all('/^use JollyPenny.Core.([^;]+).\w+;/m', $code, $others);
        foreach ($others[1] as $other) {
            $other === $own[1] ?: ($uses[$own[1]][$other] = $other);
        }
    }
    $reached = function (string $from, array $on = []) use (&$reached, $uses): array {
        foreach ($uses[$from] ?? [] as $to) {
            $on = isset($on[$to]) ? $on : $reached($to, $on + [$to => $to]);
        }

        return $on;
    };
    expect($uses)->not->toBe([]);
    foreach (array_keys($uses) as $folder) {
        expect($reached($folder))->not->toHaveKey($folder, "{$folder} uses what uses it");
    }
});

it('reads neither clock nor environment in the core', function () {
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core', FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        if ($file->getExtension() === 'php') {
            expect(
                preg_match(
                    '/\b(getenv|\$_ENV|\$_SERVER|microtime|hrtime|time|date|mt_rand|random_int)\s*\(/',
                    (string) file_get_contents($file->getPathname()),
                ),
            )->toBe(0, $file->getFilename());
        }
    }
});

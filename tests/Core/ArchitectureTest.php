<?php

declare(strict_types=1);

use PhpParser\Node\Arg;
use PhpParser\Node\Expr\CallLike;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use Symfony\Component\Finder\Finder;

arch('the core leans on nothing but PHP, the schema validator and a helper of words')
    ->expect('JollyPenny\Core')
    ->toOnlyUse(['JollyPenny\Core', 'Nette\Utils\Helpers', 'Opis\JsonSchema']);

arch('everything is typed strictly')
    ->expect(['JollyPenny\Core', 'App'])
    ->toUseStrictTypes();

/** @return array<string, array<string, string>> by folder of the core: folders it uses */
function usesOfTheCore(): array
{
    $uses = [];
    foreach (
        new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../../core', FilesystemIterator::SKIP_DOTS)) as $file
    ) {
        if ($file->getExtension() !== 'php') {
            continue;
        }
        $code = (string) file_get_contents($file->getPathname());
        preg_match('/^namespace JollyPenny\\\\Core\\\\([^;]+);/m', $code, $own);
        preg_match_all('/^use JollyPenny\\\\Core\\\\(.+)\\\\\w+;/m', $code, $others);
        foreach ($others[1] as $other) {
            $other === $own[1] ?: ($uses[$own[1]][$other] = $other);
        }
    }

    return $uses;
}

it('has no circles between the folders of the core', function () {
    // A season is made of its parts, which name it here and there.
    $uses = array_filter(usesOfTheCore(), fn (string $folder): bool => ! str_starts_with($folder, 'Season'), ARRAY_FILTER_USE_KEY);
    $reached = function (string $from, array $on = []) use (&$reached, $uses): array {
        foreach ($uses[$from] ?? [] as $to) {
            $on = isset($on[$to]) ? $on : $reached($to, $on + [$to => $to]);
        }

        return $on;
    };
    expect(count($uses))->toBeGreaterThan(25);
    foreach (array_keys($uses) as $folder) {
        expect($reached($folder))->not->toHaveKey($folder, message: "{$folder} uses what uses it");
    }
});

it('has five storeys, of which a lower one never uses a higher', function () {
    $storeys = array_flip(['Season', 'Plan', 'Living', 'Deciding', 'Showing']);
    $storey = fn (string $folder): int => $storeys[explode('\\', $folder)[0]];
    $up = [];
    foreach (usesOfTheCore() as $folder => $others) {
        foreach ($others as $other) {
            $storey($other) <= $storey($folder) ?: $up[] = "{$folder} uses {$other}";
        }
    }
    expect($up)->toBe([])->and(array_map(basename(...), glob(__DIR__.'/../../core/*') ?: []))->toEqualCanonicalizing(array_keys($storeys));
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

it('tells of every package it needs what it is there for, and of none it does not', function () {
    $root = dirname(__DIR__, 2);
    $read = fn (string $file): array => json_decode((string) file_get_contents("{$root}/{$file}"), true);
    [$php, $web] = [$read('composer.json'), $read('package.json')];
    $needed = [...$php['require'], ...$php['require-dev'], ...$web['dependencies'], ...$web['devDependencies']];
    $needed = array_filter(array_keys($needed), fn (string $name): bool => $name !== 'php' && ! str_starts_with($name, 'ext-'));
    preg_match_all('/^\| ([^|]+) \|/m', (string) file_get_contents("{$root}/docs/dependencies.md"), $rows);
    $told = array_merge(...array_map(fn (string $row): array => explode(', ', trim($row)), array_diff($rows[1], ['package', '---'])));
    expect(array_values(array_diff($needed, $told)))->toBe([])->and(array_values(array_diff($told, $needed)))->toBe([]);
});

it('maps the trade\'s terms to classes that are there', function () {
    $root = dirname(__DIR__, 2);
    preg_match_all('#`(core/[\w/]+\.php)`#', (string) file_get_contents("{$root}/docs/glossary.md"), $named);
    expect(count($named[1]))->toBeGreaterThan(25);
    foreach ($named[1] as $file) {
        expect(is_file("{$root}/{$file}"))->toBeTrue($file);
    }
});

/** @return array<string, int> lines of each function by file and name */
function linesOfFunctions(): array
{
    $lines = [];
    foreach (Finder::create()->files()->in([__DIR__.'/../../core', __DIR__.'/../../app'])->name('*.php') as $file) {
        $tokens = PhpToken::tokenize((string) file_get_contents($file->getPathname()));
        foreach ($tokens as $at => $token) {
            $name = $tokens[$at + 2] ?? null;
            if (! $token->is(T_FUNCTION) || $name?->is(T_STRING) !== true) {
                continue;
            }
            for ($depth = 0, $end = $at; isset($tokens[$end]); $end++) {
                $depth += $tokens[$end]->is(['{', T_CURLY_OPEN]) ? 1 : ($tokens[$end]->is('}') ? -1 : 0);
                if ($depth === 0 && $tokens[$end]->is(['}', ';'])) {
                    break;
                }
            }
            $lines["{$file->getRelativePathname()} {$name->text}"] = $tokens[$end]->line - $token->line + 1;
        }
    }

    return $lines;
}

it('has no function of over fifty lines', function () {
    $lines = linesOfFunctions();
    expect(count($lines))->toBeGreaterThan(1000)
        ->and(array_keys(array_filter($lines, fn (int $count): bool => $count > 50)))
        ->toBe([]);
});

/** @return list<string> calls of more than eight arguments of which one is told by its place alone */
function longCallsByPlace(): array
{
    $parser = (new ParserFactory())->createForHostVersion();
    $calls = [];
    foreach (Finder::create()->files()->in([__DIR__.'/../../core', __DIR__.'/../../app'])->name('*.php') as $file) {
        foreach ((new NodeFinder())->findInstanceOf($parser->parse($file->getContents()) ?? [], CallLike::class) as $call) {
            $places = $call->isFirstClassCallable() ? [] : array_filter($call->getArgs(), fn (Arg $one): bool => $one->name === null);
            count($places) <= 8 ?: $calls[] = "{$file->getRelativePathname()}:{$call->getStartLine()}";
        }
    }

    return $calls;
}

it('makes what has more than eight parts by their names', function () {
    expect(longCallsByPlace())->toBe([]);
});

it('calls no method "of"', function () {
    $names = array_map(fn (string $name): string => explode(' ', $name)[1], array_keys(linesOfFunctions()));
    expect($names)->not->toContain('of');
});

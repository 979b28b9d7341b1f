<?php

declare(strict_types=1);

// tests/Mutants/run --drawn N --seed S [--share I/K] [core] [app] [web]: N wrong turns of each, drawn over the lines that the book and the
// tests reach. The book comes first: the stories that reach the line, then the test files that do. With --share, every K-th from the I-th
// on, so that several processes can share the work; each needs a database of the feature tests of its own (TEST_TOKEN). What fails without a
// wrong turn notices none: so the book and the screens are told without one first.

use Tests\Mutants\Draw;
use Tests\Mutants\Reach;

/** Seconds after which a run counts as one that never ends. */
const LIMIT = 240;

const PEST = 'php -d memory_limit=1G vendor/bin/pest --colors=never --stop-on-failure';

/** Test files that a wrong turn is shown to after the book, at most: those that name its class first, then the smallest. */
const FILES = 12;

/** Screens that show what stands in a folder of web/src/screens, where they are called otherwise. */
const SCREENS = ['growlist' => 'list', 'begin' => '(first|begin)', 'seedling' => 'crops', 'reckoning' => '(reckoning|advice)', 'glossary' => 'words',
    'account' => '(account|sign-in|forgotten)'];

ini_set('memory_limit', '4G');
$storeys = array_slice($argv, $rest) ?: ['core', 'app', 'web'];
[$share, $of] = array_map(intval(...), explode('/', $options['share'] ?? '1/1'));
$reach = new Reach($root);
$draw = new Draw($root, $reach, (int) $options['seed']);
$drawn = [];
foreach ($storeys as $storey) {
    $drawn[$storey] = $storey === 'web'
        ? json_decode((string) shell_exec("cd {$root} && node tests/Mutants/drawWeb.mjs ".(int) $options['drawn'].' '.(int) $options['seed']), true)
        : $draw->mutants((int) $options['drawn'], $storey);
    $drawn[$storey] = array_filter($drawn[$storey], fn (int $n): bool => $n % $of === $share - 1, ARRAY_FILTER_USE_KEY);
}

/** @return list<string> commands, the quickest to notice first; the last of them for what none before has noticed */
$commandsFor = function (string $storey, array $mutant) use ($reach, $root): array {
    if ($storey === 'web') {
        $folder = preg_match('#^web/src/screens/(\w+)/#', $mutant['file'], $match) === 1 ? $match[1] : '';
        $screen = SCREENS[$folder] ?? $folder;
        $on = $screen === '' ? '' : ' -t '.escapeshellarg("draws {$screen}");

        return ["npx vitest related {$mutant['file']} --run --root . --bail 1 --exclude 'tests/Web/**' --passWithNoTests",
            "npx vitest run --root . --bail 1 tests/Web{$on}", ...($on === '' ? [] : ['npx vitest run --root . --bail 1 tests/Web']), 'npx tsc --noEmit'];
    }
    $stories = $reach->stories($mutant['file'], $mutant['line']);
    // Small books first.
    usort($stories, fn (string $a, string $b): int => filesize("{$root}/tests/Answers/book/{$a}.txt") <=> filesize("{$root}/tests/Answers/book/{$b}.txt"));
    $tests = $reach->tests($mutant['file'], $mutant['line']);
    $class = basename($mutant['file'], '.php');
    $names = fn (string $test): int => preg_match("/\\b{$class}\\b/", (string) file_get_contents("{$root}/{$test}"));
    usort($tests, fn (string $a, string $b): int => $names($b) <=> $names($a) ?: filesize("{$root}/{$a}") <=> filesize("{$root}/{$b}"));

    return [...($stories === [] ? [] : ['JOLLY_STORIES='.escapeshellarg(implode(' ', $stories)).' '.PEST.' tests/Answers']),
        ...array_map(fn (string $test): string => PEST." {$test}", array_slice($tests, 0, FILES))];
};

$home = sys_get_temp_dir().'/jolly-drawn-'.getmypid();
$copy = "{$home}/".basename($root);
register_shutdown_function(fn () => passthru('rm -rf '.escapeshellarg($home)));
$var = implode(' ', array_map(fn (string $path): string => './var/'.basename($path), glob("{$root}/var/feature*") ?: []));
passthru('cd '.escapeshellarg($root).' && mkdir -p '.escapeshellarg("{$copy}/var").' && tar cf - --exclude=./var --exclude=./node_modules --exclude=./.git . '
    ."| tar xf - -C {$copy} && ln -s {$root}/node_modules {$copy}/node_modules && for one in {$var}; do cp -r \"\$one\" {$copy}/var/; done");
$passes = function (string $command) use ($copy): bool {
    exec('cd '.escapeshellarg($copy).' && timeout '.LIMIT.' bash -c '.escapeshellarg($command).' >/dev/null 2>&1', result_code: $code);

    return $code === 0;
};

foreach (array_keys($drawn) as $storey) {
    $control = $storey === 'web' ? 'npx vitest run --root . tests/Web' : PEST.' tests/Answers';
    $passes($control) ?: exit("This fails without a wrong turn: {$control}\n");
}
foreach ($drawn as $storey => $mutants) {
    $noticed = $byBook = 0;
    foreach ($mutants as $mutant) {
        $file = "{$copy}/{$mutant['file']}";
        $right = (string) file_get_contents($file);
        file_put_contents($file, substr_replace($right, $mutant['with'], $mutant['at'], $mutant['length']));
        $by = null;
        foreach ($commandsFor($storey, $mutant) as $command) {
            if (! $passes($command)) {
                $by = $command;

                break;
            }
        }
        file_put_contents($file, $right);
        $noticed += $by === null ? 0 : 1;
        $byBook += $by !== null && (str_contains($by, 'tests/Answers') || str_contains($by, 'tests/Web')) ? 1 : 0;
        printf("%s  %s => %s%s\n", $by === null ? 'MISSED' : 'caught', $mutant['words'], $mutant['with'],
            $by === null || str_contains($by, 'tests/Answers') ? '' : ' — '.preg_replace('/^.*(tests\/\w+\/\w+\.php|vitest \w+|tsc).*$/', '$1', $by));
    }
    printf("%s, seed %d, share %d of %d: %d of %d noticed, %d by the book\n", $storey, $options['seed'], $share, $of, $noticed, count($mutants), $byBook);
}

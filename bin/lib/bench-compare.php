<?php

// bin/bench --compare REF: another revision's figures beside today's, from one run on one machine. The two are measured in turns, so that
// what else the machine does meets both. Needs git.

declare(strict_types=1);

$root = dirname(__DIR__, 2);
[$ref, $runs, $rounds] = [$argv[1] ?? '', $argv[2] ?? '1', 3];
$copy = sys_get_temp_dir().'/jolly-bench-'.getmypid();
$git = 'git -C '.escapeshellarg($root);
exec("{$git} worktree add --detach ".escapeshellarg($copy).' '.escapeshellarg($ref).' 2>&1', $said, $code);
$code === 0 ?: exit("There is no revision \"{$ref}\": ".implode("\n", $said)."\n");
register_shutdown_function(fn () => exec("{$git} worktree remove --force ".escapeshellarg($copy)));
// What it requires is the same, or nearly; which files are read with it is its own matter.
passthru('cp -a '.escapeshellarg("{$root}/vendor").' '.escapeshellarg("{$copy}/vendor")
    .' && COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload -q -d '.escapeshellarg($copy), $code);
$code === 0 ?: exit("Revision \"{$ref}\" cannot be made ready.\n");
$figures = ['then' => [], 'now' => []];
foreach (range(1, $rounds) as $round) {
    foreach (['then' => $copy, 'now' => $root] as $when => $folder) {
        fwrite(STDERR, "round {$round} of {$rounds}, {$when}\n");
        $lines = [];
        exec('cd '.escapeshellarg($folder).' && php -d opcache.enable_cli=1 bin/bench '.escapeshellarg($runs).' 2>/dev/null', $lines);
        $lines !== [] ?: exit("The benchmark of {$when} says nothing: run bin/bench in {$folder} to see why.\n");
        foreach ($lines as $line) {
            if (preg_match('/^(.+?)\s{2,}([\d.,]+) ms/', $line, $found) === 1) {
                $figures[$when][$found[1]][] = (float) str_replace(',', '', $found[2]);
            }
        }
    }
}
$median = function (array $all): float {
    sort($all);

    return $all[intdiv(count($all), 2)];
};
printf("%-66s %10s %10s %8s\n", 'milliseconds, median of medians', substr($ref, 0, 10), 'now', 'ratio');
foreach ($figures['now'] as $name => $now) {
    $then = isset($figures['then'][$name]) ? $median($figures['then'][$name]) : null;
    $today = $median($now);
    printf("%-66s %10s %10.1f %8s\n", $name, $then === null ? '–' : sprintf('%.1f', $then), $today,
        $then === null || $then <= 0.0 ? '' : sprintf('%.2f', $today / $then));
}

<?php

// coverage.php: by folder, how many lines do something, which share of them the book reaches, which the book or a suite; then the lines
// that nothing reaches. bin/coverage measures first.

declare(strict_types=1);

use Tests\Mutants\Reach;

$root = dirname(__DIR__, 2);
require "{$root}/vendor/autoload.php";

$percent = fn (int $part, int $whole): float => $whole === 0 ? 100.0 : 100.0 * $part / $whole;
$folders = (new Reach($root))->folders();
printf("%-34s %6s %6s %6s\n", 'folder', 'lines', 'book', 'any');
foreach ($folders as $folder => $of) {
    printf("%-34s %6d %5.1f%% %5.1f%%\n", $folder, $of['lines'], $percent($of['book'], $of['lines']), $percent($of['any'], $of['lines']));
}
$web = [];
foreach (json_decode((string) file_get_contents("{$root}/var/coverage/web/coverage-summary.json"), true) as $file => $of) {
    if ($file !== 'total') {
        $folder = dirname(substr($file, strlen($root) + 1));
        foreach (['lines', 'branches'] as $what) {
            $web[$folder][$what] = [($web[$folder][$what][0] ?? 0) + $of[$what]['total'], ($web[$folder][$what][1] ?? 0) + $of[$what]['covered']];
        }
    }
}
printf("\n%-34s %6s %6s %6s\n", 'folder', 'lines', 'lines', 'sides');
foreach ($web as $folder => ['lines' => [$lines, $reached], 'branches' => [$sides, $taken]]) {
    printf("%-34s %6d %5.1f%% %5.1f%%\n", $folder, $lines, $percent($reached, $lines), $percent($taken, $sides));
}
echo "\nNothing reaches:\n";
foreach ($folders as $of) {
    foreach ($of['unreached'] as $line) {
        echo "{$line}\n";
    }
}

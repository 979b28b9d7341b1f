<?php

// touched-tests.php [REF]: the test files that the changes since REF touch, a line each. Without REF: what is not committed, or, where
// everything is, the last commit. A test is touched when it is itself changed, names a changed class, or is named after the changed
// file's folder or controller; the answer book by whatever it is told from. What data or settings change touches all of the core. bin/test
// without --changed stays the whole.

declare(strict_types=1);

chdir(dirname(__DIR__, 2));

/** @return list<string> */
function lines(string $command): array
{
    exec($command, $lines);

    return array_values(array_filter($lines));
}

$ref = ($argv[1] ?? '') !== '' ? $argv[1] : (lines('git status --porcelain') === [] ? 'HEAD~1' : 'HEAD');
$changed = [...lines('git diff --name-only --diff-filter=d '.escapeshellarg($ref)), ...lines('git ls-files --others --exclude-standard')];
$tests = lines('git ls-files --cached --others --exclude-standard "tests/*Test.php"');
$words = $files = [];
foreach ($changed as $file) {
    // Whatever of these it was, the book says whether an answer changed.
    preg_match('#^(core|app|routes|catalogue|database|tests/Answers)/#', $file) !== 1 || $files['tests/Answers/AnswersTest.php'] = true;
    if (preg_match('#^tests/(Core|Reference|Feature|Browser|Drill|Hostile)/\w+Test\.php$#', $file) === 1) {
        $files[$file] = true;
    } elseif (preg_match('#^(core|app|tests)/(?:.*/)?(\w+)/(\w+)\.php$#', $file, $match) === 1) {
        [, , $folder, $class] = $match;
        $words[] = $class;
        foreach ([$folder, preg_replace('/Controller$/', '', $class)] as $name) {
            foreach (['Core', 'Reference', 'Feature'] as $part) {
                $files["tests/{$part}/{$name}Test.php"] = true;
            }
        }
    } elseif (preg_match('#^(catalogue|database|core|composer\.json|bootstrap|config)#', $file) === 1) {
        foreach (array_filter($tests, fn (string $test): bool => str_starts_with($test, 'tests/Core/')) as $test) {
            $files[$test] = true;
        }
    }
}
foreach ($tests as $test) {
    $isNamed = $words !== [] && preg_match('/\b('.implode('|', $words).')\b/', (string) file_get_contents($test)) === 1;
    if (isset($files[$test]) || ($isNamed && ! preg_match('#^tests/(Browser|Hostile)/#', $test))) {
        echo $test, "\n";
    }
}

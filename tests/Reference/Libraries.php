<?php

declare(strict_types=1);

namespace Tests\Reference;

use RuntimeException;

/** What @stdlib and jStat answer, through node. */
final class Libraries
{
    /**
     * @param  list<list<mixed>>  $questions  each [function, ...arguments]
     * @return list<float>
     */
    public static function answers(array $questions): array
    {
        $process = proc_open(['node', __DIR__.'/reference.mjs'], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
        if ($process === false) {
            throw new RuntimeException('node did not start.');
        }
        fwrite($pipes[0], (string) json_encode($questions));
        fclose($pipes[0]);
        $answers = json_decode((string) stream_get_contents($pipes[1]), true);
        if (proc_close($process) !== 0 || ! is_array($answers) || count($answers) !== count($questions)) {
            throw new RuntimeException('The reference libraries did not answer every question.');
        }

        return array_map(floatval(...), $answers);
    }
}

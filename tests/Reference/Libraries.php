<?php

declare(strict_types=1);

namespace Tests\Reference;

use RuntimeException;

/** What @stdlib, jStat, financial and ical.js answer, through node. */
final class Libraries
{
    /**
     * @param  list<list<mixed>>  $questions  each [function, ...arguments]
     * @return list<float>
     */
    public static function answers(array $questions): array
    {
        $answers = self::run('reference.mjs', (string) json_encode($questions));
        if (count($answers) !== count($questions)) {
            throw new RuntimeException('The reference libraries did not answer every question.');
        }

        return array_map(floatval(...), $answers);
    }

    /**
     * What a script beside this file prints for an input.
     *
     * @return array<array-key, mixed>
     */
    public static function run(string $script, string $input): array
    {
        $process = proc_open(['node', __DIR__.'/'.$script], [['pipe', 'r'], ['pipe', 'w'], STDERR], $pipes);
        if ($process === false) {
            throw new RuntimeException('node did not start.');
        }
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $answer = json_decode((string) stream_get_contents($pipes[1]), true);

        return proc_close($process) === 0 && is_array($answer) ? $answer : throw new RuntimeException("{$script} did not answer.");
    }
}

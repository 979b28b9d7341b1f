<?php

declare(strict_types=1);

namespace Tests\Answers;

use JollyPenny\Core\Showing\Cli\Jolly;

/** What bin/jolly answers of a season file, without starting a process for each question. */
final readonly class CommandLine
{
    /** Those that every story is asked. */
    public const QUICK = ['cost', 'years', 'fit', 'advice', 'simulate', 'reckon'];

    private const OPTIONS = [
        'cost' => [],
        'years' => ['--seasons', '4', '--price-rise', '0.04'],
        'mix' => [],
        'fit' => [],
        'budget' => ['--limit', '60'],
        'simulate' => ['--runs', '200', '--seed', '5'],
        'advice' => [],
        'reckon' => [],
    ];

    /** These are asked of the file as a whole. */
    private const OF_ALL = ['cost', 'years'];

    /** @param  list<string>  $setups */
    public function __construct(private string $file, private array $setups)
    {
    }

    /** @param  list<string>  $commands */
    public function tell(Book $book, array $commands): void
    {
        foreach ($commands as $command) {
            if (in_array($command, self::OF_ALL, true)) {
                self::answer($book, '', [$command, $this->file, ...self::OPTIONS[$command]]);

                continue;
            }
            foreach ($this->setups as $setup) {
                self::answer($book, $setup, [$command, $this->file, '--setup', $setup, ...self::OPTIONS[$command]]);
            }
        }
    }

    /** @param  list<string>  $arguments */
    private static function answer(Book $book, string $asked, array $arguments): void
    {
        [$out, $err] = [fopen('php://memory', 'w+'), fopen('php://memory', 'w+')];
        $code = Jolly::run($arguments, $out, $err);
        rewind($out);
        rewind($err);
        if ($code === 0) {
            $book->value($arguments[0], $asked, json_decode((string) stream_get_contents($out), flags: JSON_THROW_ON_ERROR));
        } else {
            $book->text($arguments[0], $asked, "exit {$code}: ".stream_get_contents($err));
        }
    }
}

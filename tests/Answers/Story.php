<?php

declare(strict_types=1);

namespace Tests\Answers;

use RuntimeException;

/** A season as it was made and lived: the requests that made it, and the days and set-ups on which it is asked about. */
final readonly class Story
{
    private const FOLDER = __DIR__.'/stories';

    /**
     * @param  string  $about  what it is there for, in a sentence
     * @param  list<array{0: string, 1: string, 2?: array<string, mixed>}>  $steps  verb, path under /api, body; in the path, {season} and the like stand
     *                                                                               for what an earlier answer called so
     * @param  list<string>  $days  year-month-day; all routes are asked on each
     * @param  list<string>  $setups  ids
     * @param  list<string>  $commands  of the command line; those that take long are asked of few stories
     * @param  bool  $asksAll  also what ships with the program and what is of the whole garden; and the other format of the workbook
     * @param  bool  $drawsPapers  labels and workbooks, which take long
     * @param  bool  $drawsScreens  the front end's tests draw every screen of it
     * @param  list<string>  $leaves  routes that say the same in another story: the plan's own do not move with what is lived
     */
    private function __construct(
        public string $name,
        public string $about,
        public array $steps,
        public array $days,
        public array $setups,
        public array $commands,
        public bool $asksAll,
        public bool $drawsPapers,
        public bool $drawsScreens,
        public array $leaves,
    ) {
    }

    /** @return list<string> those that this process tells: every second one where two share the work (JOLLY_HALF), or the ones named (JOLLY_STORIES) */
    public static function names(): array
    {
        $names = array_map(fn (string $file): string => basename($file, '.json'), glob(self::FOLDER.'/*.json') ?: []);
        $wished = array_filter(explode(' ', (string) getenv('JOLLY_STORIES')));
        $names = $wished === [] ? $names : array_values(array_intersect($wished, $names));
        $half = (int) getenv('JOLLY_HALF');
        $names = array_values(array_filter($names, fn (int $n): bool => $half === 0 || $n % 2 === $half - 1, ARRAY_FILTER_USE_KEY));

        return $names === [] ? throw new RuntimeException('There is no such story in '.self::FOLDER.'.') : $names;
    }

    public static function named(string $name): self
    {
        $told = json_decode((string) file_get_contents(self::FOLDER."/{$name}.json"), flags: JSON_THROW_ON_ERROR);

        return new self(
            name: $name,
            about: $told->about,
            steps: $told->steps,
            days: $told->days,
            setups: $told->setups,
            commands: $told->commands ?? CommandLine::QUICK,
            asksAll: $told->asks_all ?? false,
            drawsPapers: $told->draws_papers ?? false,
            drawsScreens: $told->draws_screens ?? false,
            leaves: $told->leaves ?? [],
        );
    }
}

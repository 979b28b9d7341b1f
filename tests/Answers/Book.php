<?php

declare(strict_types=1);

namespace Tests\Answers;

/** Everything that is said of one story: sections, each the facts of one answer. */
final class Book
{
    private const FOLDER = __DIR__.'/book';

    private const HEADING = '== ';

    /** @var array<string, list<string>> facts by section */
    private array $sections = [];

    /** @var array<string, string> the first section with these facts, by route and facts */
    private array $first = [];

    private readonly Facts $facts;

    public function __construct()
    {
        $this->facts = new Facts;
    }

    public static function file(string $story): string
    {
        return self::FOLDER."/{$story}.txt";
    }

    /** @return array<string, list<string>> */
    public static function kept(string $story): array
    {
        $sections = [];
        $heading = null;
        foreach (is_file(self::file($story)) ? file(self::file($story), FILE_IGNORE_NEW_LINES) ?: [] : [] as $line) {
            if (str_starts_with($line, self::HEADING)) {
                $sections[$heading = substr($line, strlen(self::HEADING))] = [];
            } elseif ($heading !== null) {
                $sections[$heading][] = $line;
            }
        }

        return $sections;
    }

    public function value(string $route, string $asked, mixed $value): void
    {
        $this->add($route, $asked, $this->facts->fromValue(trim("{$route} {$asked}"), $value));
    }

    public function text(string $route, string $asked, string $text): void
    {
        $this->add($route, $asked, Facts::fromText($text));
    }

    /**
     * An answer that says the same as another of its route is told in a line.
     *
     * @param  list<string>  $facts
     */
    private function add(string $route, string $asked, array $facts): void
    {
        $section = trim("{$route} {$asked}");
        $same = "{$route} ".md5(implode("\n", $facts));
        if (isset($this->first[$same]) && count($facts) > 1) {
            $facts = ["as {$this->first[$same]}"];
        } else {
            $this->first[$same] = $section;
        }
        $this->sections[$section] = $facts;
    }

    /** @return array<string, list<string>> */
    public function sections(): array
    {
        ksort($this->sections, SORT_STRING);

        return $this->sections;
    }

    public function write(string $story): void
    {
        $text = '';
        foreach ($this->sections() as $section => $facts) {
            $text .= self::HEADING."{$section}\n".implode("\n", $facts).($facts === [] ? '' : "\n");
        }
        file_put_contents(self::file($story), $text);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

/** One thing wrong with a season file: where (a JSON path, as RFC 9535 writes it), what, and what to do. */
final readonly class Fault
{
    public function __construct(public string $path, public string $problem, public string $remedy)
    {
    }

    /** @param  list<string|int>  $keys  from the top of the document */
    public static function at(array $keys, string $problem, string $remedy): self
    {
        return new self(self::path($keys), $problem, $remedy);
    }

    /** One line, as the command line prints it. */
    public function line(): string
    {
        $line = "{$this->path}: {$this->problem} {$this->remedy}";

        return mb_strimwidth((string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', $line), 0, 500, '…');
    }

    /** @param  list<string|int>  $keys */
    private static function path(array $keys): string
    {
        $path = '$';
        foreach ($keys as $key) {
            $path .= match (true) {
                is_int($key) => "[{$key}]",
                preg_match('/^[A-Za-z_]\w*$/D', $key) === 1 => ".{$key}",
                default => "['".addcslashes($key, "'\\")."']",
            };
        }

        return $path;
    }
}

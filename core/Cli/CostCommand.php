<?php

declare(strict_types=1);

namespace JollyPenny\Core\Cli;

use JollyPenny\Core\Costing\SeasonCosting;
use JollyPenny\Core\Season\File\Fault;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\JsonText;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season;

/** `bin/jolly cost FILE [--setup ID]`: the result as JSON. Exits 0, or 2 with a line for each fault on standard error. */
final readonly class CostCommand
{
    private const USAGE = "Usage: bin/jolly cost FILE.json [--setup ID]\n       bin/jolly cost -            reads standard input\n";

    /**
     * @param  list<string>  $arguments  after the program's name
     * @param  resource  $out
     * @param  resource  $err
     */
    public static function run(array $arguments, $out, $err): int
    {
        if (in_array($arguments[0] ?? '', ['-h', '--help', 'help'], true)) {
            fwrite($out, self::USAGE);

            return 0;
        }
        $file = $arguments[1] ?? null;
        $setup = ($arguments[2] ?? null) === '--setup' ? $arguments[3] ?? null : null;
        if (($arguments[0] ?? null) !== 'cost' || $file === null || count($arguments) !== ($setup === null ? 2 : 4)) {
            fwrite($err, self::USAGE);

            return 2;
        }
        try {
            $season = (new SeasonReader)->read(self::text($file));
            $json = self::json($season, $setup);
        } catch (InvalidSeason $e) {
            fwrite($err, $e->getMessage()."\n");

            return 2;
        }
        fwrite($out, $json."\n");

        return 0;
    }

    private static function json(Season $season, ?string $setup): string
    {
        if ($setup !== null && ! in_array($setup, array_column($season->setups, 'id'), true)) {
            throw InvalidSeason::because(['setups'], "There is no set-up \"{$setup}\".", 'The file has: '.implode(', ', array_column($season->setups, 'id')).'.');
        }

        return json_encode((new SeasonCosting($season))->result($setup), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
    }

    private static function text(string $file): string
    {
        if ($file !== '-' && (! is_file($file) || ! is_readable($file))) {
            throw new InvalidSeason([new Fault('$', is_dir($file) ? "\"{$file}\" is a directory." : "\"{$file}\" cannot be read.", 'Give the path of a season file.')]);
        }
        $stream = fopen($file === '-' ? 'php://stdin' : $file, 'rb');
        $text = $stream === false ? '' : (string) stream_get_contents($stream, JsonText::MAX_BYTES + 1);
        $stream === false ?: fclose($stream);

        return $text;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Cli;

use JollyPenny\Core\Deciding\Advising\Savings;
use JollyPenny\Core\Deciding\Choosing\Budget;
use JollyPenny\Core\Deciding\Choosing\Budgeted;
use JollyPenny\Core\Deciding\Choosing\BudgetYear;
use JollyPenny\Core\Deciding\Choosing\BudgetYears;
use JollyPenny\Core\Deciding\Choosing\MadeToFit;
use JollyPenny\Core\Deciding\Choosing\MixAndMatch;
use JollyPenny\Core\Deciding\Simulating\Simulated;
use JollyPenny\Core\Deciding\Simulating\Simulation;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Reckoning\Belief;
use JollyPenny\Core\Living\Reckoning\Beliefs;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Living\Reckoning\Reckoning;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Years\YearsCosting;
use JollyPenny\Core\Season\File\Fault;
use JollyPenny\Core\Season\File\InvalidSeason;
use JollyPenny\Core\Season\File\JsonText;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Showing\Workings\AllWorkings;
use JollyPenny\Core\Showing\Workings\NoSuchFigure;
use JollyPenny\Core\Showing\Workings\Working;

/** bin/jolly: a season file costed, over the years, mixed and matched, made to fit, or kept to a limit. Exits 0, or 2 with a line for each fault on standard error. */
final readonly class Jolly
{
    private const USAGE = <<<'TEXT'
    Usage: bin/jolly cost FILE.json [--setup ID]                                 the costing, as JSON
           bin/jolly years FILE.json --seasons N [--price-rise R] [--setup ID]   the same over 1 to 100 seasons
           bin/jolly mix FILE.json --setup ID                                    the season file with each crop its cheapest way
           bin/jolly budget FILE.json --setup ID --limit N [--seasons Y] [--for season]  what to grow, buy or leave out so that the till stays within N
           bin/jolly fit FILE.json --setup ID                                    the season file with the set-up made to fit: lamps and mats enough
           bin/jolly simulate FILE.json --setup ID [--runs N] [--seed S]         the season played N times (10000), the same for the same seed
           bin/jolly advice FILE.json --setup ID                                 every single change, by what it saves
           bin/jolly reckon FILE.json --setup ID                                 what the season came to, by the log in the file
           bin/jolly working FILE.json --setup ID --figure F [--crop ID]         how a figure comes about: per_finished, came_lived, mix …
           bin/jolly weather FILE.json --setup ID --weather W.json --on DAY      what comes up when, what may not stay out, frost by past years
           bin/jolly simulate-meter --token TOKEN                                posts readings to a running application, as a device would
           bin/jolly simulate-weather --token TOKEN [--seed S] [--cold-snap DAY]  posts a spring's weather, as a station would
    A file named - is standard input.

    TEXT;

    private const OPTIONS = ['cost' => ['setup'], 'years' => ['seasons', 'price-rise', 'setup'], 'mix' => ['setup'], 'fit' => ['setup'],
        'budget' => ['setup', 'limit', 'seasons', 'for'],
        'simulate' => ['setup', 'runs', 'seed'], 'advice' => ['setup'], 'reckon' => ['setup'],
        'working' => ['setup', 'figure', 'crop'], 'weather' => ['setup', 'weather', 'on']];

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
        $options = self::options($arguments);
        if ($options === null) {
            fwrite($err, self::USAGE);

            return 2;
        }
        try {
            $season = (new SeasonReader())->read(self::text($arguments[1]));
            $answer = match ($arguments[0]) {
                'years' => self::json(self::years($season, $options)),
                'mix' => (new SeasonWriter())->toJson(
                    (new MixAndMatch($season, self::setup($season, $options['setup'] ?? ''), self::progress($err)))->season(),
                ),
                'fit' => (new SeasonWriter())->toJson(self::fitted($season, self::setup($season, $options['setup'] ?? ''))),
                'simulate' => self::json(self::simulated($season, $options, self::progress($err))),
                'advice' => self::json((new Savings($season, self::setup($season, $options['setup'] ?? '')))->advice(self::progress($err))),
                'reckon' => self::json(self::reckoned($season, self::setup($season, $options['setup'] ?? ''))),
                'working' => self::json(self::working($season, $options)),
                'weather' => self::json(CliWeather::answer($season, self::setup($season, $options['setup'] ?? ''), self::text($options['weather'] ?? ''),
                    $options['on'] ?? '')),
                'budget' => self::json(self::budget($season, $options, self::progress($err))),
                default => self::json(
                    (new SeasonCosting($season))->result(isset($options['setup']) ? self::setup($season, $options['setup'])->id : null),
                ),
            };
        } catch (InvalidSeason $e) {
            fwrite($err, $e->getMessage()."\n");

            return 2;
        }
        fwrite($out, rtrim($answer)."\n");

        return 0;
    }

    /**
     * @param  list<string>  $arguments
     * @return ?array<string, string> null where they cannot be understood
     */
    private static function options(array $arguments): ?array
    {
        $known = self::OPTIONS[$arguments[0] ?? ''] ?? null;
        if ($known === null || ! isset($arguments[1]) || count($arguments) % 2 !== 0) {
            return null;
        }
        $options = [];
        foreach (array_chunk(array_slice($arguments, 2), 2) as $pair) {
            $name = substr($pair[0], 2);
            if (! str_starts_with($pair[0], '--') || ! in_array($name, $known, true) || isset($options[$name])) {
                return null;
            }
            $options[$name] = $pair[1] ?? '';
        }
        $needed = ['years' => ['seasons'], 'mix' => ['setup'], 'fit' => ['setup'], 'budget' => ['setup', 'limit'], 'simulate' => ['setup'],
            'advice' => ['setup'],
            'reckon' => ['setup'], 'working' => ['setup', 'figure'], 'weather' => ['setup', 'weather', 'on']][$arguments[0]] ?? [];

        return array_diff($needed, array_keys($options)) === [] ? $options : null;
    }

    /**
     * @param  array<string, string>  $options
     * @return array<string, mixed>
     */
    private static function years(Season $season, array $options): array
    {
        $seasons = $options['seasons'] ?? '';
        $rise = $options['price-rise'] ?? '0';
        if (preg_match('/^\d{1,3}$/', $seasons) !== 1 || (int) $seasons < 1 || (int) $seasons > YearsCosting::MOST) {
            throw InvalidSeason::because(
                [],
                '"--seasons" is not a whole number from 1 to '.YearsCosting::MOST.'.',
                'Give the number of seasons, such as 5.',
            );
        }
        if (! is_numeric($rise) || (float) $rise <= -1.0 || (float) $rise > 1.0) {
            throw InvalidSeason::because([], '"--price-rise" is not a number above -1 and at most 1.', 'Give it per season, such as 0.03.');
        }

        return (new YearsCosting($season, (int) $seasons, (float) $rise))->result(
            isset($options['setup']) ? self::setup($season, $options['setup'])->id : null,
        );
    }

    /**
     * @param  array<string, string>  $options
     * @param  ?\Closure(int, int): void  $progress
     * @return Budgeted|array{seasons: list<BudgetYear>}
     */
    private static function budget(Season $season, array $options, ?\Closure $progress): Budgeted|array
    {
        $limit = $options['limit'] ?? '';
        if (! is_numeric($limit) || (float) $limit < 0.0 || (float) $limit > 1e9) {
            throw InvalidSeason::because([], '"--limit" is not an amount of money from 0 on.', 'Give it in the season\'s currency, such as 50.');
        }

        $setup = self::setup($season, $options['setup'] ?? '');
        $for = $options['for'] ?? 'now';
        if (! in_array($for, ['now', 'season'], true)) {
            throw InvalidSeason::because([], '"--for" is neither "now" nor "season".', 'Say "season" where electricity counts too.');
        }
        $seasons = $options['seasons'] ?? '';
        if ($seasons === '') {
            return (new Budget($season, $setup, (float) $limit, $progress, $for === 'season'))->result();
        }
        if (preg_match('/^\d{1,2}$/', $seasons) !== 1 || (int) $seasons < 1 || (int) $seasons > BudgetYears::MOST) {
            throw InvalidSeason::because([], '"--seasons" is not a whole number from 1 to '.BudgetYears::MOST.'.', 'Give the number of seasons, such as 3.');
        }

        return ['seasons' => BudgetYears::plan($season, $setup->id, (float) $limit, (int) $seasons, $progress, $for === 'season')];
    }

    /**
     * @param  array<string, string>  $options
     * @param  ?\Closure(int, int): void  $progress
     */
    private static function simulated(Season $season, array $options, ?\Closure $progress): Simulated
    {
        $setup = self::setup($season, $options['setup'] ?? '');
        [$runs, $seed] = [$options['runs'] ?? '10000', $options['seed'] ?? '17'];
        if (preg_match('/^\d{1,6}$/', $runs) !== 1 || (int) $runs < 1 || (int) $runs > Simulation::MOST) {
            throw InvalidSeason::because([], '"--runs" is not a whole number from 1 to '.Simulation::MOST.'.', 'Give the number of seasons, such as 10000.');
        }
        if (preg_match('/^\d{1,15}$/', $seed) !== 1) {
            throw InvalidSeason::because([], '"--seed" is not a whole number from 0 on.', 'Give any, such as 17; the same gives the same.');
        }
        $costing = new SeasonCosting($season);

        return (new Simulation($costing->books($setup), $costing->setup($setup)))->play((int) $runs, (int) $seed, $progress);
    }

    /** @return array{came_to: CameTo, beliefs: list<Belief>} by the log of the file; purchases and meters stand in no file */
    private static function reckoned(Season $season, Setup $setup): array
    {
        [$costing, $log] = [new SeasonCosting($season), new LogBook($season->log)];

        return ['came_to' => (new Reckoning($costing, $setup, $log, [], []))->cameTo(),
            'beliefs' => (new Beliefs($costing->books($setup), $log, []))->all()];
    }

    /** @param  array<string, string>  $options */
    private static function working(Season $season, array $options): Working
    {
        $setup = self::setup($season, $options['setup'] ?? '');
        $costing = new SeasonCosting($season);
        $reckoning = new Reckoning($costing, $setup, new LogBook($season->log), [], []);
        try {
            return (new AllWorkings($costing->books($setup), $reckoning->cameTo(...)))
                ->explain($options['figure'] ?? '', $options['crop'] ?? null);
        } catch (NoSuchFigure $e) {
            throw InvalidSeason::because([], $e->getMessage(), 'Give one that the costing names, such as per_finished.');
        }
    }

    private static function setup(Season $season, string $id): Setup
    {
        return array_column($season->setups, null, 'id')[$id] ??
            throw InvalidSeason::because(
                ['setups'],
                "There is no set-up \"{$id}\".",
                'The file has: '.implode(', ', array_column($season->setups, 'id')).'.',
            );
    }

    private static function fitted(Season $season, Setup $setup): Season
    {
        return (new MadeToFit(new SeasonCosting($season), $setup))->season() ??
            throw InvalidSeason::because(
                ['setups'],
                'There is a set-up "'.MadeToFit::idOf($setup).'" already.',
                'Take it out, or give it another id.',
            );
    }

    /**
     * @param  resource  $err
     * @return ?\Closure(int, int): void only where a person looks on
     */
    private static function progress($err): ?\Closure
    {
        return ! stream_isatty($err)
            ? null
            : function (int $done, int $all) use ($err): void {
                fwrite($err, $all === 0 ? "\r{$done} choices weighed" : "\r{$done} of {$all} choices weighed");
            };
    }

    private static function json(mixed $answer): string
    {
        return json_encode(
            $answer,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
        );
    }

    private static function text(string $file): string
    {
        if ($file !== '-' && (! is_file($file) || ! is_readable($file))) {
            throw new InvalidSeason([
                new Fault(
                    '$',
                    is_dir($file) ? "\"{$file}\" is a directory." : "\"{$file}\" cannot be read.",
                    'Give the path of a season file.',
                ),
            ]);
        }
        $stream = fopen($file === '-' ? 'php://stdin' : $file, 'rb');
        $text = $stream === false ? '' : (string) stream_get_contents($stream, JsonText::MAX_BYTES + 1);
        $stream === false ?: fclose($stream);

        return $text;
    }
}

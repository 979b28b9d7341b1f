<?php

declare(strict_types=1);

namespace Tests\Answers;

use RuntimeException;

/** Every GET route of the API's description, so that a new one is in the book by itself. */
final readonly class Routes
{
    /** What is the same for all seasons, or tells all that is told of them once more: not asked of each. */
    private const OF_NO_SEASON = ['catalogue', 'cautions', 'exportAccount'];

    /** What optional and required questions are asked with; more than one is asked with each. */
    private const QUERY = [
        'seasons' => ['4'], 'price_rise' => ['0.03'], 'sheet' => ['a4_70x36'], 'trays' => [null], 'used' => ['2'], 'code' => [null],
        'find' => [null], 'ranked' => [null, '1'], 'cover' => ['0.5'], 'up' => [null, '2'],
    ];

    private function __construct(public string $name, public string $path, public string $type, private array $parameters)
    {
    }

    /** @return list<self> */
    public static function all(bool $alsoOfNoSeason): array
    {
        $description = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true, flags: JSON_THROW_ON_ERROR);
        $routes = [];
        foreach ($description['paths'] as $path => $verbs) {
            if (isset($verbs['get']) && ($alsoOfNoSeason || ! in_array($verbs['get']['operationId'], self::OF_NO_SEASON, true))) {
                $types = array_keys($verbs['get']['responses'][200]['content'] ?? ['text/calendar' => null]);
                $routes[] = new self($verbs['get']['operationId'], $path, $types[0], $verbs['get']['parameters'] ?? []);
            }
        }

        return $routes;
    }

    /**
     * @param  array<string, list<string>>  $values  of each parameter whose values depend on the story
     * @return array<string, string> path with question, by what is asked with
     */
    public function requests(array $values): array
    {
        $requests = ['' => [$this->path, []]];
        foreach ($this->parameters as $parameter) {
            $name = $parameter['name'];
            $choices = $values["{$this->name}.{$name}"] ?? $values[$name] ?? self::QUERY[$name]
                ?? throw new RuntimeException("Say in Routes::QUERY or in Teller what \"{$name}\" of {$this->path} is asked with.");
            $more = [];
            foreach ($requests as $asked => [$path, $query]) {
                foreach ($choices as $choice) {
                    $with = $choice === null || count($choices) === 1 && ! in_array($name, ['setup', 'on'], true) ? $asked : trim("{$asked} {$choice}");
                    $more[$with] = $parameter['in'] === 'path'
                        ? [str_replace("{{$name}}", (string) $choice, $path), $query]
                        : [$path, $choice === null ? $query : [...$query, $name => $choice]];
                }
            }
            $requests = $more;
        }

        return array_map(fn (array $one): string => $one[0].($one[1] === [] ? '' : '?'.http_build_query($one[1])), $requests);
    }
}

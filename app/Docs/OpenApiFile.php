<?php

declare(strict_types=1);

namespace App\Docs;

use JollyPenny\Core\Deciding\Choosing\Difference;
use JollyPenny\Core\Deciding\GoingOut\GoingOut;
use JollyPenny\Core\Plan\Ledger\Ledger;
use JollyPenny\Core\Plan\Potting\Potting;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Showing\Bench\Bench;
use OpenApi\Attributes as OA;
use OpenApi\Generator;

/**
 * The description of the API (OpenAPI 3.1): paths from the controllers' attributes, shapes from the types they
 * say, the core's value objects and the season file's schema. `bin/docs` writes it; a test says when it is stale.
 */
#[OA\OpenApi(openapi: '3.1.0')]
#[
    OA\Info(
        version: '1',
        title: 'Jolly Penny',
        description: 'Seasons, what they cost, and why. Session cookies; changing requests carry the X-XSRF-TOKEN header. Errors are problem details (RFC 9457).',
    ),
]
final class OpenApiFile
{
    private const FILE = __DIR__.'/../../docs/openapi.json';

    private const ROOMS = __DIR__.'/..';

    public static function kept(): string
    {
        return (string) file_get_contents(self::FILE);
    }

    public static function text(): string
    {
        $api = (new Generator())->setVersion('3.1.0')->generate([...glob(self::ROOMS.'/*/*Controller.php') ?: [], __FILE__], validate: false);
        /** @var array<string, mixed> $document */
        $document = json_decode((string) $api?->toJson(), true, 64, JSON_THROW_ON_ERROR);
        $document['components'] = ['schemas' => self::schemas(), 'responses' => self::responses()];

        return json_encode($document, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n";
    }

    /** @return array<string, mixed> */
    private static function schemas(): array
    {
        $season = json_decode(SeasonSchema::text(), true, 64, JSON_THROW_ON_ERROR);
        unset($season['$schema'], $season['$id'], $season['$defs']);
        $shapes = new Shapes();
        // What is sent of an entry need not have every key.
        $shapes->schemas = ['Season' => self::everyKey($season), 'LogEntry' => $season['properties']['log']['items'] ?? []];
        foreach (glob(self::ROOMS.'/*/*.php') ?: [] as $file) {
            $class = 'App'.strtr(substr($file, strlen(self::ROOMS), -4), '/', '\\');
            class_exists($class) && $shapes->said($class);
        }
        // Answers that are a value object of the core and nothing beside.
        array_map($shapes->forClass(...), [Bench::class, Difference::class, GoingOut::class, Ledger::class, Potting::class]);

        return $shapes->schemas;
    }

    /** @return array<string, mixed> */
    private static function responses(): array
    {
        $problem = fn (string $words): array => [
            'description' => $words,
            'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
        ];

        return [
            'NotFound' => $problem('There is no such thing in your garden'),
            'Faults' => $problem('Values that cannot be used, each with what to do'),
            'Conflict' => $problem('Changed elsewhere meanwhile: both values, to choose from'),
            'TooMany' => $problem('Too many tries'),
        ];
    }

    /**
     * The API writes every key of a season, defaults too (save "meta", and how much is sown as sites or as seeds).
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function everyKey(array $schema): array
    {
        foreach ($schema as $key => $value) {
            if (is_array($value)) {
                $schema[$key] = isset($value['$ref']) ? ['type' => 'object'] : self::everyKey($value);
            }
        }
        if (is_array($schema['properties'] ?? null) && array_is_list((array) ($schema['required'] ?? []))) {
            $schema['required'] = array_values(array_diff(array_keys($schema['properties']), ['meta', 'sites', 'seeds']));
        }

        return $schema;
    }
}

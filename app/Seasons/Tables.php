<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Parts;
use JollyPenny\Core\Season\File\SchemaCheck;
use stdClass;

/**
 * The season's tables, read off the season file's own schema: a key is a column, a nested object's keys are columns
 * with its name in front, a list is a table of its own.
 */
final class Tables
{
    /** Models by the path of their list; lists in an order in which each names only rows of those before it. */
    private const MODELS = [
        'places' => Parts\Place::class, 'supplies' => Parts\Supply::class, 'mixes' => Parts\Mix::class,
        'mixes.parts' => Parts\MixPart::class, 'mixes.additives' => Parts\MixAdditive::class,
        'containers' => Parts\Container::class, 'trayware' => Parts\Trayware::class, 'lights' => Parts\Light::class,
        'mats' => Parts\Mat::class, 'appliances' => Parts\Appliance::class, 'gear' => Parts\Gear::class,
        'species' => Parts\Species::class, 'species.germination' => Parts\GerminationRow::class,
        'seed_lots' => Parts\SeedLot::class, 'methods' => Parts\Method::class, 'methods.needs' => Parts\MethodNeed::class,
        'methods.extras' => Parts\MethodExtra::class, 'methods.stages' => Parts\Stage::class,
        'methods.stages.trayware' => Parts\StageTrayware::class, 'nursery' => Parts\Offer::class,
        'crops' => Parts\Crop::class, 'crops.nursery' => Parts\CropOffer::class, 'setups' => Parts\Setup::class,
        'setups.overrides' => Parts\SetupOverride::class, 'setups.lights' => Parts\SetupLight::class,
        'setups.mats' => Parts\SetupMat::class, 'setups.appliances' => Parts\SetupAppliance::class,
        'setups.gear' => Parts\SetupGear::class, 'electricity.windows' => Parts\TariffWindow::class,
    ];

    private const PARENTS = ['mixes' => 'mix', 'species' => 'of_species', 'methods' => 'method', 'crops' => 'crop', 'setups' => 'setup'];

    private static ?self $only = null;

    /** @var list<Column> of the season itself */
    public readonly array $columns;

    /** @var list<string> */
    public readonly array $nullable;

    /** @var array<string, Table> the lists, in the order in which they can be filled */
    public readonly array $lists;

    private function __construct()
    {
        /** @var stdClass $schema */
        $schema = json_decode(SchemaCheck::schema(), false, 64, JSON_THROW_ON_ERROR);
        /** @var array<string, stdClass> $properties */
        $properties = get_object_vars($schema->properties);
        unset($properties['format'], $properties['version']);
        $top = array_filter($properties, fn (stdClass $node): bool => ($node->type ?? null) !== 'array');
        [$this->columns, , $this->nullable] = $this->columnsOf($top, '', 'seasons');
        $lists = [];
        foreach (array_keys(self::MODELS) as $path) {
            if (isset($properties[$path])) {
                $lists[$path] = $this->table($path, $properties[$path], []);
            }
        }
        $windows = $schema->properties->electricity->properties->windows;
        $lists['electricity.windows'] = $this->table('electricity.windows', $windows, []);
        $this->lists = $lists;
    }

    public static function get(): self
    {
        return self::$only ??= new self;
    }

    /** @param  list<string>  $parents */
    private function table(string $path, stdClass $node, array $parents): Table
    {
        $model = self::MODELS[$path];
        if ($node->type === 'object') {
            return new Table($model, Table::MAP, parents: $parents);
        }
        if ($node->items->type === 'string') {
            return new Table($model, Table::IDS, parents: $parents);
        }
        /** @var array<string, stdClass> $properties */
        $properties = get_object_vars($node->items->properties);
        [$columns, $lists, $nullable] = $this->columnsOf($properties, '', $path);
        $children = [];
        $below = isset($properties['id']) ? [self::PARENTS[$path] ?? 'of'] : [...$parents, 'stage'];
        foreach ($lists as $key => $list) {
            $children[$key] = $this->table("{$path}.{$key}", $list, $below);
        }

        return new Table($model, Table::ROWS, $columns, $children, $parents, $nullable, isset($properties['id']));
    }

    /**
     * @param  array<string, stdClass>  $properties
     * @param  list<string>  $above
     * @return array{list<Column>, array<string, stdClass>, list<string>} columns, lists, nested objects that may be null
     */
    private function columnsOf(array $properties, string $prefix, string $path, array $above = []): array
    {
        $columns = $lists = $nullable = [];
        foreach ($properties as $key => $node) {
            $types = (array) ($node->type ?? []);
            if ($key === 'meta') {
                $columns[] = new Column('meta', ['meta'], 'json', null);
            } elseif ($key === 'overrides' || (in_array('array', $types, true) && $key !== 'temp_c')) {
                $lists[$key] = $node;
            } elseif (in_array('object', $types, true)) {
                /** @var array<string, stdClass> $nested */
                $nested = get_object_vars($node->properties);
                [$inner, , $deeper] = $this->columnsOf($nested, "{$prefix}{$key}_", $path, [...$above, $key]);
                $columns = [...$columns, ...$inner];
                $nullable = [...$nullable, ...$deeper, ...(in_array('null', $types, true) ? [implode('.', [...$above, $key])] : [])];
            } else {
                $columns[] = new Column($key === 'id' ? 'key' : $prefix.$key, [...$above, $key], $this->kind($key, $path, $types), $node->default ?? null);
            }
        }

        return [$columns, $lists, $nullable];
    }

    /** @param  array<array-key, mixed>  $types */
    private function kind(string $key, string $path, array $types): string
    {
        return match (true) {
            in_array('array', $types, true) => 'json',
            $key === 'days' && $path === 'methods.stages', in_array('integer', $types, true) => 'int',
            in_array('number', $types, true) => 'float',
            in_array('boolean', $types, true) => 'bool',
            default => 'text',
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Docs;

use BackedEnum;
use ReflectionClass;
use ReflectionEnum;
use ReflectionNamedType;
use RuntimeException;

/** JSON Schemas of the core's value objects, read off their constructors and the types in their docblocks. */
final class Shapes
{
    /** @var array<string, array<string, mixed>> by short class name */
    public array $schemas = [];

    /**
     * @param  class-string  $class
     * @return array<string, mixed> a reference to the class's schema
     */
    public function of(string $class): array
    {
        $reflection = new ReflectionClass($class);
        $name = $reflection->getShortName();
        if (isset($this->schemas[$name])) {
            return ['$ref' => "#/components/schemas/{$name}"];
        }
        if (is_subclass_of($class, BackedEnum::class)) {
            $this->schemas[$name] = ['type' => 'string', 'enum' => array_map(fn ($case): string|int => $case->getBackingValue(), (new ReflectionEnum($class))->getCases())];

            return ['$ref' => "#/components/schemas/{$name}"];
        }
        $this->schemas[$name] = [];
        $docs = (string) $reflection->getConstructor()?->getDocComment();
        $properties = [];
        foreach ($reflection->getConstructor()?->getParameters() ?? [] as $parameter) {
            $type = $parameter->getType();
            $written = preg_match('/@param\s+(.+?)\s+\$'.$parameter->getName().'\b[ \t]*(.*)/', $docs, $match) === 1 ? $match[1] : null;
            $named = $type instanceof ReflectionNamedType ? ($type->allowsNull() && $type->getName() !== 'mixed' ? '?' : '').$type->getName() : (string) $type;
            $schema = $this->type($written ?? $named, $reflection);
            $words = trim($match[2] ?? '', " */\t");
            $properties[$parameter->getName()] = $written !== null && $words !== '' && ! isset($schema['$ref']) ? [...$schema, 'description' => $words] : $schema;
            unset($match);
        }
        $this->schemas[$name] = array_filter(['type' => 'object', 'description' => self::summary($reflection), 'properties' => $properties, 'required' => array_keys($properties)]);

        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /**
     * @param  ReflectionClass<object>  $home
     * @return array<string, mixed>
     */
    private function type(string $type, ReflectionClass $home): array
    {
        if (str_starts_with($type, '?')) {
            return $this->nullable($this->type(substr($type, 1), $home));
        }
        if (str_contains($type, '|') && preg_match('/[<{]/', $type) !== 1) {
            $parts = array_map(fn (string $part): array => $this->type($part, $home), explode('|', $type));

            return ['type' => array_values(array_unique(array_merge(...array_map(fn (array $part): array => (array) ($part['type'] ?? 'object'), $parts))))];
        }
        if (preg_match('/^list<(.+)>$/', $type, $match) === 1) {
            return ['type' => 'array', 'items' => $this->type($match[1], $home)];
        }
        if (preg_match('/^array<[^,]+, (.+)>$/', $type, $match) === 1) {
            return ['type' => 'object', 'additionalProperties' => $this->type($match[1], $home)];
        }
        if (preg_match('/^array\{(.+)\}$/', $type, $match) === 1) {
            $properties = [];
            foreach (self::split($match[1]) as $pair) {
                [$key, $value] = explode(': ', $pair, 2);
                $properties[$key] = $this->type($value, $home);
            }

            return ['type' => 'object', 'properties' => $properties, 'required' => array_keys($properties)];
        }

        return match ($type) {
            'float' => ['type' => 'number'], 'int' => ['type' => 'integer'], 'bool' => ['type' => 'boolean'], 'string' => ['type' => 'string'], 'null' => ['type' => 'null'],
            'mixed' => (array) [], 'stdClass', 'array' => ['type' => 'object'],
            default => $this->of(self::classNamed($type, $home)),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function nullable(array $schema): array
    {
        return isset($schema['type']) ? ['type' => [...(array) $schema['type'], 'null']] + $schema : ['oneOf' => [$schema, ['type' => 'null']]];
    }

    /** @return list<string> at the commas that stand in no bracket */
    private static function split(string $text): array
    {
        $parts = [''];
        $depth = 0;
        foreach (str_split($text) as $letter) {
            $depth += match ($letter) {
                '{', '<' => 1, '}', '>' => -1, default => 0
            };
            if ($letter === ',' && $depth === 0) {
                $parts[] = '';
            } else {
                $parts[count($parts) - 1] .= $letter;
            }
        }

        return array_map(trim(...), $parts);
    }

    /**
     * @param  ReflectionClass<object>  $home
     * @return class-string
     */
    private static function classNamed(string $type, ReflectionClass $home): string
    {
        foreach ([$type, $home->getNamespaceName().'\\'.$type] as $class) {
            if (class_exists($class) || enum_exists($class)) {
                return $class;
            }
        }
        throw new RuntimeException("{$home->getName()} speaks of \"{$type}\", which is no type the API can describe.");
    }

    /** @param  ReflectionClass<object>  $class */
    private static function summary(ReflectionClass $class): string
    {
        return trim((string) preg_replace('/^\s*\/?\*+\/?[ \t]?/m', '', (string) $class->getDocComment()));
    }
}

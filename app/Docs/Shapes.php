<?php

declare(strict_types=1);

namespace App\Docs;

use BackedEnum;
use PHPStan\PhpDocParser\Ast\Attribute;
use PHPStan\PhpDocParser\Ast\Comment;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IntersectionTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use ReflectionEnum;
use RuntimeException;

/**
 * JSON Schemas of value objects, read off their constructors and the types in their docblocks; and of what is sent beside these, which
 * a controller says as a type of its own (phpstan-type), called after the schema with "Shape" behind.
 */
final class Shapes
{
    private const SHAPE = 'Shape';

    private const SCALARS = ['float' => 'number', 'int' => 'integer', 'bool' => 'boolean', 'string' => 'string', 'null' => 'null'];

    /** @var array<string, array<string, mixed>> by short class name */
    public array $schemas = [];

    private readonly Lexer $lexer;

    private readonly TypeParser $types;

    private readonly PhpDocParser $docs;

    public function __construct()
    {
        $config = new ParserConfig(['comments' => true]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->types = new TypeParser($config, $constants);
        $this->docs = new PhpDocParser($config, $this->types, $constants);
    }

    /**
     * Takes in the types that a class says of its own.
     *
     * @param  class-string  $class
     */
    public function said(string $class): void
    {
        $home = new ReflectionClass($class);
        $docs = (string) $home->getDocComment();
        foreach ($docs === '' ? [] : $this->docs->parse(new TokenIterator($this->lexer->tokenize($docs)))->getTypeAliasTagValues() as $tag) {
            $this->schemas[substr($tag->alias, 0, -strlen(self::SHAPE))] = $this->type($tag->type, $home);
        }
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed> a reference to the class's schema
     */
    public function forClass(string $class): array
    {
        $reflection = new ReflectionClass($class);
        $name = $reflection->getShortName();
        if (! isset($this->schemas[$name])) {
            $this->schemas[$name] = [];
            $this->schemas[$name] = is_subclass_of($class, BackedEnum::class)
                ? [
                    'type' => 'string',
                    'enum' => array_map(fn ($case): string|int => $case->getBackingValue(), (new ReflectionEnum($class))->getCases()),
                ]
                : $this->object($reflection);
        }

        return self::reference($name);
    }

    /** @return array<string, mixed> */
    private static function reference(string $name): array
    {
        return ['$ref' => "#/components/schemas/{$name}"];
    }

    /**
     * @param  ReflectionClass<object>  $class
     * @return array<string, mixed>
     */
    private function object(ReflectionClass $class): array
    {
        $written = [];
        $docs = (string) $class->getConstructor()?->getDocComment();
        foreach ($docs === '' ? [] : $this->docs->parse(new TokenIterator($this->lexer->tokenize($docs)))->getParamTagValues() as $tag) {
            $written[ltrim($tag->parameterName, '$')] = $tag;
        }
        $properties = [];
        foreach ($class->getConstructor()?->getParameters() ?? [] as $parameter) {
            $name = $parameter->getName();
            if (! $class->hasProperty($name) || ! $class->getProperty($name)->isPublic()) {
                continue;
            }
            $type = $written[$name]->type ?? $this->types->parse(new TokenIterator($this->lexer->tokenize((string) $parameter->getType())));
            $schema = $this->type($type, $class);
            $words = $written[$name]->description ?? '';
            $properties[$name] = $words !== '' && ! isset($schema['$ref']) ? [...$schema, 'description' => $words] : $schema;
        }

        return array_filter([
            'type' => 'object',
            'description' => self::summary($class),
            'properties' => $properties,
            'required' => array_keys($properties),
        ]);
    }

    /**
     * @param  ReflectionClass<object>  $home
     * @return array<string, mixed>
     */
    private function type(TypeNode $type, ReflectionClass $home): array
    {
        return match (true) {
            $type instanceof NullableTypeNode => self::either([$this->type($type->type, $home), ['type' => 'null']]),
            $type instanceof IntersectionTypeNode => ['allOf' => array_map(fn (TypeNode $one): array => $this->type($one, $home), array_values($type->types))],
            $type instanceof UnionTypeNode && $type->types[0] instanceof ConstTypeNode => ['enum' => array_map(self::word(...), array_values($type->types))],
            $type instanceof UnionTypeNode => self::either(
                array_map(fn (TypeNode $one): array => $this->type($one, $home), array_values($type->types)),
            ),
            $type instanceof GenericTypeNode => match ((string) $type->type) {
                'list', 'non-empty-list' => ['type' => 'array', 'items' => $this->type($type->genericTypes[0], $home)],
                default => ['type' => 'object', 'additionalProperties' => $this->type($type->genericTypes[1], $home)],
            },
            $type instanceof ArrayShapeNode => $this->shape($type, $home),
            $type instanceof IdentifierTypeNode => match (true) {
                isset(self::SCALARS[$type->name]) => ['type' => self::SCALARS[$type->name]],
                $type->name === 'mixed' => ['description' => 'any value'],
                str_ends_with($type->name, self::SHAPE) => self::reference(substr($type->name, 0, -strlen(self::SHAPE))),
                in_array($type->name, ['stdClass', 'array'], true) => ['type' => 'object'],
                default => $this->forClass(self::classNamed($type->name, $home)),
            },
            default => throw new RuntimeException("{$home->getName()} speaks of \"{$type}\", which is no type the API can describe."),
        };
    }

    /**
     * @param  ReflectionClass<object>  $home
     * @return array<string, mixed>
     */
    private function shape(ArrayShapeNode $type, ReflectionClass $home): array
    {
        $properties = $required = [];
        foreach ($type->items as $item) {
            $name = (string) $item->keyName;
            /** @var list<Comment> $comments */
            $comments = $item->getAttribute(Attribute::COMMENTS) ?? [];
            $words = implode(' ', array_map(fn (Comment $one): string => ltrim($one->text, '/ '), $comments));
            $properties[$name] = $this->type($item->valueType, $home) + ($words === '' ? [] : ['description' => $words]);
            $item->optional || $required[] = $name;
        }

        return ['type' => 'object', 'properties' => $properties, 'required' => $required];
    }

    private static function word(TypeNode $one): string
    {
        return trim((string) $one, '\'"');
    }

    /**
     * @param  list<array<string, mixed>>  $schemas
     * @return array<string, mixed>
     */
    private static function either(array $schemas): array
    {
        foreach ($schemas as $schema) {
            if (! isset($schema['type'])) {
                return ['oneOf' => $schemas];
            }
        }
        $types = array_merge(...array_map(fn (array $schema): array => (array) $schema['type'], $schemas));

        return ['type' => array_values(array_unique($types))] + array_merge(...$schemas);
    }

    /**
     * @param  ReflectionClass<object>  $home
     * @return class-string
     */
    private static function classNamed(string $type, ReflectionClass $home): string
    {
        $code = (string) file_get_contents((string) $home->getFileName());
        $name = preg_quote($type, '/');
        $imported = preg_match("/^use ([\\w\\\\]+\\\\{$name}(?=;)|[\\w\\\\]+(?= as {$name};))/m", $code, $use) === 1 ? $use[1] : $type;
        foreach ([$imported, $home->getNamespaceName().'\\'.$type] as $class) {
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

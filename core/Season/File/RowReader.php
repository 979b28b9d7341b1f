<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use BackedEnum;
use Closure;
use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\ListOf;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;
use stdClass;

/**
 * Fills value objects from the rows of a season file. Each constructor is the definition: its parameter names in
 * snake_case are the keys, its defaults the file's defaults. Expects a document that has passed the checks.
 */
final class RowReader
{
    /** @var array<class-string, list<array{name: string, key: string, class: ?class-string, list: bool, float: bool, default: mixed}>> */
    private array $plans = [];

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T
     */
    public function read(string $class, stdClass $row): object
    {
        $values = [];
        foreach ($this->plans[$class] ??= $this->plan($class) as $parameter) {
            $values[] = property_exists($row, $parameter['key'])
                ? $this->value($row->{$parameter['key']}, $parameter)
                : $parameter['default'];
        }

        return new $class(...$values);
    }

    /**
     * What some keys of a row come to, by the constructor's names.
     *
     * @param  class-string  $class
     * @param  Closure(string, stdClass): ?object  $known  the object of a list's row that is known already
     * @return array<string, mixed>
     */
    public function values(string $class, stdClass $part, Closure $known): array
    {
        $values = [];
        foreach ($this->plans[$class] ??= $this->plan($class) as $parameter) {
            $key = $parameter['key'];
            if (! property_exists($part, $key)) {
                continue;
            }
            [$value, $row] = [$part->{$key}, $parameter['class']];
            $values[$parameter['name']] = $parameter['list'] && $row !== null && is_array($value)
                ? array_map(fn (mixed $one): mixed => $one instanceof stdClass ? $known($key, $one) ?? $this->read($row, $one) : $one, $value)
                : $this->value($value, $parameter);
        }

        return $values;
    }

    /** @param  array{name: string, key: string, class: ?class-string, list: bool, float: bool, default: mixed}  $parameter */
    private function value(mixed $value, array $parameter): mixed
    {
        $class = $parameter['class'];

        return match (true) {
            $value === null => null,
            $class === stdClass::class => $value,
            $parameter['list'] && $class !== null && is_array($value) => array_map(
                fn (mixed $row): mixed => $row instanceof stdClass ? $this->read($class, $row) : $row, $value),
            $class !== null && is_subclass_of($class, BackedEnum::class) && is_string($value) => $class::from($value),
            $class === Day::class && is_string($value) => Day::parse($value),
            $class === ClockTime::class && is_string($value) => ClockTime::parse($value),
            $class !== null && $value instanceof stdClass => $this->read($class, $value),
            $value instanceof stdClass => get_object_vars($value),
            is_int($value) && $parameter['float'] => (float) $value,
            is_float($value) && ! $parameter['float'] && $value === floor($value) => (int) $value,
            is_array($value) && $parameter['float'] => array_map(fn (mixed $one): float => is_numeric($one) ? (float) $one : 0.0, $value),
            default => $value,
        };
    }

    /**
     * @param  class-string  $class
     * @return list<array{name: string, key: string, class: ?class-string, list: bool, float: bool, default: mixed}>
     */
    private function plan(string $class): array
    {
        return array_map(function (ReflectionParameter $parameter): array {
            $type = $parameter->getType();
            $listOf = $parameter->getAttributes(ListOf::class)[0] ?? null;
            /** @var class-string|null $name */
            $name = match (true) {
                $listOf !== null => $listOf->newInstance()->class,
                $type instanceof ReflectionNamedType && ! $type->isBuiltin() => $type->getName(),
                default => null,
            };

            return [
                'name' => $parameter->getName(),
                'key' => self::keyOf($parameter->getName()),
                'class' => $name,
                'list' => $listOf !== null,
                'float' => str_contains((string) $type, 'float'),
                'default' => $parameter->isDefaultValueAvailable() ? $parameter->getDefaultValue() : null,
            ];
        }, (new ReflectionClass($class))->getConstructor()?->getParameters() ?? []);
    }

    /** The file's key for a property: packPrice is pack_price. */
    public static function keyOf(string $property): string
    {
        return strtolower((string) preg_replace('/[A-Z]/', '_$0', $property));
    }
}

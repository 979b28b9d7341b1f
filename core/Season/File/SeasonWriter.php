<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use BackedEnum;
use JollyPenny\Core\Season\ClockTime;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use ReflectionClass;
use stdClass;

/** Writes a season back as its file: every key that differs from its default, in the order of the format. */
final class SeasonWriter
{
    public function toJson(Season $season): string
    {
        return json_encode($this->document($season), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
            | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR)."\n";
    }

    public function document(Season $season): stdClass
    {
        return $this->row($season);
    }

    /** Any of a season's rows as the file writes it. */
    public function row(object $object): stdClass
    {
        $row = new stdClass;
        foreach ((new ReflectionClass($object))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $name = $parameter->getName();
            $value = $object->{$name};
            if ($parameter->isDefaultValueAvailable() && $this->same($value, $parameter->getDefaultValue())) {
                continue;
            }
            $row->{RowReader::keyOf($name)} = $this->value($value, $object, $name);
        }

        return $row;
    }

    private function same(mixed $value, mixed $default): bool
    {
        return $value instanceof ClockTime ? $value == $default : $value === $default;
    }

    private function value(mixed $value, object $owner, string $name): mixed
    {
        return match (true) {
            $value instanceof BackedEnum => $value->value,
            $value instanceof Day, $value instanceof ClockTime => $value->format(),
            $value instanceof stdClass => $value,
            is_object($value) => $this->row($value),
            $owner instanceof Setup && $name === 'overrides' => (object) $value,
            is_array($value) => array_map(fn (mixed $item): mixed => is_object($item) ? $this->row($item) : $item, $value),
            default => $value,
        };
    }
}

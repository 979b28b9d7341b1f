<?php

declare(strict_types=1);

namespace App\Docs;

use JollyPenny\Core\Season\File\SeasonSchema;
use stdClass;

/** The season file's format in words (docs/season-format.md), read off its JSON Schema so that the two cannot part. */
final readonly class FormatPage
{
    public static function text(): string
    {
        $page = (string) file_get_contents(__DIR__.'/season-format.md');

        return $page."\n".self::table('The season', SeasonSchema::get()->root, []);
    }

    /** @param  list<string>  $above */
    private static function table(string $title, stdClass $node, array $above): string
    {
        $required = (array) ($node->required ?? []);
        $level = str_repeat('#', min(4, 2 + count($above)));
        $text = "{$level} {$title}\n\n| key | what | values | default |\n|---|---|---|---|\n";
        $below = '';
        foreach (get_object_vars($node->properties) as $key => $child) {
            if ($key === 'meta') {
                continue;
            }
            $inner = $child->properties ?? null ? $child : ($child->items->properties ?? null ? $child->items : null);
            $text .=
                '| `'.
                $key.
                '` | '.
                ($child->description ?? '').
                ' | '.
                self::values($child).
                ' | '.
                (in_array($key, $required, true)
                    ? 'required'
                    : (property_exists($child, 'default')
                        ? '`'.self::json($child->default).'`'
                        : '')).
                ' |'.
                "\n";
            if ($inner instanceof stdClass) {
                $below .= "\n".self::table('`'.implode('.', [...$above, $key]).'`', $inner, [...$above, $key]);
            }
        }

        return $text.$below;
    }

    private static function values(stdClass $node): string
    {
        if (property_exists($node, 'const')) {
            return '`'.self::json($node->const).'`';
        }
        if (isset($node->enum)) {
            return implode(' or ', array_map(fn (mixed $value): string => '`'.self::json($value).'`', (array) $node->enum));
        }
        $types = [];
        foreach (is_array($node->type ?? null) ? $node->type : [$node->type ?? ''] as $type) {
            $types[] = match ($type) {
                'integer' => 'whole number',
                'string' => match (true) {
                    ($node->format ?? '') === 'date' => 'date',
                    ($node->format ?? '') === 'date-time' => 'moment',
                    str_contains($node->pattern ?? '', ':') => 'time `hh:mm`',
                    default => 'text',
                },
                'boolean' => 'true or false',
                'array' => isset($node->items->type) && $node->items->type !== 'object' ? "list of {$node->items->type}s" : 'list',
                default => $type,
            };
        }

        return implode(' or ', array_map(strval(...), $types)).self::range($node);
    }

    private static function range(stdClass $node): string
    {
        $range = array_filter([
            property_exists($node, 'minimum')
                ? "from {$node->minimum}"
                : (property_exists($node, 'exclusiveMinimum')
                    ? "above {$node->exclusiveMinimum}"
                    : ''),
            property_exists($node, 'maximum')
                ? "to {$node->maximum}"
                : (property_exists($node, 'exclusiveMaximum')
                    ? "below {$node->exclusiveMaximum}"
                    : ''),
        ]);

        return $range === [] ? '' : ', '.implode(' ', $range);
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}

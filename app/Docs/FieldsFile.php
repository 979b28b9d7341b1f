<?php

declare(strict_types=1);

namespace App\Docs;

use JollyPenny\Core\Season\File\SeasonSchema;
use stdClass;

/** The bounds and words of the season file's numbers for the front end's fields, read off its schema. `bin/docs` writes it. */
final readonly class FieldsFile
{
    public static function text(): string
    {
        $lines = '';
        foreach (SeasonSchema::get()->values() as $path => $node) {
            $field = self::field($node);
            if ($field !== null) {
                $lines .=
                    "  '{$path}': ".json_encode($field, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR).",\n";
            }
        }

        return "// Made by bin/docs from the season file's schema.\nexport interface Field { kind: string; least: number; most: number; whole?: true; above?: true; below?: true; words: string }\n\n".
            "const fields = {\n{$lines}} as const satisfies Record<string, Field>;\n\nexport type FieldName = keyof typeof fields;\nexport const FIELDS: Record<FieldName, Field> = fields;\n";
    }

    /** @return ?array<string, mixed> null for what is no number */
    private static function field(stdClass $node): ?array
    {
        $types = (array) ($node->type ?? []);
        if (array_intersect($types, ['number', 'integer']) === []) {
            return null;
        }

        return array_filter(
            [
                'kind' => $node->{'x-kind'},
                'least' => $node->minimum ?? ($node->exclusiveMinimum ?? 0),
                'most' => $node->maximum ?? $node->exclusiveMaximum,
                'whole' => in_array('integer', $types, true),
                'above' => isset($node->exclusiveMinimum),
                'below' => isset($node->exclusiveMaximum),
                'words' => $node->description ?? '',
            ],
            fn (mixed $value): bool => $value !== false,
        );
    }
}

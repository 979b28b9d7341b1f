<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\File;

use Nette\Utils\Helpers;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use stdClass;

/** What the JSON Schema says of a document, in words. */
final readonly class SchemaCheck
{
    /** More faults than these help nobody. */
    public const MOST = 200;

    private const NO_MOMENT = ['This is not a moment that exists.', 'Write it in UTC, 2027-05-28T09:30:00Z.'];

    /** @return list<Fault> */
    public function faults(stdClass $document): array
    {
        $validator = new Validator(null, self::MOST, false);
        $error = $validator->validate($document, SeasonSchema::get()->root)->error();

        return $error === null ? [] : $this->leaves($error);
    }

    /**
     * Whether some keys of a document hold what they may; all else of it is taken as it is. Much quicker than the whole.
     *
     * @param  list<string>  $keys  of the document's top
     */
    public function passes(stdClass $part, array $keys): bool
    {
        $root = SeasonSchema::get()->root;
        $some = (object) ['type' => 'object', 'properties' => new stdClass(), '$defs' => $root->{'$defs'} ?? new stdClass()];
        foreach ($keys as $key) {
            if (! isset($root->properties->{$key}) || ! property_exists($part, $key)) {
                return false;
            }
            $some->properties->{$key} = $root->properties->{$key};
        }

        return (new Validator(null, 1, true))->validate($part, $some)->isValid();
    }

    /** @return list<Fault> */
    private function leaves(ValidationError $error): array
    {
        if ($error->subErrors() !== []) {
            $faults = [];
            foreach ($error->subErrors() as $sub) {
                $faults = [...$faults, ...($sub instanceof ValidationError ? $this->leaves($sub) : [])];
            }

            return $faults;
        }
        /** @var list<string|int> $keys */
        $keys = array_values($error->data()->fullPath());

        return match ($error->keyword()) {
            'additionalProperties' => $this->unknownKeys($error, $keys),
            'required' => $this->missingKeys($error, $keys),
            default => [Fault::at($keys, ...$this->words($error))],
        };
    }

    /**
     * @param  list<string|int>  $keys
     * @return list<Fault>
     */
    private function unknownKeys(ValidationError $error, array $keys): array
    {
        $schema = $error->schema()->info()->data();
        $known = $schema instanceof stdClass && ($schema->properties ?? null) instanceof stdClass
            ? array_map(strval(...), array_keys(get_object_vars($schema->properties))) : [];
        $faults = [];
        foreach ($this->names($error->args()['properties'] ?? null) as $key) {
            if (! in_array($key, $known, true)) {
                if (count($faults) === self::MOST) {
                    break;
                }
                $near = Helpers::getSuggestion($known, $key);
                $faults[] = Fault::at([...$keys, $key], "\"{$key}\" is not a key of the season file.",
                    $near === null ? 'Take it out, or keep it under "meta".' : "Did you mean \"{$near}\"?");
            }
        }

        return $faults;
    }

    /**
     * @param  list<string|int>  $keys
     * @return list<Fault>
     */
    private function missingKeys(ValidationError $error, array $keys): array
    {
        return array_map(fn (string $key): Fault => Fault::at([...$keys, $key], "\"{$key}\" is missing.", 'Give it a value.'),
            $this->names($error->args()['missing'] ?? null));
    }

    /** @return array{string, string} */
    private function words(ValidationError $error): array
    {
        $args = $error->args();
        $text = fn (string $key): string => is_scalar($args[$key] ?? null) ? (string) json_encode($args[$key]) : '';

        return match ($error->keyword()) {
            'type' => ['This is '.$this->kinds($args['type'] ?? '').'.', 'Give '.$this->kinds($args['expected'] ?? '').'.'],
            'minimum' => ['The number is too small.', "Give {$text('min')} or more."],
            'maximum' => ['The number is too large.', "Give {$text('max')} or less."],
            'exclusiveMinimum' => ['The number is too small.', "Give more than {$text('min')}."],
            'exclusiveMaximum' => ['The number is too large.', "Give less than {$text('max')}."],
            'minItems' => ["The list has {$text('count')} entries.", "Give {$text('min')} or more."],
            'maxItems' => ["The list has {$text('count')} entries.", "Give {$text('max')} or fewer."],
            'minLength' => $text('min') === '1' ? ['This is empty.', 'Give a text.']
                : ['This is too short.', "Give at least {$text('min')} characters."],
            'maxLength' => ['This is too long.', "Give at most {$text('max')} characters."],
            'enum', 'const' => ['This is not one of the values that may stand here.', 'Give '.$this->allowed($error).'.'],
            'format' => $text('format') === '"date-time"' ? self::NO_MOMENT
                : ['This is not a date that exists.', 'Write it as year-month-day, 2027-05-28.'],
            'pattern' => match ($text('pattern')) {
                '"^(emergence|rest)$"' => ['Only these words may stand here.', 'Give a number of days, "emergence" or "rest".'],
                '"^[A-Z]{3}$"' => ['This is not a currency code.', 'Give the three letters of ISO 4217, such as USD.'],
                '"^[A-Za-z0-9-]+$"' => ['This is no mark of an entry.', 'Give letters, digits and hyphens.'],
                '"^([01][0-9]|2[0-3]):[0-5][0-9]$"' => ['This is not a time of day.', 'Write it from 00:00 to 23:59.'],
                default => self::NO_MOMENT,
            },
            default => ["This breaks the rule \"{$error->keyword()}\".", 'See the season file format.'],
        };
    }

    private function allowed(ValidationError $error): string
    {
        $schema = $error->schema()->info()->data();
        $values = $schema instanceof stdClass ? (array) ($schema->enum ?? [$schema->const ?? null]) : [];

        return implode(' or ', array_map(fn (mixed $value): string => (string) json_encode($value, JSON_UNESCAPED_SLASHES), $values));
    }

    private function kinds(mixed $types): string
    {
        $words = ['integer' => 'a whole number', 'number' => 'a number', 'string' => 'a text', 'array' => 'a list',
            'object' => 'an object', 'boolean' => 'true or false', 'null' => 'null'];

        return implode(' or ', array_map(fn (string $type): string => $words[$type] ?? $type, $this->names($types)));
    }

    /** @return list<string> */
    private function names(mixed $value): array
    {
        return array_values(array_filter((array) $value, is_string(...)));
    }
}

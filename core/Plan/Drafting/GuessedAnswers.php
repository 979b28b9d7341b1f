<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SameValue;
use stdClass;

/**
 * Answers about the whole season that nobody has given: what stands there was put in to have a first answer. Kept under the season's
 * own `meta.guess`, each with its value, so that one typed over anywhere is no guess any more.
 */
final readonly class GuessedAnswers
{
    /** Where they stand in the season file. */
    public const PATHS = ['last_frost', 'electricity.rate'];

    /** @param  list<string>  $paths  of PATHS */
    public static function mark(stdClass $document, array $paths): void
    {
        $guessed = new stdClass;
        foreach ($paths as $path) {
            $guessed->{$path} = (new DocumentPath(explode('.', $path)))->get($document);
        }
        if ($paths !== []) {
            $document->meta = (object) [...get_object_vars(self::meta($document)), SeasonDraft::GUESS => $guessed];
        }
    }

    /** Whether what stands there is still what was put in. */
    public static function holds(stdClass $document, string $path): bool
    {
        $guessed = self::meta($document)->{SeasonDraft::GUESS} ?? null;

        return $guessed instanceof stdClass && isset($guessed->{$path})
            && SameValue::is($guessed->{$path}, (new DocumentPath(explode('.', $path)))->get($document));
    }

    private static function meta(stdClass $document): stdClass
    {
        return ($document->meta ?? null) instanceof stdClass ? $document->meta : new stdClass;
    }
}

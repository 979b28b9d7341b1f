<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use JollyPenny\Core\Plan\Drafting\GuessedAnswers;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use stdClass;

/**
 * Where each number of a working came from: the catalogue, as long as it is still the catalogue's; your own test; or you.
 */
final readonly class Origins
{
    public function __construct(private stdClass $document, private Catalogue $catalogue = new Catalogue())
    {
    }

    /** @return array{figure: string, title: string, value: ?float, unit: string, rule: string, formula: string, terms: list<array<string, mixed>>} */
    public function trace(Working $working): array
    {
        return [
            'figure' => $working->figure,
            'title' => $working->title,
            'value' => $working->value,
            'unit' => $working->unit->value,
            'rule' => $working->rule,
            'formula' => $working->formula,
            'terms' => array_map($this->term(...), $working->terms),
        ];
    }

    /** @return array<string, mixed> */
    private function term(Term $term): array
    {
        [$origin, $source] = $term->path === null ? ['computed', null] : $this->origin($term->path);

        return [
            'label' => $term->label,
            'value' => $term->value,
            'unit' => $term->unit->value,
            'path' => $term->path,
            'working' => $term->working,
            'origin' => $origin,
            'source' => $source,
        ];
    }

    /**
     * @param  list<string|int>  $path
     * @return array{string, ?string} you, test or catalogue, and the catalogue's source
     */
    public function origin(array $path): array
    {
        if (($path[2] ?? null) === 'test') {
            return ['test', null];
        }
        $list = (string) $path[0];
        $row = array_column(Cell::rows($this->document->{$list} ?? null), null, 'id')[$path[1] ?? ''] ?? null;
        $mark = $row instanceof stdClass ? SeasonDraft::markOf($row) : null;
        if ($row === null || $mark === null || count($path) !== 3) {
            return ['you', null];
        }
        try {
            $known = SeasonDraft::object((new SeasonDraft($this->document, $this->catalogue))->catalogueRow($list, $mark));
        } catch (NotInCatalogue) {
            return ['you', null];
        }
        $key = (string) $path[2];
        if (in_array($key, (array) (self::meta($row)->{SeasonDraft::KNOWN} ?? []), true)) {
            return ['you', null];
        }

        return property_exists($known, $key) && self::same($known->{$key}, $row->{$key} ?? null)
            ? ['catalogue', $this->catalogue->source($list, $mark)]
            : ['you', null];
    }

    /**
     * Whether nobody has looked at it yet: it is the catalogue's, of a place whose temperatures were guessed, or an answer nobody gave.
     *
     * @param  list<string|int>  $path
     */
    public function isGuess(array $path): bool
    {
        if (in_array(implode('.', $path), GuessedAnswers::PATHS, true)) {
            return GuessedAnswers::holds($this->document, implode('.', $path));
        }
        if ($path[0] !== 'places') {
            return $this->origin($path)[0] === 'catalogue';
        }
        $row = array_column(Cell::rows($this->document->places ?? null), null, 'id')[$path[1] ?? ''] ?? null;

        return $row instanceof stdClass && (self::meta($row)->{SeasonDraft::GUESS} ?? null) === ($path[2] ?? '');
    }

    private static function meta(stdClass $row): stdClass
    {
        return ($row->meta ?? null) instanceof stdClass ? $row->meta : new stdClass;
    }

    private static function same(mixed $a, mixed $b): bool
    {
        return is_numeric($a) && is_numeric($b) ? (float) $a === (float) $b : json_encode(self::plain($a)) === json_encode(self::plain($b));
    }

    /** Whole numbers and floats alike; marks left out. */
    private static function plain(mixed $value): mixed
    {
        if ($value instanceof stdClass) {
            $value = array_diff_key(get_object_vars($value), ['meta' => 1]);
            ksort($value);
        }

        return is_array($value) ? array_map(self::plain(...), $value) : (is_int($value) ? (float) $value : $value);
    }
}

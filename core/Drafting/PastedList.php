<?php

declare(strict_types=1);

namespace JollyPenny\Core\Drafting;

use JollyPenny\Core\Catalogue\SpeciesFacts;
use JollyPenny\Core\Catalogue\SpeciesNames;

/**
 * A grow list as people write it: "8 sweet pepper, 6 paste tomato, 24 lettuce", a line each, or cells of a spreadsheet.
 */
final readonly class PastedList
{
    public const MOST = 200;

    private const MOST_WANTED = 100_000;

    private const MOST_LETTERS = 200;

    /** Numbers in words, at the beginning or the end of an entry. */
    private const NUMBERS = ['/\bhalf a dozen\b/iu' => '6', '/\b(a|one) dozen\b/iu' => '12', '/^two\b/iu' => '2', '/^three\b/iu' => '3', '/^four\b/iu' => '4',
        '/^five\b/iu' => '5', '/^six\b/iu' => '6', '/^eight\b/iu' => '8', '/^ten\b/iu' => '10', '/^twelve\b/iu' => '12',
        '/^twenty\b/iu' => '20'];

    /** @var list<PastedLine> */
    public array $lines;

    /** @param  array<string, SpeciesFacts>  $species  by id */
    public function __construct(string $text, array $species)
    {
        $names = new SpeciesNames($species);
        $lines = [];
        foreach (self::entries($text) as $entry) {
            [$wanted, $words] = self::amount($entry);
            $found = $names->find($words);
            $variety = $found === null ? $words : $names->variety($words, $found);
            $lines[] = new PastedLine($entry, $wanted, $found?->id, mb_substr($variety, 0, self::MOST_LETTERS));
        }
        $this->lines = array_slice($lines, 0, self::MOST);
    }

    /** @return list<string> */
    private static function entries(string $text): array
    {
        $entries = [];
        foreach (preg_split('/[\r\n;]+/u', $text) ?: [] as $line) {
            // A tab separates the cells of one spreadsheet row; a comma separates crops, unless it stands in a number.
            $row = trim((string) preg_replace('/\t+/u', ' ', $line));
            foreach (preg_split('/,(?!\d{3}\b)/u', $row) ?: [] as $entry) {
                $entries[] = trim($entry, " \u{00a0}\"'.-*");
            }
        }

        return array_values(array_filter($entries, fn (string $entry): bool => preg_match('/\p{L}/u', $entry) === 1));
    }

    /** @return array{?int, string} how many, and the words without it */
    private static function amount(string $entry): array
    {
        $entry = (string) preg_replace(array_keys(self::NUMBERS), array_values(self::NUMBERS), $entry);
        if (preg_match('/(?<![\p{L}\d.])(\d{1,3}(?:,\d{3})+|\d+)\s*(?:x|×|\*|plants?(?: of)?)?(?=\s|$)/iu', $entry, $match) !== 1) {
            return [null, $entry];
        }
        $wanted = (int) str_replace(',', '', $match[1]);
        $words = trim((string) preg_replace('/\s+/u', ' ', str_replace($match[0], ' ', $entry)), ' x×*-:');

        return [$wanted >= 1 && $wanted <= self::MOST_WANTED ? $wanted : null, $words];
    }
}

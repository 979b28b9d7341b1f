<?php

declare(strict_types=1);

namespace App\Prices;

use JollyPenny\Core\Season\Catalogue\CatalogueFile;

/**
 * What a column holds, told by its heading, in the languages of the regions whose currencies ship: English, German, French, Spanish,
 * Portuguese, Italian, Dutch, Swedish, Norwegian, Danish, Icelandic, Finnish, Polish, Czech, Hungarian, Romanian, Bulgarian, Ukrainian,
 * Turkish, Greek, Japanese, Korean, Chinese, Thai, Indonesian, Vietnamese, Hindi, Hebrew, Arabic (catalogue/headings.csv).
 */
final readonly class Headings
{
    private const COLUMNS = ['name', 'shop', 'price', 'holds', 'unit', 'on', 'currency'];

    /** @return list<string> */
    public static function columns(): array
    {
        return self::COLUMNS;
    }

    /**
     * @param  list<string>  $headings
     * @return array<string, int> place of each column that is recognised; the first that fits takes it
     */
    public static function recognise(array $headings): array
    {
        $words = [];
        foreach (CatalogueFile::rows('headings') as $row) {
            $words[(string) $row['word']][] = (string) $row['column'];
        }
        $map = [];
        foreach ($headings as $place => $heading) {
            $plain = trim((string) preg_replace('/[\s:.()*]+/u', ' ', mb_strtolower($heading)));
            foreach ($words[$plain] ?? [] as $column) {
                if (! isset($map[$column])) {
                    $map[$column] = $place;

                    break;
                }
            }
        }

        return $map;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Plan\Drafting\GrowList;
use JollyPenny\Core\Plan\Drafting\PastedLine;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Season\File\DocumentPath;
use stdClass;

/** The first list of a new season, with the packs that fit it. */
final readonly class FirstList
{
    /**
     * @param  stdClass  $document  of the season, which is changed
     * @return list<PastedLine> the lines that have to be asked about first
     */
    public static function add(stdClass $document, string $text): array
    {
        $draft = new SeasonDraft($document);
        $asked = (new GrowList($draft))->addPasted($text);
        foreach (FirstPacks::forDraft($draft) as ['path' => $keys, 'to' => $to]) {
            (new DocumentPath($keys))->set($document, $to);
        }

        return $asked;
    }
}

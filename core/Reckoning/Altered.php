<?php

declare(strict_types=1);

namespace JollyPenny\Core\Reckoning;

use JollyPenny\Core\Editing\DocumentPath;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;

/** A season with some of its values changed, as an edit would change them. */
final readonly class Altered
{
    /** @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits */
    public static function season(Season $season, array $edits): Season
    {
        $document = SeasonSchema::get()->complete((new SeasonWriter)->document($season));
        foreach ($edits as ['path' => $keys, 'to' => $to]) {
            (new DocumentPath($keys))->set($document, $to);
        }

        return (new SeasonReader)->trusted($document);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\File\SeasonSchema;
use JollyPenny\Core\Season\File\SeasonWriter;
use JollyPenny\Core\Season\Season;
use stdClass;

/** A season with some of its values changed, as an edit would change them; many such may be had of one season. */
final readonly class Altered
{
    private string $document;

    public function __construct(Season $season)
    {
        // Unpacked anew for every change: quicker than written anew.
        $this->document = serialize(SeasonSchema::get()->complete((new SeasonWriter)->document($season)));
    }

    /** @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits */
    public function with(array $edits): Season
    {
        $document = unserialize($this->document, ['allowed_classes' => [stdClass::class]]);
        assert($document instanceof stdClass);
        foreach ($edits as ['path' => $keys, 'to' => $to]) {
            (new DocumentPath($keys))->set($document, $to);
        }

        return (new SeasonReader)->trusted($document);
    }
}

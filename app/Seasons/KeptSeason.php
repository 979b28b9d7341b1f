<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season as SeasonFile;
use stdClass;

/** A season as it is kept: its model, its document, and the core's reading of that. */
final readonly class KeptSeason
{
    public SeasonCosting $costing;

    public function __construct(public Season $model, public stdClass $document, public SeasonFile $file)
    {
        $this->costing = new SeasonCosting($file);
    }

    /** What is kept has passed the checks. */
    public static function of(Season $model): self
    {
        $document = $model->document;

        return new self($model, $document, (new SeasonReader)->trusted($document));
    }
}

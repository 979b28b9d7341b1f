<?php

declare(strict_types=1);

namespace App\Seasons;

use App\Models\Season;
use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\State\LivedSeason;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Season as SeasonFile;
use JollyPenny\Core\Season\Setup;
use stdClass;

/** A season as it is kept: its model, its document, and the core's reading of that. */
final readonly class KeptSeason
{
    public SeasonCosting $costing;

    public function __construct(public Season $model, public stdClass $document, public SeasonFile $file)
    {
        $this->costing = new SeasonCosting($file, known: KnownAnswers::forSeason($model->id));
    }

    /** A set-up's books as they go on from what was sown. */
    public function lived(Setup $setup, LogBook $log): SetupBooks
    {
        return LivedSeason::books($this->costing, $setup, $log);
    }

    /** What is kept has passed the checks. */
    public static function fromModel(Season $model): self
    {
        $document = $model->document;

        return new self($model, $document, (new SeasonReader)->trusted($document));
    }
}

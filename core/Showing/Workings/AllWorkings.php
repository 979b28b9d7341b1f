<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use Closure;
use JollyPenny\Core\Living\Reckoning\CameTo;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Results\SetupCosting;

/** The working of any figure: of a set-up, of one of its crops, or of what the season came to. */
final readonly class AllWorkings
{
    /** @param  Closure(): CameTo  $cameTo  asked only where a figure of it is */
    public function __construct(private SetupBooks $books, private Closure $cameTo)
    {
    }

    /** @throws NoSuchFigure */
    public function explain(string $figure, ?string $crop): Working
    {
        if (ReckoningWorkings::explains($figure)) {
            return (new ReckoningWorkings(($this->cameTo)()))->explain($figure);
        }
        $result = SetupCosting::result($this->books);
        if ($crop === null) {
            return (new SetupWorkings($this->books, $result))->explain($figure);
        }
        $line = array_column($result->crops, null, 'id')[$crop] ?? throw new NoSuchFigure("There is no crop \"{$crop}\".");

        return BuyingWorkings::explains($figure) ? (new BuyingWorkings($this->books, $line))->explain($figure)
            : (new CropWorkings($this->books, $line))->explain($figure);
    }
}

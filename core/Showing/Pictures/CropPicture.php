<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

/** What screens draw of one crop in a set-up. */
final readonly class CropPicture
{
    /** @param  ?array<string, float>  $shown  the heads as shown, which add up to the penny */
    public function __construct(public CropLine $line, public ?PennyStack $stack, public Till $till, public ?array $shown,
        public PotSizes $pots, public ?BelowAsked $below_asked)
    {
    }
}

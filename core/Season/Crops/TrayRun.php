<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Crops;

/** Rows of a tray that hold one crop. */
final readonly class TrayRun
{
    /**
     * @param  string  $crop  id
     * @param  int  $stage  place in the method's stages of the one that fills the tray
     * @param  int  $row  the first, from 1 at the notch
     * @param  ?string  $at  when it was moved there by hand, ISO 8601 in UTC; null where the layout was only kept
     */
    public function __construct(public string $crop, public int $row, public int $sites, public int $stage = 0, public ?string $at = null)
    {
    }
}

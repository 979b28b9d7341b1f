<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

/** What there is to raise plants with, where a method of a school wants something else. */
final readonly class Means
{
    /**
     * @param  bool  $lamps  without, plants stand on the windowsill, but for what comes up on a mat in the dark
     * @param  bool  $trayware  catch trays and domes under everything; without, only where they belong to trays of cells
     * @param  ?string  $pots  container of the catalogue in place of bought pots
     * @param  ?string  $mix  supply of the catalogue in place of a recipe
     */
    public function __construct(
        public bool $lamps,
        public bool $mats,
        public bool $trayware = true,
        public ?string $pots = null,
        public ?string $mix = null,
    ) {
    }

    /** For what a mat would only keep too warm. */
    public function withoutMats(): self
    {
        return new self($this->lamps, false, $this->trayware, $this->pots, $this->mix);
    }
}

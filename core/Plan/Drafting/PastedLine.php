<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\SpeciesFacts;

/** One crop of a list, as it was understood; or what has to be asked before it can be. */
final readonly class PastedLine
{
    /**
     * @param  string  $text  as it was written
     * @param  ?int  $wanted  plants; null where no number stands there
     * @param  ?string  $species  id in the catalogue; null where the words name none for certain
     * @param  bool  $isAutumn  whether an autumn crop is meant
     * @param  ?string  $question  in words; null where the line can be added as it is
     * @param  list<SpeciesFacts>  $nearest  species it may be
     * @param  bool  $isUnknown  whether the catalogue holds nothing that it could be for certain
     */
    public function __construct(
        public string $text,
        public ?int $wanted,
        public ?string $species,
        public string $variety,
        public bool $isAutumn = false,
        public ?string $question = null,
        public array $nearest = [],
        public bool $isUnknown = false,
    ) {
    }

    /** The same line, with what has to be asked of it. */
    public function asking(string $question): self
    {
        return new self($this->text, $this->wanted, $this->species, $this->variety, $this->isAutumn, $question);
    }
}

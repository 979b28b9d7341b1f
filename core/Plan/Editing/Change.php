<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Editing;

use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SameValue;
use stdClass;

/** One value of a season changed: where, what it was, what it is to be. */
final readonly class Change
{
    /** @param  ?int  $at  place in its list of a row taken out, so that undo puts it back there */
    public function __construct(public DocumentPath $path, public mixed $from, public mixed $to, public ?int $at = null)
    {
    }

    /** A value of the document as it stands, to be another. */
    public static function in(stdClass $document, DocumentPath $path, mixed $to, ?int $at = null): self
    {
        return new self($path, $path->get($document), $to, $at ?? $path->rowIndex($document));
    }

    public function inverse(): self
    {
        return new self($this->path, $this->to, $this->from, $this->at);
    }

    /** Nothing changes where the value is there already. */
    public function isNothing(): bool
    {
        return SameValue::is($this->from, $this->to);
    }

    /** @return array{path: list<string|int>, from: mixed, to: mixed, at: ?int} */
    public function toArray(): array
    {
        return ['path' => $this->path->keys, 'from' => $this->from, 'to' => $this->to, 'at' => $this->at];
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Log;

/** What an entry of the log says. A count of what stands there starts anew; a loss or a gift is taken off it. */
enum LogKind: string
{
    case Sown = 'sown';
    case Bought = 'bought';
    case Up = 'up';
    case Thinned = 'thinned';
    case PrickedOut = 'pricked_out';
    case PottedOn = 'potted_on';
    case Hardened = 'hardened';
    case Planted = 'planted';
    case Given = 'given';
    case Sold = 'sold';
    case Composted = 'composted';
    case Lost = 'lost';
    case Done = 'done';
    case PutOff = 'put_off';
    case Reading = 'reading';
    case Note = 'note';
    case Undo = 'undo';

    /** How many there are from then on. */
    public function isCount(): bool
    {
        return in_array($this, [self::Up, self::Thinned, self::PrickedOut, self::PottedOn, self::Hardened], true);
    }

    /** They stand elsewhere from then on. */
    public function isMove(): bool
    {
        return in_array($this, [self::PrickedOut, self::PottedOn, self::Hardened], true);
    }

    /** They stand there no longer. */
    public function leaves(): bool
    {
        return $this === self::Lost || $this->isFinished();
    }

    /** Out of one's hands, grown. */
    public function isFinished(): bool
    {
        return in_array($this, [self::Planted, self::Given, self::Sold, self::Composted], true);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** What kind of saving a piece of advice is. */
enum AdviceGroup: string
{
    case BuyLess = 'buy_less';
    case WasteLess = 'waste_less';
    case MoreRoom = 'more_room';
    case SellOrShare = 'sell_or_share';

    /** @param  string  $kind  of a change */
    public static function forKind(string $kind): self
    {
        return match ($kind) {
            'method', 'seed_fewer', 'share_packet' => self::WasteLess,
            'week_later', 'week_earlier', 'second_batch', 'half_bought', 'buy', 'move' => self::MoreRoom,
            'drop' => self::SellOrShare,
            default => self::BuyLess,
        };
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Books;

/**
 * The heads under which a season's cost is kept, in the order of the result. All that is known of a head stands here: its
 * words, the coins it is shown by, whether it is spent anew each season, and whether it is on the electricity bill.
 */
enum Head: string
{
    case Seed = 'seed';
    case Mix = 'mix';
    case TopDressing = 'top_dressing';
    case Feed = 'feed';
    case Extras = 'extras';
    case Containers = 'containers';
    case Prep = 'prep';
    case LightPower = 'light_power';
    case HeatPower = 'heat_power';
    case AppliancePower = 'appliance_power';
    case HeatCredit = 'heat_credit';
    case Lights = 'lights';
    case Mats = 'mats';
    case Appliances = 'appliances';
    case Gear = 'gear';
    case Nursery = 'nursery';

    public function words(): string
    {
        return match ($this) {
            self::Seed => 'Seed',
            self::Mix => 'Mix',
            self::TopDressing => 'Top dressing',
            self::Feed => 'Feed',
            self::Extras => 'Labels and other extras',
            self::Containers => 'Pots and trays',
            self::Prep => 'Washing pots',
            self::LightPower => 'Power for light',
            self::HeatPower => 'Power for heat',
            self::AppliancePower => 'Power for fans and hot water',
            self::HeatCredit => 'Heat you did not have to buy',
            self::Lights => 'Lamps, a season’s share',
            self::Mats => 'Mats, a season’s share',
            self::Appliances => 'Fans and the like, a season’s share',
            self::Gear => 'Shelf and gear, a season’s share',
            self::Nursery => 'Bought plants',
        };
    }

    /** The coins of the penny stack; null for the heat credit, which takes coins off the top. */
    public function group(): ?HeadGroup
    {
        return match ($this) {
            self::Seed => HeadGroup::Seed,
            self::Mix, self::TopDressing, self::Feed => HeadGroup::Mix,
            self::Containers, self::Prep => HeadGroup::Pots,
            self::LightPower, self::Lights => HeadGroup::Light,
            self::HeatPower, self::Mats => HeadGroup::Heat,
            self::Extras, self::AppliancePower, self::Appliances, self::Gear => HeadGroup::Sundries,
            self::Nursery => HeadGroup::Bought,
            self::HeatCredit => null,
        };
    }

    /** Spent anew each season, whole; of the containers only the single-use ones are. Costing rules, section 10. */
    public function isRunning(): bool
    {
        return match ($this) {
            self::Containers, self::Lights, self::Mats, self::Appliances, self::Gear => false,
            default => true,
        };
    }

    public function isElectricity(): bool
    {
        return match ($this) {
            self::LightPower, self::HeatPower, self::AppliancePower => true,
            default => false,
        };
    }

    /**
     * @param  iterable<array<string, float>>  $each  money by head
     * @return array<string, float> all of it together
     */
    public static function together(iterable $each): array
    {
        $heads = self::none();
        foreach ($each as $amounts) {
            foreach ($amounts as $head => $amount) {
                $heads[$head] += $amount;
            }
        }

        return $heads;
    }

    /** @return array<string, float> every head at 0 */
    public static function none(): array
    {
        return array_fill_keys(array_column(self::cases(), 'value'), 0.0);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Costing;

/** The heads under which a season's cost is kept, in the order of the result. */
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

    /** @return array<string, float> every head at 0 */
    public static function none(): array
    {
        return array_fill_keys(array_column(self::cases(), 'value'), 0.0);
    }
}

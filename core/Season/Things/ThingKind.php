<?php

declare(strict_types=1);

namespace JollyPenny\Core\Season\Things;

use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;

/**
 * The kinds of things that are bought, used and left. All that is known of a kind stands here: where a season keeps it and under which
 * keys, what it is called, where it is sold, and whether it lasts. Lists, prices, shed, ledger and screens ask it.
 */
enum ThingKind: string
{
    case Seed = 'seed';
    case Supply = 'supply';
    case Container = 'container';
    case Trayware = 'trayware';
    case Light = 'light';
    case Mat = 'mat';
    case Appliance = 'appliance';
    case Gear = 'gear';
    case Nursery = 'nursery';
    case Trip = 'trip';

    /** The season's list of it; null for the trip, which is a price of its own. */
    public function list(): ?string
    {
        return match ($this) {
            self::Seed => 'seed_lots',
            self::Supply => 'supplies',
            self::Container => 'containers',
            self::Trayware, self::Gear, self::Nursery => $this->value,
            self::Light => 'lights',
            self::Mat => 'mats',
            self::Appliance => 'appliances',
            self::Trip => null,
        };
    }

    public static function ofList(string $list): ?self
    {
        foreach (self::cases() as $kind) {
            if ($kind->list() === $list) {
                return $kind;
            }
        }

        return null;
    }

    public function nameKey(): string
    {
        return $this === self::Seed ? 'variety' : 'name';
    }

    public function priceKey(): string
    {
        return match ($this) {
            self::Seed => 'packet_price',
            self::Supply, self::Container => 'pack_price',
            self::Trip => 'nursery_trip_cost',
            default => 'price',
        };
    }

    /** @return non-empty-list<string> where the price of one of them stands in a season */
    public function pricePath(string $id): array
    {
        $list = $this->list();

        return $list === null ? [$this->priceKey()] : [$list, $id, $this->priceKey()];
    }

    /** How much a pack holds; null where it is sold singly. */
    public function holdsKey(): ?string
    {
        return match ($this) {
            self::Seed => 'seeds_per_packet',
            self::Supply => 'pack_amount',
            self::Container => 'units_per_pack',
            self::Nursery => 'plants',
            default => null,
        };
    }

    /** What says how big it is: what a pack holds, or the watts it takes; null where neither is asked. */
    public function sizeKey(): ?string
    {
        return match ($this) {
            self::Light, self::Mat, self::Appliance => 'watts',
            default => $this->holdsKey(),
        };
    }

    /** How much of it is there already; null where nothing of it is kept. */
    public function stockKey(): ?string
    {
        return match ($this) {
            self::Seed => 'packets_owned',
            self::Supply => 'in_stock',
            self::Container, self::Trayware => 'owned_units',
            self::Light, self::Mat, self::Appliance, self::Gear => 'owned',
            self::Nursery, self::Trip => null,
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::Seed => 'seeds',
            self::Supply => 'L',
            self::Nursery => 'plants',
            default => 'each',
        };
    }

    /** What they are called together. */
    public function words(): string
    {
        return match ($this) {
            self::Seed => 'Seed',
            self::Supply => 'Mix, feed and labels',
            self::Container => 'Pots and trays of cells',
            self::Trayware => 'Trays and covers',
            self::Light => 'Lamps',
            self::Mat => 'Mats',
            self::Appliance => 'Fans and the like',
            self::Gear => 'Shelves and tools',
            self::Nursery, self::Trip => 'Nursery',
        };
    }

    /** The shop that sells it: seed, garden, hardware or nursery. */
    public function shop(): string
    {
        return match ($this) {
            self::Seed => 'seed',
            self::Supply, self::Container, self::Trayware => 'garden',
            self::Light, self::Mat, self::Appliance, self::Gear => 'hardware',
            self::Nursery, self::Trip => 'nursery',
        };
    }

    /** What is left of it goes into the shed and to the next season. */
    public function isKept(): bool
    {
        return $this->stockKey() !== null;
    }

    /** One chooses by set-up which of them are used. */
    public function isEquipment(): bool
    {
        return $this->stockKey() === 'owned';
    }

    /** Serves for several seasons, but for pots that are used once. */
    public function lasts(): bool
    {
        return $this->isEquipment() || $this === self::Container || $this === self::Trayware;
    }

    /** @return list<SeedLot|Supply|Container|Trayware|Light|Mat|Appliance|Gear|Offer> what a season has of it */
    public function rows(Season $season): array
    {
        return match ($this) {
            self::Seed => $season->seedLots,
            self::Supply => $season->supplies,
            self::Container => $season->containers,
            self::Trayware => $season->trayware,
            self::Nursery => $season->nursery,
            default => $this->equipmentOf($season),
        };
    }

    /** @return list<Light|Mat|Appliance|Gear> those that one chooses by set-up */
    public function equipmentOf(Season $season): array
    {
        return match ($this) {
            self::Light => $season->lights,
            self::Mat => $season->mats,
            self::Appliance => $season->appliances,
            self::Gear => $season->gear,
            default => [],
        };
    }

    /** @return list<string> ids of those of them that a set-up uses; of what one chooses by set-up only */
    public function usedIn(Setup $setup): array
    {
        return match ($this) {
            self::Light => $setup->lights,
            self::Mat => $setup->mats,
            self::Appliance => $setup->appliances,
            self::Gear => $setup->gear,
            default => [],
        };
    }

    /** The name of one of them in a season; null where it is not there. */
    public function nameOf(Season $season, string $id): ?string
    {
        if ($this === self::Trip) {
            return 'The trip to the nursery';
        }
        foreach ($this->rows($season) as $row) {
            if ($row->id === $id) {
                return $row instanceof SeedLot ? $row->variety : $row->name;
            }
        }

        return null;
    }

    public function isIn(Season $season, string $id): bool
    {
        return $this !== self::Trip && $this->nameOf($season, $id) !== null;
    }

    /** @return list<self> */
    public static function kept(): array
    {
        return array_values(array_filter(self::cases(), fn (self $kind): bool => $kind->isKept()));
    }

    /** @return list<self> */
    public static function equipment(): array
    {
        return array_values(array_filter(self::cases(), fn (self $kind): bool => $kind->isEquipment()));
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Cautions;

/** What can hurt someone at this work. Each defers to the maker's instructions, local codes and licensed practice. */
enum Caution: string
{
    case Electricity = 'electricity';
    case Fire = 'fire';
    case LampBox = 'lamp_box';
    case BrightLamps = 'bright_lamps';
    case Mercury = 'mercury';
    case BoilingWater = 'boiling_water';
    case Dust = 'dust';
    case Kitchen = 'kitchen';
    case Film = 'film';
    case Bleach = 'bleach';
    case Cutting = 'cutting';
    case HotSeed = 'hot_seed';
    case TreatedSeed = 'treated_seed';
    case PoisonousLeaves = 'poisonous_leaves';
    case PoisonousSeed = 'poisonous_seed';
    case PoisonousBerries = 'poisonous_berries';
    case GardenSoil = 'garden_soil';
    case TreatedWood = 'treated_wood';
    case Refrigerator = 'refrigerator';
    case Sprays = 'sprays';
    case Lifting = 'lifting';
    case Selling = 'selling';

    public function title(): string
    {
        return match ($this) {
            self::Electricity => 'Electricity near water',
            self::Fire => 'Fire and burns',
            self::LampBox => 'Lamp boxes',
            self::BrightLamps => 'Bright lamps',
            self::Mercury => 'Broken fluorescent tubes',
            self::BoilingWater => 'Boiling water and steam',
            self::Dust => 'Dust and compost',
            self::Kitchen => 'Kitchen things',
            self::Film => 'Film and covers',
            self::Bleach => 'Bleach for used pots',
            self::Cutting => 'Cutting and melting plastic',
            self::HotSeed => 'Hot pepper seed',
            self::TreatedSeed => 'Treated seed',
            self::PoisonousLeaves => 'Poisonous leaves',
            self::PoisonousSeed => 'Poisonous seed',
            self::PoisonousBerries => 'Poisonous berries',
            self::GardenSoil => 'Garden soil',
            self::TreatedWood => 'Old and treated wood',
            self::Refrigerator => 'Converted refrigerators',
            self::Sprays => 'Sprays',
            self::Lifting => 'Lifting',
            self::Selling => 'Selling plants',
        };
    }

    public function text(): string
    {
        return match ($this) {
            self::Electricity => 'Plug the bench into a residual-current (GFCI, RCD) outlet. Keep plugs above the water line, let cables hang in a drip loop, and dry your hands. Never chain extension leads, and never load a circuit beyond what it may carry. Use only lamps and mats listed for damp places. The maker\'s instructions and local codes come first; fixed wiring is a licensed electrician\'s work.',
            self::Fire => 'Lamps and mats need air. Never stack mats or cover one with blankets; a lamp in a closed plastic box overheats. Incandescent and older lamps burn skin. Follow the maker\'s instructions.',
            self::LampBox => 'Cardboard and cloth inside a lamp box burn. Leave the lid ajar, watch the temperature, and never leave it alone.',
            self::BrightLamps => 'Do not stare into bright lamps; hang them so that nobody has to.',
            self::Mercury => 'A broken fluorescent tube holds mercury: air the room, do not vacuum, and take the pieces to the local hazardous waste.',
            self::BoilingWater => 'Carry small amounts, fill low, and keep children away. Hot mix closed up in a bag scalds when it is opened.',
            self::Dust => 'Wet peat, perlite and vermiculite before stirring; wear a mask, work outdoors. Compost can carry Legionella: wear gloves, do not sniff the bag, wash your hands.',
            self::Kitchen => 'What was used for soil stays with the soil: it does not go back to the kitchen.',
            self::Film => 'Film over seedlings that are up cooks them: take it off as they show.',
            self::Bleach => '1 part of bleach to 9 parts of water, with gloves and in fresh air. Never with vinegar, ammonia or another cleaner: the gas is poisonous.',
            self::Cutting => 'Cut away from your hand, melt holes in fresh air, and use only containers that held food.',
            self::HotSeed => 'Wash your hands after handling seed of hot peppers, before you touch eyes or skin.',
            self::TreatedSeed => 'Dyed seed has been treated: wear gloves, never eat it or feed it to animals.',
            self::PoisonousLeaves => 'Leaves of nightshades and of several flowers are poisonous: keep them from children and pets.',
            self::PoisonousSeed => 'The seed is poisonous to eat, also to pets: keep packets away from children and wash your hands after sowing.',
            self::PoisonousBerries => 'The red berries are poisonous: keep them from children and pets.',
            self::GardenSoil => 'Garden soil carries disease, weeds and sometimes lead or glass: wear gloves, wash your hands, and do not use it for seed in pots.',
            self::TreatedWood => 'Old or treated wood can hold arsenic, creosote or lead paint: do not grow in it, saw it or burn it. Use bare, untreated wood.',
            self::Refrigerator => 'Refrigerant and mains wiring of a converted refrigerator are work for a licensed technician.',
            self::Sprays => 'Neem, sulphur and every other spray: read the label first and do what it says.',
            self::Lifting => 'Wet trays and bales are heavy: lift with your legs, carry few at a time.',
            self::Selling => 'Selling plants may need a licence, a plant-health passport or labels where you live: ask the local authority first.',
        };
    }
}

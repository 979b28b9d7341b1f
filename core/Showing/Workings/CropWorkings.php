<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Workings;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Plan\Energy\PlaceEnergy;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Plan\Results\CropResult;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\Leftover;
use JollyPenny\Core\Season\Things\Mat;

/** The workings of one grown crop's figures, from the same books as the figures themselves. */
final readonly class CropWorkings
{
    private CropPlan $plan;

    private int $index;

    /** @throws NoSuchFigure where the crop is not grown */
    public function __construct(private SetupBooks $books, private CropResult $result)
    {
        $this->index = $books->grown[$result->id] ?? throw new NoSuchFigure('This crop is not grown in this set-up.');
        $this->plan = $books->plans[$this->index];
    }

    /** @throws NoSuchFigure */
    public function explain(string $figure): Working
    {
        return match ($figure) {
            'g' => $this->germination(),
            'seeds' => $this->seeds(),
            'p_enough' => $this->odds(),
            'cost' => $this->cost(),
            'per_finished' => $this->perFinished(),
            'extra_cost' => $this->extraCost(),
            default => $this->head(
                Head::tryFrom($figure) ?? throw new NoSuchFigure("There is no figure \"{$figure}\"."),
                $this->result->heads[$figure] ?? 0.0,
            ),
        };
    }

    private function germination(): Working
    {
        $v = $this->plan->viability;
        $lot = $this->plan->lot;
        $terms = [
            new Term(
                'alive when fresh',
                $v->fresh,
                Unit::Share,
                $lot->germination === null ? ['species', $lot->species, 'fresh_germination'] : ['seed_lots', $lot->id, 'germination'],
            ),
            new Term('packed for', $lot->packedFor, Unit::Count, ['seed_lots', $lot->id, 'packed_for']),
            new Term('age in years', $v->age, Unit::Count),
            new Term('alive at that age', $v->aged, Unit::Share),
        ];
        if ($lot->test !== null) {
            $terms[] = new Term('your test: sown', $lot->test->sown, Unit::Seeds, ['seed_lots', $lot->id, 'test', 'sown']);
            $terms[] = new Term('your test: came up', $lot->test->sprouted, Unit::Seeds, ['seed_lots', $lot->id, 'test', 'sprouted']);
        }
        if ($this->plan->sown->soilC !== null) {
            $place = $this->plan->stages[0]->place;
            if (is_float($place->tempC)) {
                $terms[] = new Term($place->name, $place->tempC, Unit::Celsius, ['places', $place->id, 'temp_c']);
            }
            $terms[] = new Term('soil, with the warmth of lamp and mat', $this->plan->sown->soilC, Unit::Celsius);
        }
        $terms[] = new Term('comes up there, of what would at best', $this->plan->sown->relative, Unit::Share, [
            'species',
            $lot->species,
            'germination',
        ]);

        return new Working(
            'g',
            'What comes up',
            $this->plan->g,
            Unit::Share,
            'Live seed, times the share that comes up at this soil temperature.',
            Figures::number($v->value).' × '.Figures::number($this->plan->sown->relative),
            $terms,
        );
    }

    private function seeds(): Working
    {
        $sowing = $this->plan->sowing;
        $method = $this->plan->method;
        $survival = array_product(array_map(fn ($stage): float => $stage->survival, $method->stages));

        return new Working(
            'seeds',
            'How much to sow',
            $sowing->seeds,
            Unit::Seeds,
            'The fewest cells or pots that give the chance you asked for, rounded up to whole rows. Mishaps are left out: no extra sowing helps against them.',
            Figures::number($sowing->sites).' cells or pots, '.Figures::number($method->seedsPerSite).' seeds to each',
            [
                new Term('wanted', $this->plan->crop->wanted, Unit::Plants, ['crops', $this->plan->crop->id, 'wanted']),
                new Term('a seed comes up', $this->plan->g, Unit::Share, null, 'g'),
                new Term('chance that a cell or pot is filled', $sowing->q, Unit::Share),
                new Term('seeds to a cell or pot', $method->seedsPerSite, Unit::Seeds, ['methods', $method->id, 'seeds_per_site']),
                new Term('a seedling lives through all stages', $survival, Unit::Share),
                new Term('how sure', $this->books->season()->confidence, Unit::Share, ['confidence']),
                new Term('rounded up to a multiple of', $method->roundSitesTo, Unit::Count, ['methods', $method->id, 'round_sites_to']),
                new Term('chance of enough', $sowing->finish->enough, Unit::Share),
            ],
        );
    }

    private function odds(): Working
    {
        $sowing = $this->plan->sowing;
        $stages = array_map(
            fn (StagePlan $stage): Term => new Term("{$stage->stage->name}: lives through it", $stage->stage->survival, Unit::Share),
            $this->plan->stages,
        );

        return new Working(
            'p_enough',
            'The chance of enough plants',
            $sowing->finish->enough,
            Unit::Share,
            'The exact chance that at least the wanted number finishes, over good and bad packets and seasons. A mishap that takes the whole batch is counted too, and only plants that are moved on can finish.',
            'P(finished ≥ '.Figures::number($this->plan->crop->wanted).')',
            [
                new Term('cells or pots sown', $sowing->sites, Unit::Count, null, 'seeds'),
                new Term('chance that a cell or pot is filled', $sowing->q, Unit::Share, null, 'g'),
                ...$stages,
                new Term('losses come together', $this->books->season()->luck, Unit::Share, ['luck']),
                new Term('a mishap takes it whole', $this->books->season()->mishap, Unit::Share, ['mishap']),
                new Term('finish on average', $sowing->finish->mean, Unit::Plants),
                new Term('short on average', $sowing->finish->shortfall(), Unit::Plants),
                new Term('more than wanted', $sowing->finish->surplus(), Unit::Plants),
            ],
        );
    }

    private function cost(): Working
    {
        $terms = [];
        foreach ($this->result->heads ?? [] as $head => $amount) {
            if (abs($amount) > 0.0) {
                $terms[] = new Term(Head::from($head)->words(), $amount, Unit::Money, null, $head);
            }
        }

        return new Working(
            'cost',
            'Cost of the crop',
            $this->result->cost,
            Unit::Money,
            'Everything the season uses up for this crop, head by head.',
            Figures::sum(array_map(fn (Term $term): string => Figures::number((float) $term->value), $terms)),
            $terms,
        );
    }

    private function perFinished(): Working
    {
        return new Working(
            'per_finished',
            'Cost per finished seedling',
            $this->result->per_finished,
            Unit::Money,
            'The crop\'s cost over the finished seedlings that somebody wants; a surplus lowers no price.',
            Figures::number((float) $this->result->cost).' ÷ '.Figures::number((float) $this->result->useful),
            [
                new Term('cost of the crop', $this->result->cost, Unit::Money, null, 'cost'),
                new Term('finished and wanted, on average', $this->result->useful, Unit::Plants),
                new Term('finished, on average', $this->result->finished, Unit::Plants, null, 'seeds'),
            ],
        );
    }

    private function extraCost(): Working
    {
        return new Working(
            'extra_cost',
            'What growing it adds',
            $this->result->extra_cost,
            Unit::Money,
            'The set-up\'s cost less the cost of the same set-up without this crop. What is bought for the bench anyway does not count.',
            '',
            [new Term('its own share of everything', $this->result->cost, Unit::Money, null, 'cost')],
        );
    }

    private function head(Head $head, float $value): Working
    {
        [$rule, $formula, $terms] = match ($head) {
            Head::Seed => $this->seed(),
            Head::Mix, Head::TopDressing, Head::Feed, Head::Extras => $this->supplies($head),
            Head::Containers => $this->containers(),
            Head::Prep => $this->prep(),
            Head::LightPower => $this->power(PlaceEnergy::LIGHT),
            Head::HeatPower => $this->power(PlaceEnergy::HEAT),
            Head::AppliancePower => $this->power(PlaceEnergy::APPLIANCE),
            Head::HeatCredit => $this->credit(),
            Head::Lights, Head::Mats, Head::Appliances, Head::Gear => $this->equipment($head),
            Head::Nursery => ['A grown crop buys nothing.', '', []],
        };

        return new Working($head->value, $head->words(), $value, Unit::Money, $rule, $formula, $terms);
    }

    /** @return array{string, string, list<Term>} */
    private function seed(): array
    {
        $lot = $this->plan->lot;
        $seeds = $this->plan->sowing->seeds;
        $life = $this->books->index->species[$lot->species]->longevityYears;
        $rule =
            $lot->leftover === Leftover::Waste
                ? 'Whole packets, since what is left is thrown away; shared by seeds.'
                : 'Seeds sown, at the price of one seed. The rest of the packet keeps until it is too old.';

        return [
            $rule,
            Figures::number($seeds).
            ' × '.
            Figures::number($lot->packetPrice).
            ' ÷ '.
            Figures::number($lot->seedsPerPacket ?? 1).
            ", or the crop's part of ".
            Figures::number($lot->packetPrice).
            ' ÷ '.
            Figures::number(max(1.0, $life)),
            [
                new Term('lives, in years', $life, Unit::Count, ['species', $lot->species, 'longevity_years']),
                new Term('seeds sown', $seeds, Unit::Seeds, null, 'seeds'),
                new Term('packet', $lot->packetPrice, Unit::Money, ['seed_lots', $lot->id, 'packet_price']),
                new Term('seeds in a packet', $lot->seedsPerPacket, Unit::Seeds, ['seed_lots', $lot->id, 'seeds_per_packet']),
            ],
        ];
    }

    /** @return array{string, string, list<Term>} */
    private function supplies(Head $head): array
    {
        $parts = $terms = [];
        foreach ($this->books->supplies->uses[$this->index]->amounts as $id => $amounts) {
            $amount = $amounts[$head->value] ?? 0.0;
            if ($amount <= 0.0) {
                continue;
            }
            $supply = $this->books->index->supplies[$id];
            $parts[] = Figures::number($amount).' × '.Figures::number($supply->unitPrice());
            $terms[] = new Term("{$supply->name}, used", $amount, $supply->unit->value === 'L' ? Unit::Litres : Unit::Amount);
            $terms[] = new Term("{$supply->name}, a pack", $supply->packPrice, Unit::Money, ['supplies', $supply->id, 'pack_price']);
            $terms[] = new Term(
                "{$supply->name}, in a pack",
                $supply->packAmount,
                $supply->unit->value === 'L' ? Unit::Litres : Unit::Amount,
                ['supplies', $supply->id, 'pack_amount'],
            );
            if ($supply->expansion !== 1.0) {
                $terms[] = new Term("{$supply->name}, swells by", $supply->expansion, Unit::Count, ['supplies', $supply->id, 'expansion']);
            }
        }
        $rule = match ($head) {
            Head::Mix => 'Sites, times their volume and a little over for settling, split into the recipe\'s parts, at each part\'s price.',
            Head::TopDressing => 'Sites, times their open top and the depth of the layer, at the supply\'s price.',
            Head::Feed => 'Trays, times feed for a tray, feedings a week and weeks, times the dose, at its price.',
            default => 'The amount the method asks for, at the supply\'s price.',
        };

        return [$rule, Figures::sum($parts), $terms];
    }

    /** @return array{string, string, list<Term>} */
    private function containers(): array
    {
        $parts = $terms = [];
        foreach ($this->plan->stages as $stage) {
            $container = $stage->container;
            if ($container === null || ! $stage->fills()) {
                continue;
            }
            [$part, $more] = $this->filled($stage, $container);
            $parts[] = $part;
            $terms = [...$terms, ...$more];
        }
        foreach ($this->trayIds() as $id) {
            $use = $this->books->containers->trayware[$id];
            $tray = $this->books->index->trayware[$id];
            $terms[] = new Term($tray->name, $tray->price, Unit::Money, ['trayware', $tray->id, 'price']);
            $terms[] = new Term("{$tray->name}: this crop's share of a season", $use->share($this->index), Unit::Money);
            $parts[] = Figures::number($use->share($this->index));
        }

        return [
            'Used once: what is filled, at its price. Durable: a season\'s share of the units needed beyond those owned, '
                .'shared by cells or pots filled (trays by area and days).',
            Figures::sum($parts),
            $terms,
        ];
    }

    /** @return array{string, list<Term>} what the containers of one stage come to, and of what */
    private function filled(StagePlan $stage, Container $container): array
    {
        $id = $container->id;
        $terms = [
            new Term("{$container->name}: filled", $stage->sites, Unit::Count, null, 'seeds'),
            new Term("{$container->name}: a pack of {$container->unitsPerPack}", $container->packPrice, Unit::Money, ['containers', $id, 'pack_price']),
        ];
        $use = $this->books->containers->durable[$id] ?? null;
        if ($use === null) {
            return [Figures::number($stage->units()).' × '.Figures::number($container->unitPrice()), $terms];
        }

        return [
            Figures::number($use->charge()).' × '.Figures::number($stage->sites).' ÷ '.Figures::number((float) array_sum($use->weights)),
            [
                ...$terms,
                new Term("{$container->name}: life", $container->lifeSeasons, Unit::Seasons, ['containers', $id, 'life_seasons']),
                new Term("{$container->name}: needed at once, all crops", $use->unitsNeeded, Unit::Count),
                new Term("{$container->name}: owned already", $container->ownedUnits, Unit::Count, ['containers', $id, 'owned_units']),
            ],
        ];
    }

    /** @return list<string> */
    private function trayIds(): array
    {
        return array_values(
            array_unique(array_merge(...array_map(fn (StagePlan $stage): array => $stage->stage->trayware, $this->plan->stages))),
        );
    }

    /** @return array{string, string, list<Term>} */
    private function prep(): array
    {
        $parts = $terms = [];
        foreach ($this->plan->stages as $stage) {
            if ($stage->container !== null && $stage->fills()) {
                $terms[] = new Term("{$stage->container->name}: units filled", $stage->units(), Unit::Count);
                $terms[] = new Term("{$stage->container->name}: washing and holing", $stage->container->prepCostPerUnit, Unit::Money, [
                    'containers',
                    $stage->container->id,
                    'prep_cost_per_unit',
                ]);
                $parts[] = Figures::number($stage->units()).' × '.Figures::number($stage->container->prepCostPerUnit);
            }
        }

        return ['Units filled, times what washing one costs.', Figures::sum($parts), $terms];
    }

    /** @return array{string, string, list<Term>} */
    private function power(int $kind): array
    {
        $season = $this->books->season();
        $setup = $this->books->setup;
        [$list, $ids] = [['lights', $setup->lights], ['mats', $setup->mats], ['appliances', $setup->appliances]][$kind];
        $terms = [new Term('price of a kWh', $season->electricity->rate, Unit::MoneyPerKwh, ['electricity', 'rate'])];
        $rows = [
            'lights' => $this->books->index->lights,
            'mats' => $this->books->index->mats,
            'appliances' => $this->books->index->appliances,
        ][$list];
        foreach ($ids as $id) {
            $row = $rows[$id];
            $terms[] = new Term($row->name, $row->watts, Unit::Watts, [$list, $id, 'watts']);
            $terms[] =
                $row instanceof Mat
                    ? new Term("{$row->name}, up to", $row->thermostatC, Unit::Celsius, [$list, $id, 'thermostat_c'])
                    : new Term("{$row->name}, a day", $row->hoursPerDay, Unit::Hours, [$list, $id, 'hours_per_day']);
        }
        $parts = [];
        foreach ($this->plan->stages as $stage) {
            $kwh = $this->books->energy()->stageKwh($stage, $kind);
            if ($kwh > 0.0) {
                $parts[] = Figures::number($kwh).' kWh';
                $terms[] = new Term(
                    "{$stage->stage->name}, {$stage->days()} days on ".Figures::number(round($stage->flats, 2)).' of a tray',
                    $kwh,
                    Unit::Kwh,
                );
            }
        }
        $rule = match ($kind) {
            PlaceEnergy::LIGHT => 'Lamps are switched on until they cover the trays that want light. Each day\'s power is shared by trays, every moment at its own rate.',
            PlaceEnergy::HEAT => 'Mats are switched on until they cover the trays that want heat, as long each day as the thermostat asks. The power is shared by trays.',
            default => 'What runs at the place while anything stands there, shared by trays, and the water boiled for the mix.',
        };

        return [$rule, Figures::sum($parts).' at the tariff', $terms];
    }

    /** @return array{string, string, list<Term>} */
    private function credit(): array
    {
        $credit = $this->books->season()->electricity->heatCredit;
        if ($credit === null) {
            return ['No heat credit is set.', '', []];
        }

        return [
            'In the heating season lamps and mats in heated rooms save part of the furnace\'s heat.',
            'kWh up to '.
            $credit->until->format().
            ' × '.
            Figures::number($credit->fraction).
            ' × '.
            Figures::number($credit->pricePerKwh),
            [
                new Term('of use as heat', $credit->fraction, Unit::Share, ['electricity', 'heat_credit', 'fraction']),
                new Term('a kWh of furnace heat', $credit->pricePerKwh, Unit::MoneyPerKwh, ['electricity', 'heat_credit', 'price_per_kwh']),
                new Term('heating season ends', $credit->until->format(), Unit::Text, ['electricity', 'heat_credit', 'until']),
            ],
        ];
    }

    /** @return array{string, string, list<Term>} */
    private function equipment(Head $head): array
    {
        $terms = $parts = [];
        $list =
            [
                Head::Lights->value => 'lights',
                Head::Mats->value => 'mats',
                Head::Appliances->value => 'appliances',
                Head::Gear->value => 'gear',
            ][$head->value] ?? 'gear';
        $rows = [
            'lights' => $this->books->index->lights,
            'mats' => $this->books->index->mats,
            'appliances' => $this->books->index->appliances,
            'gear' => $this->books->index->gear,
        ][$list];
        foreach ($this->books->equipment->items as $item) {
            if ($item->head !== $head || ($item->neededBy !== null && ! in_array($this->index, $item->neededBy, true))) {
                continue;
            }
            $name = $rows[$item->id]->name;
            $terms[] = new Term($item->owned ? "{$name}, owned already" : $name, $item->price, Unit::Money, [$list, $item->id, 'price']);
            $terms[] = new Term("{$name}, life", $item->lifeSeasons, Unit::Seasons, [$list, $item->id, 'life_seasons']);
            $parts[] = Figures::number($item->charge);
        }

        return [
            'One season\'s share of each, shared among the crops by trays and days.',
            'this crop\'s share of ('.Figures::sum($parts).')',
            $terms,
        ];
    }
}

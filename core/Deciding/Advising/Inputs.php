<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Plan\Books\Equipment;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use JollyPenny\Core\Season\Crops\Stage;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Appliance;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\Gear;
use JollyPenny\Core\Season\Things\Light;
use JollyPenny\Core\Season\Things\Mat;
use JollyPenny\Core\Season\Things\Offer;
use JollyPenny\Core\Season\Things\ThingKind;
use JollyPenny\Core\Season\Things\Trayware;

/**
 * The numbers a set-up's answer is made of: prices, watts, years a thing lasts, what comes up and what lives.
 *
 * @phpstan-type Edits list<array{path: non-empty-list<string|int>, to: mixed}>
 * @phpstan-type Input array{non-empty-list<string|int>, string, float, ?array{Edits, Edits, float, float}}
 */
final readonly class Inputs
{
    public function __construct(private Season $season, private SetupBooks $books)
    {
    }

    /**
     * Path, name and value of what the set-up uses; of what is known by its chances the edits for the bad and the good value, and both.
     *
     * @return list<Input>
     */
    public function all(): array
    {
        return [
            ...$this->seed(),
            ...$this->packs(),
            ...$this->containers(),
            ...$this->equipment(),
            ...$this->rates(),
            ...$this->survival(),
            ...$this->nursery(),
        ];
    }

    /** @return list<Input> none where nothing is paid or lasts */
    private static function known(string $list, string $id, string $key, string $name, float $value): array
    {
        return $value <= 0.0 ? [] : [[[$list, $id, $key], $name, $value, null]];
    }

    /** @return list<Input> prices of packets, and what comes up of each: from a bad one to a good one (costing rules, section 4) */
    private function seed(): array
    {
        $prices = $germination = [];
        foreach ($this->books->plans as $plan) {
            [$lot, $viability] = [$plan->lot, $plan->viability];
            $path = ['seed_lots', $lot->id, 'germination'];
            if (isset($germination[$lot->id])) {
                continue;
            }
            $prices[$lot->id] = self::known('seed_lots', $lot->id, 'packet_price', "a packet of {$lot->variety}", $lot->packetPrice);
            [$bad, $good] = TwoValues::around($viability->value, $viability->deviation());
            $to = fn (float $value): array => [['path' => $path, 'to' => min(1.0, $viability->fresh * $value / $viability->value)]];
            $germination[$lot->id] = [$path, "what comes up of {$lot->variety}", $viability->value, [$to($bad), $to($good), $bad, $good]];
        }

        return [...array_merge(...array_values($prices)), ...array_values($germination)];
    }

    /** @return list<Input> */
    private function packs(): array
    {
        $inputs = [];
        foreach (array_keys($this->books->supplies->pools) as $id) {
            $supply = $this->books->index->supplies[$id];
            $inputs[] = self::known('supplies', $supply->id, 'pack_price', "a pack of {$supply->name}", $supply->packPrice);
        }

        return array_merge(...$inputs);
    }

    /** @return list<Input> */
    private function containers(): array
    {
        $inputs = [];
        $used = $this->books->containers;
        foreach ($this->season->containers as $container) {
            if (isset($used->durable[$container->id]) || isset($used->singleUse[$container->id])) {
                $inputs[] = self::known('containers', $container->id, 'pack_price', "{$container->name}, its price", $container->packPrice);
                $inputs[] = $container->singleUse ? [] : self::lasting('containers', $container);
            }
        }
        foreach ($this->season->trayware as $tray) {
            if (isset($used->trayware[$tray->id])) {
                $inputs[] = self::known('trayware', $tray->id, 'price', "{$tray->name}, its price", $tray->price);
                $inputs[] = self::lasting('trayware', $tray);
            }
        }

        return array_merge(...$inputs);
    }

    /** @return list<Input> */
    private static function lasting(string $list, Container|Trayware|Light|Mat|Appliance|Gear $thing): array
    {
        return self::known($list, $thing->id, 'life_seasons', "{$thing->name}, seasons it lasts", $thing->lifeSeasons);
    }

    /** @return list<Input> */
    private function equipment(): array
    {
        $inputs = [];
        $used = array_flip(array_map(fn (Equipment $item): string => "{$item->kind} {$item->id}", $this->books->equipment->items));
        foreach (ThingKind::equipment() as $kind) {
            $list = (string) $kind->list();
            foreach ($kind->equipmentOf($this->season) as $thing) {
                if (isset($used["{$kind->value} {$thing->id}"])) {
                    $inputs[] = $thing instanceof Gear ? [] : self::known($list, $thing->id, 'watts', "{$thing->name}, its watts", $thing->watts);
                    $inputs[] = self::known($list, $thing->id, 'price', "{$thing->name}, its price", $thing->price);
                    $inputs[] = self::lasting($list, $thing);
                }
            }
        }

        return array_merge(...$inputs);
    }

    /** @return list<Input> the season's own: a trip to the nursery, where something is sold there, and a kWh */
    private function rates(): array
    {
        $season = $this->season;
        $inputs = [];
        if ($season->nurseryTripCost > 0.0 && $this->offers() !== []) {
            $inputs[] = [['nursery_trip_cost'], 'a trip to the nursery', $season->nurseryTripCost, null];
        }
        if ($season->electricity->rate > 0.0) {
            $inputs[] = [['electricity', 'rate'], 'a kWh', $season->electricity->rate, null];
        }

        return $inputs;
    }

    /** @return list<Input> what lives by each method, from bad luck to good: every stage by its part of that */
    private function survival(): array
    {
        $luck = $this->season->luck;
        $inputs = [];
        foreach (self::methods($this->books) as $method) {
            $whole = array_product(array_map(fn (Stage $stage): float => $stage->survival, $method->stages));
            if ($whole >= 1.0 || $luck <= 0.0) {
                continue;
            }
            [$bad, $good] = TwoValues::around($whole, sqrt($luck * $whole * (1.0 - $whole)));
            $to = fn (float $value): array => array_map(fn (int $i, Stage $stage): array => ['path' => ['methods', $method->id, 'stages', $i, 'survival'],
                'to' => $stage->survival ** (log($value) / log($whole))], array_keys($method->stages), $method->stages);
            $inputs[] = [['methods', $method->id], "what lives by “{$method->name}”", $whole, [$to($bad), $to($good), $bad, $good]];
        }

        return $inputs;
    }

    /** @return array<array-key, Offer> of what is grown, by id */
    private function offers(): array
    {
        $offers = [];
        foreach ($this->books->plans as $plan) {
            $offers += array_column($this->books->index->offersFor($plan->crop), null, 'id');
        }

        return $offers;
    }

    /** @return list<Input> */
    private function nursery(): array
    {
        $offers = $this->offers();
        $inputs = [];
        foreach ($this->season->nursery as $offer) {
            $inputs[] = isset($offers[$offer->id]) ? self::known('nursery', $offer->id, 'price', "{$offer->name} at the nursery", $offer->price) : [];
        }

        return array_merge(...$inputs);
    }

    /** @return list<\JollyPenny\Core\Season\Crops\Method> that are used */
    public static function methods(SetupBooks $books): array
    {
        $methods = [];
        foreach ($books->plans as $plan) {
            $methods[$plan->method->id] = $plan->method;
        }

        return array_values($methods);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use JollyPenny\Core\Plan\Books\Equipment;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Sowing\TwoValues;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Gear;
use JollyPenny\Core\Season\Things\ThingKind;

/**
 * The numbers a set-up's answer is made of: prices, watts, years a thing lasts, what comes up and what lives.
 *
 * @phpstan-type Edits list<array{path: non-empty-list<string|int>, to: mixed}>
 */
final readonly class Inputs
{
    public function __construct(private Season $season, private SetupBooks $books)
    {
    }

    /**
     * Path, name and value of what the set-up uses; of what is known by its chances the edits for the bad and the good value, and both.
     *
     * @return list<array{non-empty-list<string|int>, string, float, ?array{Edits, Edits, float, float}}>
     */
    public function all(): array
    {
        $inputs = [];
        $add = function (string $list, string $id, string $key, string $name, float $value) use (&$inputs): void {
            $value <= 0.0 ?: $inputs[] = [[$list, $id, $key], $name, $value, null];
        };
        $season = $this->season;
        $lots = $offers = [];
        foreach ($this->books->plans as $plan) {
            $lots[$plan->lot->id] = $plan->lot;
            $offers += array_column($this->books->index->offersFor($plan->crop), null, 'id');
        }
        foreach ($lots as $lot) {
            $add('seed_lots', $lot->id, 'packet_price', "a packet of {$lot->variety}", $lot->packetPrice);
        }
        foreach ($this->books->plans as $plan) {
            // By what is known of the packet: from a bad one to a good one (costing rules, section 4).
            $lot = $plan->lot;
            [$bad, $good] = TwoValues::around($plan->viability->value, $plan->viability->deviation());
            $path = ['seed_lots', $lot->id, 'germination'];
            $to = fn (float $value): array => [['path' => $path, 'to' => min(1.0, $plan->viability->fresh * $value / $plan->viability->value)]];
            if (isset($lots[$lot->id])) {
                $inputs[] = [$path, "what comes up of {$lot->variety}", $plan->viability->value, [$to($bad), $to($good), $bad, $good]];
                unset($lots[$lot->id]);
            }
        }
        foreach (array_keys($this->books->supplies->pools) as $id) {
            $supply = $this->books->index->supplies[$id];
            $add('supplies', $supply->id, 'pack_price', "a pack of {$supply->name}", $supply->packPrice);
        }
        foreach ($season->containers as $container) {
            if (isset($this->books->containers->durable[$container->id]) || isset($this->books->containers->singleUse[$container->id])) {
                $add('containers', $container->id, 'pack_price', "{$container->name}, its price", $container->packPrice);
                $container->singleUse ?: $add('containers', $container->id, 'life_seasons', "{$container->name}, seasons it lasts", $container->lifeSeasons);
            }
        }
        foreach ($season->trayware as $tray) {
            if (isset($this->books->containers->trayware[$tray->id])) {
                $add('trayware', $tray->id, 'price', "{$tray->name}, its price", $tray->price);
                $add('trayware', $tray->id, 'life_seasons', "{$tray->name}, seasons it lasts", $tray->lifeSeasons);
            }
        }
        $used = array_flip(array_map(fn (Equipment $item): string => "{$item->kind} {$item->id}", $this->books->equipment->items));
        foreach (ThingKind::equipment() as $kind) {
            $list = (string) $kind->list();
            foreach ($kind->equipmentOf($season) as $thing) {
                if (! isset($used["{$kind->value} {$thing->id}"])) {
                    continue;
                }
                if (! $thing instanceof Gear) {
                    $add($list, $thing->id, 'watts', "{$thing->name}, its watts", $thing->watts);
                }
                $add($list, $thing->id, 'price', "{$thing->name}, its price", $thing->price);
                $add($list, $thing->id, 'life_seasons', "{$thing->name}, seasons it lasts", $thing->lifeSeasons);
            }
        }
        $season->nurseryTripCost <= 0.0 || $offers === [] ?: $inputs[] = [['nursery_trip_cost'], 'a trip to the nursery', $season->nurseryTripCost, null];
        if ($season->electricity->rate > 0.0) {
            $inputs[] = [['electricity', 'rate'], 'a kWh', $season->electricity->rate, null];
        }
        foreach (self::methods($this->books) as $method) {
            $whole = array_product(array_map(fn ($stage): float => $stage->survival, $method->stages));
            [$bad, $good] = TwoValues::around($whole, sqrt($season->luck * $whole * (1.0 - $whole)));
            $to = fn (float $value): array => array_map(fn (int $i, $stage): array => ['path' => ['methods', $method->id, 'stages', $i, 'survival'],
                'to' => $stage->survival ** (log($value) / log($whole))], array_keys($method->stages), $method->stages);
            if ($whole < 1.0 && $season->luck > 0.0) {
                $inputs[] = [['methods', $method->id], "what lives by “{$method->name}”", $whole, [$to($bad), $to($good), $bad, $good]];
            }
        }
        foreach ($season->nursery as $offer) {
            isset($offers[$offer->id]) && $add('nursery', $offer->id, 'price', "{$offer->name} at the nursery", $offer->price);
        }

        return $inputs;
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

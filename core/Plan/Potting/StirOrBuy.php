<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Potting;

use JollyPenny\Core\Season\Crops\Mix;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Things\Supply;
use JollyPenny\Core\Season\Things\SupplyUnit;
use JollyPenny\Core\Season\Units\Ceiling;

/** The litres of mix a season takes, stirred or bought: what a litre costs, what the till asks, and where it tips. */
final readonly class StirOrBuy
{
    /** The till is looked at up to so many times the season's litres. */
    private const TIMES = 2.5;

    private const POINTS = 120;

    /**
     * @param  list<string>  $bought  supplies that are filled in as they come
     */
    public function __construct(private Season $season, private float $litres, private array $bought)
    {
    }

    /** @return list<MixWay> the cheapest by the litre first */
    public function ways(): array
    {
        $supplies = array_column($this->season->supplies, null, 'id');
        $ways = [];
        foreach ($this->season->mixes as $mix) {
            $ways[] = [$mix->id, 'stirred', $mix->name, self::parts($mix), $mix->minutesPerL];
        }
        foreach ($this->season->supplies as $supply) {
            if ($supply->unit === SupplyUnit::Litre && in_array($supply->id, $this->bought, true)) {
                $ways[] = [$supply->id, 'bought', $supply->name, [$supply->id => 1.0], 0.0];
            }
        }
        $bag = $this->smallestBag($supplies);
        $made = array_map(fn (array $way): MixWay => $this->way($way, $supplies, $bag), $ways);
        usort($made, fn (MixWay $a, MixWay $b): int => $a->per_l <=> $b->per_l);

        return $made;
    }

    /**
     * @param  array{string, string, string, array<string, float>, float}  $way  id, kind, name, supply by litre of mix, minutes by litre
     * @param  array<string, Supply>  $supplies
     */
    private function way(array $way, array $supplies, ?Supply $bag): MixWay
    {
        [$id, $kind, $name, $parts, $minutes] = $way;
        $per = 0.0;
        $rows = [];
        $all = array_sum($parts);
        foreach ($parts as $supply => $share) {
            $row = $supplies[$supply];
            $per += $share * $row->unitPrice();
            $packs = self::packs($row, $share * $this->litres, $row->inStock);
            $rows[] = ['supply' => $row->id, 'name' => $row->name, 'share' => $share / $all, 'packs' => $packs];
        }
        $cash = array_sum(array_map(fn (array $one): float => $one['packs'] * $supplies[$one['supply']]->packPrice, $rows));
        $steps = [];
        $most = max(1.0, $this->litres * self::TIMES);
        for ($n = 0; $n <= self::POINTS; $n++) {
            $litres = $most * $n / self::POINTS;
            $steps[] = ['litres' => $litres, 'cash' => self::cash($parts, $supplies, $litres)];
        }
        $isBag = $bag !== null && array_keys($parts) === [$bag->id];

        return new MixWay(
            id: $id,
            kind: $kind,
            name: $name,
            per_l: $per,
            cash: $cash,
            hours: $minutes * $this->litres / 60.0,
            parts: $rows,
            steps: $steps,
            tips_at: $bag === null || $isBag ? null : $this->tips($parts, $supplies, $bag),
        );
    }

    /**
     * The litres from which this way never asks more than bags do, looked for by the half litre.
     *
     * @param  array<string, float>  $parts
     * @param  array<string, Supply>  $supplies
     */
    private function tips(array $parts, array $supplies, Supply $bag): ?float
    {
        $most = max(100.0, $this->litres * self::TIMES);
        $tip = null;
        for ($litres = 0.5; $litres <= $most; $litres += 0.5) {
            $dearer = self::cash($parts, $supplies, $litres) > self::cash([$bag->id => 1.0], $supplies, $litres) + 1e-9;
            $tip = $dearer ? null : $tip ?? $litres;
        }

        return $tip;
    }

    /**
     * @param  array<string, float>  $parts
     * @param  array<string, Supply>  $supplies
     */
    private static function cash(array $parts, array $supplies, float $litres): float
    {
        $cash = 0.0;
        foreach ($parts as $supply => $share) {
            $cash += self::packs($supplies[$supply], $share * $litres, 0.0) * $supplies[$supply]->packPrice;
        }

        return $cash;
    }

    private static function packs(Supply $supply, float $need, float $stock): int
    {
        return max(0, Ceiling::roundUp(($need - $stock) / $supply->usablePerPack()));
    }

    /**
     * The bought supply of the smallest pack.
     *
     * @param  array<string, Supply>  $supplies
     */
    private function smallestBag(array $supplies): ?Supply
    {
        $bags = array_filter(array_map(fn (string $id): ?Supply => $supplies[$id] ?? null, $this->bought));
        usort($bags, fn (Supply $a, Supply $b): int => $a->usablePerPack() <=> $b->usablePerPack());

        return $bags[0] ?? null;
    }

    /** @return array<string, float> of each supply by litre of mix, additives too */
    public static function parts(Mix $mix): array
    {
        $parts = [];
        $all = array_sum(array_column($mix->parts, 'parts'));
        foreach ($mix->parts as $part) {
            $parts[$part->supply] = ($parts[$part->supply] ?? 0.0) + $part->parts / ($all * (1.0 - $mix->shrinkage));
        }
        foreach ($mix->additives as $additive) {
            $parts[$additive->supply] = ($parts[$additive->supply] ?? 0.0) + $additive->amountPerL;
        }

        return $parts;
    }
}

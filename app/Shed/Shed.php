<?php

declare(strict_types=1);

namespace App\Shed;

use App\Models\LogRow;
use App\Models\Purchase;
use App\Models\Roll;
use App\Models\Season;
use App\Models\ShedItem;
use App\Models\User;
use App\Seasons\KeptSeason;
use JollyPenny\Core\Living\Shed\HandCount;
use JollyPenny\Core\Living\Shed\Leftover;
use JollyPenny\Core\Living\Shed\Leftovers;
use JollyPenny\Core\Living\Shed\StockOffer;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\SpeciesNames;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\ThingKind;
use stdClass;

/** What lies in a person's shed: what seasons left, what was bought since, what was thrown out. */
final readonly class Shed
{
    /**
     * @param  list<array{name: string, why: string}>  $stays  what undoing a roll has left as it is
     * @return array<string, mixed>
     */
    public function show(User $user, array $stays = []): array
    {
        $items = ShedItem::ofUser($user->id);
        /** @var list<Roll> $rolls */
        $rolls = Roll::query()->where('user_id', $user->id)->orderByDesc('id')->get()->values()->all();
        $seasons = Season::query()->where('user_id', $user->id)->pluck('name', 'id');
        /** @var list<Purchase> $bought */
        $bought = Purchase::query()->join('seasons', 'seasons.id', '=', 'purchases.season_id')->where('seasons.user_id', $user->id)
            ->whereNull('seasons.deleted_at')->whereNotIn('seasons.id', array_column($rolls, 'season_id'))
            ->whereIn('kind', array_column(ThingKind::kept(), 'value'))
            ->orderBy('purchases.name')->get(['purchases.*'])->values()->all();
        $last = array_values(array_filter($rolls, fn (Roll $roll): bool => isset($seasons[$roll->made_id])))[0] ?? null;
        $shown = fn (bool $gone): array => array_map(
            fn (ShedItem $item): array => $item->shown(),
            array_values(array_filter($items, fn (ShedItem $item): bool => ($item->gone_on !== null) === $gone)),
        );

        return [
            'items' => $shown(false),
            'gone' => $shown(true),
            // Bought for a season that is not over: it joins the shed when that rolls on.
            'bought' => array_map(fn (Purchase $one): array => ['kind' => $one->kind, 'name' => $one->name, 'packs' => $one->packs,
                'season' => $seasons[$one->season_id] ?? ''], $bought),
            'rolled' => $last === null ? null : ['id' => $last->id, 'from' => $seasons[$last->season_id] ?? '', 'made' => $seasons[$last->made_id]],
            'stays' => $stays,
        ];
    }

    /**
     * @param  array<string, int>  $cracked
     * @return list<Leftover>
     */
    public function leftovers(KeptSeason $kept, Setup $setup, array $cracked = []): array
    {
        $log = LogRow::book($kept->model->id);

        $books = $kept->lived($setup, $log);
        $bought = array_map(fn (Purchase $one) => $one->bought(), Purchase::ofSeason($kept->model->id));
        $left = Leftovers::fromBooks($books, $bought, $cracked, $log);

        return HandCount::insteadOf($left, ShedItem::counts($kept->model->user_id), $books, $bought, $log, $cracked);
    }

    /**
     * Where a season says other than the shed of what is there, by name; it keeps its own until told otherwise. Seed of which the season
     * has none is offered from another year's packet too, with its year.
     *
     * @return list<array{path: list<string>, name: string, now: float, shed: float, unit: string, to: float|bool,
     *     also: list<array{path: list<string>, to: int}>}>
     */
    public function offers(User $user, KeptSeason $kept): array
    {
        $there = [];
        foreach (ShedItem::ofUser($user->id) as $item) {
            $item->gone_on !== null || $there["{$item->kind} ".SpeciesNames::plain($item->name)][$item->packed_for] = $item;
        }
        $offers = [];
        foreach (ThingKind::kept() as $kind) {
            foreach (Cell::rows($kept->model->document->{$kind->list()} ?? null) as $row) {
                $byYear = $there["{$kind->value} ".SpeciesNames::plain(Cell::text($row->{$kind->nameKey()} ?? ''))] ?? [];
                $offer = $byYear === [] ? null : self::offer($kind, $row, $byYear);
                $offer === null ?: $offers[] = $offer;
            }
        }

        return $offers;
    }

    /**
     * @param  non-empty-array<int, ShedItem>  $byYear  of the thing, by the year it is packed for (0 for all but seed)
     * @return ?array{path: list<string>, name: string, now: float, shed: float, unit: string, to: float|bool,
     *     also: list<array{path: list<string>, to: int}>}
     */
    private static function offer(ThingKind $kind, stdClass $row, array $byYear): ?array
    {
        [$list, $id, $key] = [(string) $kind->list(), Cell::text($row->id), (string) $kind->stockKey()];
        $isSeed = $kind === ThingKind::Seed;
        $each = $isSeed ? (float) ($row->seeds_per_packet ?? 0) : 1.0;
        $kept = $key === 'owned' ? ($row->owned ?? false) === true : (float) ($row->{$key} ?? 0);
        $item = $byYear[$isSeed ? (int) ($row->packed_for ?? 0) : 0] ?? null;
        $also = [];
        $name = Cell::text($row->{$kind->nameKey()} ?? '');
        if ($item === null && $isSeed && StockOffer::isNone($key, $kept, $each)) {
            krsort($byYear);
            $item = array_values(array_filter($byYear, fn (ShedItem $one): bool => (float) $one->amount > 0.0))[0] ?? null;
            $item === null ?: $also[] = ['path' => [$list, $id, 'packed_for'], 'to' => $item->packed_for];
            $name .= $item === null ? '' : ", packed for {$item->packed_for}";
        }
        $offer = $item === null || $each <= 0.0 ? null : StockOffer::beside($key, $kept, $each, (float) $item->amount);

        return $item === null || $offer === null ? null : ['path' => [$list, $id, $key], 'name' => $name, 'now' => $offer->now, 'shed' => $offer->shed,
            'unit' => $item->unit, 'to' => $offer->to, 'also' => $also];
    }
}

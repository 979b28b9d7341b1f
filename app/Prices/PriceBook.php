<?php

declare(strict_types=1);

namespace App\Prices;

use App\Models\Price;
use App\Models\Purchase;
use App\Models\User;
use App\Seasons\KeptSeason;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Catalogue\Cell;
use JollyPenny\Core\Catalogue\SpeciesNames;
use JollyPenny\Core\Results\SeasonCosting;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\ThingKind;
use JollyPenny\Core\Units\Measure;
use stdClass;

/** A person's prices: kept once, shown by thing, and offered to a season, which keeps its own until told to take them. */
final readonly class PriceBook
{
    private const CHUNK = 1000;

    /** Things shown at once; a search finds the others. */
    private const SHOWN = 200;

    private const HISTORY = 24;

    private const SAME = 1e-6;

    /** Packs are printed in rounded numbers: "8 qt (7.6 L)". */
    private const ROUNDED = 0.01;

    /** How shops spell units, and the unit. */
    private const SPELLED = [
        '/^lit(re|er)s?$|^l$/' => 'L', '/^quarts?$|^qts$/' => 'qt', '/^gallons?$|^gals$/' => 'gal', '/^pints?$|^pts$/' => 'pt',
        '/^cubic (foot|feet)$|^cu ft ?$|^cf$/' => 'cu ft', '/^pounds?$|^lbs$/' => 'lb', '/^ounces?$/' => 'oz',
    ];

    /**
     * @param  list<PriceLine>  $lines
     * @return list<PriceLine> those that are not there yet, each once
     */
    public function newOnes(User $user, array $lines): array
    {
        $new = [];
        foreach ($lines as $line) {
            $new[$line->mark()] ??= $line;
        }
        foreach (array_chunk(array_keys($new), self::CHUNK) as $marks) {
            foreach (Price::query()->where('user_id', $user->id)->whereIn('mark', $marks)->pluck('mark') as $known) {
                unset($new[$known]);
            }
        }

        return array_values($new);
    }

    /** @param  list<PriceLine>  $lines */
    public function keep(User $user, array $lines): void
    {
        if (Price::query()->where('user_id', $user->id)->count() + count($lines) > Price::MOST) {
            throw ValidationException::withMessages(['file' => 'A price book holds '.number_format(Price::MOST).' lines. Take old ones out first.']);
        }
        foreach (array_chunk($lines, self::CHUNK) as $some) {
            Price::query()->insertOrIgnore(array_map(fn (PriceLine $line): array => $line->row($user->id), $some));
        }
    }

    /** @return array{things: list<array<string, mixed>>, more: int, lines: int} by thing, the one seen last first */
    public function things(User $user, string $find): array
    {
        $all = Price::query()->where('user_id', $user->id);
        $lines = (clone $all)->count();
        $find === '' ?: $all->whereRaw('lower(name) LIKE ?', ['%'.addcslashes(mb_strtolower($find), '%_\\').'%']);
        $names = (clone $all)->groupBy('name')->orderByRaw('max(seen_on) DESC, name')->limit(self::SHOWN + 1)->pluck('name')->all();
        $things = [];
        // Of a thing with thousands of prices only the newest are fetched.
        $numbered = (clone $all)->whereIn('name', array_slice($names, 0, self::SHOWN))
            ->selectRaw('*, row_number() OVER (PARTITION BY name ORDER BY seen_on DESC, id DESC) AS place');
        $newest = Price::query()->fromSub($numbered, 'prices')->where('user_id', $user->id)->where('place', '<=', self::HISTORY);
        foreach ($newest->orderBy('seen_on')->orderBy('id')->get() as $one) {
            $things[$one->name][] = ['id' => $one->id, 'shop' => $one->shop, 'holds' => $one->holds === null ? null : (float) $one->holds, 'unit' => $one->unit,
                'price' => (float) $one->price, 'currency' => $one->currency, 'on' => $one->seen_on->format('Y-m-d')];
        }

        return [
            'things' => array_values(array_map(
                fn (string $name): array => ['name' => $name, 'prices' => $things[$name] ?? []],
                array_slice($names, 0, self::SHOWN),
            )),
            'more' => max(0, count($names) - self::SHOWN),
            'lines' => $lines,
        ];
    }

    /**
     * What is in the book, or was paid, for things of the season by their name, in its currency, the newest; with what it would change.
     *
     * @return list<array{path: list<string>, name: string, now: float, price: float, shop: string, on: string, cost: float, cash: float}>
     */
    public function offers(User $user, KeptSeason $kept, Setup $setup): array
    {
        $newest = $this->newest($user, $kept->file->currency);
        $result = $kept->costing->setup($setup);
        $offers = [];
        foreach (ThingKind::cases() as $kind) {
            [$list, $named, $key, $holds] = [$kind->list() ?? '', $kind->nameKey(), $kind->priceKey(), $kind->holdsKey()];
            foreach (Cell::rows($kept->model->document->{$list} ?? null) as $row) {
                $found = $newest[SpeciesNames::plain(Cell::text($row->{$named} ?? ''))] ?? null;
                $now = (float) ($row->{$key} ?? 0);
                $another = $found !== null && $holds !== null && $found['holds'] !== null && ! self::isAsMuch($found['holds'], (float) ($row->{$holds} ?? 0));
                if ($found === null || $another || abs($found['price'] - $now) < self::SAME) {
                    continue;
                }
                $with = $this->with($kept, [$list, Cell::text($row->id), $key], $found['price'], $setup);
                $offers[] = ['path' => [$list, Cell::text($row->id), $key], 'name' => Cell::text($row->{$named}), 'now' => $now, 'price' => $found['price'],
                    'shop' => $found['shop'], 'on' => $found['on'], 'cost' => $with->cost - $result->cost, 'cash' => $with->cash_now - $result->cash_now];
            }
        }

        return $offers;
    }

    /** @return array<string, array{price: float, holds: ?float, shop: string, on: string}> by name, however it was spelled */
    private function newest(User $user, string $currency): array
    {
        $newest = [];
        $see = function (string $name, float $price, ?float $holds, string $shop, string $on) use (&$newest): void {
            $key = SpeciesNames::plain($name);
            if (! isset($newest[$key]) || $newest[$key]['on'] <= $on) {
                $newest[$key] = ['price' => $price, 'holds' => $holds, 'shop' => $shop, 'on' => $on];
            }
        };
        $all = Price::query()->where('user_id', $user->id)->where('currency', $currency)
            ->selectRaw('DISTINCT ON (lower(name)) *')->orderByRaw('lower(name), seen_on DESC, id DESC');
        foreach ($all->get() as $one) {
            $holds = $one->holds === null ? null : self::inCore((float) $one->holds, $one->unit);
            $see($one->name, (float) $one->price, $holds, $one->shop, $one->seen_on->format('Y-m-d'));
        }
        $bought = Purchase::query()->join('seasons', 'seasons.id', '=', 'purchases.season_id')->where('seasons.user_id', $user->id)
            ->whereNull('seasons.deleted_at')->whereRaw("seasons.document->>'currency' = ?", [$currency])->orderBy('bought_on')->get('purchases.*');
        foreach ($bought as $one) {
            $see($one->name, (float) $one->paid / $one->packs, null, $one->shop, $one->bought_on->format('Y-m-d'));
        }

        return $newest;
    }

    /** What a pack holds, in litres or kilograms where it is said in another unit of those. */
    private static function inCore(float $holds, string $unit): float
    {
        $plain = (string) preg_replace('/[\s.]+/', ' ', mb_strtolower(trim($unit)));
        $known = Measure::tryFrom((string) preg_replace(array_keys(self::SPELLED), self::SPELLED, $plain));

        return $known === null ? $holds : $known->toCore($holds);
    }

    private static function isAsMuch(float $one, float $other): bool
    {
        return abs($one - $other) <= max(self::SAME, self::ROUNDED * $other);
    }

    /** @param  array{string, string, string}  $path */
    private function with(KeptSeason $kept, array $path, float $price, Setup $setup): \JollyPenny\Core\Results\SetupResult
    {
        /** @var stdClass $document */
        $document = json_decode((string) json_encode($kept->model->document, JSON_PRESERVE_ZERO_FRACTION));
        foreach ($document->{$path[0]} as $row) {
            if ($row->id === $path[1]) {
                $row->{$path[2]} = $price;
            }
        }
        $season = (new SeasonReader())->readDocument($document);

        return (new SeasonCosting($season))->setup(array_column($season->setups, null, 'id')[$setup->id]);
    }
}

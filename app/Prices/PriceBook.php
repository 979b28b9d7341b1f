<?php

declare(strict_types=1);

namespace App\Prices;

use App\Models\Price;
use App\Models\Purchase;
use App\Models\User;
use App\Seasons\KeptSeason;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Shopping\PackOffer;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\SpeciesNames;
use JollyPenny\Core\Season\File\DocumentPath;
use JollyPenny\Core\Season\File\SeasonReader;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\ThingKind;
use JollyPenny\Core\Season\Units\Measure;
use stdClass;

/** A person's prices: kept once, shown by thing, and offered to a season, which keeps its own until told to take them. */
final readonly class PriceBook
{
    private const CHUNK = 1000;

    /** Things shown at once; a search finds the others. */
    private const SHOWN = 200;

    private const HISTORY = 24;

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
     * What is in the book, or was paid, for things of the season by their name, in its currency, the newest; with what it would change. Of
     * another pack, which comes to less for what is needed, also what it holds.
     *
     * @return list<array{path: list<string>, name: string, now: float, price: float, shop: string, on: string, cost: float, cash: float,
     *     also: list<array{path: list<string>, to: float|int}>}>
     */
    public function offers(User $user, KeptSeason $kept, Setup $setup): array
    {
        $newest = $this->newest($user, $kept->file->currency);
        $books = $kept->costing->books($setup);
        $result = $kept->costing->setup($setup);
        $needs = [];
        foreach (Shopping::fromBooks($books, [])->items as $item) {
            $needs["{$item->kind} {$item->id}"] = $item->lacking();
        }
        $offers = [];
        foreach (ThingKind::cases() as $kind) {
            [$list, $key, $holdsKey] = [$kind->list() ?? '', $kind->priceKey(), $kind->holdsKey()];
            foreach (Cell::rows($kept->model->document->{$list} ?? null) as $row) {
                $name = Cell::text($row->{$kind->nameKey()} ?? '');
                $now = (float) ($row->{$key} ?? 0);
                $holds = $holdsKey === null ? null : (float) ($row->{$holdsKey} ?? 0);
                $need = $needs["{$kind->value} ".Cell::text($row->id)] ?? 0.0;
                $found = PackOffer::best($newest[SpeciesNames::plain($name)] ?? [], $now, $holds, $need, (float) ($row->expansion ?? 1));
                if ($found === null) {
                    continue;
                }
                $path = fn (string $at): array => [$list, Cell::text($row->id), $at];
                $amount = $kind === ThingKind::Supply ? (float) $found->holds : (int) round((float) $found->holds);
                $also = ! $found->isPackOf($holds) ? [['path' => $path((string) $holdsKey), 'to' => $amount]] : [];
                $with = $this->with($kept, [...$also, ['path' => $path($key), 'to' => $found->price]], $setup);
                $offers[] = ['path' => $path($key), 'name' => $name, 'now' => $now, 'price' => $found->price, 'shop' => $found->shop,
                    'on' => $found->on, ...$with->dearerThan($result), 'also' => $also];
            }
        }

        return $offers;
    }

    /** @return array<string, list<PackOffer>> newest of each pack, the newest first, by name, however it was spelled */
    private function newest(User $user, string $currency): array
    {
        $lines = [];
        $see = function (string $name, float $price, ?float $holds, string $shop, string $on) use (&$lines): void {
            $lines[SpeciesNames::plain($name)][] = new PackOffer($price, $holds, $shop, $on);
        };
        $all = Price::query()->where('user_id', $user->id)->where('currency', $currency)
            ->selectRaw('DISTINCT ON (lower(name), holds, lower(unit)) *')->orderByRaw('lower(name), holds, lower(unit), seen_on DESC, id DESC');
        foreach ($all->get() as $one) {
            $holds = $one->holds === null ? null : self::inCore((float) $one->holds, $one->unit);
            $see($one->name, (float) $one->price, $holds, $one->shop, $one->seen_on->format('Y-m-d'));
        }
        /** @var list<Purchase> $bought */
        $bought = Purchase::query()->join('seasons', 'seasons.id', '=', 'purchases.season_id')->where('seasons.user_id', $user->id)
            ->whereNull('seasons.deleted_at')->whereRaw("seasons.document->>'currency' = ?", [$currency])
            ->orderBy('bought_on')->get('purchases.*')->values()->all();
        foreach ($bought as $one) {
            $see($one->name, $one->bought()->each(), null, $one->shop, $one->bought_on->format('Y-m-d'));
        }
        // Of one day, what was paid is surer than what was seen.
        foreach ($lines as &$some) {
            $some = array_reverse($some);
            usort($some, fn (PackOffer $a, PackOffer $b): int => $b->on <=> $a->on);
        }

        return $lines;
    }

    /** What a pack holds, in litres or kilograms where it is said in another unit of those. */
    private static function inCore(float $holds, string $unit): float
    {
        $plain = (string) preg_replace('/[\s.]+/', ' ', mb_strtolower(trim($unit)));
        $known = Measure::tryFrom((string) preg_replace(array_keys(self::SPELLED), self::SPELLED, $plain));

        return $known === null ? $holds : $known->toCore($holds);
    }

    /** @param  list<array{path: non-empty-list<string>, to: float|int}>  $edits */
    private function with(KeptSeason $kept, array $edits, Setup $setup): \JollyPenny\Core\Plan\Results\SetupResult
    {
        /** @var stdClass $document */
        $document = json_decode((string) json_encode($kept->model->document, JSON_PRESERVE_ZERO_FRACTION));
        foreach ($edits as ['path' => $path, 'to' => $to]) {
            (new DocumentPath($path))->set($document, $to);
        }
        $season = (new SeasonReader())->readDocument($document);

        return (new SeasonCosting($season))->setup(array_column($season->setups, null, 'id')[$setup->id]);
    }
}

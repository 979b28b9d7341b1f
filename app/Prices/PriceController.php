<?php

declare(strict_types=1);

namespace App\Prices;

use App\Http\CsvFile;
use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Models\Price;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Season\Units\Currency;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * A person's prices, by thing, shop, pack and day, in every season.
 *
 * @phpstan-type PriceBookShape array{
 *     things: list<array{
 *         name: string,
 *         prices: list<array{
 *             id: int,
 *             shop: string,
 *             holds: ?float,
 *             unit: string,
 *             price: float,
 *             currency: string,
 *             on: string,
 *         }>,
 *     }>,
 *     // 1 where there are more things than are shown
 *     more: int,
 *     lines: int,
 * }
 * @phpstan-type NewPriceShape array{
 *     name: string,
 *     shop?: ?string,
 *     holds?: ?float,
 *     unit?: ?string,
 *     price: float,
 *     currency: string,
 *     on: string,
 * }
 * @phpstan-type PriceTableShape array{
 *     // CSV in base64
 *     file: string,
 *     map?: array<string, int>,
 *     currency: string,
 *     dates: 'dmy'|'mdy',
 *     keep: bool,
 * }
 * @phpstan-type PriceTableReadShape array{
 *     headings: list<string>,
 *     map: array<string, int>,
 *     rows: int,
 *     new: int,
 *     known: int,
 *     faulty: int,
 *     faults: list<array{line: int, why: string}>,
 *     sample: list<PriceLine>,
 *     // beyond the sample
 *     more: int,
 *     kept: bool,
 * }
 * @phpstan-type PriceOffersShape array{
 *     offers: list<array{
 *         path: list<string>,
 *         name: string,
 *         now: float,
 *         price: float,
 *         shop: string,
 *         on: string,
 *         cost: float,
 *         cash: float,
 *         // what another pack holds
 *         also: list<array{path: list<string>, to: float}>,
 *     }>,
 * }
 */
final class PriceController
{
    /** Lines of a table that are shown before it is kept. */
    private const SAMPLE = 12;

    private const MOST_BYTES = 4_000_000;

    public function __construct(private readonly Gardener $gardener, private readonly PriceBook $book)
    {
    }

    #[OA\Get(path: '/api/prices', operationId: 'prices', summary: 'The price book, newest first', tags: ['Prices'])]
    #[OA\Parameter(name: 'find', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Prices by thing', content: new OA\JsonContent(ref: '#/components/schemas/PriceBook'))]
    public function index(Request $request): JsonResponse
    {
        return Json::response($this->book->things($this->gardener->user(), Text::in($request, 'find')));
    }

    #[OA\Get(path: '/api/prices.csv', operationId: 'pricesFile', summary: 'The price book as a table', tags: ['Prices'])]
    #[OA\Response(response: 200, description: 'CSV, RFC 4180', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function file(): Response
    {
        return CsvFile::response('prices', self::lines($this->gardener->user()->id));
    }

    /** @return iterable<list<string|float|null>> the heading, then a line at a time */
    private static function lines(int $user): iterable
    {
        yield ['thing', 'shop', 'holds', 'unit', 'price', 'currency', 'date'];
        // Plain rows: as many models would take ten times as long.
        foreach (Price::query()->toBase()->where('user_id', $user)->orderBy('name')->orderBy('seen_on')->cursor() as $one) {
            $holds = $one->holds === null ? null : (float) $one->holds;
            yield [$one->name, $one->shop, $holds, $one->unit, (float) $one->price, $one->currency, $one->seen_on];
        }
    }

    #[OA\Post(path: '/api/prices', operationId: 'addPrice', summary: 'A price seen', tags: ['Prices'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPrice'))]
    #[OA\Response(response: 204, description: 'Kept')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request): Response
    {
        $input = $request->validate([
            'name' => ['required', 'string', 'max:200'],
            'shop' => ['nullable', 'string', 'max:100'],
            'holds' => ['nullable', 'numeric', 'between:0.0001,1000000000'],
            'unit' => ['nullable', 'string', 'max:20'],
            'price' => ['required', 'numeric', 'between:0,1000000000'],
            'currency' => ['required', 'string', Rule::in(array_column(Currency::all(), 'code'))],
            'on' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:1990-01-01', 'before:2100-01-01'],
        ], ['on.*' => 'Type a date as year-month-day, for example 2027-04-08.', 'price.*' => 'Give a price from 0 on.']);
        $this->book->keep($this->gardener->user(), [new PriceLine(trim($input['name']), trim($input['shop'] ?? ''),
            isset($input['holds']) ? (float) $input['holds'] : null, trim($input['unit'] ?? ''), (float) $input['price'], $input['currency'], $input['on'])]);

        return new Response(status: 204);
    }

    #[OA\Delete(path: '/api/prices/{price}', operationId: 'removePrice', summary: 'Take a price out', tags: ['Prices'])]
    #[OA\Parameter(name: 'price', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 204, description: 'Gone')]
    public function destroy(int $price): Response
    {
        Price::query()->where('user_id', $this->gardener->user()->id)->whereKey($price)->delete();

        return new Response(status: 204);
    }

    #[OA\Post(
        path: '/api/prices/table',
        operationId: 'priceTable',
        summary: 'A table of prices: looked at first, then kept; nothing twice',
        tags: ['Prices'],
    )]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PriceTable'))]
    #[OA\Response(response: 200, description: 'What is in it', content: new OA\JsonContent(ref: '#/components/schemas/PriceTableRead'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function table(Request $request): JsonResponse
    {
        $input = $request->validate([
            'file' => ['present', 'nullable', 'string'],
            'map' => ['nullable', 'array:'.implode(',', Headings::columns())],
            'map.*' => ['integer', 'between:0,200'],
            'currency' => ['required', 'string', Rule::in(array_column(Currency::all(), 'code'))],
            'dates' => ['required', Rule::in(['dmy', 'mdy'])],
            'keep' => ['required', 'boolean'],
        ]);
        $bytes = base64_decode((string) ($input['file'] ?? ''), true);
        if ($bytes === false || strlen($bytes) > self::MOST_BYTES) {
            throw ValidationException::withMessages(['file' => 'This file is larger than 4 MB. Split it.']);
        }
        /** @var ?array<string, int> $map */
        $map = isset($input['map']) ? array_map(intval(...), $input['map']) : null;
        try {
            $table = PriceTable::parse($bytes, $map, $input['currency'], $input['dates'], now()->toDateString());
        } catch (NotATable $e) {
            throw ValidationException::withMessages(['file' => $e->getMessage()]);
        }
        $user = $this->gardener->user();
        $new = $this->book->newOnes($user, $table->lines);
        $input['keep'] && $this->book->keep($user, $new);

        return Json::response([
            'headings' => $table->headings,
            'map' => (object) $table->map,
            'rows' => $table->rows,
            'new' => count($new),
            'known' => count($table->lines) - count($new),
            'faulty' => $table->faulty,
            'faults' => $table->faults,
            'sample' => array_slice($new, 0, self::SAMPLE),
            'more' => max(0, count($new) - self::SAMPLE),
            'kept' => (bool) $input['keep'],
        ]);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/prices',
        operationId: 'pricesOf',
        summary: 'What the price book would change in a season',
        tags: ['Prices'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Its offers', content: new OA\JsonContent(ref: '#/components/schemas/PriceOffers'))]
    public function offers(int $season, string $setup): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException;

        return Json::response(['offers' => $this->book->offers($this->gardener->user(), $kept, $row)]);
    }
}

<?php

declare(strict_types=1);

namespace App\Shopping;

use App\Http\CsvFile;
use App\Http\Gardener;
use App\Http\Json;
use App\Models\LogRow;
use App\Models\Purchase;
use App\Seasons\KeptSeason;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Shopping\Purchase as Bought;
use JollyPenny\Core\Living\Shopping\Shopping;
use JollyPenny\Core\Season\Things\ThingKind;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * The list for the shops, and what was bought of it.
 *
 * @phpstan-type ShoppingStateShape array{shopping: Shopping, purchases: list<Bought>, shops: list<string>}
 * @phpstan-type NewPurchaseShape array{
 *     kind: 'seed'|'supply'|'container'|'trayware'|'light'|'mat'|'appliance'|'gear'|'nursery'|'trip',
 *     thing: string,
 *     name: string,
 *     packs: int,
 *     paid: float,
 *     on: string,
 *     shop?: ?string,
 *     note?: ?string,
 * }
 */
final class ShoppingController
{
    /** Days from the season's year on either side on which something can have been bought. */
    private const DAYS = 800;

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/shopping',
        operationId: 'shopping',
        summary: 'Whole packs to buy, when each is needed, what was bought, what is still to pay',
        tags: ['Shopping'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The list', content: new OA\JsonContent(ref: '#/components/schemas/ShoppingState'))]
    public function show(int $season, string $setup): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        $purchases = Purchase::ofSeason($season);

        return Json::response([
            'shopping' => self::list($kept, $setup, $purchases),
            'purchases' => array_map(fn (Purchase $one) => $one->bought(), $purchases),
            'shops' => array_values(array_unique(array_filter(array_column($purchases, 'shop')))),
        ]);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/shopping.csv',
        operationId: 'shoppingFile',
        summary: 'The list as a table',
        tags: ['Shopping'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'CSV, RFC 4180', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function file(int $season, string $setup): Response
    {
        $list = self::list($this->gardener->kept($season), $setup, Purchase::ofSeason($season));
        $rows = [['where', 'kind', 'what', 'packs', 'price', 'cost', 'by', 'bought', 'paid', 'left', 'still to pay']];
        foreach ($list->items as $one) {
            $rows[] = [$one->where, $one->kind, $one->name, $one->packs, $one->price, $one->planned, $one->order_by,
                $one->bought, $one->paid, $one->left, $one->still];
        }
        foreach ($list->unneeded as $one) {
            $rows[] = ['', $one->kind, $one->name, 0, '', 0, '', $one->packs, $one->paid, 0, 0];
        }
        $rows[] = ['', '', 'total', '', '', $list->planned, '', '', $list->paid, '', $list->still];

        return CsvFile::response('shopping', $rows);
    }

    #[OA\Put(
        path: '/api/seasons/{season}/purchases/{token}',
        operationId: 'buy',
        summary: 'Something was bought; sent again, it counts once',
        tags: ['Shopping'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'token', in: 'path', required: true, description: 'given where it was written down', schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPurchase'))]
    #[OA\Response(response: 204, description: 'Kept')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function buy(Request $request, int $season, string $token): Response
    {
        $kept = $this->gardener->season($season);
        $input = $request->validate([
            'kind' => ['required', Rule::enum(ThingKind::class)],
            'thing' => ['required', 'string', 'max:100'],
            'name' => ['required', 'string', 'max:200'],
            'packs' => ['required', 'integer', 'between:1,1000000'],
            'paid' => ['required', 'numeric', 'between:0,1000000000'],
            'on' => ['required', 'date_format:Y-m-d'],
            'shop' => ['nullable', 'string', 'max:100'],
            'note' => ['nullable', 'string', 'max:300'],
        ], [
            'packs.*' => 'Say how many packs: a whole number from 1 on.',
            'paid.*' => 'Type what was paid as a number from 0 on.',
            'on.*' => 'Type a date as year-month-day, for example 2027-04-08.',
        ]);
        if (abs(Carbon::parse($input['on'])->diffInDays(Carbon::create($kept->year, 7), false)) > self::DAYS) {
            throw ValidationException::withMessages(['on' => "That is too far from the season of {$kept->year}. Give the day you bought it."]);
        }
        if (Purchase::query()->where('season_id', $kept->id)->where('token', '<>', $token)->count() >= Purchase::MOST) {
            throw ValidationException::withMessages(['thing' => 'There are '.Purchase::MOST.' purchases here already.']);
        }
        Purchase::query()->updateOrCreate(['season_id' => $kept->id, 'token' => $token], [
            'kind' => $input['kind'],
            'thing' => $input['thing'],
            'name' => $input['name'],
            'packs' => (int) $input['packs'],
            'paid' => (string) round((float) $input['paid'], 4),
            'bought_on' => $input['on'],
            'shop' => trim($input['shop'] ?? ''),
            'note' => trim($input['note'] ?? ''),
        ]);

        return new Response(status: 204);
    }

    #[OA\Delete(
        path: '/api/seasons/{season}/purchases/{token}',
        operationId: 'unbuy',
        summary: 'It was not bought after all',
        tags: ['Shopping'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'Gone')]
    public function unbuy(int $season, string $token): Response
    {
        Purchase::query()->where('season_id', $this->gardener->season($season)->id)->where('token', $token)->delete();

        return new Response(status: 204);
    }

    /** @param  list<Purchase>  $purchases */
    private static function list(KeptSeason $kept, string $setup, array $purchases): Shopping
    {
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException;

        return Shopping::fromBooks($kept->lived($row, LogRow::book($kept->model->id)), array_map(fn (Purchase $one) => $one->bought(), $purchases),
            $kept->costing->books($row));
    }
}

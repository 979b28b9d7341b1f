<?php

declare(strict_types=1);

namespace App\Shed;

use App\Http\Gardener;
use App\Http\Json;
use App\Models\LogRow;
use App\Models\Roll;
use App\Models\ShedItem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Shed\Leftover;
use JollyPenny\Core\Living\Shed\SeedWorth;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Season\Things\ThingKind;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * The shed: seed, mix, pots and lamps across seasons, and the roll from one season to the next.
 *
 * @phpstan-type ShedItemShape array{
 *     id: int,
 *     kind: string,
 *     name: string,
 *     packed_for: ?int,
 *     amount: float,
 *     unit: string,
 *     served: int,
 *     place: string,
 *     tests: list<array{on: string, sown: int, sprouted: int}>,
 *     gone_on: ?string,
 *     gone_why: string,
 * }
 * @phpstan-type ShedShape array{
 *     items: list<ShedItemShape>,
 *     gone: list<ShedItemShape>,
 *     bought: list<array{kind: string, name: string, packs: int, season: string}>,
 *     rolled: ?array{id: int, from: string, made: string},
 *     stays: list<array{name: string, why: string}>,
 * }
 * @phpstan-type NewShedItemShape array{
 *     kind: 'seed'|'supply'|'container'|'trayware'|'light'|'mat'|'appliance'|'gear',
 *     name: string,
 *     amount: float,
 *     packed_for?: ?int,
 *     place?: ?string,
 * }
 * @phpstan-type ShedChangeShape array{
 *     amount?: float,
 *     place?: ?string,
 *     gone?: ?string,
 *     back?: bool,
 *     test?: array{on: string, sown: int, sprouted: int},
 * }
 * @phpstan-type LeftoversShape array{leftovers: list<Leftover>, rolled: bool, begun: bool}
 * @phpstan-type NewRollShape array{setup: string, cracked?: array<string, int>}
 * @phpstan-type SeedWorthsShape array{lots: list<SeedWorth>}
 * @phpstan-type ShedOffersShape array{
 *     offers: list<array{
 *         path: list<string>,
 *         name: string,
 *         now: float,
 *         shed: float,
 *         unit: string,
 *         to: float|bool,
 *         // the year of other seed
 *         also: list<array{path: list<string>, to: float}>,
 *     }>,
 * }
 */
final class ShedController
{
    public function __construct(private readonly Gardener $gardener, private readonly Shed $shed, private readonly Rolls $rolls)
    {
    }

    #[OA\Get(path: '/api/shed', operationId: 'shed', summary: 'What lies in the shed', tags: ['Shed'])]
    #[OA\Response(response: 200, description: 'The shed', content: new OA\JsonContent(ref: '#/components/schemas/Shed'))]
    public function show(): JsonResponse
    {
        return Json::response($this->shed->show($this->gardener->user()));
    }

    #[OA\Post(path: '/api/shed', operationId: 'putIntoShed', summary: 'Put something into the shed', tags: ['Shed'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewShedItem'))]
    #[OA\Response(response: 200, description: 'The shed', content: new OA\JsonContent(ref: '#/components/schemas/Shed'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request): JsonResponse
    {
        $user = $this->gardener->user();
        $input = $request->validate([
            'kind' => ['required', Rule::in(array_column(ThingKind::kept(), 'value'))],
            'name' => ['required', 'string', 'max:200'],
            'amount' => ['required', 'numeric', 'between:0,1000000000'],
            'packed_for' => ['nullable', 'integer', 'between:1950,2100', 'required_if:kind,seed'],
            'place' => ['nullable', 'string', 'max:100'],
        ], ['packed_for.*' => 'Say for which year the seed was packed.', 'amount.*' => 'Type the amount as a number from 0 on.']);
        if (ShedItem::query()->where('user_id', $user->id)->count() >= ShedItem::MOST) {
            throw ValidationException::withMessages(['name' => 'The shed holds '.ShedItem::MOST.' things. Throw something out first.']);
        }
        $item = ShedItem::query()->firstOrNew(['user_id' => $user->id, 'kind' => $input['kind'], 'name' => trim($input['name']),
            'packed_for' => $input['kind'] === 'seed' ? (int) $input['packed_for'] : 0]);
        $item->fill(['amount' => (string) round((float) $input['amount'], 4), 'place' => trim($input['place'] ?? $item->place ?? ''), 'gone_on' => null,
            'counted_on' => now()->toDateString(),
            'unit' => $item->unit ?? ThingKind::from($input['kind'])->unit()])->save();

        return $this->show();
    }

    #[OA\Patch(
        path: '/api/shed/{item}',
        operationId: 'changeShedItem',
        summary: 'How much is left, where it lies, a test of it; gone or back',
        tags: ['Shed'],
    )]
    #[OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/ShedChange'))]
    #[OA\Response(response: 200, description: 'The shed', content: new OA\JsonContent(ref: '#/components/schemas/Shed'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function update(Request $request, int $item): JsonResponse
    {
        /** @var ShedItem $row */
        $row = ShedItem::query()->where('user_id', $this->gardener->user()->id)->findOrFail($item);
        $input = $request->validate([
            'amount' => ['numeric', 'between:0,1000000000'],
            'place' => ['nullable', 'string', 'max:100'],
            'gone' => ['nullable', 'string', 'max:100'],
            'back' => ['boolean'],
            'test' => ['array:on,sown,sprouted'],
            'test.on' => ['required_with:test', 'date_format:Y-m-d'],
            'test.sown' => ['required_with:test', 'integer', 'between:1,1000'],
            'test.sprouted' => ['required_with:test', 'integer', 'min:0', 'lte:test.sown'],
        ], ['test.sprouted.*' => 'No more can come up than were sown.', 'test.*' => 'Type “of 10, 7 came up”.']);
        if (isset($input['amount'])) {
            $row->fill(['amount' => (string) round((float) $input['amount'], 4), 'counted_on' => now()->toDateString()]);
        }
        array_key_exists('place', $input) && $row->place = trim((string) $input['place']);
        if (isset($input['gone'])) {
            $row->fill(['gone_on' => now()->toDateString(), 'gone_why' => trim($input['gone'])]);
        }
        ($input['back'] ?? false) && $row->fill(['gone_on' => null, 'gone_why' => '']);
        if (isset($input['test'])) {
            $test = ['on' => $input['test']['on'], 'sown' => (int) $input['test']['sown'], 'sprouted' => (int) $input['test']['sprouted']];
            $row->tests = array_slice([...$row->tests, $test], -ShedItem::TESTS);
            // The seeds of a test are gone.
            $row->amount = (string) max(0, round((float) $row->amount - $test['sown'], 4));
        }
        $row->save();

        return $this->show();
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/leftovers',
        operationId: 'leftovers',
        summary: 'What the season leaves, by its plan and what was bought',
        tags: ['Shed'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'What is left', content: new OA\JsonContent(ref: '#/components/schemas/Leftovers'))]
    public function leftovers(int $season, string $setup): JsonResponse
    {
        $kept = $this->gardener->kept($season);

        return Json::response([
            'leftovers' => $this->shed->leftovers($kept, self::row($kept->file->setups, $setup)),
            'rolled' => Roll::query()->where('season_id', $season)->exists(),
            'begun' => LogRow::book($kept->model->id)->firstDay() !== null,
        ]);
    }

    #[OA\Post(
        path: '/api/seasons/{season}/roll',
        operationId: 'roll',
        summary: 'The season ends, the next begins with what is left',
        tags: ['Shed'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewRoll'))]
    #[OA\Response(response: 201, description: 'The next season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonMade'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function roll(Request $request, int $season): JsonResponse
    {
        $input = $request->validate([
            'setup' => ['required', 'string', 'max:100'],
            'cracked' => ['nullable', 'array', 'max:500'],
            'cracked.*' => ['integer', 'between:0,1000000'],
        ]);
        $kept = $this->gardener->kept($season);
        /** @var array<string, int> $cracked */
        $cracked = array_map(intval(...), $input['cracked'] ?? []);

        $leftovers = $this->shed->leftovers($kept, self::row($kept->file->setups, $input['setup']), $cracked);

        return Json::response(['id' => $this->rolls->roll($this->gardener->user(), $kept, $leftovers)->id], 201);
    }

    #[OA\Delete(path: '/api/rolls/{roll}', operationId: 'rollBack', tags: ['Shed'],
        summary: 'Undo a roll: its own changes to the shed, and the season it made')]
    #[OA\Parameter(name: 'roll', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The shed', content: new OA\JsonContent(ref: '#/components/schemas/Shed'))]
    public function rollBack(int $roll): JsonResponse
    {
        $user = $this->gardener->user();
        /** @var Roll $row */
        $row = Roll::query()->where('user_id', $user->id)->findOrFail($roll);

        return Json::response($this->shed->show($user, $this->rolls->undo($user, $row)));
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/seed-worth',
        operationId: 'seedWorth',
        summary: 'Old seed: to keep, to test or to throw out',
        tags: ['Shed'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Each packet', content: new OA\JsonContent(ref: '#/components/schemas/SeedWorths'))]
    public function seedWorth(int $season, string $setup): JsonResponse
    {
        $kept = $this->gardener->kept($season);

        return Json::response(['lots' => SeedWorth::all($kept->costing, self::row($kept->file->setups, $setup))]);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/shed',
        operationId: 'shedOffers',
        summary: 'Where the season says other than the shed of what is there',
        tags: ['Shed'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'Its offers', content: new OA\JsonContent(ref: '#/components/schemas/ShedOffers'))]
    public function offers(int $season): JsonResponse
    {
        return Json::response(['offers' => $this->shed->offers($this->gardener->user(), $this->gardener->kept($season))]);
    }

    /** @param  list<Setup>  $setups */
    private static function row(array $setups, string $id): Setup
    {
        return array_column($setups, null, 'id')[$id] ?? throw new NotFoundHttpException;
    }
}

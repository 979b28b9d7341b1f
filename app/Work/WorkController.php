<?php

declare(strict_types=1);

namespace App\Work;

use App\Http\Gardener;
use App\Http\Json;
use App\Jobs\DoWork;
use App\Models\Work;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rules\Enum;
use JollyPenny\Core\Deciding\Advising\Flip;
use JollyPenny\Core\Deciding\Advising\LeavingDay;
use JollyPenny\Core\Deciding\Advising\Lever;
use JollyPenny\Core\Deciding\Advising\OneMoreLamp;
use JollyPenny\Core\Deciding\Advising\Weighed;
use JollyPenny\Core\Deciding\Choosing\Budgeted;
use JollyPenny\Core\Deciding\Choosing\BudgetYear;
use JollyPenny\Core\Deciding\Simulating\Simulated;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * What takes longer than an answer may: begun, looked after, stopped.
 *
 * @phpstan-type NewWorkShape array{kind: WorkKind, setup: string, amount?: float}
 * @phpstan-type WorkShape array{
 *     id: int,
 *     kind: string,
 *     setup: string,
 *     revision: int,
 *     state: 'waiting'|'working'|'done'|'failed'|'stopped',
 *     done: int,
 *     // 0 where nobody knows
 *     total: int,
 *     budget?: Budgeted,
 *     budget_years?: list<BudgetYear>,
 *     advice?: array{changes: list<Weighed>, left_out: array<string, int>},
 *     hangs_on?: array{levers: list<Lever>, flips: list<Flip>},
 *     simulation?: Simulated,
 *     room?: array{lamps: list<OneMoreLamp>, leaving: list<LeavingDay>},
 * }
 */
final class WorkController
{
    /** At a time, for one person. */
    private const MOST = 2;

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Post(path: '/api/seasons/{season}/work', operationId: 'beginWork', summary: 'Begin working something out', tags: ['Work'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewWork'))]
    #[
        OA\Response(
            response: 202,
            description: 'Begun, or done before for the same season',
            content: new OA\JsonContent(ref: '#/components/schemas/Work'),
        ),
    ]
    #[OA\Response(response: 409, description: 'Two things are being worked out already')]
    public function store(Request $request, int $season): JsonResponse
    {
        $input = $request->validate(['kind' => ['required', new Enum(WorkKind::class)], 'setup' => ['required', 'string', 'max:100'],
            'amount' => ['nullable', 'numeric', 'between:0,1000000000']], ['amount.*' => 'Give an amount of money from 0 on.']);
        $kept = $this->gardener->kept($season);
        in_array($input['setup'], array_column($kept->file->setups, 'id'), true) ?: throw new NotFoundHttpException();
        $same = [
            'season_id' => $kept->model->id,
            'revision' => $kept->model->revision,
            'kind' => $input['kind'],
            'setup' => $input['setup'],
            'amount' => (string) round((float) ($input['amount'] ?? 0), 4),
        ];
        Work::giveUpOnTheLost($this->gardener->user()->id);
        /** @var ?Work $work */
        $work = Work::query()
            ->where($same)
            ->whereIn('state', ['done', ...Work::ACTIVE])
            ->first();
        if ($work === null) {
            $user = $this->gardener->user();
            if (Work::query()->where('user_id', $user->id)->whereIn('state', Work::ACTIVE)->count() >= self::MOST) {
                throw new ConflictHttpException('Two things are being worked out for you already. Wait for one of them, or stop it.');
            }
            $expected = WorkKind::from($input['kind'])->expectedSeconds(count($kept->file->crops));
            $work = Work::query()->create(['user_id' => $user->id, 'expected' => $expected, ...$same]);
            DoWork::dispatch(false);
            $expected >= Turn::QUICK || DoWork::dispatch(true);
            $work->refresh();
        }

        return self::answer($work, 202);
    }

    #[OA\Get(path: '/api/seasons/{season}/work/{work}', operationId: 'work', summary: 'How far it is, and what came of it', tags: ['Work'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'work', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The work', content: new OA\JsonContent(ref: '#/components/schemas/Work'))]
    public function show(int $season, int $work): JsonResponse
    {
        Work::giveUpOnTheLost($this->gardener->user()->id);

        return self::answer($this->find($season, $work));
    }

    #[OA\Delete(path: '/api/seasons/{season}/work/{work}', operationId: 'stopWork', summary: 'Stop it', tags: ['Work'])]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'work', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 204, description: 'Stopped')]
    public function destroy(int $season, int $work): Response
    {
        Work::query()
            ->whereKey($this->find($season, $work)->id)
            ->whereIn('state', Work::ACTIVE)
            ->update(['state' => 'stopped']);

        return new Response(status: 204);
    }

    private function find(int $season, int $work): Work
    {
        /** @var Work */
        return Work::query()
            ->where('season_id', $this->gardener->season($season)->id)
            ->findOrFail($work);
    }

    private static function answer(Work $work, int $status = 200): JsonResponse
    {
        // A set-up that was made is added by its work; any other result is looked at first.
        $shown = match (true) {
            // Advice is shown as it is found.
            $work->state === 'working' && $work->result !== null => [$work->kind->value => $work->result],
            $work->state !== 'done' => [],
            in_array($work->kind, [WorkKind::Budget, WorkKind::SeasonBudget], true) => ['budget' => $work->result],
            $work->kind === WorkKind::Mix => [],
            default => [$work->kind->value => $work->result],
        };

        return Json::response([...$work->only(['id', 'kind', 'setup', 'revision', 'state', 'done', 'total']), ...$shown], $status);
    }
}

<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Http\Json;
use App\Models\LogRow;
use App\Seasons\KeptSeason;
use Illuminate\Http\JsonResponse;
use JollyPenny\Core\Plan\Potting\Potting;
use JollyPenny\Core\Season\Setup;
use JollyPenny\Core\Showing\Bench\Bench;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A set-up's places with what stands, lights and warms there; its pots and its mix. */
final class BenchController
{
    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/bench',
        operationId: 'bench',
        summary: 'Places day by day, what lights and warms them, the bill by month, soil at the seed',
        tags: ['Bench'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The bench', content: new OA\JsonContent(ref: '#/components/schemas/Bench'))]
    public function bench(int $season, string $setup): JsonResponse
    {
        [$kept, $row] = $this->find($season, $setup);

        $log = LogRow::book($season);

        return Json::response(Bench::fromBooks($kept->lived($row, $log), $log));
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/pots',
        operationId: 'pots',
        summary: 'What a filling costs, litres of mix, stirring or buying, supplies and feed',
        tags: ['Bench'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Pots and mix', content: new OA\JsonContent(ref: '#/components/schemas/Potting'))]
    public function pots(int $season, string $setup): JsonResponse
    {
        [$kept, $row] = $this->find($season, $setup);

        return Json::response(Potting::fromBooks($kept->costing->books($row)));
    }

    /** @return array{KeptSeason, Setup} */
    private function find(int $season, string $setup): array
    {
        $kept = $this->gardener->kept($season);

        return [$kept, array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException];
    }
}

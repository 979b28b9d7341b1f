<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Http\CsvFile;
use App\Http\Gardener;
use App\Http\Json;
use App\Seasons\KeptSeason;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Plan\Ledger\Ledger;
use JollyPenny\Core\Season\Setup;
use OpenApi\Attributes as OA;
use PhpOffice\PhpSpreadsheet\IOFactory;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * What a season costs, crop by crop and head by head: on screen, as a table, and as a workbook that can be changed and read back.
 *
 * @phpstan-type WorkbookShape array{
 *     // xlsx or ods, in base64
 *     file: string,
 * }
 * @phpstan-type WorkbookChangesShape array{changes: list<array{path: list<string|int>, label: string, from: float, to: float}>}
 */
final class LedgerController
{
    private const FORMATS = [
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'ods' => 'application/vnd.oasis.opendocument.spreadsheet',
    ];

    /** Crops up to which formulas are sent with their values. */
    private const RECKONED = 100;

    private const MOST_BYTES = 4_000_000;

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/ledger',
        operationId: 'ledger',
        summary: 'Crops by heads, every row and column adding up to the coin',
        tags: ['Ledger'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The ledger', content: new OA\JsonContent(ref: '#/components/schemas/Ledger'))]
    public function show(int $season, string $setup): JsonResponse
    {
        [$kept, $row] = $this->find($season, $setup);

        return Json::response(Ledger::forSetup($kept->costing, $row));
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/ledger.csv',
        operationId: 'ledgerFile',
        summary: 'The ledger as a table',
        tags: ['Ledger'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'CSV, RFC 4180', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function file(int $season, string $setup): Response
    {
        [$kept, $row] = $this->find($season, $setup);
        $ledger = Ledger::forSetup($kept->costing, $row);
        $rows = [['crop', 'how', ...array_column($ledger->heads, 'words'), 'total', 'plants of use', 'cost per finished seedling']];
        foreach ($ledger->rows as $line) {
            $rows[] = [$line->name, $line->method ?? 'bought', ...array_values($line->heads), $line->cost, $line->useful, $line->per_finished];
        }
        $rows[] = ['total', '', ...array_values($ledger->totals), $ledger->cost, null, $ledger->per_finished];

        return CsvFile::response('ledger', $rows);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/result.json',
        operationId: 'resultFile',
        summary: 'The set-up\'s result, as bin/jolly cost prints it',
        tags: ['Ledger'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The result', content: new OA\JsonContent(ref: '#/components/schemas/Result'))]
    public function result(int $season, string $setup): JsonResponse
    {
        [$kept, $row] = $this->find($season, $setup);
        $answer = Json::response($kept->costing->result($row->id));
        $answer->headers->set('Content-Disposition', 'attachment; filename="jolly-penny-result.json"');

        return $answer;
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/workbook.{format}',
        operationId: 'workbook',
        summary: 'The ledger as a workbook with live formulas',
        tags: ['Ledger'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'format', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['xlsx', 'ods']))]
    #[OA\Response(response: 200, description: 'The workbook', content: new OA\MediaType(mediaType: 'application/octet-stream'))]
    public function workbook(int $season, string $setup, string $format): Response
    {
        [$kept, $row] = $this->find($season, $setup);
        $writer = IOFactory::createWriter(LedgerWorkbook::forSetup($kept->costing, $row), ucfirst($format));
        // A spreadsheet program reckons them anyway; small ones are reckoned here too, for those that only show.
        $writer->setPreCalculateFormulas(count($kept->file->crops) <= self::RECKONED);
        ob_start();
        $writer->save('php://output');

        return new Response((string) ob_get_clean(), 200, [
            'Content-Type' => self::FORMATS[$format],
            'Content-Disposition' => "attachment; filename=\"jolly-penny-ledger.{$format}\"",
            'Cache-Control' => 'private, no-cache',
        ]);
    }

    #[OA\Post(
        path: '/api/seasons/{season}/workbook',
        operationId: 'readWorkbook',
        summary: 'A filled workbook read back: what was changed in it, to be taken over one by one',
        tags: ['Ledger'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Workbook'))]
    #[OA\Response(response: 200, description: 'Its changes', content: new OA\JsonContent(ref: '#/components/schemas/WorkbookChanges'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function read(Request $request, int $season): JsonResponse
    {
        $kept = $this->gardener->season($season);
        $coded = $request->input('file');
        $content = is_string($coded) ? base64_decode($coded, true) : false;
        if ($content === false || strlen($content) > self::MOST_BYTES) {
            throw ValidationException::withMessages(['file' => 'This is no workbook of at most 4 MB. Download the ledger as a workbook and change that.']);
        }
        $file = new UploadedBytes($content);
        try {
            return Json::response(['changes' => WorkbookChanges::read($file->path, $kept->document)]);
        } catch (NotAWorkbook $e) {
            throw ValidationException::withMessages(['file' => $e->getMessage()]);
        }
    }

    /** @return array{KeptSeason, Setup} */
    private function find(int $season, string $setup): array
    {
        $kept = $this->gardener->kept($season);

        return [$kept, array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException];
    }
}

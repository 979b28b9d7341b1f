<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Gardener;
use App\Http\Json;
use App\Seasons\SeasonEditor;
use App\Seasons\SeasonState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use JollyPenny\Core\Deciding\Advising\FirstPacks;
use JollyPenny\Core\Deciding\Choosing\CropChoice;
use JollyPenny\Core\Deciding\Choosing\CropChoices;
use JollyPenny\Core\Plan\Cautions\Caution;
use JollyPenny\Core\Plan\Cautions\CautionsFor;
use JollyPenny\Core\Plan\Drafting\GrowList;
use JollyPenny\Core\Plan\Drafting\OwnSpecies;
use JollyPenny\Core\Plan\Drafting\PastedLine;
use JollyPenny\Core\Plan\Drafting\PastedList;
use JollyPenny\Core\Plan\Drafting\SeasonDraft;
use JollyPenny\Core\Plan\Drafting\WrittenAmount;
use JollyPenny\Core\Plan\Sowing\SaidAmount;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use OpenApi\Attributes as OA;
use stdClass;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Lines of the grow list: adding them, repeating them, saying how much to sow, and the other ways they could go.
 *
 * @phpstan-type WrittenListShape array{text: string, metric?: bool}
 * @phpstan-type ReadListShape array{
 *     lines: list<array{
 *         // as it was written
 *         text: string,
 *         // of the species; null where it is not known for certain
 *         name: ?string,
 *         variety: string,
 *         wanted: ?int,
 *         question: ?string,
 *         nearest: list<string>,
 *     }>,
 * }
 * @phpstan-type NewCropsShape array{
 *     text?: string,
 *     species?: string,
 *     variety?: string,
 *     lot?: string,
 *     wanted?: int,
 *     setup?: ?string,
 *     like?: string,
 *     days?: float,
 *     weeks?: float,
 *     tender?: bool,
 * }
 * @phpstan-type NewPacketShape array{like: string, setup?: ?string}
 * @phpstan-type RoundsShape array{every_days: int, times: int, setup?: ?string}
 * @phpstan-type SaidShape array{words: string, setup: string}
 * @phpstan-type ChoicesShape array{methods: list<CropChoice>, lots: list<CropChoice>, cautions: list<WarnedShape>}
 * @phpstan-type WarnedShape array{id: string, title: string, text: string}
 */
final class CropController
{
    private const MOST_ROUNDS = 26;

    public function __construct(
        private readonly Gardener $gardener,
        private readonly SeasonState $state,
        private readonly SeasonEditor $editor,
    ) {
    }

    #[
        OA\Post(
            path: '/api/seasons/{season}/crops',
            operationId: 'addCrops',
            summary: 'Add crops: a pasted list, a species of the catalogue, one of one\'s own like another, or seed from the drawer',
            tags: ['Grow list'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewCrops'))]
    #[
        OA\Response(
            response: 200,
            description: 'The season as it is now; `asked` holds what has to be asked before it can be added',
            content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
        ),
    ]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, int $season): JsonResponse
    {
        $input = $request->validate([
            'text' => ['nullable', 'string', 'max:20000'],
            'species' => ['nullable', 'string'],
            'variety' => ['nullable', 'string', 'max:200'],
            'lot' => ['nullable', 'string'],
            'wanted' => ['nullable', 'integer', 'between:1,'.WrittenAmount::most()],
            'setup' => ['nullable', 'string'],
            'like' => ['nullable', 'string'],
            'days' => ['nullable', 'numeric', 'between:0.5,400'],
            'weeks' => ['nullable', 'numeric', 'between:0.5,60'],
            'tender' => ['nullable', 'boolean'],
        ]);
        $wanted = isset($input['wanted']) ? (int) $input['wanted'] : null;
        $asked = [];
        $kept = $this->editor->edit($this->gardener->seasonId($season), 'crops added', function (stdClass $document) use (
            $input,
            $wanted,
            &$asked,
        ): array {
            $draft = new SeasonDraft($document);
            $isFirst = $draft->rows('crops') === [];
            $list = new GrowList($draft);
            try {
                match (true) {
                    isset($input['like']) => $list->addRelative(self::ownSpecies($input)),
                    isset($input['species']) => $list->addSpecies($input['species'], $wanted, $input['variety'] ?? ''),
                    isset($input['lot']) => $list->addLot($input['lot'], $wanted),
                    default => ($asked = $list->addPasted($input['text'] ?? '')),
                };
            } catch (NotInCatalogue $e) {
                throw ValidationException::withMessages(['species' => $e->getMessage()]);
            }

            return [...$draft->edits(), ...($isFirst ? FirstPacks::forDraft($draft) : [])];
        });

        return $this->state->answer($kept, $input['setup'] ?? null, [
            'asked' => array_map(self::asked(...), $asked),
        ]);
    }

    #[OA\Post(path: '/api/list', operationId: 'readList', summary: 'How a grow list is understood, before it is added to anything', tags: ['Grow list'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/WrittenList'))]
    #[OA\Response(response: 200, description: 'Line by line', content: new OA\JsonContent(ref: '#/components/schemas/ReadList'))]
    public function read(Request $request): JsonResponse
    {
        $input = $request->validate(['text' => ['nullable', 'string', 'max:20000'], 'metric' => ['nullable', 'boolean']]);
        $species = (new Catalogue())->species();
        $lines = (new PastedList($input['text'] ?? '', $species, (bool) ($input['metric'] ?? false)))->lines;

        return Json::response(['lines' => array_map(fn (PastedLine $line): array => [
            'text' => $line->text,
            'name' => ($species[$line->species ?? ''] ?? null)?->name,
            'variety' => $line->variety,
            'wanted' => $line->wanted,
            'question' => $line->question,
            'nearest' => array_map(fn (SpeciesFacts $facts): string => $facts->name, $line->nearest),
        ], $lines)]);
    }

    /** @return array<string, mixed> */
    public static function asked(PastedLine $line): array
    {
        return [
            'text' => $line->text,
            'question' => $line->question,
            'species' => $line->species,
            'variety' => $line->variety,
            'wanted' => $line->wanted,
            'unknown' => $line->isUnknown,
            'nearest' => array_map(fn (SpeciesFacts $facts): array => ['id' => $facts->id, 'name' => $facts->name], $line->nearest),
        ];
    }

    /**
     * "8 mouse melon", like a cucumber.
     *
     * @param  array<string, mixed>  $input
     */
    private static function ownSpecies(array $input): OwnSpecies
    {
        $line = (new PastedList(is_string($input['text'] ?? null) ? $input['text'] : '', []))->lines[0] ?? throw ValidationException::withMessages([
            'text' => 'Give its name.',
        ]);
        $number = fn (string $key): ?float => is_numeric($input[$key] ?? null) ? (float) $input[$key] : null;

        return new OwnSpecies(
            mb_strtoupper(mb_substr($line->variety, 0, 1)).mb_substr($line->variety, 1),
            is_string($input['like']) ? $input['like'] : '',
            $line->wanted,
            $number('days'),
            $number('weeks'),
            isset($input['tender']) ? (bool) $input['tender'] : null,
        );
    }

    #[
        OA\Post(
            path: '/api/seasons/{season}/lots',
            operationId: 'addPacket',
            summary: 'A fresh packet of the same, beside the one in the drawer',
            tags: ['Grow list'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPacket'))]
    #[OA\Response(response: 200, description: 'The season', content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'))]
    public function packet(Request $request, int $season): JsonResponse
    {
        $input = $request->validate(['like' => ['required', 'string'], 'setup' => ['nullable', 'string']]);
        $kept = $this->editor->edit($this->gardener->seasonId($season), 'another packet', function (stdClass $document) use (
            $input,
        ): array {
            $draft = new SeasonDraft($document);
            $lot = array_column($draft->rows('seed_lots'), null, 'id')[$input['like']] ?? throw new NotFoundHttpException();
            (new GrowList($draft))->addFreshPacket($lot);

            return $draft->edits();
        });

        return $this->state->answer($kept, $input['setup'] ?? null);
    }

    #[
        OA\Post(
            path: '/api/seasons/{season}/crops/{crop}/rounds',
            operationId: 'addRounds',
            summary: 'Sow again every so many days, so many times',
            tags: ['Grow list'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'crop', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Rounds'))]
    #[
        OA\Response(
            response: 200,
            description: 'The season as it is now',
            content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
        ),
    ]
    public function rounds(Request $request, int $season, string $crop): JsonResponse
    {
        $input = $request->validate([
            'every_days' => ['required', 'integer', 'between:1,180'],
            'times' => ['required', 'integer', 'between:1,'.self::MOST_ROUNDS],
            'setup' => ['nullable', 'string'],
        ]);
        $kept = $this->editor->edit($this->gardener->seasonId($season), 'rounds', function (stdClass $document) use (
            $input,
            $crop,
        ): array {
            $draft = new SeasonDraft($document);
            $row = array_column($draft->rows('crops'), null, 'id')[$crop] ?? throw new NotFoundHttpException();
            (new GrowList($draft))->addRounds($row, (int) $input['every_days'], (int) $input['times']);

            return $draft->edits();
        });

        return $this->state->answer($kept, $input['setup'] ?? null);
    }

    #[
        OA\Put(
            path: '/api/seasons/{season}/crops/{crop}/sow',
            operationId: 'sayHowMuch',
            summary: 'How much to sow, in words: "nine for six", "two rows", "by rule"',
            tags: ['Grow list'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'crop', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Said'))]
    #[
        OA\Response(
            response: 200,
            description: 'The season as it is now',
            content: new OA\JsonContent(ref: '#/components/schemas/SeasonState'),
        ),
    ]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function sow(Request $request, int $season, string $crop): JsonResponse
    {
        $input = $request->validate(['words' => ['present', 'nullable', 'string', 'max:80'], 'setup' => ['required', 'string']]);
        $now = $this->gardener->kept($season);
        [$row, $setup] = self::find($now->file, $crop, $input['setup']);
        $method = array_column($now->file->methods, null, 'id')[$setup->methodFor($crop)] ?? null;
        if ($method === null) {
            throw ValidationException::withMessages(['words' => 'This set-up buys the crop: there is nothing to sow.']);
        }
        $containers = array_column($now->file->containers, null, 'id');
        try {
            $said = SaidAmount::parse(
                (string) $input['words'],
                $row->wanted,
                array_column($now->file->seedLots, null, 'id')[$row->lot],
                $method,
                $containers[$method->stages[0]->container ?? ''] ?? null,
            );
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['words' => $e->getMessage()]);
        }
        $sow =
            $said->sites === null && $said->seeds === null
                ? null
                : (object) array_filter(
                    ['method' => $method->id, 'sites' => $said->sites, 'seeds' => $said->seeds],
                    fn (mixed $value): bool => $value !== null,
                );
        $edits = [['path' => ['crops', $crop, 'sow'], 'to' => $sow]];

        return $this->state->answer($this->editor->edit($now->model->id, 'how much to sow', fn (): array => $edits), $setup->id);
    }

    #[
        OA\Get(
            path: '/api/seasons/{season}/setups/{setup}/crops/{crop}/choices',
            operationId: 'cropChoices',
            summary: 'What the crop would cost by every other method and from every other lot',
            tags: ['Grow list'],
        ),
    ]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'crop', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The choices', content: new OA\JsonContent(ref: '#/components/schemas/Choices'))]
    public function choices(int $season, string $setup, string $crop): JsonResponse
    {
        $kept = $this->gardener->kept($season);
        [$line, $row] = self::find($kept->file, $crop, $setup);
        $choices = new CropChoices($kept->file);

        return Json::response([
            'methods' => $choices->methods($row, $crop),
            'lots' => $choices->lots($row, $crop),
            'cautions' => array_map(
                fn (Caution $caution): array => ['id' => $caution->value, 'title' => $caution->title(), 'text' => $caution->text()],
                (new CautionsFor($kept->file))->crop($row, $line),
            ),
        ]);
    }

    /** @return array{\JollyPenny\Core\Season\Crops\Crop, Setup} */
    private static function find(Season $season, string $crop, string $setup): array
    {
        return [
            array_column($season->crops, null, 'id')[$crop] ?? throw new NotFoundHttpException(),
            array_column($season->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException(),
        ];
    }
}

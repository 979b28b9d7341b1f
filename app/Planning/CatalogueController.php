<?php

declare(strict_types=1);

namespace App\Planning;

use App\Http\Json;
use Illuminate\Http\JsonResponse;
use JollyPenny\Core\Plan\Cautions\Caution;
use JollyPenny\Core\Season\Catalogue\Catalogue;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
use JollyPenny\Core\Season\Catalogue\SpeciesFacts;
use JollyPenny\Core\Season\Units\Currency;
use OpenApi\Attributes as OA;

/**
 * What ships with the application: species and ready-made set-ups to pick from, and the cautions.
 *
 * @phpstan-import-type WarnedShape from CropController
 *
 * @phpstan-type CatalogueThingShape array{
 *     id: string,
 *     name: string,
 *     us_name: string,
 *     price: ?float,
 *     // within its list; of a supply: medium, additive, feed or sundry
 *     kind: ?string,
 *     // of a feed: so much in a litre of water
 *     dose_per_l: ?float,
 *     source: string,
 * }
 * @phpstan-type CautionsShape array{cautions: list<WarnedShape>}
 * @phpstan-type CatalogueShape array{
 *     species: list<SpeciesFacts>,
 *     schools: array<string, string>,
 *     currencies: list<Currency>,
 *     price_levels: list<PriceLevel>,
 *     things: array<string, list<CatalogueThingShape>>,
 *     setups: list<array{id: string, name: string}>,
 * }
 */
final class CatalogueController
{
    private const A_DAY = 86400;

    #[
        OA\Get(
            path: '/api/catalogue',
            operationId: 'catalogue',
            summary: 'Species with their facts and sources, methods and ready-made set-ups',
            tags: ['Catalogue'],
        ),
    ]
    #[OA\Response(response: 200, description: 'The catalogue', content: new OA\JsonContent(ref: '#/components/schemas/Catalogue'))]
    public function index(Catalogue $catalogue): JsonResponse
    {
        $schools = [];
        foreach ($catalogue->methods() as $id => $method) {
            $schools[$id] = $method['school'] ?? '';
        }

        return Json::response([
            'species' => array_values($catalogue->species()),
            'schools' => $schools,
            'currencies' => Currency::all(),
            'things' => $catalogue->things(),
            'price_levels' => array_values(PriceLevel::all()),
            'setups' => array_map(
                fn (array $setup): array => ['id' => $setup['id'], 'name' => $setup['name']],
                array_values($catalogue->setups()),
            ),
        ])
            ->setPublic()
            ->setMaxAge(self::A_DAY);
    }

    #[OA\Get(path: '/api/cautions', operationId: 'cautions', summary: 'What can hurt someone at this work', tags: ['Catalogue'])]
    #[OA\Response(response: 200, description: 'All cautions', content: new OA\JsonContent(ref: '#/components/schemas/Cautions'))]
    public function cautions(): JsonResponse
    {
        return Json::response([
            'cautions' => array_map(
                fn (Caution $caution): array => ['id' => $caution->value, 'title' => $caution->title(), 'text' => $caution->text()],
                Caution::cases(),
            ),
        ])
            ->setPublic()
            ->setMaxAge(self::A_DAY);
    }
}

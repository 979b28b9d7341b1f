<?php

declare(strict_types=1);

namespace App\Devices;

use App\Http\Gardener;
use App\Http\Json;
use App\Models\Device;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\DeviceReport;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\UnauthorizedHttpException;

/**
 * Plug meters and thermometers: made known, listened to, and what they say beside the plan.
 *
 * @phpstan-type DevicesShape array{
 *     devices: list<array{
 *         id: int,
 *         name: string,
 *         kind: DeviceKind,
 *         list: string,
 *         thing: string,
 *         unit: string,
 *         refused: int,
 *         heard_at: ?string,
 *         report: DeviceReport,
 *     }>,
 * }
 * @phpstan-type NewDeviceShape array{name: string, kind: DeviceKind, list: 'lights'|'mats'|'appliances'|'places', thing: string}
 * @phpstan-type DeviceMadeShape array{id: int, token: string}
 * @phpstan-type NewReadingsShape array{readings: list<array{at: string, value: float}>}
 * @phpstan-type ReadingsKeptShape array{kept: int, known: int, refused: int}
 */
final class DeviceController
{
    private const MAY = 'readings';

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/devices',
        operationId: 'devices',
        summary: 'The season\'s devices, what they measured by day beside the plan, and what of it the plan could take over',
        tags: ['Devices'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The devices', content: new OA\JsonContent(ref: '#/components/schemas/Devices'))]
    public function index(Gardener $gardener, int $season, string $setup): JsonResponse
    {
        $kept = $gardener->kept($season);
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException();

        return Json::response(['devices' => array_map(fn (array $one): array => [
            ...$one[0]->only(['id', 'name', 'kind', 'list', 'thing', 'refused']), 'unit' => $one[0]->kind->unit(),
            'heard_at' => $one[0]->heard_at?->toIso8601String(), 'report' => $one[1],
        ], DeviceReports::forSetup($kept, $row))]);
    }

    #[OA\Post(
        path: '/api/seasons/{season}/devices',
        operationId: 'addDevice',
        summary: 'Make a device known; its token is told once',
        tags: ['Devices'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewDevice'))]
    #[OA\Response(response: 201, description: 'Its token', content: new OA\JsonContent(ref: '#/components/schemas/DeviceMade'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, Gardener $gardener, int $season): JsonResponse
    {
        $model = $gardener->season($season);
        $input = $request->validate([
            'name' => ['required', 'string', 'max:200'],
            'kind' => ['required', Rule::enum(DeviceKind::class)],
            'list' => ['required', Rule::in(Device::LISTS)],
            'thing' => ['required', 'string', 'max:100'],
        ]);
        $document = $model->document;
        if (! in_array($input['thing'], array_column((array) ($document->{$input['list']} ?? []), 'id'), true)) {
            throw ValidationException::withMessages(['thing' => 'There is no such thing in the season. Choose one of the list.']);
        }
        if (Device::query()->where('season_id', $season)->count() >= Device::MOST) {
            throw ValidationException::withMessages(['name' => 'There are '.Device::MOST.' devices here already. Take one out first.']);
        }
        $device = Device::query()->create(['season_id' => $season, ...$input]);

        return Json::response(['id' => $device->id, 'token' => $device->createToken($input['name'], [self::MAY])->plainTextToken], 201);
    }

    #[OA\Delete(
        path: '/api/seasons/{season}/devices/{device}',
        operationId: 'removeDevice',
        summary: 'Take a device out, with its token and its readings',
        tags: ['Devices'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'device', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 204, description: 'Gone')]
    public function destroy(Gardener $gardener, int $season, int $device): Response
    {
        $gardener->season($season);
        Device::query()->where('season_id', $season)->findOrFail($device)->delete();

        return new Response(status: 204);
    }

    /** @throws UnauthorizedHttpException without a token of a device */
    #[OA\Post(
        path: '/api/device/readings',
        operationId: 'postReadings',
        summary: 'Up to 100 readings of a device, by its token (Authorization: Bearer); each counts once, nonsense is refused and counted',
        tags: ['Devices'],
    )]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewReadings'))]
    #[OA\Response(response: 200, description: 'How many were kept, were known, were refused',
        content: new OA\JsonContent(ref: '#/components/schemas/ReadingsKept'))]
    #[OA\Response(response: 401, ref: '#/components/responses/NotFound')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function read(Request $request): JsonResponse
    {
        $device = DeviceToken::owner((string) $request->bearerToken(), self::MAY);
        if (! $device instanceof Device) {
            throw new UnauthorizedHttpException('Bearer', 'This token is not one of a device, or was taken back.');
        }
        $readings = $request->json('readings');
        if (! is_array($readings) || $readings === [] || count($readings) > Readings::MOST) {
            throw ValidationException::withMessages(['readings' => 'Send 1 to '.Readings::MOST
                .' readings: [{"at": "2027-04-08T06:00:00Z", "value": 38.2}, …].']);
        }

        return Json::response(Readings::add($device, $readings));
    }
}

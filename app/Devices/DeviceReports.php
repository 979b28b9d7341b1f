<?php

declare(strict_types=1);

namespace App\Devices;

use App\Models\Device;
use App\Seasons\KeptSeason;
use JollyPenny\Core\Living\Devices\DeviceKind;
use JollyPenny\Core\Living\Devices\DeviceReport;
use JollyPenny\Core\Living\Devices\Measured;
use JollyPenny\Core\Season\Setup;

/** What a season's devices measured, beside a set-up's plan. */
final readonly class DeviceReports
{
    /** @return list<array{Device, DeviceReport}> */
    public static function forSetup(KeptSeason $kept, Setup $setup): array
    {
        $books = $kept->costing->books($setup);
        /** @var list<Device> $devices */
        $devices = Device::query()->where('season_id', $kept->model->id)->orderBy('id')->get()->all();
        $measured = [];
        foreach ($devices as $device) {
            $measured[$device->id] = Readings::measured($device);
        }
        $places = [...array_column($kept->file->mats, 'place', 'id'), ...array_column($kept->file->lights, 'place', 'id')];
        $air = function (Device $device) use ($devices, $measured, $places): ?Measured {
            foreach ($devices as $other) {
                if ($other->kind === DeviceKind::Air && $other->thing === ($places[$device->thing] ?? null)) {
                    return $measured[$other->id];
                }
            }

            return null;
        };

        return array_map(fn (Device $device): array => [
            $device, DeviceReport::compare($books, $device->kind, $device->list, $device->thing, $measured[$device->id], $air($device)),
        ], $devices);
    }

    /** @return list<array{path: non-empty-list<string>, name: string, now: float, real: float, unit: string}> what of it differs from the plan */
    public static function offers(KeptSeason $kept, Setup $setup): array
    {
        return array_merge(...array_map(fn (array $one): array => $one[1]->offers, self::forSetup($kept, $setup)));
    }
}

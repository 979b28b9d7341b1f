<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Devices\Readings;
use App\Models\Device;
use App\Models\LogRow;
use App\Models\Photo;
use App\Models\Price;
use App\Models\Purchase;
use App\Models\Roll;
use App\Models\Season;
use App\Models\SeasonChange;
use App\Models\ShedItem;
use App\Models\User;
use App\Models\WeatherPlace;
use App\Models\Work;
use App\Weather\WeatherDays;
use Generator;
use Illuminate\Support\Facades\DB;
use JollyPenny\Core\Season\File\SeasonWriter;

/** A person's whole garden: brought along when they sign in, given out in one file, cleared when nobody comes back. */
final class Garden
{
    private const TRIAL_DAYS = 30;

    /** Deleted seasons can be had back for as long. */
    private const DELETED_DAYS = 30;

    /** Tables with rows of a season that only a person makes: one of them, and the demo is no longer untouched. */
    private const MADE_BY_A_PERSON = ['purchases', 'log_entries', 'photos', 'devices', 'calendar_feeds', 'rolls'];

    /** What was typed in a trial garden becomes the account's; the untouched demo stays behind. */
    public function bringAlong(User $trial, User $account): void
    {
        DB::transaction(function () use ($trial, $account): void {
            Season::withTrashed()
                ->where('user_id', $trial->id)
                ->where(function ($query): void {
                    $query->where('demo', false)->orWhere('revision', '>', 1);
                    foreach (self::MADE_BY_A_PERSON as $table) {
                        $query->orWhereExists(fn ($made) => $made->from($table)->whereColumn('season_id', 'seasons.id'));
                    }
                })
                ->update(['user_id' => $account->id]);
            Work::query()->where('user_id', $trial->id)->update(['user_id' => $account->id]);
            Price::query()->where('user_id', $trial->id)
                ->whereNotIn('mark', Price::query()->select('mark')->where('user_id', $account->id))
                ->update(['user_id' => $account->id]);
            // What both sheds have is the account's as it is.
            ShedItem::query()->where('user_id', $trial->id)
                ->whereRaw('(kind, name, packed_for) NOT IN (SELECT kind, name, packed_for FROM shed_items WHERE user_id = ?)', [$account->id])
                ->update(['user_id' => $account->id]);
            Roll::query()->where('user_id', $trial->id)->update(['user_id' => $account->id]);
            WeatherPlace::query()->where('user_id', $trial->id)->update(['user_id' => $account->id]);
            $trial->delete();
        });
    }

    /**
     * All of it as one JSON text, a piece at a time: no more than one season is held at once.
     *
     * @return Generator<int, string>
     */
    public function export(User $user): Generator
    {
        $json = fn (mixed $part): string => json_encode($part,
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR);
        yield '{"format":"jolly-penny/export","version":1,"email":'.$json($user->email)
            .',"created_at":'.$json($user->created_at?->toIso8601String()).",\n\"seasons\":[";
        foreach ($user->seasons()->orderBy('id')->pluck('id') as $n => $id) {
            /** @var Season $season */
            $season = $user->seasons()->findOrFail($id);
            yield ($n === 0 ? "\n" : ",\n").$json(self::exported($season));
        }
        yield "],\n\"shed\":".$json(array_map(fn (ShedItem $item) => $item->shown(), ShedItem::ofUser($user->id))).",\n\"prices\":[";
        $between = "\n";
        $prices = Price::query()->toBase()->where('user_id', $user->id)->orderBy('id');
        foreach ($prices->select(['name', 'shop', 'holds', 'unit', 'price', 'currency', 'seen_on'])->cursor() as $price) {
            yield $between.$json($price);
            $between = ",\n";
        }
        yield "],\n\"weather\":[";
        /** @var WeatherPlace $place */
        foreach (WeatherPlace::query()->where('user_id', $user->id)->orderBy('id')->get() as $n => $place) {
            yield ($n === 0 ? "\n" : ",\n").$json(['name' => $place->name, ...WeatherDays::exported($place)]);
        }
        yield "]}\n";
    }

    /** @return array<string, mixed> */
    private static function exported(Season $season): array
    {
        $history = [];
        /** @var SeasonChange $step */
        foreach ($season->changes()->orderBy('id')->get() as $step) {
            $history[] = ['label' => $step->label, 'undone' => $step->undone, 'at' => $step->created_at?->toIso8601String(), 'changes' => $step->changes];
        }

        return [
            'archived' => $season->archived_at !== null,
            'changed_at' => $season->updated_at?->toIso8601String(),
            'season' => $season->document,
            'history' => $history,
            'purchases' => array_map(fn (Purchase $one) => $one->bought(), Purchase::ofSeason($season->id)),
            'log' => array_map((new SeasonWriter)->row(...), LogRow::book($season->id)->inOrder()),
            'photos' => Photo::lines($season->id),
            'devices' => self::devices($season->id),
        ];
    }

    /** @return list<array<string, mixed>> with what they measured, by day */
    private static function devices(int $season): array
    {
        $devices = [];
        /** @var Device $device */
        foreach (Device::query()->where('season_id', $season)->orderBy('id')->get() as $device) {
            $devices[] = [...$device->only(['name', 'kind', 'list', 'thing']), 'days' => Readings::measured($device)->days()];
        }

        return $devices;
    }

    /** @return array{int, int} gardens and seasons cleared */
    public function clear(): array
    {
        $gardens = User::query()->where('trial', true)->where('last_seen_at', '<', now()->subDays(self::TRIAL_DAYS))->delete();
        $seasons = Season::onlyTrashed()->where('deleted_at', '<', now()->subDays(self::DELETED_DAYS))->forceDelete();

        return [is_int($gardens) ? $gardens : 0, is_int($seasons) ? $seasons : 0];
    }
}

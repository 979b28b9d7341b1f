<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Season;
use App\Models\Work;
use App\Seasons\KeptSeason;
use App\Work\Stopped;
use Closure;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use JollyPenny\Core\Season\Setup;
use Throwable;

/** Works one thing out, telling how far it is, until it is done or somebody stops it. */
final class DoWork implements ShouldQueue
{
    use Queueable;

    /** Progress is kept, and a stop noticed, at most so often, seconds. */
    private const TELL = 0.3;

    public int $tries = 1;

    public int $timeout = 300;

    public function __construct(private readonly int $work)
    {
        $this->onQueue('work');
    }

    public function handle(): void
    {
        $work = Work::query()->find($this->work);
        $season = $work === null ? null : Season::query()->find($work->season_id);
        if ($work === null || $season === null || ! $this->to($work, 'working', ['waiting'])) {
            return;
        }
        $kept = KeptSeason::of($season);
        $setup = array_column($kept->file->setups, null, 'id')[$work->setup] ?? null;
        if ($season->revision !== $work->revision || ! $setup instanceof Setup) {
            $this->to($work, 'failed', ['working']);

            return;
        }
        $told = 0.0;
        try {
            $progress = function (int $done, int $total, ?Closure $sofar = null) use ($work, &$told): void {
                if (microtime(true) - $told >= self::TELL) {
                    $told = microtime(true);
                    $this->tell($work, $done, $total, $sofar === null ? [] : ['result' => json_encode($sofar(), JSON_PRESERVE_ZERO_FRACTION)]);
                }
            };
            $result = $work->kind->workOut($kept->file, $setup, (float) $work->amount, $progress);
        } catch (Stopped) {
            return;
        } catch (Throwable $e) {
            $this->to($work, 'failed', ['working']);
            throw $e;
        }
        $work->fill(['result' => $result])->save();
        $this->to($work, 'done', ['working']);
    }

    public function failed(?Throwable $e): void
    {
        Work::query()->whereKey($this->work)->whereIn('state', Work::ACTIVE)->update(['state' => 'failed']);
    }

    /**
     * @param  array{result?: string|false}  $sofar
     *
     * @throws Stopped where somebody has stopped it meanwhile
     */
    private function tell(Work $work, int $done, int $total, array $sofar): void
    {
        $going = Work::query()->whereKey($work->id)->where('state', 'working')->update(['done' => $done, 'total' => $total, ...$sofar]);
        $going === 1 ?: throw new Stopped;
    }

    /** @param  list<string>  $from */
    private function to(Work $work, string $state, array $from): bool
    {
        return Work::query()->whereKey($work->id)->whereIn('state', $from)->update(['state' => $state]) === 1;
    }
}

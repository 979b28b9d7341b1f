<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Purchase;
use App\Models\Season;
use App\Models\Work;
use App\Seasons\KeptSeason;
use App\Work\Stopped;
use App\Work\Turn;
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

    /** What this worker has taken. */
    private ?Work $taken = null;

    /**
     * A place in the line: what is worked out when it is reached is whatever has its turn then (Turn).
     *
     * @param  bool  $onlyQuick  for the worker that keeps itself free for short ones
     */
    public function __construct(private readonly bool $onlyQuick)
    {
        $this->onQueue($onlyQuick ? 'quick' : 'work');
    }

    public function handle(): void
    {
        $work = $this->taken = Turn::take($this->onlyQuick);
        if ($work === null) {
            return;
        }
        $season = Season::query()->find($work->season_id);
        $kept = $season === null ? null : KeptSeason::fromModel($season);
        $setup = array_column($kept->file->setups ?? [], null, 'id')[$work->setup] ?? null;
        if ($season === null || $kept === null || $season->revision !== $work->revision || ! $setup instanceof Setup) {
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
            $result = $work->kind->workOut($kept->file, $setup, (float) $work->amount, $progress,
                array_map(fn (Purchase $one) => $one->bought(), Purchase::ofSeason($work->season_id)));
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
        $this->taken === null || Work::query()->whereKey($this->taken->id)->whereIn('state', Work::ACTIVE)->update(['state' => 'failed']);
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

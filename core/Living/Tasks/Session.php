<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Tasks;

use JollyPenny\Core\Living\Log\JobId;
use JollyPenny\Core\Living\Log\RowFacts;
use JollyPenny\Core\Living\Log\TaskKind;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Calendar\StagePlan;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Ceiling;
use JollyPenny\Core\Season\Units\Measure;

/** What is shared on one day: all the mix wetted, all the pots washed, all that is fed, each said once with its total. */
final readonly class Session
{
    /** More names than these are counted. */
    private const NAMES = 4;

    /** @param  array<array-key, RowFacts>  $facts  by crop */
    public function __construct(private SetupBooks $books, private array $facts = [])
    {
    }

    /** Of what the plan moves on at a stage, the share that is there to be moved. */
    private function share(string $crop, StagePlan $stage, int $index): float
    {
        $alive = $this->facts[$crop]->alive ?? null;
        $plants = $stage->sites * max(1, $stage->stage->plantsPerSite);

        return $index === 0 || $alive === null || $plants === 0 ? 1.0 : min(1.0, $alive / $plants);
    }

    /**
     * @param  non-empty-list<Task>  $tasks  of one kind and day
     * @return list<Job>
     */
    public function together(array $tasks): array
    {
        $first = $tasks[0];
        $crops = array_values(array_unique(array_filter(array_column($tasks, 'crop'))));
        if ($first->kind === TaskKind::Soak) {
            return $this->wetting($first, $crops, array_column($tasks, 'stage', 'crop'));
        }
        if ($first->kind === TaskKind::Wash) {
            return [$this->job($first, $crops, 'Wash and hole '.$this->pots($tasks), null, ['bleach', 'cutting'], $this->washing($tasks))];
        }
        $names = self::list(array_map($this->variety(...), $crops));
        $one = count($crops) === 1;

        return [match ($first->kind) {
            TaskKind::Drain => $this->job($first, $crops, 'Pour off what is left in the trays', 'half an hour after watering from below'),
            TaskKind::CoverOff => $this->job($first, $crops, "Cover off {$names} as ".($one ? 'it shows' : 'they show'),
                'film over seedlings cooks them', ['film']),
            TaskKind::MatOff => $this->job($first, $crops, "Mat off for {$names}", 'it is up; dry hands before the plug', ['electricity']),
            default => $this->job($first, $crops, "Feed {$names}, weakly", $this->feed($tasks)),
        }];
    }

    /** @param  list<string>  $names */
    public static function list(array $names): string
    {
        $shown = count($names) > self::NAMES + 1 ? [...array_slice($names, 0, self::NAMES), count($names) - self::NAMES.' more'] : $names;
        $last = array_pop($shown);

        return $shown === [] ? (string) $last : implode(', ', $shown)." and {$last}";
    }

    /** A thing without the size of its pack: "Perlite, 59 qt" is perlite. */
    public static function short(string $name): string
    {
        return preg_replace('/,\s+[\d¼½¾.,\/ ]+\s*\p{L}[\p{L} ]*$/u', '', $name) ?? $name;
    }

    /** "1.6 L", or quarts. */
    public function litres(float $litres): string
    {
        return $this->isUs() ? self::amount(Measure::Quart->fromCore($litres)).' qt' : self::amount($litres).' L';
    }

    public function isUs(): bool
    {
        return $this->books->season()->units->value === 'us';
    }

    /**
     * One for each mix.
     *
     * @param  list<string>  $crops
     * @param  array<string, ?int>  $stages  by crop
     * @return list<Job>
     */
    private function wetting(Task $first, array $crops, array $stages): array
    {
        $litres = $users = [];
        foreach ($this->books->plans as $plan) {
            $stage = in_array($plan->crop->id, $crops, true) ? $plan->stages[$stages[$plan->crop->id] ?? 0] : null;
            if ($stage !== null && $stage->container !== null) {
                $mix = $stage->stage->mix ?? '';
                $litres[$mix] = ($litres[$mix] ?? 0.0) + ($mix === '' ? 0.0 : $this->share($plan->crop->id, $stage, $stages[$plan->crop->id] ?? 0)
                    * $stage->mixLitres($this->books->season()->mixOverage));
                $users[$mix][] = $plan->crop->id;
            }
        }
        $jobs = [];
        foreach ($litres as $id => $amount) {
            $mix = $this->books->index->mixes[$id] ?? null;
            $scald = ($mix->kwhPerL ?? 0.0) > 0.0;
            $name = $id === '' ? '' : self::short($mix->name ?? $this->books->index->supplies[$id]->name);
            $jobs[] = new Job(
                id: count($users[$id]) === 1 && count($litres) === 1 ? $first->id : (string) JobId::shared(TaskKind::Soak, $first->date, (string) $id),
                date: $first->date,
                until: $first->date,
                group: JobGroup::Wet,
                kind: TaskKind::Soak,
                crop: count($users[$id]) === 1 ? $users[$id][0] : null,
                crops: $users[$id],
                words: $id === '' ? 'Wet the pellets'
                    : 'Wet '.$this->litres($amount)." of {$name}".($scald && ! str_contains($name, 'scald') ? ', scalded' : ''),
                detail: ($mix === null ? '' : $this->recipe($mix->parts, $amount).': ')
                    .'a squeezed handful holds together and does not drip'.($scald ? '. Carry small amounts of boiling water' : ''),
                amount: $amount,
                supply: $id === '' ? null : (string) $id,
                minutes: $amount * ($mix->minutesPerL ?? 0.0),
                cautions: $scald ? ['boiling_water', 'dust'] : ['dust'],
            );
        }

        return $jobs;
    }

    /** @param  list<\JollyPenny\Core\Season\Crops\MixPart>  $parts */
    private function recipe(array $parts, float $litres): string
    {
        $all = array_sum(array_column($parts, 'parts')) ?: 1.0;

        return implode(', ', array_map(
            fn ($part): string => $this->litres($litres * $part->parts / $all).' '.mb_strtolower(self::short($this->books->index
                ->supplies[$part->supply]->name)),
            $parts,
        ));
    }

    /** @param  list<Task>  $tasks */
    private function pots(array $tasks): string
    {
        $units = $names = [];
        foreach ($this->stagesOf($tasks) as [$stage, $share]) {
            $id = $stage->container->id ?? '';
            $units[$id] = ($units[$id] ?? 0.0) + $share * $stage->units();
            $names[$id] = $stage->container->name ?? '';
        }

        return self::list(array_map(
            fn (string $id, float $n): string => max(1, Ceiling::roundUp($n)).' × '.$names[$id],
            array_keys($units),
            array_values($units),
        ));
    }

    /** @param  list<Task>  $tasks */
    private function washing(array $tasks): float
    {
        $minutes = array_map(
            fn (array $one): float => $one[1] * $one[0]->units() * ($one[0]->container->prepMinutesPerUnit ?? 0.0),
            $this->stagesOf($tasks),
        );

        return (float) array_sum($minutes);
    }

    /** @param  list<Task>  $tasks */
    private function feed(array $tasks): ?string
    {
        $feed = $this->books->season()->feed;
        if ($feed === null) {
            return null;
        }
        $litres = array_sum(array_map(fn (array $one): float => $one[1] * $one[0]->flats * $feed->litresPerFlat, $this->stagesOf($tasks)));

        return $litres <= 0.0 ? null : $this->litres($litres).' of solution';
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<array{StagePlan, float}> with the share of it that is there
     */
    private function stagesOf(array $tasks): array
    {
        $stages = [];
        foreach ($tasks as $task) {
            $plan = $this->books->plans[$this->books->grown[$task->crop ?? ''] ?? -1] ?? null;
            if ($plan !== null && isset($plan->stages[$task->stage ?? 0])) {
                $stages[] = [$plan->stages[$task->stage ?? 0], $this->share($plan->crop->id, $plan->stages[$task->stage ?? 0], $task->stage ?? 0)];
            }
        }

        return $stages;
    }

    /**
     * @param  list<string>  $crops
     * @param  list<string>  $cautions
     */
    private function job(Task $first, array $crops, string $words, ?string $detail, array $cautions = [], float $minutes = 0.0): Job
    {
        [$group, $days] = match ($first->kind) {
            TaskKind::Wash => [JobGroup::Prepare, 7],
            TaskKind::Drain => [JobGroup::Sow, 0],
            TaskKind::Feed => [JobGroup::Water, 6],
            default => [JobGroup::Look, 14],
        };
        $one = count($crops) === 1;

        $id = $one ? $first->id : (string) JobId::shared($first->kind, $first->date);

        return new Job(
            id: $id,
            date: $first->date,
            until: Day::parse($first->date)->plus($days)->format(),
            group: $group,
            kind: $first->kind,
            crop: $one ? $crops[0] : null,
            crops: $crops,
            words: $words,
            detail: $detail,
            minutes: $minutes,
            cautions: $cautions,
        );
    }

    private function variety(string $crop): string
    {
        $at = $this->books->grown[$crop] ?? null;

        return $at === null ? $crop : $this->books->plans[$at]->lot->variety;
    }

    private static function amount(float $value): string
    {
        // Whole numbers keep their zeros: 20 is never 2.
        $text = number_format($value, $value < 10.0 ? 1 : 0);

        return str_ends_with($text, '.0') ? substr($text, 0, -2) : $text;
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Log;

use Stringable;

/**
 * What a job is called in the log and in the calendar: of one crop ("snow-soak-1": its stage; "snow-feed-1-2": the second of that stage),
 * of one of its days ("snow-look-2027-04-08"), or what several share on a day ("soak-home-mix-2027-04-01"). What has no day in it stays
 * the same when its day moves.
 */
final readonly class JobId implements Stringable
{
    /**
     * @param  ?string  $crop  null for what is shared
     * @param  ?int  $stage  of the method, from 0
     * @param  ?int  $number  which of several in the stage, from 1
     * @param  ?string  $thing  of what is shared: the mix, the pot; '' for pellets
     * @param  ?string  $day  of what is shared and of a look, year-month-day
     */
    private function __construct(
        public ?string $crop,
        public TaskKind $kind,
        public ?int $stage = null,
        public ?int $number = null,
        public ?string $thing = null,
        public ?string $day = null,
    ) {
    }

    public static function ofCrop(string $crop, TaskKind $kind, ?int $stage = null, ?int $number = null): self
    {
        return new self($crop, $kind, $stage, $number);
    }

    public static function look(string $crop, string $day): self
    {
        return new self($crop, TaskKind::Look, day: $day);
    }

    public static function shared(TaskKind $kind, string $day, ?string $thing = null): self
    {
        return new self(null, $kind, thing: $thing, day: $day);
    }

    /** Null for what is no job of a plan: "season-over", a reading. */
    public static function parse(?string $id): ?self
    {
        if (preg_match('/^(.+)-look-(\d{4}-\d{2}-\d{2})$/', $id ?? '', $parts) === 1) {
            return self::look($parts[1], $parts[2]);
        }
        $kinds = implode('|', array_column(TaskKind::cases(), 'value'));
        if (preg_match("/^({$kinds})(?:-(.*))?-(\\d{4}-\\d{2}-\\d{2})$/", $id ?? '', $parts, PREG_UNMATCHED_AS_NULL) === 1) {
            return self::shared(TaskKind::from((string) $parts[1]), (string) $parts[3], $parts[2]);
        }
        // The crop's own id may hold dashes and numbers too: "two-one" and "two-one-2" are two crops.
        if (preg_match("/^(.+)-({$kinds})(?:-(\\d+))?(?:-(\\d+))?$/", $id ?? '', $parts, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }

        return self::ofCrop((string) $parts[1], TaskKind::from((string) $parts[2]), self::number($parts[3]), self::number($parts[4]));
    }

    /** Whether it is this crop's, in this stage; the first stage is not named. */
    public function isOf(string $crop, TaskKind $kind, int $stage): bool
    {
        return $this->crop === $crop && $this->kind === $kind && ($this->stage ?? 0) === $stage;
    }

    public function __toString(): string
    {
        $parts = [$this->crop, $this->kind->value, $this->stage, $this->number, $this->thing, $this->day];

        return implode('-', array_filter($parts, fn (string|int|null $part): bool => $part !== null));
    }

    private static function number(?string $text): ?int
    {
        return $text === null ? null : (int) $text;
    }
}

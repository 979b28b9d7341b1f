<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

use Closure;

/**
 * What was worked out before, by a text that says everything it follows from: whoever has answers from an earlier look at the same or a
 * similar season can bring them. An answer is a number or a list of numbers.
 */
final class Known
{
    private const MOST = 2000;

    /** @var array<string, mixed> what was asked for this time */
    private array $used = [];

    private bool $hasGrown = false;

    /** @param  array<string, mixed>  $before */
    public function __construct(private readonly array $before = [])
    {
    }

    /**
     * @template T
     *
     * @param  string  $from  everything the answer follows from
     * @param  Closure(): T  $workOut
     * @return T
     */
    public function recall(string $from, Closure $workOut): mixed
    {
        $key = hash('xxh128', $from);
        if (array_key_exists($key, $this->used)) {
            return $this->used[$key];
        }
        if (! array_key_exists($key, $this->before)) {
            $this->hasGrown = true;

            return $this->used[$key] = $workOut();
        }

        return $this->used[$key] = $this->before[$key];
    }

    public function hasGrown(): bool
    {
        return $this->hasGrown;
    }

    /** @return array<string, mixed> to be brought the next time: what was of use now, and as much of the rest as there is room for */
    public function answers(): array
    {
        return array_slice($this->used + $this->before, 0, self::MOST, true);
    }
}

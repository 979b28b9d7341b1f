<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

/** One thing that could be done otherwise. */
final readonly class Change
{
    public const SOWING_DAY = '{sowing day}';

    /**
     * @param  string  $kind  method, buy, drop, hour, lamp_out, mat_out, seed_fewer, mix, cell, week_later, week_earlier, own_seed,
     *                        share_packet, packet, pack, half_bought, second_batch or move
     * @param  ?string  $crop  id, of what concerns one crop
     * @param  string  $words  what to do; SOWING_DAY stands for the day on which the crop is then sown
     * @param  list<array{path: non-empty-list<string|int>, to: mixed}>  $edits  of the season, taken together
     */
    public function __construct(public string $kind, public ?string $crop, public string $words, public array $edits)
    {
    }
}

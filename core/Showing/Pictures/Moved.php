<?php

declare(strict_types=1);

namespace JollyPenny\Core\Showing\Pictures;

/** By how much a change of the season moved a set-up's till, and that of each of its crops. */
final readonly class Moved
{
    /**
     * @param  string  $setup  id
     * @param  array<string, TillMove>  $crops  by crop; those that are there before and after
     */
    private function __construct(public string $setup, public TillMove $till, public array $crops)
    {
    }

    public static function since(SetupTills $before, string $setup, SetupPicture $after): self
    {
        $tills = [];
        foreach ($before->crops as $crop => $till) {
            if (isset($after->crops[$crop])) {
                $tills[$crop] = $after->crops[$crop]->till->less($till);
            }
        }

        return new self($setup, $after->till->less($before->setup), $tills);
    }
}

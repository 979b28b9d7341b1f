<?php

declare(strict_types=1);

namespace App\Docs;

use JollyPenny\Core\Plan\Books\Head;
use JollyPenny\Core\Plan\Books\HeadGroup;
use JollyPenny\Core\Season\Things\ThingKind;
use JollyPenny\Core\Season\Units\Currency;
use JollyPenny\Core\Season\Units\Measure;

/** What the front end has to know as the core knows it: heads, their groups, currencies' places, units. `bin/docs` writes it. */
final readonly class CoreFile
{
    public static function text(): string
    {
        $heads = $groups = $units = $kinds = [];
        foreach (Head::cases() as $head) {
            $heads[$head->value] = $head->words();
        }
        // The stack's legend reads from the top down.
        foreach (array_reverse(HeadGroup::cases()) as $group) {
            $groups[$group->value] = $group->words();
        }
        foreach (Measure::cases() as $measure) {
            $units[$measure->value] = [$measure->fromCore(1.0) - $measure->fromCore(0.0), $measure->fromCore(0.0)];
        }

        foreach (ThingKind::cases() as $kind) {
            $kinds[$kind->value] = ['list' => $kind->list(), 'name' => $kind->nameKey(), 'price' => $kind->priceKey(), 'size' => $kind->sizeKey(),
                'words' => $kind->words(), 'kept' => $kind->isKept()];
        }

        return "// Made by bin/docs from the core.\n\n".
            self::constant('HEADS', 'Cost heads in the trade\'s words.', $heads).
            self::constant('GROUPS', 'Groups of heads, as the penny stack\'s legend reads from the top.', $groups).
            self::constant(
                'KINDS',
                'Kinds of things: the season\'s list, its keys of a name, a price and how big one is; what they are called together; kept in the shed.',
                $kinds,
            ).
            self::constant('PLACES', 'Decimals of currencies that have not two (ISO 4217).', Currency::exceptions()).
            self::constant('COINS', 'Signs of the small coins that have one, a hundredth of the whole.', Currency::COINS).
            self::constant(
                'UNITS',
                'Of each unit as people read it: how many make one of the core\'s (litre, metre, kilogram, °C), and what its nought is.',
                $units,
            );
    }

    /** @param  array<string, mixed>  $values */
    private static function constant(string $name, string $words, array $values): string
    {
        $json = json_encode($values, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);

        return "/** {$words} */\nexport const {$name} = {$json} as const;\n\n";
    }
}

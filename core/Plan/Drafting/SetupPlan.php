<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\Cell;
use JollyPenny\Core\Season\Catalogue\Raising;
use stdClass;

/** How a ready-made set-up is furnished, and which methods it has for which crops. */
final readonly class SetupPlan
{
    /** The set-up of what somebody has already. */
    public const OWN = 'own';

    /**
     * @param  array<string, non-empty-list<string>>  $methods  catalogue ids or "nursery", by what a crop wants, "tender", "hardy" or "else"
     * @param  array{lights: list<string>, mats: list<string>, gear: list<string>}  $things  catalogue ids
     */
    private function __construct(public string $name, public array $methods, public array $things, public Means $means)
    {
    }

    /** @param  array<string, mixed>  $made  row of the catalogue's set-ups */
    public static function ofCatalogue(array $made): self
    {
        $methods = [];
        foreach (is_array($made['methods'] ?? null) ? $made['methods'] : [] as $class => $list) {
            $methods[(string) $class] = Cell::texts($list) ?: ['nursery'];
        }
        $things = ['lights' => Cell::texts($made['lights'] ?? []), 'mats' => Cell::texts($made['mats'] ?? []), 'gear' => Cell::texts($made['gear'] ?? [])];

        return new self(Cell::text($made['name'] ?? ''), $methods, $things, new Means($things['lights'] !== [], $things['mats'] !== []));
    }

    /** From what the season says is owned: nothing is bought for it but seed, mix and labels. */
    public static function ofWhatIsThere(SeasonDraft $draft): self
    {
        $owned = fn (string $list): array => array_values(array_filter(array_map(
            fn (stdClass $row): ?string => ($row->owned ?? false) === true || ($row->owned_units ?? 0) > 0 ? SeasonDraft::markOf($row) : null,
            $draft->rows($list),
        )));
        $things = ['lights' => $owned('lights'), 'mats' => $owned('mats'), 'gear' => $owned('gear')];
        $pots = $owned('containers');
        [$lit, $trays, $saved, $jugs] = [$things['lights'] !== [], in_array('cell72_heavy', $pots, true),
            in_array('big_tub', $pots, true), in_array('jug', $pots, true)];
        $methods = [
            Raising::Root->value => ['bed'],
            Raising::Bed->value => ['bed_row'],
            'hardy' => array_values(array_filter([$jugs ? 'winter_jugs' : null, $lit ? null : 'bed'])),
            // A tub from the bin holds a plant as big as a shop's, which a pot of newspaper does not.
            Raising::Pot->value => ['tub'],
            Raising::Cool->value => ['tub'],
            Raising::Clump->value => [$saved ? 'clump' : 'paper_pot'],
            Raising::Blanket->value => ['onion_blanket'],
            Raising::Cell->value => [$trays ? 'cells_out' : ($saved ? 'thick_sixpack' : 'paper_pot')],
            Raising::Heat->value => [match (true) {
                $trays => 'cells_potted',
                $saved => 'thick_pricked',
                default => $things['mats'] === [] ? 'tub' : 'final_pot',
            }],
            'else' => [$trays ? 'cells_potted' : ($saved ? 'thick_pricked' : 'tub')],
        ];

        return new self('With what you have', array_filter($methods), $things,
            new Means($lit, $things['mats'] !== [], false, 'big_tub', 'starter'));
    }
}

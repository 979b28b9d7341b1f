<?php

declare(strict_types=1);

namespace JollyPenny\Core\Drafting;

use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Season;
use stdClass;

/** A first season from three answers: last frost, price of a kWh, what is there already. Everything else is a default to change. */
final readonly class Starter
{
    /** What can be there already, and what of the catalogue that is. */
    public const THINGS = [
        'led' => [['lights', 'led_shop']],
        'old_lamp' => [['lights', 't12_twin']],
        'mat' => [['mats', 'mat_one_thermostat']],
        'shelf' => [['gear', 'wire_shelf'], ['gear', 'plug_timer']],
        'trays' => [['containers', 'cell72_heavy'], ['trayware', 'catch_tray'], ['trayware', 'dome']],
        'saved_pots' => [['containers', 'yogurt'], ['containers', 'sixpack'], ['containers', 'big_tub']],
        'jugs' => [['containers', 'jug']],
    ];

    private const UNITS_OWNED = [
        'yogurt' => 40,
        'sixpack' => 12,
        'big_tub' => 20,
        'jug' => 12,
        'cell72_heavy' => 2,
        'catch_tray' => 2,
        'dome' => 2,
    ];

    /** @param  list<string>  $have  keys of THINGS */
    public static function season(string $name, Day $lastFrost, float $rate, string $currency, bool $metric, array $have): stdClass
    {
        $draft = new SeasonDraft(
            SeasonDraft::object([
                'format' => Season::FORMAT,
                'version' => Season::VERSION,
                'name' => $name,
                'currency' => $currency,
                'units' => $metric ? 'metric' : 'us',
                'year' => $lastFrost->year(),
                'last_frost' => $lastFrost->format(),
                'electricity' => ['rate' => $rate],
                'crops' => [],
                'setups' => [],
                'nursery' => [
                    ['id' => 'six', 'name' => 'Six-pack', 'plants' => 6, 'price' => 5.49],
                    ['id' => 'single', 'name' => 'Single pot', 'plants' => 1, 'price' => 4.75],
                ],
            ]),
        );
        $made = new ReadyMade($draft);
        foreach (self::setups($have) as $setup) {
            $made->add($setup);
        }
        $draft->document->feed = (object) ['supply' => $draft->ensure('supplies', 'fish'), 'dose_per_l' => 0.004, 'litres_per_flat' => 1.0];
        foreach ($have as $thing) {
            foreach (self::THINGS[$thing] ?? [] as [$list, $id]) {
                self::own($draft, $list, $id);
            }
        }

        return $draft->document;
    }

    /**
     * @param  list<string>  $have
     * @return list<string> the likeliest way first
     */
    private static function setups(array $have): array
    {
        $wishes = [
            'trays_led_mat' => array_intersect(['led', 'mat', 'trays', 'shelf'], $have) !== [],
            'saved_old_lamp' => array_intersect(['old_lamp', 'saved_pots'], $have) !== [],
            'jugs_tender_bought' => in_array('jugs', $have, true),
        ];
        $first = array_keys(array_filter($wishes));

        return [...$first, ...array_diff(['kit_on_sill', 'trays_led_mat'], $first), 'buy_it_all'];
    }

    private static function own(SeasonDraft $draft, string $list, string $id): void
    {
        foreach ($draft->rows($list) as $row) {
            if (SeasonDraft::markOf($row) === $id) {
                isset(self::UNITS_OWNED[$id]) ? ($row->owned_units = self::UNITS_OWNED[$id]) : ($row->owned = true);
            }
        }
    }
}

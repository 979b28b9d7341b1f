<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Drafting;

use JollyPenny\Core\Season\Catalogue\NotInCatalogue;
use JollyPenny\Core\Season\Catalogue\PriceLevel;
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

    /**
     * @param  Day  $lastFrost  where there is no frost: the day on which spring's first plants go out
     * @param  list<string>  $have  keys of THINGS
     * @param  ?Day  $firstFrost  null where it is not known
     *
     * @throws NotInCatalogue where prices in that currency are not known
     */
    public static function season(string $name, Day $lastFrost, float $rate, string $currency, bool $metric, array $have,
        ?Day $firstFrost = null, bool $frostless = false): stdClass
    {
        PriceLevel::forCurrency($currency);
        $draft = new SeasonDraft(
            SeasonDraft::object([
                'format' => Season::FORMAT,
                'version' => Season::VERSION,
                'name' => $name,
                'currency' => $currency,
                'units' => $metric ? 'metric' : 'us',
                'year' => $lastFrost->year(),
                'last_frost' => $lastFrost->format(),
                ...($firstFrost === null || $frostless ? [] : ['first_frost' => $firstFrost->format()]),
                ...($frostless ? ['meta' => ['frostless' => true]] : []),
                'electricity' => ['rate' => $rate],
                'crops' => [],
                'setups' => [],
                'nursery' => [],
            ]),
        );
        foreach ($have as $thing) {
            foreach (self::THINGS[$thing] ?? [] as [$list, $id]) {
                self::own($draft, $list, $id);
            }
        }
        $draft->document->feed = (object) ['supply' => $draft->ensure('supplies', 'fish'), 'dose_per_l' => $draft->catalogue->doses()['fish'],
            'litres_per_flat' => 1.0];
        $made = new ReadyMade($draft);
        foreach ([SetupPlan::OWN, ...self::others($have)] as $setup) {
            $made->add($setup);
        }

        return $draft->document;
    }

    /**
     * Ways to compare with.
     *
     * @param  list<string>  $have
     * @return list<string>
     */
    private static function others(array $have): array
    {
        $wishes = [
            'trays_led_mat' => true,
            'saved_old_lamp' => array_intersect(['old_lamp', 'saved_pots'], $have) !== [],
            'jugs_tender_bought' => in_array('jugs', $have, true),
            'kit_on_sill' => true,
            'buy_it_all' => true,
        ];

        return array_keys(array_filter($wishes));
    }

    private static function own(SeasonDraft $draft, string $list, string $id): void
    {
        $row = $draft->ensure($list, $id, in_array($list, ['lights', 'mats'], true) ? $draft->place('bench') : null);
        foreach ($draft->rows($list) as $one) {
            if ($one->id === $row) {
                isset(self::UNITS_OWNED[$id]) ? ($one->owned_units = self::UNITS_OWNED[$id]) : ($one->owned = true);
            }
        }
    }
}

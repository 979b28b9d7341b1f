<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Choosing;

use Generator;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\SeasonIndex;
use JollyPenny\Core\Season\Setup;

/** What mix and match may choose from: for each crop the methods that any set-up uses for it, and the named set-up's lamps and mats. */
final readonly class Choices
{
    /** @var array<array-key, list<string>> methods, or "nursery", by crop */
    public array $methods;

    /** @var array<array-key, true> crops that the named set-up supplies */
    public array $mustSupply;

    /** @var array<string, array{array<string, true>, array<string, true>}> places where a method wants light, and heat */
    private array $wants;

    /** @var array<string, string> place by light id, of the named set-up */
    private array $lights;

    /** @var array<string, string> place by mat id */
    private array $mats;

    /** @param  list<array-key>  $supplied  crops that the named set-up supplies */
    public function __construct(Season $season, private Setup $base, array $supplied)
    {
        $this->mustSupply = array_fill_keys($supplied, true);
        $methods = $wants = [];
        $index = SeasonIndex::fromSeason($season);
        foreach ($season->crops as $crop) {
            $used = array_map(fn (Setup $setup): string => $setup->methodFor($crop->id), $season->setups);
            // The named set-up's way first, so that of equal choices it stays.
            $ways = array_values(array_unique([$base->methodFor($crop->id), ...$used, ...$index->isSold($crop) ? [Setup::NURSERY] : []]));
            $own = isset($this->mustSupply[$crop->id]);
            $methods[$crop->id] = array_values(
                array_filter($ways, fn (string $way): bool => $way !== Setup::NURSERY || $index->isSold($crop) || ! $own),
            );
        }
        $this->methods = $methods;
        foreach ($season->methods as $method) {
            $wants[$method->id] = [self::places($method, true), self::places($method, false)];
        }
        $this->wants = $wants;
        $this->lights = array_intersect_key(array_column($season->lights, 'place', 'id'), array_flip($base->lights));
        $this->mats = array_intersect_key(array_column($season->mats, 'place', 'id'), array_flip($base->mats));
    }

    /** How many there are in all: methods times sub-lists of lamps and of mats. */
    public function count(): float
    {
        return array_product(array_map(count(...), $this->methods)) * 2.0 ** (count($this->base->lights) + count($this->base->mats));
    }

    /** @return Generator<array{list<string>, list<string>}> every sub-list of the lamps with every one of the mats */
    public function lists(): Generator
    {
        foreach (self::subLists($this->base->lights) as $lights) {
            foreach (self::subLists($this->base->mats) as $mats) {
                yield [$lights, $mats];
            }
        }
    }

    /** @return Generator<array<array-key, string>> every choice of methods */
    public function assignments(): Generator
    {
        $crops = array_keys($this->methods);
        $at = array_fill(0, count($crops), 0);
        do {
            $methods = [];
            foreach ($crops as $i => $crop) {
                $methods[$crop] = $this->methods[$crop][$at[$i]];
            }
            yield $methods;
            for ($i = count($crops) - 1; $i >= 0; $i--) {
                if (++$at[$i] < count($this->methods[$crops[$i]])) {
                    break;
                }
                $at[$i] = 0;
            }
        } while ($i >= 0);
    }

    /** @return list<array{array<array-key, string>, list<string>, list<string>}> where a search begins: as it is, all bought, and each common way for all */
    public function beginnings(): array
    {
        $asItIs = array_map(fn (array $ways): string => $ways[0], $this->methods);
        $beginnings = [[$asItIs, $this->base->lights, $this->base->mats]];
        foreach (array_unique(array_merge([Setup::NURSERY], ...array_values($this->methods))) as $way) {
            $all = array_map(fn (array $ways): string => in_array($way, $ways, true) ? $way : $ways[0], $this->methods);
            $beginnings[] = [$all, $this->base->lights, $this->base->mats];
            $beginnings[] = [$all, [], []];
        }

        return $beginnings;
    }

    /**
     * @param  array<array-key, string>  $methods
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     * @return Generator<array{array<array-key, string>, list<string>, list<string>}> every choice that differs in one crop, lamp or mat
     */
    public function steps(array $methods, array $lights, array $mats): Generator
    {
        foreach ($this->methods as $crop => $ways) {
            foreach ($ways as $way) {
                if ($way !== $methods[$crop]) {
                    yield [array_replace($methods, [$crop => $way]), $lights, $mats];
                    // A crop that no longer wants them may set lamps and mats free.
                    yield [array_replace($methods, [$crop => $way]), [], []];
                }
            }
        }
        foreach ($this->base->lights as $id) {
            yield [$methods, self::toggled($this->base->lights, $lights, $id), $mats];
        }
        foreach ($this->base->mats as $id) {
            yield [$methods, $lights, self::toggled($this->base->mats, $mats, $id)];
        }
    }

    /**
     * Whether a lamp is left at each place where a chosen stage wants light and the named set-up has one; likewise mats.
     *
     * @param  array<array-key, string>  $methods
     * @param  list<string>  $lights
     * @param  list<string>  $mats
     */
    public function keepsLit(array $methods, array $lights, array $mats): bool
    {
        $lit = array_flip(array_intersect_key($this->lights, array_flip($lights)));
        $warm = array_flip(array_intersect_key($this->mats, array_flip($mats)));
        $couldLight = array_flip($this->lights);
        $couldWarm = array_flip($this->mats);
        foreach (array_unique($methods) as $method) {
            if ($method === Setup::NURSERY) {
                continue;
            }
            [$wantsLight, $wantsHeat] = $this->wants[$method];
            if (
                array_diff_key(array_intersect_key($wantsLight, $couldLight), $lit) !== [] ||
                array_diff_key(array_intersect_key($wantsHeat, $couldWarm), $warm) !== []
            ) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, true> */
    private static function places(Method $method, bool $light): array
    {
        $places = [];
        foreach ($method->stages as $stage) {
            if ($light ? $stage->light : $stage->mat) {
                $places[$stage->place] = true;
            }
        }

        return $places;
    }

    /**
     * @param  list<string>  $ids
     * @return Generator<list<string>> the whole list first
     */
    private static function subLists(array $ids): Generator
    {
        for ($mask = (1 << count($ids)) - 1; $mask >= 0; $mask--) {
            yield array_values(array_filter($ids, fn (int $i): bool => (($mask >> $i) & 1) === 1, ARRAY_FILTER_USE_KEY));
        }
    }

    /**
     * @param  list<string>  $all
     * @param  list<string>  $some
     * @return list<string> in the order of the whole list
     */
    private static function toggled(array $all, array $some, string $id): array
    {
        return array_values(
            array_filter($all, fn (string $one): bool => $one === $id ? ! in_array($id, $some, true) : in_array($one, $some, true)),
        );
    }
}

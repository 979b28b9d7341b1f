<?php

declare(strict_types=1);

namespace JollyPenny\Core\Plan\Sowing;

use InvalidArgumentException;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Things\Container;
use JollyPenny\Core\Season\Things\SeedLot;

/**
 * How much to sow, as people say it: "nine for six", "two rows", "the whole packet", "one seed each", "30 seeds",
 * "14 cells", "a tray", "by rule". The odds are then the answer.
 */
final readonly class SaidAmount
{
    private const NUMBERS = [
        'a' => 1,
        'an' => 1,
        'one' => 1,
        'two' => 2,
        'three' => 3,
        'four' => 4,
        'five' => 5,
        'six' => 6,
        'seven' => 7,
        'eight' => 8,
        'nine' => 9,
        'ten' => 10,
        'eleven' => 11,
        'twelve' => 12,
        'dozen' => 12,
        'half' => 0.5,
        'twenty' => 20,
    ];

    private const MOST = 1_000_000;

    /** Rows of a flat: cells stand in rows along its short side; six where that is not known. */
    private const ROW = 6;

    private function __construct(public ?int $sites, public ?int $seeds)
    {
    }

    /** @throws InvalidArgumentException with what can be said */
    public static function parse(string $words, int $wanted, SeedLot $lot, Method $method, ?Container $container): self
    {
        $said = (string) preg_replace('/\s+/u', ' ', mb_strtolower(trim($words, " .!\t\n")));
        $said = str_replace(['half a dozen', 'a dozen'], ['six', 'twelve'], $said);
        $number = '(\d{1,7}|'.implode('|', array_keys(self::NUMBERS)).')';
        $perUnit = $container === null ? null : $container->sitesPerUnit;
        $row = $method->roundSitesTo > 1 ? $method->roundSitesTo : self::ROW;

        return match (true) {
            preg_match('/^(by (the )?rule|enough|)$/u', $said) === 1 => new self(null, null),
            preg_match("/^{$number} (?:cells? |pots? |sites? |seeds? )?for (?:every )?{$number}$/u", $said, $m) === 1 => self::plants(
                $wanted * self::number($m[1]) / self::number($m[2]),
                $method,
            ),
            preg_match('/^(the |a )?whole (packet|pack)$/u', $said) === 1 => $lot->seedsPerPacket === null
                ? throw new InvalidArgumentException('Nobody knows how many seeds a pinch of your own holds: say a number of seeds.')
                : self::packet($lot->seedsPerPacket, $method),
            preg_match('/^half (of )?(the |a )?(packet|pack)$/u', $said) === 1 && $lot->seedsPerPacket !== null => self::packet(
                max(1, intdiv($lot->seedsPerPacket, 2)),
                $method,
            ),
            preg_match('/^one (seed )?(each|per plant)$/u', $said) === 1 => self::plants((float) $wanted, $method),
            preg_match("/^{$number} seeds?$/u", $said, $m) === 1 => new self(null, self::whole(self::number($m[1]))),
            preg_match("/^{$number} rows?$/u", $said, $m) === 1 => self::sites(self::number($m[1]) * $row),
            preg_match("/^{$number} (?:full |whole )?(?:trays?|flats?|units?)$/u", $said, $m) === 1 && $perUnit !== null => self::sites(
                self::number($m[1]) * $perUnit,
            ),
            preg_match("/^{$number}(?: (?:cells?|pots?|sites?|stations?|blocks?|pellets?|jugs?))?$/u", $said, $m) === 1 => self::sites(
                self::number($m[1]),
            ),
            default => throw new InvalidArgumentException(
                'Type "nine for six", "two rows", "14 cells", "30 seeds", "the whole packet", "one each" or "by rule".',
            ),
        };
    }

    private static function sites(float $sites): self
    {
        return new self(self::whole($sites), null);
    }

    /** As many plants as there are cells; where many share a pot, as there are seeds. */
    private static function plants(float $plants, Method $method): self
    {
        return $method->pattern === Pattern::Community ? new self(null, self::whole($plants)) : self::sites($plants);
    }

    /** Seed out of one packet: no more cells than it fills, a seed over stays in it. */
    private static function packet(int $seeds, Method $method): self
    {
        return $method->pattern === Pattern::Community ? new self(null, $seeds) : self::sites((float) max(1, intdiv($seeds, $method->seedsPerSite)));
    }

    private static function whole(float $number): int
    {
        $whole = (int) ceil($number);

        return $whole >= 1 && $whole <= self::MOST
            ? $whole
            : throw new InvalidArgumentException('Sow at least one, and at most a million.');
    }

    private static function number(string $word): float
    {
        return (float) (self::NUMBERS[$word] ?? $word);
    }
}

<?php

declare(strict_types=1);

namespace JollyPenny\Core\Sowing;

use InvalidArgumentException;
use JollyPenny\Core\Season\Container;
use JollyPenny\Core\Season\Method;
use JollyPenny\Core\Season\Pattern;
use JollyPenny\Core\Season\SeedLot;

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

    /**
     * @param  ?int  $wanted  where the words say that too
     */
    private function __construct(public ?int $sites, public ?int $seeds, public ?int $wanted = null)
    {
    }

    /** @throws InvalidArgumentException with what can be said */
    public static function of(string $words, int $wanted, SeedLot $lot, Method $method, ?Container $container): self
    {
        $said = (string) preg_replace('/\s+/u', ' ', mb_strtolower(trim($words, " .!\t\n")));
        $number = '(\d{1,7}|'.implode('|', array_keys(self::NUMBERS)).')';
        $perUnit = $container === null ? null : $container->sitesPerUnit;
        $row = $method->roundSitesTo > 1 ? $method->roundSitesTo : self::ROW;

        return match (true) {
            preg_match('/^(by (the )?rule|enough|)$/u', $said) === 1 => new self(null, null),
            preg_match("/^{$number} (?:cells? |pots? |sites? )?for {$number}$/u", $said, $m) === 1 => self::sites(
                self::number($m[1]),
                (int) self::number($m[2]),
            ),
            preg_match('/^(the |a )?whole (packet|pack)$/u', $said) === 1 => $lot->seedsPerPacket === null
                ? throw new InvalidArgumentException('Nobody knows how many seeds a pinch of your own holds: say a number of seeds.')
                : new self(null, $lot->seedsPerPacket),
            preg_match('/^half (of )?(the |a )?(packet|pack)$/u', $said) === 1 && $lot->seedsPerPacket !== null => new self(
                null,
                max(1, intdiv($lot->seedsPerPacket, 2)),
            ),
            preg_match('/^one (seed )?(each|per plant)$/u', $said) === 1 => $method->pattern === Pattern::Community
                ? new self(null, $wanted)
                : self::sites((float) $wanted),
            preg_match("/^{$number} seeds?$/u", $said, $m) === 1 => new self(null, self::whole(self::number($m[1]))),
            preg_match("/^{$number} rows?$/u", $said, $m) === 1 => self::sites(self::number($m[1]) * $row),
            preg_match("/^{$number} (?:full |whole )?(?:trays?|flats?|units?)$/u", $said, $m) === 1 && $perUnit !== null => self::sites(
                self::number($m[1]) * $perUnit,
            ),
            preg_match("/^{$number}(?: (?:cells?|pots?|sites?|stations?|blocks?|pellets?|jugs?))?$/u", $said, $m) === 1 => self::sites(
                self::number($m[1]),
            ),
            default => throw new InvalidArgumentException(
                'Say it as "nine for six", "two rows", "14 cells", "30 seeds", "the whole packet", "one each" or "by rule".',
            ),
        };
    }

    private static function sites(float $sites, ?int $wanted = null): self
    {
        return new self(self::whole($sites), null, $wanted);
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

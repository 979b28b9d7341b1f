<?php

declare(strict_types=1);

namespace JollyPenny\Core\Deciding\Advising;

use Closure;
use JollyPenny\Core\Living\Reckoning\Altered;
use JollyPenny\Core\Plan\Results\SeasonCosting;
use JollyPenny\Core\Plan\Results\SetupResult;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Season;
use JollyPenny\Core\Season\Setup;
use Throwable;

/** What of a plan is still a guess of the catalogue's, first what moves the answer most. docs/guesses.md. */
final readonly class Guesses
{
    /** A guess may well be so much too low. */
    private const OFF = 1.4;

    /** A room may well be so much colder, °C. */
    private const COLDER = 2.0;

    /** So many crops are costed anew in all, to keep a look at the guesses of a large season short. */
    private const COSTED = 240;

    /** Whatever its size, for so many guesses it is worked out what they move. */
    private const AT_LEAST = 6;

    private SeasonCosting $costing;

    /** @param  Closure(list<string|int>): bool  $isGuess  whether what stands at a path is the catalogue's, and nobody has said it is right */
    public function __construct(private Season $season, private Setup $setup, private Closure $isGuess)
    {
        $this->costing = new SeasonCosting($season);
    }

    /**
     * @param  bool  $ranked  whether it is worked out what each moves, which takes a while
     * @return list<Guess> first what moves the answer most
     */
    public function all(bool $ranked = true): array
    {
        $books = $this->costing->books($this->setup);
        $inputs = array_values(array_filter(
            (new Inputs($this->season, $books))->all(),
            fn (array $input): bool => $input[3] === null && ($this->isGuess)($input[0]),
        ));
        // What is paid for whole plants and whole packs moves the answer more than what is spread over seasons.
        usort($inputs, fn (array $a, array $b): int => self::rank($b[0]) <=> self::rank($a[0]));
        $planned = $ranked ? $this->costing->setup($this->setup)->keep : null;
        $most = max(self::AT_LEAST, intdiv(self::COSTED, max(1, count($this->season->crops))));
        $guesses = [];
        foreach ($inputs as $i => [$path, $name, $value]) {
            $then = $i < $most && $planned !== null ? $this->with($path, $value * self::OFF)?->keep : null;
            $guesses[] = new Guess($path, $name, $value, $then === null ? 0.0 : abs($then - (float) $planned));
        }
        $used = array_flip(array_merge([], ...array_map(fn (Method $method): array => array_column($method->stages, 'place'), Inputs::methods($books))));
        foreach ($this->season->places as $place) {
            $path = ['places', $place->id, 'temp_c'];
            if (isset($used[$place->id]) && ($this->isGuess)($path)) {
                $then = is_float($place->tempC) && $planned !== null ? $this->with($path, $place->tempC - self::COLDER)?->keep : null;
                $guesses[] = new Guess($path, "how warm it is: {$place->name}", is_float($place->tempC) ? $place->tempC : null,
                    $then === null ? 0.0 : abs($then - (float) $planned));
            }
        }
        usort($guesses, fn (Guess $a, Guess $b): int => $b->moves <=> $a->moves);
        // Every date hangs on it.
        if (($this->isGuess)(['last_frost'])) {
            array_unshift($guesses, new Guess(['last_frost'], 'the last frost in spring', null, 0.0));
        }

        return $guesses;
    }

    /** @param  non-empty-list<string|int>  $path */
    private static function rank(array $path): int
    {
        return match ([$path[0], $path[2] ?? '']) {
            ['nursery', 'price'] => 3,
            ['supplies', 'pack_price'], ['seed_lots', 'packet_price'] => 2,
            ['lights', 'watts'], ['mats', 'watts'] => 1,
            default => 0,
        };
    }

    /** @param  non-empty-list<string|int>  $path */
    private function with(array $path, float $value): ?SetupResult
    {
        try {
            $season = (new Altered($this->season))->with([['path' => $path, 'to' => $value]]);

            return (new SeasonCosting($season, $this->costing, [(string) $path[0]]))->setup(array_column($season->setups, null, 'id')[$this->setup->id]);
        } catch (Throwable) {
            return null;
        }
    }
}

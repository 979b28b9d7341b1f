<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

use JollyPenny\Core\Living\Log\LogBook;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Plan\Books\SetupBooks;
use JollyPenny\Core\Plan\Planning\CropPlan;
use JollyPenny\Core\Season\Crops\Method;
use JollyPenny\Core\Season\Crops\Pattern;
use JollyPenny\Core\Season\Crops\Stage;

/**
 * What next year believes. A packet: the plan's viability for as many seeds as costing rules, section 3, say, with what came up of those sown.
 * Survival by method: the plan's for 20 plants, with what lived of what came up, of all crops raised so together. Both lean a little on
 * what others of their like did: packets of one species, methods of one pattern in as many stages. How much bad seasons share: the
 * plan's for ten seasons, with this one. Then what is said at the season's end, and what was measured.
 */
final readonly class Beliefs
{
    /** What the plan's survival is worth, in plants. */
    private const PLANTS = 20.0;

    /** What the plan's luck is worth, in seasons. */
    private const SEASONS = 10.0;

    private const MOST_LUCK = 0.3;

    private const LEAST = 0.001;

    private const MOST = 0.999;

    /** @param  list<array{path: non-empty-list<string>, name: string, now: float, real: float}>  $measured  by devices */
    public function __construct(private SetupBooks $books, private LogBook $log, private array $measured, private WeatherBook $weather = new WeatherBook)
    {
    }

    /** @return list<Belief> */
    public function all(): array
    {
        return [...$this->germination(), ...$this->survival(), ...$this->luck(), ...(new EndOfSeason($this->books, $this->log))->beliefs(),
            ...array_map(fn (array $one): Belief => new Belief(
                key: 'measured',
                id: implode('.', $one['path']),
                name: $one['name'],
                planned: $one['now'],
                counted: $one['real'],
                believed: $one['real'],
                planned_range: null,
                believed_range: null,
                weight: 0.0,
                of: 0,
                similar: 0.0,
                edits: [['path' => $one['path'], 'to' => $one['real']]],
            ), $this->measured),
            ...OpenAirBelief::months($this->books->season(), $this->weather)];
    }

    /** @return list<Belief> by lot */
    private function germination(): array
    {
        $counts = $plans = [];
        foreach ($this->books->plans as $plan) {
            $facts = $this->log->crop($plan->crop->id);
            if ($facts->up === null || $facts->up_of === 0) {
                continue;
            }
            [$came, $seeds] = self::seeds($plan, $facts->up, $facts->up_of, $facts->seeds);
            $counts[$plan->lot->id][0] = ($counts[$plan->lot->id][0] ?? 0.0) + $came;
            $counts[$plan->lot->id][1] = ($counts[$plan->lot->id][1] ?? 0) + $seeds;
            $plans[$plan->lot->id] = $plan;
        }
        $beliefs = [];
        $likes = new Likes;
        foreach ($plans as $lot => $plan) {
            $likes->add($lot, $plan->lot->species, $counts[$lot][0], $plan->viability->value, $counts[$lot][1]);
        }
        foreach ($plans as $lot => $plan) {
            [$came, $seeds] = $counts[$lot];
            $v = $plan->viability;
            [$similar, $theirs] = $likes->evidence($lot, $v->value, $v->seedsKnown);
            $weight = $v->seedsKnown + $similar + $seeds;
            $believed = min(self::MOST, max(self::LEAST, ($v->seedsKnown * $v->value + $theirs + $came) / $weight));
            $sown = $seeds + (int) round($similar);
            $beliefs[] = new Belief(
                key: 'germination',
                id: (string) $lot,
                name: $plan->lot->variety,
                planned: $v->value,
                counted: $seeds > 0 ? $came / $seeds : null,
                believed: $believed,
                planned_range: BetaPoints::around($v->value, $v->seedsKnown),
                believed_range: BetaPoints::around($believed, $weight),
                weight: $v->seedsKnown,
                of: $seeds,
                similar: $similar,
                // As a test of one's own, which the rules weigh in and let age.
                edits: [['path' => ['seed_lots', (string) $lot, 'test'], 'to' => (object) ['sown' => $sown + ($plan->lot->test->sown ?? 0),
                    'sprouted' => min($sown, (int) round($came + $theirs)) + ($plan->lot->test->sprouted ?? 0)]]],
            );
        }

        return $beliefs;
    }

    /**
     * What came up, in seeds at the best temperature: of a place with several seeds one cannot see which, so the share that makes as
     * many places filled.
     *
     * @return array{float, int} seeds that came up, of so many
     */
    private static function seeds(CropPlan $plan, int $up, int $of, int $seeds): array
    {
        $relative = max(0.05, $plan->sown->relative);
        if ($plan->method->pattern === Pattern::Community) {
            return [min((float) $seeds, $up / $relative), $seeds];
        }
        $each = $plan->method->seedsPerSite;
        $share = 1.0 - (1.0 - min(1.0, $up / $of)) ** (1.0 / $each);

        return [$of * $each * min(1.0, $share / $relative), $of * $each];
    }

    /** @return list<Belief> by method */
    private function survival(): array
    {
        $counts = $methods = [];
        foreach ($this->books->plans as $plan) {
            $facts = $this->log->crop($plan->crop->id);
            // Over, so that it is known: what is given away or too many has lived.
            if ($facts->up !== null && $facts->alive === 0 && $facts->gone + $facts->lost > 0) {
                $id = $plan->method->id;
                $methods[$id] = $plan->method;
                $counts[$id][0] = ($counts[$id][0] ?? 0) + min($facts->up, $facts->gone);
                $counts[$id][1] = ($counts[$id][1] ?? 0) + min($facts->up, $facts->gone + $facts->lost);
            }
        }
        $beliefs = [];
        $likes = new Likes;
        $planned = array_map(fn (Method $method): float => array_product(array_map(fn (Stage $stage): float => $stage->survival, $method->stages)), $methods);
        foreach ($methods as $id => $method) {
            $likes->add($id, $method->pattern->value.count($method->stages), $counts[$id][0], $planned[$id], $counts[$id][1]);
        }
        foreach ($methods as $id => $method) {
            [$lived, $of] = $counts[$id];
            $whole = $planned[$id];
            [$similar, $theirs] = $likes->evidence($id, $whole, self::PLANTS);
            $weight = self::PLANTS + $similar + $of;
            $believed = min(self::MOST, max(self::LEAST, (self::PLANTS * $whole + $theirs + $lived) / $weight));
            // Every stage shares in it as it did.
            $power = $whole >= 1.0 ? 1.0 : log($believed) / log($whole);
            $edits = array_map(fn (int $i, Stage $stage): array => ['path' => ['methods', (string) $id, 'stages', $i, 'survival'],
                'to' => $whole >= 1.0 ? $believed ** (1.0 / count($method->stages)) : round($stage->survival ** $power, 4)],
                array_keys($method->stages), $method->stages);
            $beliefs[] = new Belief(
                key: 'survival',
                id: (string) $id,
                name: $method->name,
                planned: $whole,
                counted: $of > 0 ? $lived / $of : null,
                believed: $believed,
                planned_range: BetaPoints::around($whole, self::PLANTS),
                believed_range: BetaPoints::around($believed, $weight),
                weight: self::PLANTS,
                of: $of,
                similar: $similar,
                edits: $edits,
            );
        }

        return $beliefs;
    }

    /** @return list<Belief> */
    private function luck(): array
    {
        $lived = $of = $expected = 0.0;
        foreach ($this->survival() as $belief) {
            $lived += ($belief->counted ?? 0.0) * $belief->of;
            $expected += $belief->planned * $belief->of;
            $of += $belief->of;
        }
        if ($of <= 0.0 || $expected <= 0.0 || $expected >= $of) {
            return [];
        }
        [$share, $mean] = [$lived / $of, $expected / $of];
        // What all of them were off together, as a share of the most that they can be; less what chance alone does among so many.
        $off = max(0.0, ($share - $mean) ** 2 / ($mean * (1.0 - $mean)) - 1.0 / $of);
        $now = $this->books->season()->luck;
        $believed = min(self::MOST_LUCK, (self::SEASONS * $now + min(self::MOST_LUCK, $off)) / (self::SEASONS + 1.0));

        return [new Belief(
            key: 'luck',
            id: 'luck',
            name: 'How much bad seasons share',
            planned: $now,
            counted: min(1.0, $off),
            believed: $believed,
            planned_range: null,
            believed_range: null,
            weight: self::SEASONS,
            of: 1,
            similar: 0.0,
            edits: [['path' => ['luck'], 'to' => round($believed, 4)]],
        )];
    }
}

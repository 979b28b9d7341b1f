<?php

declare(strict_types=1);

namespace JollyPenny\Core\Living\Reckoning;

/**
 * What was counted of others that are alike, at a discount: a quarter of it counts, and never more than the plan itself (a power prior:
 * Ibrahim and Chen, Statistical Science 15, 2000; the quarter is common practice, no source). It moves a rate as far as the others were off
 * their own plans.
 */
final class Likes
{
    private const DISCOUNT = 0.25;

    /** @var array<array-key, array{string, float, float, float}> likeness, counted, expected by plan and number, by id */
    private array $counts = [];

    /**
     * @param  string  $like  those of the same are alike
     * @param  float  $counted  that came up or lived
     * @param  float  $planned  rate
     * @param  float  $of  seeds or plants
     */
    public function add(string|int $id, string $like, float $counted, float $planned, float $of): void
    {
        $this->counts[$id] = [$like, $counted, $planned * $of, $of];
    }

    /** @return array{float, float} plants or seeds that the others count for, of which so many came up or lived */
    public function evidence(string|int $id, float $planned, float $weight): array
    {
        $like = $this->counts[$id][0];
        $came = $expected = $of = 0.0;
        foreach ($this->counts as $other => [$its, $counted, $planWould, $number]) {
            if ($other !== $id && $its === $like) {
                [$came, $expected, $of] = [$came + $counted, $expected + $planWould, $of + $number];
            }
        }
        $counts = min($weight, self::DISCOUNT * $of);

        return $expected <= 0.0 ? [0.0, 0.0] : [$counts, $counts * min(1.0, $planned * $came / $expected)];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use JollyPenny\Core\Living\Shed\HandCount;
use JollyPenny\Core\Season\Day;

/**
 * Something in a person's shed, across seasons.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind
 * @property string $name
 * @property int $packed_for  of seed, its year; else 0
 * @property string $amount  exact, in its unit
 * @property string $unit
 * @property int $served  seasons
 * @property string $place  where it lies
 * @property list<array{on: string, sown: int, sprouted: int}> $tests
 * @property ?Carbon $gone_on
 * @property string $gone_why
 * @property ?Carbon $counted_on  the day of the last count by hand
 */
final class ShedItem extends Model
{
    /** Of one shed. */
    public const MOST = 2000;

    public const TESTS = 20;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['tests' => 'array', 'amount' => 'decimal:4', 'gone_on' => 'immutable_date',
        'counted_on' => 'immutable_date', 'served' => 'integer', 'packed_for' => 'integer'];

    /** @return list<self> all of a person's, also what is gone */
    public static function ofUser(int $user): array
    {
        /** @var list<self> */
        return self::query()->where('user_id', $user)->orderBy('name')->orderBy('packed_for')->get()->values()->all();
    }

    /** @return list<HandCount> */
    public static function counts(int $user): array
    {
        $counts = [];
        foreach (self::ofUser($user) as $item) {
            if ($item->counted_on !== null && $item->gone_on === null) {
                $on = Day::parse($item->counted_on->format('Y-m-d'));
                $counts[] = new HandCount($item->kind, $item->name, $item->packed_for, (float) $item->amount, $on);
            }
        }

        return $counts;
    }

    /** @return array<string, mixed> as it is sent */
    public function shown(): array
    {
        return [...$this->only(['id', 'kind', 'name', 'unit', 'served', 'place', 'tests', 'gone_why']), 'amount' => (float) $this->amount,
            'packed_for' => $this->packed_for === 0 ? null : $this->packed_for, 'gone_on' => $this->gone_on?->format('Y-m-d')];
    }
}

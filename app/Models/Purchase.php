<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use JollyPenny\Core\Living\Shopping\Purchase as Bought;

/**
 * Something bought for a season, at the price paid.
 *
 * @property int $season_id
 * @property string $token
 * @property string $kind
 * @property string $thing  its id in the season
 * @property string $name  as it was called then
 * @property int $packs
 * @property string $paid  exact, for all packs
 * @property Carbon $bought_on
 * @property string $shop
 * @property string $note
 */
final class Purchase extends Model
{
    /** Of one season. */
    public const MOST = 2000;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['packs' => 'integer', 'paid' => 'decimal:4', 'bought_on' => 'immutable_date'];

    /** @return list<self> of a season, in the order in which they were bought */
    public static function ofSeason(int $season): array
    {
        /** @var list<self> */
        return self::query()->where('season_id', $season)->orderBy('bought_on')->orderBy('id')->get()->values()->all();
    }

    public function bought(): Bought
    {
        return new Bought(
            id: $this->token,
            kind: $this->kind,
            thing: $this->thing,
            name: $this->name,
            packs: $this->packs,
            paid: (float) $this->paid,
            on: $this->bought_on->format('Y-m-d'),
            shop: $this->shop,
            note: $this->note,
        );
    }
}

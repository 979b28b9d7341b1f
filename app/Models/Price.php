<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What a pack of something cost in a shop on a day.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $shop
 * @property ?string $holds  in a pack, exact
 * @property string $unit
 * @property string $price  for a pack, exact
 * @property string $currency
 * @property Carbon $seen_on
 */
final class Price extends Model
{
    /** Of one garden. */
    public const MOST = 50_000;

    public const UPDATED_AT = null;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['price' => 'decimal:4', 'holds' => 'decimal:4', 'seen_on' => 'immutable_date'];
}

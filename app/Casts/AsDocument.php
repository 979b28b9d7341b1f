<?php

declare(strict_types=1);

namespace App\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A jsonb column as the document it holds: objects stay objects ({} is not []), whole floats stay floats.
 *
 * @implements CastsAttributes<mixed, mixed>
 */
final class AsDocument implements CastsAttributes
{
    private const DEPTH = 64;

    /** Whoever asks gets a copy of their own. */
    public bool $withoutObjectCaching = true;

    public function get(Model $model, string $key, mixed $value, array $attributes): mixed
    {
        return is_string($value) ? json_decode($value, false, self::DEPTH, JSON_THROW_ON_ERROR) : null;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode(
            $value,
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
            self::DEPTH,
        );
    }
}

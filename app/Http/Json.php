<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\JsonResponse;

/** Answers as JSON in full precision. */
final readonly class Json
{
    private const OPTIONS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    public static function response(mixed $data, int $status = 200): JsonResponse
    {
        return (new JsonResponse(null, $status))->setJson(json_encode($data, self::OPTIONS));
    }
}

<?php

declare(strict_types=1);

namespace App\Health;

use App\Http\Json;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** For whoever looks after the machine. */
final class HealthController
{
    /** Whether requests can be answered: 200, or 503 with the part that does not work. */
    public function up(): JsonResponse
    {
        $parts = Health::parts();
        $well = ! in_array(false, $parts, true);
        $answer = Json::response(['up' => $well, 'parts' => $parts], $well ? 200 : 503);
        if (! $well) {
            $answer->headers->set('Retry-After', '5');
        }

        return $answer;
    }

    /** Only with the operator's token; to anybody else there is no such page. */
    public function metrics(Request $request): Response
    {
        $token = config('jolly.metrics_token');
        if (! is_string($token) || $token === '' || ! hash_equals($token, (string) $request->bearerToken())) {
            throw new NotFoundHttpException;
        }

        return new Response(Health::metrics(), 200, ['Content-Type' => 'text/plain; version=0.0.4; charset=utf-8']);
    }
}

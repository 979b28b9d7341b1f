<?php

declare(strict_types=1);

namespace App\Http;

use App\Seasons\RevisionConflict;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Season\File\Fault;
use JollyPenny\Core\Season\File\InvalidSeason;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What went wrong, as problem details (RFC 9457): never a stack trace. */
final readonly class Problem
{
    public static function from(Throwable $e): JsonResponse
    {
        return match (true) {
            $e instanceof InvalidSeason => self::respond(
                422,
                'These values cannot be used',
                $e->faults[0]->problem.' '.$e->faults[0]->remedy,
                [
                    'faults' => array_map(
                        fn (Fault $fault): array => ['path' => $fault->path, 'problem' => $fault->problem, 'remedy' => $fault->remedy],
                        $e->faults,
                    ),
                ],
            ),
            $e instanceof RevisionConflict => self::respond(409, 'Changed elsewhere', $e->getMessage(), [
                'revision' => $e->revision,
                'conflicts' => $e->conflicts,
            ]),
            $e instanceof ValidationException => self::respond(422, 'These values cannot be used', $e->getMessage(), [
                'faults' => self::fieldFaults($e),
            ]),
            $e instanceof AuthenticationException => self::respond(401, 'Not signed in', 'Open the start page again.'),
            $e instanceof TokenMismatchException => self::respond(419, 'The page is too old', 'Reload the page; what you typed is kept.'),
            $e instanceof ModelNotFoundException => self::respond(404, 'Not found', 'There is no such thing in your garden.'),
            $e instanceof HttpExceptionInterface => self::respond(
                $e->getStatusCode(),
                'That did not work',
                $e->getStatusCode() === 404 ? 'There is no such thing in your garden.' : ($e->getMessage() ?: 'Try again.'),
            ),
            default => self::respond(
                500,
                'Something went wrong here',
                'It has been noted. Try again in a moment; what you typed is kept.',
            ),
        };
    }

    /** @param  array<string, mixed>  $more */
    private static function respond(int $status, string $title, string $detail, array $more = []): JsonResponse
    {
        return new JsonResponse(['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail, ...$more], $status, [
            'Content-Type' => 'application/problem+json',
        ]);
    }

    /** @return list<array{path: string, problem: string, remedy: string}> */
    private static function fieldFaults(ValidationException $e): array
    {
        $faults = [];
        foreach ($e->errors() as $field => $messages) {
            $faults[] = ['path' => (string) $field, 'problem' => is_string($messages[0] ?? null) ? $messages[0] : '', 'remedy' => ''];
        }

        return $faults;
    }
}

<?php

declare(strict_types=1);

namespace App\Http;

use App\Seasons\RevisionConflict;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use JollyPenny\Core\Season\File\Fault;
use JollyPenny\Core\Season\File\InvalidSeason;
use PDOException;
use Symfony\Component\ErrorHandler\Error\FatalError;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/**
 * What went wrong, as problem details (RFC 9457): never a stack trace.
 *
 * @phpstan-type FaultShape array{path: string, problem: string, remedy: string}
 * @phpstan-type ConflictShape array{
 *     path: list<string|int>,
 *     was: mixed,
 *     theirs: mixed,
 *     yours: mixed,
 *     // what it is a part of was taken out meanwhile: nothing can be kept there
 *     gone: bool,
 * }
 * @phpstan-type ProblemShape array{
 *     type: string,
 *     title: string,
 *     status: int,
 *     detail: string,
 *     faults?: list<FaultShape>,
 *     revision?: int,
 *     conflicts?: list<ConflictShape>,
 * }
 */
final readonly class Problem
{
    private const UNUSABLE = 'These values cannot be used';

    private const NOT_THERE = 'There is no such thing in your garden.';

    private const TOO_MUCH = 'This season is too large to be reckoned in one go. Take some set-ups or crops out, and try again.';

    private const AWAY = 'The database does not answer. What you typed is kept, and sent when it is back.';

    private const AGAIN = ['Retry-After' => '5'];

    public static function from(Throwable $e): JsonResponse
    {
        return match (true) {
            $e instanceof InvalidSeason => self::respond(422, self::UNUSABLE, self::first($e), ['faults' => self::faults($e)]),
            $e instanceof RevisionConflict => self::respond(409, 'Changed elsewhere', $e->getMessage(), [
                'revision' => $e->revision,
                'conflicts' => $e->conflicts,
            ]),
            $e instanceof ValidationException => self::respond(422, self::UNUSABLE, $e->getMessage(), ['faults' => self::fieldFaults($e)]),
            $e instanceof UniqueConstraintViolationException => self::respond(
                409,
                'There already',
                'That is there already. Reload the page.',
            ),
            $e instanceof AuthenticationException => self::respond(401, 'Not signed in', 'Open the start page again.'),
            $e instanceof TokenMismatchException => self::respond(419, 'The page is too old', 'Reload the page; what you typed is kept.'),
            $e instanceof ModelNotFoundException => self::respond(404, 'Not found', self::NOT_THERE),
            self::isAway($e) => self::respond(503, 'Away', self::AWAY, headers: self::AGAIN),
            $e instanceof FatalError => self::respond(503, 'Too much at once', self::TOO_MUCH, headers: self::AGAIN),
            $e instanceof HttpExceptionInterface => self::respond(
                $e->getStatusCode(),
                'That did not work',
                $e->getStatusCode() === 404 ? self::NOT_THERE : ($e->getMessage() ?: 'Try again.'),
                headers: $e->getHeaders(),
            ),
            default => self::respond(
                500,
                'Something went wrong here',
                'It has been noted. Try again in a moment; what you typed is kept.',
            ),
        };
    }

    /** For a page rather than a program: only what the framework would tell wrongly. */
    public static function page(Throwable $e): ?Response
    {
        return self::isAway($e) ? response()->view('errors.503', [], 503, self::AGAIN) : null;
    }

    /**
     * The database cannot be reached, has just gone away or is the primary no more: SQLSTATE classes 08, 53 and 57P, 25006, or no state
     * at all.
     */
    public static function isAway(Throwable $e): bool
    {
        $cause = $e instanceof QueryException ? $e->getPrevious() ?? $e : $e;
        if (! ($cause instanceof PDOException)) {
            // Redis, where a site has it, says nothing but that it is away.
            return is_a($cause, 'RedisException');
        }
        $state = (string) ($cause->errorInfo[0] ?? $cause->getCode());

        return preg_match('/^(08|25006|53|57P|7$|HY000$)/', $state) === 1 ||
            preg_match('/(server closed the|no) connection|connection to server/i', $cause->getMessage()) === 1;
    }

    /**
     * @param  array<string, mixed>  $more
     * @param  array<string, mixed>  $headers
     */
    private static function respond(int $status, string $title, string $detail, array $more = [], array $headers = []): JsonResponse
    {
        return new JsonResponse(['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail, ...$more], $status, [
            ...$headers,
            'Content-Type' => 'application/problem+json',
        ]);
    }

    private static function first(InvalidSeason $e): string
    {
        return $e->faults[0]->problem.' '.$e->faults[0]->remedy;
    }

    /** @return list<array{path: string, problem: string, remedy: string}> */
    private static function faults(InvalidSeason $e): array
    {
        return array_map(
            fn (Fault $fault): array => ['path' => $fault->path, 'problem' => $fault->problem, 'remedy' => $fault->remedy],
            $e->faults,
        );
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

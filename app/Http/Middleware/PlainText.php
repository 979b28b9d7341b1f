<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** Text that is none, in the address or in what is sent, is refused before anything reads it. */
final class PlainText
{
    public function handle(Request $request, Closure $next): Response
    {
        $path = rawurldecode($request->getPathInfo());
        $query = rawurldecode(str_replace('+', ' ', (string) $request->server->get('QUERY_STRING')));
        foreach ([$path, $query, (string) $request->getContent()] as $text) {
            if (str_contains($text, "\0") || ! mb_check_encoding($text, 'UTF-8')) {
                throw new BadRequestHttpException('This is no text: it holds a zero byte, or is not valid UTF-8.');
            }
        }
        if ($request->isJson() && preg_match('/\\\\u0000/', (string) $request->getContent()) === 1) {
            throw new BadRequestHttpException('A text holds a zero byte. Take "\\u0000" out.');
        }
        if (self::isBeyondNumbers((string) $request->getContent())) {
            throw new BadRequestHttpException('A number is too large to be one. Take it out.');
        }
        // What is asked for in the address is words, never lists.
        foreach ($request->query->all() as $key => $value) {
            if (! is_string($value)) {
                throw new BadRequestHttpException("\"{$key}\" is to be one value.");
            }
        }

        return $next($request);
    }

    /** 1e400 and the like, which reads as infinite. */
    private static function isBeyondNumbers(string $json): bool
    {
        if (preg_match('/\d[eE]\+?\d{3}|\d{309}/', $json) !== 1) {
            return false;
        }
        $infinite = false;
        $values = json_decode($json, true);
        is_array($values) && array_walk_recursive($values, function (mixed $value) use (&$infinite): void {
            $infinite = $infinite || (is_float($value) && is_infinite($value));
        });

        return $infinite;
    }
}

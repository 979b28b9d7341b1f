<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;

/** The address by which this installation is found, for what is read elsewhere: feeds, labels, letters. */
final readonly class PublicAddress
{
    /**
     * The configured address. Where that is only this machine's loopback, a phone could not open it: then the one by which the page was
     * opened, which is one of our own names (TrustedHosts) or the request would have been refused.
     *
     * @return string without a slash at the end
     */
    public static function root(Request $request): string
    {
        $configured = config('app.url');

        return rtrim(TrustedHosts::isLoopback() || ! is_string($configured) ? $request->getSchemeAndHttpHost() : $configured, '/');
    }
}

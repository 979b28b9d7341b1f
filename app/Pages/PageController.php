<?php

declare(strict_types=1);

namespace App\Pages;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The one page, on which the screens are drawn. */
final class PageController
{
    /** Marked with whose garden it is, so that a device never shows one person what another left on it. */
    public function page(Request $request, EarlyAnswer $early): View
    {
        $garden = $request->user()?->getKey();

        return view('app', [
            'garden' => $garden === null ? '' : hash_hmac('sha256', "garden {$garden}", (string) config('app.key')),
            'early' => $early->for($request),
            'ahead' => ScreenFiles::forScreen($request->path() === '/' ? 'compare' : basename($request->path())),
        ]);
    }

    /** The same with nobody's garden, which a device keeps for when there is no connection. */
    public function shell(): View
    {
        return view('app');
    }
}

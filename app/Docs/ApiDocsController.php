<?php

declare(strict_types=1);

namespace App\Docs;

use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;

/** The API's description, as a file for tools and as a page for people. */
final class ApiDocsController
{
    public function json(): JsonResponse
    {
        return (new JsonResponse)->setJson(OpenApiFile::kept());
    }

    public function page(): View
    {
        return view('api-docs', ['api' => json_decode(OpenApiFile::kept(), true, 64, JSON_THROW_ON_ERROR)]);
    }
}

<?php

declare(strict_types=1);

namespace App\Log;

use App\Http\Gardener;
use App\Models\Photo;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Small pictures with a row.
 *
 * @phpstan-type NewPhotoShape array{
 *     on: string,
 *     crop?: ?string,
 *     tray?: ?string,
 *     note?: ?string,
 *     // JPEG, PNG or WebP in base64
 *     image: string,
 * }
 */
final class PhotoController
{
    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Put(
        path: '/api/seasons/{season}/photos/{token}',
        operationId: 'addPhoto',
        summary: 'A picture, made small and without what the camera wrote beside it; sent again, it is there once',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPhoto'))]
    #[OA\Response(response: 204, description: 'Kept')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request, int $season, string $token): Response
    {
        $model = $this->gardener->season($season);
        $input = $request->validate([
            'on' => ['required', 'date_format:Y-m-d'],
            'crop' => ['nullable', 'string', 'max:100'],
            'tray' => ['nullable', 'string', 'max:10'],
            'note' => ['nullable', 'string', 'max:300'],
            'image' => ['required', 'string', 'max:5600000'],
        ], ['image.max' => 'The picture is over 4 MB. Make it smaller first.']);
        if (Photo::query()->where('season_id', $model->id)->where('token', $token)->exists()) {
            return new Response(status: 204);
        }
        if (Photo::query()->where('season_id', $model->id)->count() >= Photo::MOST) {
            throw ValidationException::withMessages(['image' => 'There are '.Photo::MOST.' pictures in this season already. Take some out first.']);
        }
        try {
            $photo = SmallPhoto::fromBytes((string) base64_decode($input['image'], true));
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['image' => $e->getMessage()]);
        }
        Photo::query()->insertOrIgnore([
            'season_id' => $model->id, 'token' => $token, 'day' => $input['on'], 'crop' => $input['crop'] ?? null, 'tray' => $input['tray'] ?? null,
            'note' => $input['note'] ?? '', 'width' => $photo->width, 'height' => $photo->height,
            'image' => DB::raw("decode('".bin2hex($photo->jpeg)."', 'hex')"),
        ]);

        return new Response(status: 204);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/photos/{token}',
        operationId: 'photo',
        summary: 'The picture',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'JPEG', content: new OA\MediaType(mediaType: 'image/jpeg'))]
    public function show(int $season, string $token): Response
    {
        $model = $this->gardener->season($season);
        $row = DB::selectOne("SELECT encode(image, 'base64') AS image FROM photos WHERE season_id = ? AND token = ?", [$model->id, $token])
            ?? throw new NotFoundHttpException();

        return new Response((string) base64_decode($row->image), 200, ['Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=31536000, immutable']);
    }

    #[OA\Delete(
        path: '/api/seasons/{season}/photos/{token}',
        operationId: 'removePhoto',
        summary: 'Take a picture out',
        tags: ['Through the season'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 204, description: 'Gone')]
    public function destroy(int $season, string $token): Response
    {
        Photo::query()->where('season_id', $this->gardener->season($season)->id)->where('token', $token)->delete();

        return new Response(status: 204);
    }
}

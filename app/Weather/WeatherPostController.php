<?php

declare(strict_types=1);

namespace App\Weather;

use App\Devices\DeviceToken;
use App\Http\Json;
use App\Models\WeatherPlace;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use JollyPenny\Core\Living\Weather\DayWeather;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Measure;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpKernel\Exception\UnauthorizedHttpException;

/**
 * What a thermometer or a station sends by its token, without a session.
 *
 * @phpstan-type PostedDayShape array{date: string, low: float, high: float}
 * @phpstan-type NewWeatherShape array{
 *     // °C without
 *     unit?: 'C'|'F',
 *     measured?: list<PostedDayShape>,
 *     forecast?: array{made_on: string, days: list<PostedDayShape>},
 * }
 * @phpstan-type WeatherPostedShape array{kept: int, known: int, changed: int, refused: int}
 */
final class WeatherPostController
{
    /** What its token is good for. */
    public const MAY = 'weather';

    /** Days in one post: a year and a day. */
    private const MOST = 367;

    /** @throws UnauthorizedHttpException without a token of a place */
    #[OA\Post(
        path: '/api/device/weather',
        operationId: 'postWeather',
        summary: 'Days that were measured, or a forecast, by a place\'s token (Authorization: Bearer); nothing counts twice, nonsense is refused and counted',
        tags: ['Weather'],
    )]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewWeather'))]
    #[OA\Response(response: 200, description: 'How many were kept, were known, took new values, were refused',
        content: new OA\JsonContent(ref: '#/components/schemas/WeatherPosted'))]
    #[OA\Response(response: 401, ref: '#/components/responses/NotFound')]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function __invoke(Request $request): JsonResponse
    {
        $place = self::sender((string) $request->bearerToken());
        $unit = $request->json('unit') === 'F' ? Measure::Fahrenheit : Measure::Celsius;
        [$measured, $forecast] = [$request->json('measured'), $request->json('forecast')];
        $forecast = is_array($forecast) ? $forecast : [];
        $days = $forecast['days'] ?? null;
        foreach (['measured' => $measured, 'forecast.days' => $days] as $key => $list) {
            if ($list !== null && (! is_array($list) || count($list) > self::MOST)) {
                throw ValidationException::withMessages([$key => 'Send up to '.self::MOST.' days at once.']);
            }
        }
        if ($measured === null && $days === null) {
            throw ValidationException::withMessages(['measured' => 'Send days: {"measured": [{"date": "2027-05-03", "low": 2.5, "high": 14}]}, or'
                .' {"forecast": {"made_on": "2027-05-03", "days": […]}}.']);
        }
        $sum = ['kept' => 0, 'known' => 0, 'changed' => 0, 'refused' => 0];
        if (is_array($measured)) {
            [$good, $sum['refused']] = self::days($measured, $unit);
            $sum = [...$sum, ...WeatherDays::measured($place, $good)];
        }
        if (is_array($days)) {
            $made = self::day($forecast['made_on'] ?? null)
                ?? throw ValidationException::withMessages(['forecast.made_on' => 'Say on which day it was forecast, as 2027-05-03.']);
            [$good, $refused] = self::days($days, $unit);
            foreach (WeatherDays::forecast($place, $made, $good) as $key => $n) {
                $sum[$key] += $n;
            }
            $sum['refused'] += $refused;
        }

        return Json::response($sum);
    }

    private static function sender(string $given): WeatherPlace
    {
        $place = DeviceToken::owner($given, self::MAY);

        return $place instanceof WeatherPlace ? $place
            : throw new UnauthorizedHttpException('Bearer', 'This token is not one of a place with weather, or was taken back.');
    }

    /**
     * @param  array<array-key, mixed>  $list
     * @return array{array<int, DayWeather>, int} by day number, and how many make no sense
     */
    private static function days(array $list, Measure $unit): array
    {
        $days = [];
        $refused = 0;
        foreach ($list as $one) {
            $day = is_array($one) ? self::day($one['date'] ?? null) : null;
            [$low, $high] = is_array($one) ? [$one['low'] ?? null, $one['high'] ?? null] : [null, null];
            if ($day === null || ! (is_int($low) || is_float($low)) || ! (is_int($high) || is_float($high))) {
                $refused++;

                continue;
            }
            try {
                $days[$day->number] = DayWeather::checked(round($unit->toCore((float) $low), 2), round($unit->toCore((float) $high), 2));
            } catch (InvalidArgumentException) {
                $refused++;
            }
        }

        return [$days, $refused];
    }

    private static function day(mixed $text): ?Day
    {
        try {
            $day = is_string($text) ? Day::parse($text) : null;

            return $day !== null && WeatherDays::isSense($day) ? $day : null;
        } catch (InvalidArgumentException) {
            return null;
        }
    }
}

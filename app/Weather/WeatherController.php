<?php

declare(strict_types=1);

namespace App\Weather;

use App\Http\CsvFile;
use App\Http\Gardener;
use App\Http\Json;
use App\Http\Text;
use App\Models\LogRow;
use App\Models\Season;
use App\Models\WeatherPlace;
use App\Prices\NotATable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use JollyPenny\Core\Deciding\Advising\FrostOffer;
use JollyPenny\Core\Deciding\GoingOut\GoingOut;
use JollyPenny\Core\Living\Weather\Due;
use JollyPenny\Core\Living\Weather\ForecastTrust;
use JollyPenny\Core\Living\Weather\Frosts;
use JollyPenny\Core\Living\Weather\FrostYears;
use JollyPenny\Core\Living\Weather\Night;
use JollyPenny\Core\Living\Weather\SeenFrom;
use JollyPenny\Core\Living\Weather\WeatherBook;
use JollyPenny\Core\Season\Day;
use JollyPenny\Core\Season\Units\Measure;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * A garden's weather: where it is measured, what was measured and forecast, and what a season makes of it.
 *
 * @phpstan-type WeatherPlaceShape array{
 *     id: int,
 *     name: string,
 *     // made up, with a made-up season
 *     demo: bool,
 *     first_on: ?string,
 *     last_on: ?string,
 *     // days that were measured
 *     days: int,
 *     // day of the last forecast
 *     forecast_on: ?string,
 *     heard_at: ?string,
 * }
 * @phpstan-type WeatherDayShape array{on: string, low: float, high: float, measured: bool}
 * @phpstan-type WeatherShape array{
 *     places: list<WeatherPlaceShape>,
 *     // whose weather the season has
 *     place: ?int,
 *     // the day it is looked at from: the last of the log where the season is far from today
 *     on: string,
 *     days: list<WeatherDayShape>,
 *     tonight: ?Night,
 *     // this evening and those after it, as far as the forecast reaches
 *     nights: list<Night>,
 *     record: array{nights: int, called: int, right: int, missed: int},
 *     trust: ForecastTrust,
 *     due: list<Due>,
 *     last_frost: Frosts,
 *     first_frost: Frosts,
 *     offer: ?FrostOffer,
 * }
 * @phpstan-type NewWeatherPlaceShape array{name: string}
 * @phpstan-type WeatherPlaceMadeShape array{id: int, token: string}
 * @phpstan-type WeatherTableShape array{
 *     // the file's bytes in base64
 *     table: string,
 *     unit: 'C'|'F',
 *     // whether 5/3/2027 is the third of May
 *     month_first: bool,
 *     // the day on which it was forecast; what was measured without
 *     made_on?: ?string,
 * }
 * @phpstan-type WeatherKeptShape array{kept: int, known: int, changed: int, refused: int, faults: list<array{line: int, why: string}>}
 * @phpstan-type SeasonWeatherPlaceShape array{place: ?int}
 */
final class WeatherController
{
    /** Days shown before today and after it. */
    private const AROUND = 7;

    /** A table of a hundred years is two megabytes. */
    private const MOST_BYTES = 4_000_000;

    public function __construct(private readonly Gardener $gardener)
    {
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/weather',
        operationId: 'weather',
        summary: 'The weather around a day, what may not stay out, what comes up when, and the frosts of past years',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'on', in: 'query', required: true, description: 'the gardener\'s own day', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'The weather', content: new OA\JsonContent(ref: '#/components/schemas/Weather'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function show(Request $request, int $season, string $setup): JsonResponse
    {
        $on = Day::parse($request->validate(['on' => ['required', 'date_format:Y-m-d']])['on']);
        $kept = $this->gardener->kept($season);
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException();
        $place = WeatherPlace::ofSeason($kept->model);
        $book = $place === null ? new WeatherBook : WeatherDays::book($place);
        $log = LogRow::book($season);
        $books = $kept->lived($row, $log);
        $day = SeenFrom::day($books, $log, $on);
        $now = SeasonWeather::at($book, $kept, $books, $log, $day);
        // With what the garden's own thermometer says.
        $book = $now->air->book;
        [$last, $first] = [
            Frosts::fromYears(FrostYears::last($book, $kept->file->lastFrost)),
            Frosts::fromYears(FrostYears::first($book, $kept->file->lastFrost)),
        ];

        return Json::response([
            'places' => self::places($kept->model->user_id),
            'place' => $place?->id,
            'on' => $day->format(),
            'days' => self::around($book, $day),
            'tonight' => $now->tonight(),
            'nights' => array_values(array_filter($now->nights, fn (Night $night): bool => $night->on >= $day->format())),
            'record' => $now->record(),
            'trust' => ForecastTrust::fromWeather($book, $day->number),
            'due' => array_values($now->due),
            'last_frost' => $last,
            'first_frost' => $first,
            'offer' => FrostOffer::forSetup($kept->costing, $row, $last, $first),
        ]);
    }

    #[OA\Get(
        path: '/api/seasons/{season}/setups/{setup}/going-out',
        operationId: 'goingOut',
        summary: 'What each day of planting out may cost: waiting, and the chance of a night that kills; with a cover and without',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Parameter(name: 'setup', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'crop', in: 'query', required: false, description: 'one crop; all that frost kills without', schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'cover', in: 'query', required: false, description: 'price of a cover; 0 without', schema: new OA\Schema(type: 'number'))]
    #[OA\Response(response: 200, description: 'The days', content: new OA\JsonContent(ref: '#/components/schemas/GoingOut'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function goingOut(Request $request, int $season, string $setup): JsonResponse
    {
        $input = $request->validate(['crop' => ['nullable', 'string', 'max:100'], 'cover' => ['nullable', 'numeric', 'between:0,1000000']],
            ['cover.*' => 'Type the price of the cover as a number from 0 on.']);
        $kept = $this->gardener->kept($season);
        $row = array_column($kept->file->setups, null, 'id')[$setup] ?? throw new NotFoundHttpException();
        $place = WeatherPlace::ofSeason($kept->model);
        $crop = $input['crop'] ?? null;
        $log = LogRow::book($season);
        $asked = $crop === null ? array_column($kept->file->crops, 'id') : [$crop];
        // What is in the soil is grown no sooner; of several, one is enough.
        $isSown = array_filter($asked, fn (string $one): bool => $log->crop($one)->sown_on !== null) !== [];
        try {
            return Json::response(GoingOut::weigh($kept->costing, $row, $place === null ? new WeatherBook : WeatherDays::book($place),
                $crop === null ? [] : [$crop], $isSown, (float) ($input['cover'] ?? 0)));
        } catch (InvalidArgumentException $e) {
            throw ValidationException::withMessages(['crop' => $e->getMessage()]);
        }
    }

    #[OA\Put(
        path: '/api/seasons/{season}/weather',
        operationId: 'chooseWeather',
        summary: 'Whose weather the season has; null for the garden\'s oldest place',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'season', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SeasonWeatherPlace'))]
    #[OA\Response(response: 204, description: 'Chosen')]
    #[OA\Response(response: 404, ref: '#/components/responses/NotFound')]
    public function choose(Request $request, int $season): Response
    {
        $id = $this->gardener->seasonId($season);
        $place = $request->validate(['place' => ['present', 'nullable', 'integer', 'between:1,999999999999999999']])['place'];
        $chosen = $place === null ? null : $this->place((int) $place)->id;
        // It is no edit of the season's document: no revision, and nothing to undo.
        Season::query()->whereKey($id)->toBase()->update(['weather_place_id' => $chosen]);

        return new Response(status: 204);
    }

    #[OA\Post(
        path: '/api/weather',
        operationId: 'addWeatherPlace',
        summary: 'Make a thermometer or a station known; its token is told once',
        tags: ['Weather'],
    )]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewWeatherPlace'))]
    #[OA\Response(response: 201, description: 'Its token', content: new OA\JsonContent(ref: '#/components/schemas/WeatherPlaceMade'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function store(Request $request): JsonResponse
    {
        $user = $this->gardener->user();
        $name = trim($request->validate(['name' => ['required', 'string', 'max:100']], ['name.*' => 'Give it a name of up to 100 letters.'])['name']);
        if (WeatherPlace::query()->where('user_id', $user->id)->where('demo', false)->count() >= WeatherPlace::MOST) {
            throw ValidationException::withMessages(['name' => 'There are '.WeatherPlace::MOST.' places here already. Take one out first.']);
        }
        $place = WeatherPlace::query()->create(['user_id' => $user->id, 'name' => $name === '' ? 'Garden' : $name]);

        return Json::response(['id' => $place->id, 'token' => $place->createToken($place->name, [WeatherPostController::MAY])->plainTextToken], 201);
    }

    #[OA\Delete(
        path: '/api/weather/{place}',
        operationId: 'removeWeatherPlace',
        summary: 'Take a place out, with its token and all its weather',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 204, description: 'Gone')]
    public function destroy(int $place): Response
    {
        $found = $this->place($place);
        $found->tokens()->delete();
        $found->delete();

        return new Response(status: 204);
    }

    #[OA\Put(
        path: '/api/weather/{place}/token',
        operationId: 'newWeatherToken',
        summary: 'A new token in place of the old one',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'The token', content: new OA\JsonContent(ref: '#/components/schemas/WeatherPlaceMade'))]
    public function token(int $place): JsonResponse
    {
        $found = $this->place($place);
        $found->tokens()->delete();

        return Json::response(['id' => $found->id, 'token' => $found->createToken($found->name, [WeatherPostController::MAY])->plainTextToken]);
    }

    #[OA\Post(
        path: '/api/weather/{place}/table',
        operationId: 'weatherTable',
        summary: 'Days with their lowest and highest temperature out of a table; a day that is there already takes the new values',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/WeatherTable'))]
    #[OA\Response(response: 200, description: 'How many were kept, and what is wrong with which line',
        content: new OA\JsonContent(ref: '#/components/schemas/WeatherKept'))]
    #[OA\Response(response: 422, ref: '#/components/responses/Faults')]
    public function table(Request $request, int $place): JsonResponse
    {
        $found = $this->place($place);
        $input = $request->validate([
            'unit' => ['required', 'in:C,F'],
            'month_first' => ['required', 'boolean'],
            'made_on' => ['nullable', 'date_format:Y-m-d'],
        ]);
        $bytes = base64_decode(Text::in($request, 'table'), true);
        if ($bytes === false || $bytes === '' || strlen($bytes) > self::MOST_BYTES) {
            throw ValidationException::withMessages(['table' => 'Give a table of up to 4 MB.']);
        }
        try {
            $table = WeatherTable::parse($bytes, $input['unit'] === 'F' ? Measure::Fahrenheit : Measure::Celsius, (bool) $input['month_first']);
        } catch (NotATable $e) {
            throw ValidationException::withMessages(['table' => $e->getMessage()]);
        }
        $sum = isset($input['made_on']) ? WeatherDays::forecast($found, Day::parse($input['made_on']), $table->days)
            : WeatherDays::measured($found, $table->days);

        return Json::response([...$sum, 'refused' => $table->refused, 'faults' => $table->faults]);
    }

    #[OA\Get(
        path: '/api/weather/{place}/days.csv',
        operationId: 'weatherFile',
        summary: 'All that was measured there, as a table in °C',
        tags: ['Weather'],
    )]
    #[OA\Parameter(name: 'place', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'CSV, RFC 4180', content: new OA\MediaType(mediaType: 'text/csv'))]
    public function file(int $place): Response
    {
        $rows = [['date', 'low', 'high']];
        foreach (WeatherDays::book($this->place($place))->measured as $day => $weather) {
            $rows[] = [Day::ofNumber($day)->format(), $weather->low, $weather->high];
        }

        return CsvFile::response('weather', $rows);
    }

    private function place(int $id): WeatherPlace
    {
        /** @var WeatherPlace */
        return WeatherPlace::query()->where('user_id', $this->gardener->user()->id)->findOrFail($id);
    }

    /** @return list<array{on: string, low: float, high: float, measured: bool}> */
    private static function around(WeatherBook $book, Day $today): array
    {
        $days = [];
        for ($day = $today->number - self::AROUND; $day <= $today->number + self::AROUND; $day++) {
            $weather = $book->on($day, $today->number);
            if ($weather !== null) {
                $days[] = ['on' => Day::ofNumber($day)->format(), 'low' => $weather->low, 'high' => $weather->high,
                    'measured' => $day <= $today->number && isset($book->measured[$day])];
            }
        }

        return $days;
    }

    /** @return list<array<string, mixed>> */
    private static function places(int $user): array
    {
        /** @var list<\stdClass> $rows */
        $rows = DB::select(<<<'SQL'
            SELECT p.id, p.name, p.demo, p.heard_at, f.forecast_on, y.days, y.first_on, y.last_on FROM weather_places p
            LEFT JOIN LATERAL (SELECT max(made_on) AS forecast_on FROM weather_forecasts WHERE weather_place_id = p.id) f ON true
            LEFT JOIN LATERAL (
                SELECT count(*) AS days, min(year || '-' || date) AS first_on, max(year || '-' || date) AS last_on
                FROM weather_years, jsonb_object_keys(days) AS date WHERE weather_place_id = p.id
            ) y ON true
            WHERE p.user_id = ? ORDER BY p.id
            SQL, [$user]);

        return array_map(fn (\stdClass $row): array => ['id' => $row->id, 'name' => $row->name,
            'demo' => $row->demo, 'first_on' => $row->first_on, 'last_on' => $row->last_on,
            'days' => (int) $row->days, 'forecast_on' => $row->forecast_on, 'heard_at' => $row->heard_at], $rows);
    }
}

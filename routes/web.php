<?php

declare(strict_types=1);

use App\Accounts\AccountController;
use App\Accounts\MailboxController;
use App\Accounts\PasswordController;
use App\Accounts\SessionController;
use App\Calendar\CalendarController;
use App\Devices\DeviceController;
use App\Docs\ApiDocsController;
use App\Health\HealthController;
use App\Http\Middleware\GardenAtOnce;
use App\Http\Middleware\MayBeOlder;
use App\Ledger\LedgerController;
use App\Log\LogController;
use App\Log\PhotoController;
use App\Pages\PageController;
use App\Planning\BenchController;
use App\Planning\CatalogueController;
use App\Planning\CompareController;
use App\Planning\CropController;
use App\Planning\GuessController;
use App\Planning\MethodController;
use App\Planning\ThingController;
use App\Planning\WorkingController;
use App\Prices\PriceController;
use App\Reckoning\ReckoningController;
use App\Seasons\HistoryController;
use App\Seasons\SeasonController;
use App\Shed\ShedController;
use App\Shopping\ShoppingController;
use App\Trays\TrayController;
use App\Weather\WeatherController;
use App\Weather\WeatherPostController;
use App\Work\WorkController;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('docs', [ApiDocsController::class, 'page']);
    Route::get('openapi.json', [ApiDocsController::class, 'json']);
    Route::get('catalogue', [CatalogueController::class, 'index']);
    Route::get('cautions', [CatalogueController::class, 'cautions']);
    Route::get('account', [AccountController::class, 'show']);
    Route::post('session', [SessionController::class, 'store']);
    Route::post('password/forgot', [PasswordController::class, 'forgot'])->middleware('throttle:letters');
    Route::post('password/reset', [PasswordController::class, 'reset'])->middleware('throttle:letters');
});

Route::prefix('api')
    ->middleware(['auth', 'throttle:edits'])
    ->group(function (): void {
        Route::post('account', [AccountController::class, 'store']);
        Route::patch('account', [AccountController::class, 'update']);
        Route::delete('account', [AccountController::class, 'destroy']);
        Route::get('account/export', [AccountController::class, 'export'])->middleware(MayBeOlder::class);
        Route::delete('session', [SessionController::class, 'destroy']);

        Route::get('shed', [ShedController::class, 'show']);
        Route::post('shed', [ShedController::class, 'store']);
        Route::patch('shed/{item}', [ShedController::class, 'update'])->where('item', '[0-9]{1,18}');
        Route::delete('rolls/{roll}', [ShedController::class, 'rollBack'])->where('roll', '[0-9]{1,18}');
        Route::get('prices', [PriceController::class, 'index']);
        Route::get('prices.csv', [PriceController::class, 'file'])->middleware(MayBeOlder::class);
        Route::post('prices', [PriceController::class, 'store']);
        Route::post('prices/table', [PriceController::class, 'table']);
        Route::delete('prices/{price}', [PriceController::class, 'destroy'])->where('price', '[0-9]{1,18}');
        Route::post('weather', [WeatherController::class, 'store']);
        Route::prefix('weather/{place}')->where(['place' => '[0-9]{1,18}'])->group(function (): void {
            Route::delete('', [WeatherController::class, 'destroy']);
            Route::put('token', [WeatherController::class, 'token']);
            Route::post('table', [WeatherController::class, 'table']);
            Route::get('days.csv', [WeatherController::class, 'file'])->middleware(MayBeOlder::class);
        });
        Route::get('seasons', [SeasonController::class, 'index'])->middleware(MayBeOlder::class);
        Route::post('seasons', [SeasonController::class, 'store']);
        Route::post('list', [CropController::class, 'read']);
        Route::prefix('seasons/{season}')
            ->where(['season' => '[0-9]{1,18}', 'work' => '[0-9]{1,18}'])
            ->group(function (): void {
                Route::get('', [SeasonController::class, 'show']);
                Route::patch('', [SeasonController::class, 'update']);
                Route::delete('', [SeasonController::class, 'destroy']);
                Route::post('restore', [SeasonController::class, 'restore']);
                Route::post('copy', [SeasonController::class, 'copy']);
                Route::put('archived', [SeasonController::class, 'archive']);
                Route::put('currency', [SeasonController::class, 'currency']);
                Route::put('kit', [SeasonController::class, 'kit']);
                Route::get('file', [SeasonController::class, 'file'])->middleware(MayBeOlder::class);
                Route::post('undo', [HistoryController::class, 'undo']);
                Route::post('redo', [HistoryController::class, 'redo']);
                Route::post('crops', [CropController::class, 'store']);
                Route::post('lots', [CropController::class, 'packet']);
                Route::post('crops/{crop}/rounds', [CropController::class, 'rounds']);
                Route::put('crops/{crop}/sow', [CropController::class, 'sow']);
                Route::get('setups/{setup}/crops/{crop}/choices', [CropController::class, 'choices'])->middleware(MayBeOlder::class);
                Route::post('methods', [MethodController::class, 'store']);
                Route::put('methods/{method}/survival', [MethodController::class, 'survival']);
                Route::get('setups/{setup}/methods/{method}/growth', [MethodController::class, 'growth'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/bench', [BenchController::class, 'bench']);
                Route::get('setups/{setup}/pots', [BenchController::class, 'pots'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/guesses', GuessController::class);
                Route::get('setups/{setup}/shopping', [ShoppingController::class, 'show']);
                Route::get('setups/{setup}/shopping.csv', [ShoppingController::class, 'file'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/leftovers', [ShedController::class, 'leftovers']);
                Route::get('setups/{setup}/seed-worth', [ShedController::class, 'seedWorth']);
                Route::get('shed', [ShedController::class, 'offers']);
                Route::post('roll', [ShedController::class, 'roll']);
                Route::get('setups/{setup}/prices', [PriceController::class, 'offers']);
                Route::get('setups/{setup}/ledger', [LedgerController::class, 'show'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/ledger.csv', [LedgerController::class, 'file'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/result.json', [LedgerController::class, 'result'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/workbook.{format}', [LedgerController::class, 'workbook'])->where('format', 'xlsx|ods')
                    ->middleware(MayBeOlder::class);
                Route::post('workbook', [LedgerController::class, 'read']);
                Route::put('purchases/{token}', [ShoppingController::class, 'buy'])->where('token', '[A-Za-z0-9-]{8,40}');
                Route::delete('purchases/{token}', [ShoppingController::class, 'unbuy'])->where('token', '[A-Za-z0-9-]{8,40}');
                Route::post('things', [ThingController::class, 'store']);
                Route::post('work', [WorkController::class, 'store']);
                Route::get('work/{work}', [WorkController::class, 'show']);
                Route::delete('work/{work}', [WorkController::class, 'destroy']);
                Route::get('compare', [CompareController::class, 'show'])->middleware(MayBeOlder::class);
                Route::get('difference', [CompareController::class, 'difference'])->middleware(MayBeOlder::class);
                Route::get('years', [CompareController::class, 'years'])->middleware(MayBeOlder::class);
                Route::post('setups', [CompareController::class, 'store']);
                Route::get('setups/{setup}/calendar', [CalendarController::class, 'show']);
                Route::get('setups/{setup}/calendar.ics', [CalendarController::class, 'file'])->middleware(MayBeOlder::class);
                Route::put('setups/{setup}/crops/{crop}/bar', [CalendarController::class, 'move']);
                Route::put('setups/{setup}/feed', [CalendarController::class, 'open']);
                Route::delete('setups/{setup}/feed', [CalendarController::class, 'close']);
                Route::get('setups/{setup}/workings/{figure}', WorkingController::class);
                Route::get('setups/{setup}/reckoning', [ReckoningController::class, 'show']);
                Route::post('setups/{setup}/next', [ReckoningController::class, 'next']);
                Route::get('setups/{setup}/today', [TrayController::class, 'today']);
                Route::get('setups/{setup}/trays', [TrayController::class, 'show']);
                Route::put('setups/{setup}/trays', [TrayController::class, 'lay']);
                Route::get('setups/{setup}/labels.pdf', [TrayController::class, 'labels']);
                Route::get('setups/{setup}/crops/{crop}/sow-again', [TrayController::class, 'again']);
                Route::get('log', [LogController::class, 'show']);
                Route::post('log', [LogController::class, 'store']);
                Route::get('log.csv', [LogController::class, 'file'])->middleware(MayBeOlder::class);
                Route::post('log/table', [LogController::class, 'table']);
                Route::put('photos/{token}', [PhotoController::class, 'store'])->where('token', '[A-Za-z0-9-]{8,40}');
                Route::get('photos/{token}', [PhotoController::class, 'show'])->where('token', '[A-Za-z0-9-]{8,40}');
                Route::delete('photos/{token}', [PhotoController::class, 'destroy'])->where('token', '[A-Za-z0-9-]{8,40}');
                Route::put('weather', [WeatherController::class, 'choose']);
                Route::get('setups/{setup}/weather', [WeatherController::class, 'show']);
                Route::get('setups/{setup}/going-out', [WeatherController::class, 'goingOut'])->middleware(MayBeOlder::class);
                Route::get('setups/{setup}/devices', [DeviceController::class, 'index']);
                Route::post('devices', [DeviceController::class, 'store']);
                Route::delete('devices/{device}', [DeviceController::class, 'destroy'])->where('device', '[0-9]{1,18}');
            });
    });

Route::get('calendar/{token}.ics', [CalendarController::class, 'feed'])
    ->where('token', '[A-Za-z0-9]{48}')
    ->withoutMiddleware(GardenAtOnce::class);
// A device has a token and no session.
Route::post('api/device/readings', [DeviceController::class, 'read'])->withoutMiddleware('web')->middleware('throttle:devices');
Route::post('api/device/weather', WeatherPostController::class)->withoutMiddleware('web')->middleware('throttle:devices');
Route::get('up', [HealthController::class, 'up'])->withoutMiddleware('web');
Route::get('metrics', [HealthController::class, 'metrics'])->withoutMiddleware('web');
Route::get('mailbox', MailboxController::class);
Route::get('shell', [PageController::class, 'shell'])->withoutMiddleware('web');
Route::get('/{screen?}', [PageController::class, 'page'])->where('screen', '(?!api/|build/).*');

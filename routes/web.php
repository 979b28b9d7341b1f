<?php

declare(strict_types=1);

use App\Http\Controllers\SeasonController;
use App\Http\Controllers\WorkingController;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->middleware(['auth', 'throttle:edits'])->group(function (): void {
    Route::get('seasons', [SeasonController::class, 'index']);
    Route::get('seasons/{season}', [SeasonController::class, 'show'])->whereNumber('season');
    Route::patch('seasons/{season}', [SeasonController::class, 'update'])->whereNumber('season');
    Route::get('seasons/{season}/setups/{setup}/workings/{figure}', WorkingController::class)->whereNumber('season');
});

Route::view('/{screen?}', 'app')->where('screen', '(?!api/|build/).*');

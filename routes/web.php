<?php

use App\Http\Controllers\CommandController;
use App\Http\Controllers\HostController;
use App\Http\Controllers\MediaController;
use App\Http\Controllers\ShowController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TokenController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/shows');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('login');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SignInController::class, 'destroy']);
    Route::get('/shows', [ShowController::class, 'index']);
    Route::post('/shows', [ShowController::class, 'store']);
    Route::get('/tokens', [TokenController::class, 'index']);
    Route::post('/tokens', [TokenController::class, 'store']);
    Route::delete('/tokens/{token}', [TokenController::class, 'destroy']);

    Route::prefix('/shows/{show}')->whereUuid('show')->group(function (): void {
        Route::middleware('can:view,show')->group(function (): void {
            Route::get('/', [ShowController::class, 'desk']);
            Route::get('/rig', [ShowController::class, 'rig']);
            Route::get('/pictures', [ShowController::class, 'pictures']);
            Route::get('/as-run', [ShowController::class, 'asRun']);
            Route::get('/program', [ShowController::class, 'program']);
            Route::get('/state', [CommandController::class, 'state']);
            Route::get('/stills', [HostController::class, 'stills']);
            Route::get('/media/{medium}', [MediaController::class, 'show'])->whereUuid('medium');
        });
        Route::middleware('can:operate,show')->group(function (): void {
            Route::post('/commands', [CommandController::class, 'store']);
            Route::post('/plan', [CommandController::class, 'plan']);
            Route::post('/host', [HostController::class, 'store']);
            Route::post('/stills', [HostController::class, 'putStills']);
            Route::post('/media', [MediaController::class, 'store']);
        });
    });
});

<?php

use App\Http\Controllers\AdjustController;
use App\Http\Controllers\BudgetController;
use App\Http\Controllers\CommandController;
use App\Http\Controllers\DeviceController;
use App\Http\Controllers\HostController;
use App\Http\Controllers\JoinController;
use App\Http\Controllers\MediaController;
use App\Http\Controllers\NetworkCameraController;
use App\Http\Controllers\ShowController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\UploadController;
use Illuminate\Support\Facades\Route;

Route::redirect('/', '/shows');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('login');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
});

// Phones and other computers that join: the link itself is the right to.
Route::prefix('/join/{secret}')->where(['secret' => '[a-z0-9]{28}'])->middleware('throttle:join')->group(function (): void {
    Route::get('/', [JoinController::class, 'page']);
    Route::post('/here', [JoinController::class, 'here']);
    Route::post('/offer', [JoinController::class, 'offer']);
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
            Route::get('/sources/{source}/adjust', [AdjustController::class, 'page'])->whereUuid('source');
            Route::get('/line-up', [ShowController::class, 'lineUp']);
            Route::get('/decks/{source}', [ShowController::class, 'deck'])->whereUuid('source');
            Route::get('/cameras/{camera}/stream', [NetworkCameraController::class, 'stream'])->whereUuid('camera');
            Route::get('/cameras/{camera}/snapshot', [NetworkCameraController::class, 'snapshot'])->whereUuid('camera');
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
            Route::prefix('/sources/{source}')->whereUuid('source')->group(function (): void {
                Route::post('/try', [AdjustController::class, 'attempt']);
                Route::post('/match', [AdjustController::class, 'match']);
                Route::post('/backing', [AdjustController::class, 'backing']);
            });
            Route::post('/reading', [AdjustController::class, 'reading']);
            Route::post('/host', [HostController::class, 'store']);
            Route::post('/stills', [HostController::class, 'putStills']);
            Route::post('/media', [MediaController::class, 'store']);
            Route::post('/uploads', [UploadController::class, 'create']);
            Route::get('/uploads/{upload}', [UploadController::class, 'offset'])->whereUuid('upload')->scopeBindings();
            Route::patch('/uploads/{upload}', [UploadController::class, 'append'])->whereUuid('upload')->scopeBindings();
            Route::post('/cameras', [NetworkCameraController::class, 'store']);
            Route::post('/devices', [DeviceController::class, 'match']);
            Route::post('/signals', [DeviceController::class, 'signals']);
            Route::post('/budget', [BudgetController::class, 'store']);
            Route::post('/bars', [DeviceController::class, 'bars']);
            Route::post('/answers', [JoinController::class, 'answer']);
            Route::get('/sources/{source}/link', [JoinController::class, 'linkOf'])->whereUuid('source');
            Route::post('/sources/{source}/link', [JoinController::class, 'renew'])->whereUuid('source');
        });
    });
});

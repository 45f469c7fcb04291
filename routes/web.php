<?php

use App\Http\Controllers\AdjustController;
use App\Http\Controllers\AwayController;
use App\Http\Controllers\BudgetController;
use App\Http\Controllers\CommandController;
use App\Http\Controllers\ComposeController;
use App\Http\Controllers\ControlsController;
use App\Http\Controllers\DeviceController;
use App\Http\Controllers\HostController;
use App\Http\Controllers\JoinController;
use App\Http\Controllers\MediaController;
use App\Http\Controllers\NetworkCameraController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PictureFileController;
use App\Http\Controllers\ShowController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\UploadController;
use Illuminate\Support\Facades\Route;

Route::get('/away.js', [AwayController::class, 'worker']);

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
    Route::get('/', [ShowController::class, 'home']);
    Route::get('/token', [AwayController::class, 'token']);
    Route::put('/controls', [ControlsController::class, 'update']);
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
            Route::get('/tally', [ShowController::class, 'tally']);
            Route::get('/tally/{source}', [ShowController::class, 'tally'])->whereUuid('source');
            Route::get('/pictures', [ShowController::class, 'pictures']);
            Route::get('/pictures/file', [PictureFileController::class, 'save']);
            Route::get('/pictures/{picture}/file', [PictureFileController::class, 'save'])->whereUuid('picture');
            Route::get('/pictures/{picture}/guide.{form}', [PictureFileController::class, 'guide'])->whereUuid('picture');
            Route::get('/as-run', [ShowController::class, 'asRun']);
            Route::get('/panel', [ShowController::class, 'panel']);
            Route::get('/controls', [ShowController::class, 'controls']);
            Route::get('/transition', [ShowController::class, 'transition']);
            Route::get('/people', [PeopleController::class, 'page']);
            Route::post('/here', [PeopleController::class, 'here']);
            Route::get('/program', [ShowController::class, 'program']);
            Route::get('/state', [CommandController::class, 'state']);
            Route::get('/stills', [HostController::class, 'stills']);
            Route::get('/media/{medium}', [MediaController::class, 'show'])->whereUuid('medium');
        });
        // Which commands somebody may give depends on the command: the controller asks.
        Route::post('/commands', [CommandController::class, 'store']);
        Route::middleware('can:lead,show')->group(function (): void {
            Route::post('/alone', [PeopleController::class, 'alone']);
            Route::post('/people', [PeopleController::class, 'store']);
            Route::patch('/people/{person}', [PeopleController::class, 'update']);
            Route::delete('/people/{person}', [PeopleController::class, 'destroy']);
        });
        Route::middleware('can:operate,show')->group(function (): void {
            Route::get('/compose', [ComposeController::class, 'page']);
            Route::get('/compose/{picture}', [ComposeController::class, 'page'])->whereUuid('picture');
            Route::post('/compose', [ComposeController::class, 'compose']);
            Route::post('/harm', [ComposeController::class, 'harm']);
            Route::post('/holes', [ComposeController::class, 'holes']);
            Route::post('/pictures/{picture}/copy', [PictureFileController::class, 'copy'])->whereUuid('picture');
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

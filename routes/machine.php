<?php

use App\Http\Controllers\HealthController;
use App\Http\Controllers\LiveController;
use App\Models\JoinLink;
use Illuminate\Support\Facades\Route;

// For programs beside us: no session, no page.

Route::get('/up', HealthController::class);
Route::get('/ping', fn () => response()->noContent());

// nginx asks here with the listener's own cookies or token.
Route::get('/live/authorize/session/{show}', LiveController::class)->whereUuid('show')->middleware(['web', 'auth', 'can:view,show']);
Route::get('/live/authorize/token/{show}', LiveController::class)->whereUuid('show')->middleware(['auth:bearer', 'can:view,show']);
Route::get('/live/authorize/join/{secret}', fn (string $secret) => JoinLink::known($secret) === null ? abort(403) : response()->noContent(200))->where('secret', '[a-z0-9]{28}');

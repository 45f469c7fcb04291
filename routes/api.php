<?php

use App\Http\Controllers\ApiController;
use App\Http\Controllers\CommandController;
use Illuminate\Support\Facades\Route;

Route::get('/openapi.json', [ApiController::class, 'description']);

Route::middleware('auth:bearer')->group(function (): void {
    Route::get('/shows', [ApiController::class, 'shows']);
    // GET shows/{show}/events is served by nginx, which asks /live/authorize first.
    Route::get('/shows/{show}/state', [CommandController::class, 'state'])->whereUuid('show')->can('view', 'show');
    Route::post('/shows/{show}/commands', [CommandController::class, 'store'])->whereUuid('show');
});

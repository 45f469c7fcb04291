<?php

use App\Http\SaysItPlainly;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

// Everything that an instance writes lives in its data folder, so that two
// instances from one checkout do not disturb each other.
$data = getenv('RHETORIX_DATA') ?: dirname(__DIR__).'/data';
foreach (['config', 'events', 'packages', 'routes-v7', 'services'] as $cache) {
    $name = 'APP_'.strtoupper(explode('-', $cache)[0]).'_CACHE';
    $_ENV[$name] = $_SERVER[$name] = "{$data}/storage/framework/{$cache}.php";
}

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        apiPrefix: 'api/v1',
        then: function (): void {
            Route::middleware(SubstituteBindings::class)->group(__DIR__.'/../routes/machine.php');
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->remove(HandleCors::class);
        $middleware->redirectGuestsTo('/sign-in');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        SaysItPlainly::register($exceptions);
    })
    ->create();

$app->useEnvironmentPath($data);
$app->useStoragePath("{$data}/storage");

return $app;

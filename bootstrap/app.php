<?php

declare(strict_types=1);

use App\Console\KeepCommand;
use App\Console\ServingCommand;
use App\Http\Errors;
use App\Http\Middleware\InOneWrite;
use App\Http\Middleware\OnlyKnownHosts;
use App\Http\Middleware\OnlyOwnPages;
use App\Http\Middleware\SecurityHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(using: function (): void {
        Route::prefix('api')->middleware([InOneWrite::class, SubstituteBindings::class])->group(base_path('routes/api.php'));
        Route::group([], base_path('routes/web.php'));
    }, commands: __DIR__.'/../routes/console.php')
    ->withCommands([KeepCommand::class, ServingCommand::class])
    ->withMiddleware(function (Middleware $middleware): void {
        // No cookies, no session: nothing to steal, and nothing trims or empties what a maker typed.
        $middleware->use([OnlyKnownHosts::class, SecurityHeaders::class, OnlyOwnPages::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        Errors::register($exceptions);
    })
    ->create();

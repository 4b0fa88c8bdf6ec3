<?php

declare(strict_types=1);

use App\Http\Controllers\HandoutController;
use App\Http\Controllers\PageController;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Route;

Route::get('/designs/{design}/print', [HandoutController::class, 'page'])->middleware(SubstituteBindings::class);

// Every other page is the same document; which view it shows is the browser's business.
Route::get('/{page?}', PageController::class)->where('page', '(?!api/).*');

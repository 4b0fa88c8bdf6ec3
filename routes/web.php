<?php

declare(strict_types=1);

use App\Http\Controllers\PageController;
use Illuminate\Support\Facades\Route;

// Every page is the same document; which view it shows is the browser's business.
Route::get('/{page?}', PageController::class)->where('page', '(?!api/).*');

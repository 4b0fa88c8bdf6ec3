<?php

declare(strict_types=1);

use App\Http\Controllers\AlternativesController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\DesignController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\HandOnController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\SizingController;
use Illuminate\Support\Facades\Route;

Route::get('ping', fn () => response()->json((object) []));
Route::get('catalogue', CatalogueController::class);
Route::post('size', SizingController::class);

Route::get('designs', [DesignController::class, 'index']);
Route::post('designs', [DesignController::class, 'store']);
Route::post('designs/import', ImportController::class);
Route::get('designs/{design}', [DesignController::class, 'show']);
Route::delete('designs/{design}', [DesignController::class, 'destroy']);
Route::post('designs/{design}/restore', [DesignController::class, 'restore'])->withTrashed();
Route::post('designs/{design}/copy', [DesignController::class, 'copy']);

Route::get('designs/{design}/alternatives', AlternativesController::class);
Route::post('designs/{design}/edits', [EditController::class, 'store']);
Route::post('designs/{design}/undo', [EditController::class, 'undo']);
Route::post('designs/{design}/redo', [EditController::class, 'redo']);

Route::get('designs/{design}/design.json', [HandOnController::class, 'json']);
Route::get('designs/{design}/{piece}.svg', [HandOnController::class, 'svg']);
Route::get('designs/{design}/{piece}.fold', [HandOnController::class, 'fold']);

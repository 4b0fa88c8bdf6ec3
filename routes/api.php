<?php

declare(strict_types=1);

use App\Http\Controllers\AlternativesController;
use App\Http\Controllers\BackupController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\CuttingController;
use App\Http\Controllers\DesignController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\HandOnController;
use App\Http\Controllers\HandoutController;
use App\Http\Controllers\HistoryController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\LibraryController;
use App\Http\Controllers\MissedController;
use App\Http\Controllers\OutlineController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\SizesFileController;
use App\Http\Controllers\SizingController;
use App\Http\Controllers\StartController;
use App\Http\Controllers\StockController;
use App\Http\Controllers\ToldController;
use App\Http\Controllers\TrialController;
use App\Http\Controllers\UsualController;
use App\Http\Controllers\VariantController;
use App\Http\Controllers\WorkController;
use App\Http\Middleware\InOneWrite;
use Illuminate\Support\Facades\Route;

Route::get('ping', fn () => response()->json((object) []));
Route::get('catalogue', CatalogueController::class);

// What is only asked, in a body, and writes nothing.
Route::withoutMiddleware(InOneWrite::class)->group(function (): void {
    Route::post('size', SizingController::class);
    Route::post('starts', StartController::class);
    Route::post('outlines', OutlineController::class);
    Route::post('designs/{design}/missed', MissedController::class);
    Route::post('library/sizes/preview', [SizesFileController::class, 'preview']);
    Route::post('trials/notch', [TrialController::class, 'notch']);
    Route::post('trials/caliper', [TrialController::class, 'caliper']);
});

// Backups stand beside the database; one is put back in a transaction of its own.
Route::withoutMiddleware(InOneWrite::class)->group(function (): void {
    Route::get('backups', [BackupController::class, 'index']);
    Route::post('backups', [BackupController::class, 'store']);
    Route::post('backups/take-in', [BackupController::class, 'takeIn']);
    Route::get('backups/{backup}', [BackupController::class, 'show']);
    Route::post('backups/{backup}/restore', [BackupController::class, 'restore']);
    Route::get('everything.jsonl', [BackupController::class, 'everything']);
});
Route::post('backups/{backup}/designs/{id}', [BackupController::class, 'fetch']);

Route::get('designs', [DesignController::class, 'index']);
Route::post('designs', [DesignController::class, 'store']);
Route::post('designs/import', ImportController::class);
Route::get('designs/archive', [DesignController::class, 'archive']);
Route::get('designs/{design}', [DesignController::class, 'show']);
Route::get('designs/{design}/now', [DesignController::class, 'now']);
Route::patch('designs/{design}', [DesignController::class, 'update']);
Route::delete('designs/{design}', [DesignController::class, 'destroy']);
Route::post('designs/{design}/restore', [DesignController::class, 'restore'])->withTrashed();
Route::post('designs/{design}/copy', [DesignController::class, 'copy']);

Route::get('designs/{design}/told', [ToldController::class, 'steps']);
Route::get('designs/{design}/folding', [ToldController::class, 'folding']);
Route::get('designs/{design}/picture', PictureController::class);
Route::get('designs/{design}/alternatives', AlternativesController::class);
Route::get('designs/{design}/ticks', [RecordController::class, 'index']);
Route::post('designs/{design}/ticks', [RecordController::class, 'store']);
Route::get('designs/{design}/work', [WorkController::class, 'pictures']);
Route::get('designs/{design}/steps/{number}.svg', [WorkController::class, 'picture'])->whereNumber('number');
Route::post('designs/{design}/edits', [EditController::class, 'store'])->name('edit');
Route::post('designs/{design}/undo', [EditController::class, 'undo']);
Route::post('designs/{design}/redo', [EditController::class, 'redo']);

Route::get('designs/{design}/history', [HistoryController::class, 'index']);
Route::post('designs/{design}/go', [HistoryController::class, 'go']);
Route::post('designs/{design}/points', [HistoryController::class, 'name']);
Route::post('designs/{design}/points/{point}/return', [HistoryController::class, 'return']);
Route::delete('designs/{design}/points/{point}', [HistoryController::class, 'forget']);

Route::get('designs/{design}/variants', [VariantController::class, 'index']);
Route::post('designs/{design}/variants', [VariantController::class, 'store']);
Route::post('designs/{design}/variants/{variant}/keep', [VariantController::class, 'keep']);
Route::delete('designs/{design}/variants/{variant}', [VariantController::class, 'destroy']);

Route::get('usual', [UsualController::class, 'show']);
Route::put('usual', [UsualController::class, 'update']);

Route::get('library', [LibraryController::class, 'index']);
Route::get('library/sizes.csv', [SizesFileController::class, 'write']);
Route::post('library/sizes/take', [SizesFileController::class, 'take']);
Route::get('library/stock.csv', [StockController::class, 'write']);
Route::post('library/stock/take', [StockController::class, 'take']);
Route::put('library/papers/{entry}/stock', [StockController::class, 'update']);
Route::post('library/{kind}', [LibraryController::class, 'store']);
Route::put('library/{kind}/{entry}', [LibraryController::class, 'update']);
Route::delete('library/{kind}/{entry}', [LibraryController::class, 'destroy']);

Route::get('plans', [PlanController::class, 'index']);
Route::post('plans', [PlanController::class, 'store']);
Route::get('plans/{plan}', [PlanController::class, 'show']);
Route::put('plans/{plan}', [PlanController::class, 'update']);
Route::delete('plans/{plan}', [PlanController::class, 'destroy']);
Route::post('plans/{plan}/cut', [PlanController::class, 'cut']);
Route::post('plans/{plan}/missed', [PlanController::class, 'missed']);
Route::put('plans/{plan}/hand', [PlanController::class, 'hand']);
Route::post('plans/{plan}/envelopes', [PlanController::class, 'envelopes']);
Route::get('plans/{plan}/meetings', [PlanController::class, 'meetings']);
Route::post('plans/{plan}/meet', [PlanController::class, 'meet']);
Route::post('plans/{plan}/further', [PlanController::class, 'further']);
Route::delete('plans/{plan}/cuts/{cut}', [PlanController::class, 'undo']);
Route::get('plans/{plan}/plan.pdf', [PlanController::class, 'pdf']);
Route::get('plans/{plan}/sheet-{number}.svg', [PlanController::class, 'svg'])->whereNumber('number');

Route::post('designs/{design}/cutting', [CuttingController::class, 'store']);
Route::get('cutting', [CuttingController::class, 'index']);
Route::post('cutting/{job}/again', [CuttingController::class, 'again']);
Route::post('cutting/{job}/go-on', [CuttingController::class, 'goOn']);
Route::post('cutting/{job}/wish', [CuttingController::class, 'wish']);
Route::delete('cutting/{job}', [CuttingController::class, 'destroy']);

Route::get('designs/{design}/design.json', [HandOnController::class, 'json']);
Route::get('designs/{design}/measures.svg', [WorkController::class, 'measures']);
Route::get('designs/{design}/{piece}.svg', [HandOnController::class, 'svg']);
Route::get('designs/{design}/{piece}.fold', [HandOnController::class, 'fold']);
Route::get('designs/{design}/{piece}.dxf', [HandOnController::class, 'dxf']);
Route::get('designs/{design}/{piece}.hpgl', [HandOnController::class, 'hpgl']);
Route::get('designs/{design}/handout.pdf', [HandoutController::class, 'pdf']);
Route::get('designs/{design}/steps.html', [HandoutController::class, 'oneFile']);
Route::get('designs/{design}/recipe.txt', [HandoutController::class, 'recipe']);
Route::get('designs/{design}/template.pdf', [HandOnController::class, 'template']);
Route::get('designs/{design}/labels.pdf', [HandOnController::class, 'labels']);
Route::get('designs/{design}/cutting-list.csv', [HandOnController::class, 'cuttingList']);
Route::get('designs/{design}/everything.zip', [HandOnController::class, 'everything']);
Route::get('handed-on.zip', [HandOnController::class, 'many']);

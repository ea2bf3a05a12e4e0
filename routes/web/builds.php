<?php

use App\Http\Controllers\Builds;
use Illuminate\Support\Facades\Route;

Route::get('/builds', [Builds\BuildController::class, 'index'])->name('builds.index');
Route::get('/builds/new', [Builds\BuildController::class, 'create'])->name('builds.create');
Route::get('/builds/{order}', [Builds\BuildController::class, 'show'])->name('builds.show');
Route::put('/builds/{order}/shipped', [Builds\ShippedBuildController::class, 'update'])
    ->middleware(['may:build', 'may:ship'])
    ->name('builds.ship');
Route::get('/builds/{order}/paper.pdf', [Builds\BuildPaperController::class, 'show'])->name('builds.paper');
Route::get('/taking-apart', [Builds\ApartController::class, 'index'])->name('apart.index');

Route::middleware('may:build')->group(function (): void {
    Route::post('/builds', [Builds\BuildController::class, 'store'])->name('builds.store');
    Route::put('/builds/{order}', [Builds\BuildController::class, 'update'])->name('builds.update');
    Route::post('/taking-apart', [Builds\ApartController::class, 'store'])->name('apart.store');
});

Route::delete('/builds/{order}', [Builds\BuildController::class, 'destroy'])
    ->middleware('may:change-order')
    ->name('builds.destroy');

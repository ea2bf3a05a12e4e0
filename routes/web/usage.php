<?php

use App\Http\Controllers\Usage;
use Illuminate\Support\Facades\Route;

Route::get('/issue', [Usage\SlipController::class, 'index'])->name('issue.index');
Route::get('/slips/{slip}', [Usage\SlipController::class, 'show'])->name('slips.show');
Route::get('/slips/{slip}/lines/{line}', [Usage\SlipLineController::class, 'show'])->name('slips.line');
Route::get('/slips/{slip}/pick', [Usage\SlipPickController::class, 'show'])->name('slips.pick');
Route::get('/slips/{slip}/pick.pdf', [Usage\SlipPaperController::class, 'show'])->name('slips.paper');
Route::get('/returns', [Usage\ReturnController::class, 'index'])->name('returns.index');

Route::middleware('may:issue')->group(function (): void {
    Route::post('/slips', [Usage\SlipController::class, 'store'])->name('slips.store');
    Route::put('/slips/{slip}', [Usage\SlipController::class, 'update'])->name('slips.update');
    Route::delete('/slips/{slip}', [Usage\SlipController::class, 'destroy'])->name('slips.destroy');
    Route::post('/slips/{slip}/lines', [Usage\SlipLineController::class, 'store'])->name('slips.add');
    Route::post('/slips/{slip}/pick', [Usage\SlipPickController::class, 'store'])->name('slips.picked');
    Route::post('/orders/{order}/returns', [Usage\ReturnController::class, 'store'])->name('returns.store');
});

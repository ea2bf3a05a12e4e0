<?php

use App\Http\Controllers\Import;
use Illuminate\Support\Facades\Route;

Route::post('/take-out', [Import\TakeOutController::class, 'store'])->name('take-out.store');

Route::middleware('may:import')->group(function (): void {
    Route::get('/import', [Import\ImportController::class, 'index'])->name('import.index');
    Route::post('/import', [Import\ImportController::class, 'store'])->name('import.store');
    Route::get('/import/{import}', [Import\ImportController::class, 'show'])->name('import.show');
    Route::put('/import/{import}', [Import\ImportController::class, 'update'])->name('import.update');
});

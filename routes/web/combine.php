<?php

use App\Http\Controllers\Combine;
use Illuminate\Support\Facades\Route;

Route::get('/combine', [Combine\CombineController::class, 'index'])->name('combine.index');
Route::get('/set-ups', [Combine\SetUpController::class, 'index'])->name('set-ups.index');

Route::middleware('may:change-order')->group(function (): void {
    Route::post('/combine', [Combine\CombineController::class, 'store'])->name('combine.store');
    Route::delete('/covers/{cover}/share', [Combine\CombineController::class, 'destroy'])->name('combine.destroy');
    Route::post('/set-ups', [Combine\SetUpController::class, 'store'])->name('set-ups.store');
    Route::delete('/set-ups/{step}', [Combine\SetUpController::class, 'destroy'])->name('set-ups.destroy');
});

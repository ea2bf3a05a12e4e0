<?php

use App\Http\Controllers\Station;
use Illuminate\Support\Facades\Route;

Route::get('/station', [Station\StationController::class, 'index'])->name('station.index');
Route::get('/station/{station}', [Station\StationController::class, 'show'])->name('station.show');

Route::middleware('may:report')->group(function (): void {
    Route::post('/order-steps/{step}/start', [Station\StartedStepController::class, 'store'])->name('station.start');
    Route::post('/order-steps/{step}/report', [Station\StepReportController::class, 'store'])->name('station.report');
});

<?php

use App\Http\Controllers\Bookings;
use Illuminate\Support\Facades\Route;

Route::get('/questions', [Bookings\QuestionController::class, 'index'])->name('questions.index');
Route::get('/bookings', [Bookings\BookingController::class, 'index'])->name('bookings.index');
Route::get('/bookings/{booking}/labels.pdf', [Bookings\BookingLabelController::class, 'show'])->name('bookings.labels');
Route::get('/bookings/{booking}', [Bookings\BookingController::class, 'show'])->name('bookings.show');
Route::delete('/bookings/{booking}', [Bookings\BookingController::class, 'destroy'])->name('bookings.destroy');

Route::middleware('may:reverse')->group(function (): void {
    Route::delete('/bookings/{booking}/lines', [Bookings\BookedLineController::class, 'destroy'])
        ->name('bookings.lines');
    Route::post('/moves/{move}/lot', [Bookings\MovedLotController::class, 'store'])->name('bookings.lot');
});

Route::put('/questions/{question}', [Bookings\QuestionController::class, 'update'])
    ->middleware('may:issue')
    ->name('questions.update');
Route::post('/bookings/{booking}/late-cost', [Bookings\LateCostController::class, 'store'])
    ->middleware('may:value')
    ->name('bookings.late-cost');

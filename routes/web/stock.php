<?php

use App\Http\Controllers\Stock;
use Illuminate\Support\Facades\Route;

Route::get('/coming-and-going', [Stock\FlowController::class, 'index'])->name('flow.index');
Route::get('/coming-and-going/{item}', [Stock\FlowController::class, 'show'])->name('flow.show');
Route::get('/stock', [Stock\StockController::class, 'index'])->name('stock.index');
Route::get('/stock/{item}', [Stock\StockController::class, 'show'])->name('stock.show');

Route::middleware('may:goods-in')->group(function (): void {
    Route::post('/stock', [Stock\StockController::class, 'store'])->name('stock.store');
    Route::post('/balances/{balance}/count', [Stock\StockCountController::class, 'store'])->name('stock.count');
});

Route::middleware('may:issue')->group(function (): void {
    Route::post('/balances/{balance}/scrap', [Stock\StockScrapController::class, 'store'])->name('stock.scrap');
    Route::post('/balances/{balance}/condition', [Stock\StockConditionController::class, 'store'])
        ->name('stock.condition');
    Route::post('/lots/{lot}/expiry', [Stock\LotExpiryController::class, 'store'])->name('stock.expiry');
});

Route::middleware('may:value')->group(function (): void {
    Route::post('/items/{item}/standard', [Stock\StandardCostController::class, 'store'])->name('stock.standard');
    Route::post('/standard-costs', [Stock\StandardController::class, 'store'])->name('standards.store');
    Route::delete('/standard-costs/coming/{coming}', [Stock\ComingStandardController::class, 'destroy'])
        ->name('standards.drop');
    Route::delete('/standard-costs/{booking}', [Stock\StandardController::class, 'destroy'])->name('standards.destroy');
});

Route::middleware('may:reserve')->group(function (): void {
    Route::post('/reservations/preview', [Stock\ReservationEffectController::class, 'store'])
        ->name('reservations.preview');
    Route::post('/reservations', [Stock\ReservationController::class, 'store'])->name('reservations.store');
    Route::delete('/reservations/{reservation}', [Stock\ReservationController::class, 'destroy'])
        ->name('reservations.destroy');
});

Route::get('/standard-costs', [Stock\StandardController::class, 'index'])
    ->middleware('may:see-money')
    ->name('standards.index');

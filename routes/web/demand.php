<?php

use App\Http\Controllers\Demand;
use Illuminate\Support\Facades\Route;

Route::get('/customer-orders', [Demand\CustomerOrderController::class, 'index'])->name('customer-orders.index');
Route::get('/customer-lines/{line}/chain', [Demand\LineChainController::class, 'show'])->name('customer-lines.chain');
Route::get('/customer-orders/{customerOrder}', [Demand\CustomerOrderController::class, 'show'])
    ->name('customer-orders.show');
Route::get('/promise', [Demand\PromiseController::class, 'index'])->name('promise.index');
Route::get('/ship', [Demand\ShipController::class, 'index'])->name('ship.index');

Route::middleware('may:enter-customer-order')->group(function (): void {
    Route::get('/customer-orders/new', [Demand\CustomerOrderController::class, 'create'])
        ->name('customer-orders.create');
    Route::post('/customer-orders', [Demand\CustomerOrderController::class, 'store'])->name('customer-orders.store');
    Route::put('/customer-order-lines/{line}', [Demand\CustomerOrderController::class, 'update'])
        ->name('customer-order-lines.update');
    Route::delete('/customer-order-lines/{line}', [Demand\CustomerOrderLineController::class, 'destroy'])
        ->name('customer-order-lines.destroy');
});

Route::middleware('may:cover')->group(function (): void {
    Route::post('/covers', [Demand\CoverController::class, 'store'])->name('covers.store');
    Route::put('/customer-order-lines/{line}/cover', [Demand\CoverController::class, 'update'])->name('covers.update');
    Route::delete('/covers/{cover}', [Demand\CoverController::class, 'destroy'])->name('covers.destroy');
});

Route::middleware('may:promise')->group(function (): void {
    Route::post('/promise', [Demand\AskedPromiseController::class, 'store'])->name('promise.ask');
    Route::post('/promise/held', [Demand\PromiseController::class, 'store'])->name('promise.store');
    Route::delete('/promise/held/{promise}', [Demand\PromiseController::class, 'destroy'])->name('promise.destroy');
});

Route::get('/customer-lines/{line}/cost', [Demand\LineCostController::class, 'show'])
    ->middleware('may:see-money')
    ->name('customer-lines.cost');
Route::post('/customer-orders/{customerOrder}/ship', [Demand\ShipController::class, 'store'])
    ->middleware('may:ship')
    ->name('ship.store');

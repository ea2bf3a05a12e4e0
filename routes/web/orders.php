<?php

use App\Http\Controllers\Orders;
use Illuminate\Support\Facades\Route;

Route::get('/orders', [Orders\OrderController::class, 'index'])->name('orders.index');
Route::get('/orders/{order}', [Orders\OrderController::class, 'show'])->name('orders.show');
Route::get('/release', [Orders\ReleaseController::class, 'index'])->name('release.index');
Route::get('/receive', [Orders\ReceiveController::class, 'index'])->name('receive.index');
Route::post('/orders/{order}/receive-and-ship', [Orders\ReceivedAndShippedController::class, 'store'])
    ->middleware(['may:receive', 'may:ship'])
    ->name('receive.ship');
Route::post('/orders/{order}/receive-and-issue', [Orders\ReceivedAndIssuedController::class, 'store'])
    ->middleware(['may:receive', 'may:issue'])
    ->name('receive.issue');
Route::get('/parts', [Orders\PartsController::class, 'index'])->name('parts.index');
Route::get('/rank', [Orders\RankController::class, 'index'])->name('rank.index');

Route::middleware('may:change-order')->group(function (): void {
    Route::post('/orders', [Orders\OrderController::class, 'store'])->name('orders.store');
    Route::put('/orders/{order}', [Orders\OrderController::class, 'update'])->name('orders.update');
    Route::delete('/orders/{order}', [Orders\OrderController::class, 'destroy'])->name('orders.destroy');
    Route::post('/orders/{order}/split', [Orders\OrderSplitController::class, 'store'])->name('orders.split');
    Route::post('/orders/{order}/copy', [Orders\OrderCopyController::class, 'store'])->name('orders.copy');
    Route::post('/orders/{order}/short', [Orders\ShortOrderController::class, 'store'])->name('orders.short');
    Route::post('/orders/{order}/components', [Orders\OrderComponentController::class, 'store'])
        ->name('order-components.store');
    Route::post('/order-components/{component}/order', [Orders\MadePartController::class, 'store'])
        ->name('order-components.make');
    Route::put('/order-components/{component}', [Orders\OrderComponentController::class, 'update'])
        ->name('order-components.update');
    Route::put('/order-outputs/{output}', [Orders\OrderOutputController::class, 'update'])
        ->name('order-outputs.update');
    Route::post('/orders/{order}/steps', [Orders\OrderStepController::class, 'store'])->name('order-steps.store');
    Route::delete('/order-steps/{step}', [Orders\OrderStepController::class, 'destroy'])->name('order-steps.destroy');
    Route::put('/order-steps/{step}', [Orders\OrderStepController::class, 'update'])->name('order-steps.update');
    Route::put('/order-steps/{step}/place', [Orders\StepPlaceController::class, 'update'])->name('step-places.update');
    Route::put('/order-components/{component}/parts', [Orders\PartsInsteadController::class, 'update'])
        ->name('order-components.parts');
    Route::put('/order-components/{component}/swap', [Orders\SwappedComponentController::class, 'update'])
        ->name('order-components.swap');
});

Route::middleware('may:purchase')->group(function (): void {
    Route::put('/order-steps/{step}/supplier', [Orders\StepSupplierController::class, 'update'])
        ->name('step-suppliers.update');
    Route::get('/orders/{order}/purchases', [Orders\WordsController::class, 'create'])->name('orders.buy-form');
    Route::post('/orders/{order}/purchases', [Orders\WordsController::class, 'store'])->name('orders.buy');
});

Route::middleware('may:rank')->group(function (): void {
    Route::post('/rank/preview', [Orders\RankEffectController::class, 'store'])->name('rank.preview');
    Route::post('/rank', [Orders\RankController::class, 'store'])->name('rank.store');
});

Route::post('/release', [Orders\ReleaseController::class, 'store'])
    ->middleware('may:release')
    ->name('release.store');
Route::post('/orders/{order}/receive', [Orders\ReceiveController::class, 'store'])
    ->middleware('may:receive')
    ->name('receive.store');
Route::post('/orders/{order}/close', [Orders\ClosedOrderController::class, 'store'])
    ->middleware('may:close')
    ->name('orders.close');

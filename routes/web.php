<?php

use App\Http\Controllers as C;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/login', [C\LoginController::class, 'show'])->name('login');
    Route::post('/login', [C\LoginController::class, 'store'])->name('login.store');
});

Route::middleware(['auth', 'may:look'])->group(function (): void {
    Route::post('/logout', [C\LoginController::class, 'destroy'])->name('logout');

    Route::get('/', [C\TodayController::class, 'index'])->name('today');
    Route::get('/find', [C\FindController::class, 'index'])->name('find');
    Route::get('/items', [C\ItemController::class, 'index'])->name('items.index');

    Route::get('/customer-orders', [C\CustomerOrderController::class, 'index'])->name('customer-orders.index');
    Route::get('/customer-orders/new', [C\CustomerOrderController::class, 'create'])->middleware('may:enter-customer-order')->name('customer-orders.create');
    Route::post('/customer-orders', [C\CustomerOrderController::class, 'store'])->middleware('may:enter-customer-order')->name('customer-orders.store');
    Route::get('/customer-orders/{customerOrder}', [C\CustomerOrderController::class, 'show'])->whereNumber('customerOrder')->name('customer-orders.show');
    Route::put('/customer-order-lines/{line}', [C\CustomerOrderController::class, 'update'])->whereNumber('line')->middleware('may:enter-customer-order')->name('customer-order-lines.update');
    Route::post('/covers', [C\CoverController::class, 'store'])->middleware('may:cover')->name('covers.store');
    Route::put('/customer-order-lines/{line}/cover', [C\CoverController::class, 'update'])->whereNumber('line')->middleware('may:cover')->name('covers.update');
    Route::delete('/covers/{cover}', [C\CoverController::class, 'destroy'])->whereNumber('cover')->middleware('may:cover')->name('covers.destroy');

    Route::get('/orders', [C\OrderController::class, 'index'])->name('orders.index');
    Route::post('/orders', [C\OrderController::class, 'store'])->middleware('may:change-order')->name('orders.store');
    Route::get('/orders/{order}', [C\OrderController::class, 'show'])->whereNumber('order')->name('orders.show');
    Route::put('/orders/{order}', [C\OrderController::class, 'update'])->whereNumber('order')->middleware('may:change-order')->name('orders.update');
    Route::delete('/orders/{order}', [C\OrderController::class, 'destroy'])->whereNumber('order')->middleware('may:change-order')->name('orders.destroy');
    Route::post('/orders/{order}/components', [C\OrderComponentController::class, 'store'])->whereNumber('order')->middleware('may:change-order')->name('order-components.store');
    Route::put('/order-components/{component}', [C\OrderComponentController::class, 'update'])->whereNumber('component')->middleware('may:change-order')->name('order-components.update');
    Route::post('/orders/{order}/steps', [C\OrderStepController::class, 'store'])->whereNumber('order')->middleware('may:change-order')->name('order-steps.store');
    Route::delete('/order-steps/{step}', [C\OrderStepController::class, 'destroy'])->whereNumber('step')->middleware('may:change-order')->name('order-steps.destroy');
    Route::put('/order-steps/{step}', [C\OrderStepController::class, 'update'])->whereNumber('step')->middleware('may:change-order')->name('order-steps.update');

    Route::get('/release', [C\ReleaseController::class, 'index'])->name('release.index');
    Route::post('/release', [C\ReleaseController::class, 'store'])->middleware('may:release')->name('release.store');
    Route::get('/board', [C\BoardController::class, 'index'])->name('board');
    Route::post('/board/by-rank', [C\BoardController::class, 'byRank'])->middleware('may:plan')->name('board.by-rank');
    Route::get('/issue', [C\IssueController::class, 'index'])->name('issue.index');
    Route::post('/issue', [C\IssueController::class, 'store'])->middleware('may:issue')->name('issue.store');
    Route::get('/station', [C\StationController::class, 'index'])->name('station.index');
    Route::get('/station/{station}', [C\StationController::class, 'show'])->whereNumber('station')->name('station.show');
    Route::post('/order-steps/{step}/start', [C\StationController::class, 'start'])->whereNumber('step')->middleware('may:report')->name('station.start');
    Route::post('/order-steps/{step}/report', [C\StationController::class, 'report'])->whereNumber('step')->middleware('may:report')->name('station.report');
    Route::get('/receive', [C\ReceiveController::class, 'index'])->name('receive.index');
    Route::post('/orders/{order}/receive', [C\ReceiveController::class, 'store'])->whereNumber('order')->middleware('may:receive')->name('receive.store');
    Route::post('/orders/{order}/close', [C\ReceiveController::class, 'close'])->whereNumber('order')->middleware('may:close')->name('orders.close');
    Route::get('/ship', [C\ShipController::class, 'index'])->name('ship.index');
    Route::post('/customer-orders/{customerOrder}/ship', [C\ShipController::class, 'store'])->whereNumber('customerOrder')->middleware('may:ship')->name('ship.store');
    Route::get('/stock', [C\StockController::class, 'index'])->name('stock.index');
    Route::post('/stock', [C\StockController::class, 'store'])->middleware('may:goods-in')->name('stock.store');
    Route::get('/stock/{item}', [C\StockController::class, 'show'])->whereNumber('item')->name('stock.show');
    Route::post('/balances/{balance}/count', [C\StockController::class, 'count'])->whereNumber('balance')->middleware('may:goods-in')->name('stock.count');

    Route::get('/bookings', [C\BookingController::class, 'index'])->name('bookings.index');
    Route::get('/bookings/{booking}', [C\BookingController::class, 'show'])->whereNumber('booking')->name('bookings.show');
    Route::delete('/bookings/{booking}', [C\BookingController::class, 'destroy'])->whereNumber('booking')->name('bookings.destroy');

    Route::get('/import', [C\ImportController::class, 'index'])->middleware('may:import')->name('import.index');
    Route::post('/import', [C\ImportController::class, 'store'])->middleware('may:import')->name('import.store');
    Route::get('/import/{import}', [C\ImportController::class, 'show'])->whereNumber('import')->middleware('may:import')->name('import.show');
});

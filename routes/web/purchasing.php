<?php

use App\Http\Controllers\Purchasing;
use Illuminate\Support\Facades\Route;

Route::get('/shortages', [Purchasing\ShortageController::class, 'index'])->name('shortages.index');
Route::get('/shortages/{item}/cures', [Purchasing\CureController::class, 'index'])->name('shortages.cures');
Route::get('/purchases', [Purchasing\PurchaseController::class, 'index'])->name('purchases.index');
Route::get('/purchases/{purchaseOrder}', [Purchasing\PurchaseController::class, 'show'])->name('purchases.show');
Route::get('/purchases/{purchaseOrder}/paper.pdf', [Purchasing\PurchasePaperController::class, 'show'])
    ->name('purchases.paper');
Route::get('/purchases/{purchaseOrder}/paper.json', [Purchasing\PurchaseFileController::class, 'show'])
    ->name('purchases.file');
Route::get('/goods-in', [Purchasing\DeliveryController::class, 'index'])->name('deliveries.index');
Route::get('/chase', [Purchasing\ChaseController::class, 'index'])->name('chase.index');
Route::get('/purchase-lines/{line}/forms', [Purchasing\PurchaseController::class, 'edit'])
    ->name('purchase-lines.forms');

Route::middleware('may:purchase')->group(function (): void {
    Route::post('/purchases/{purchaseOrder}/parts', [Purchasing\PurchasePartsController::class, 'store'])
        ->name('purchase-orders.parts');
    Route::post('/purchases', [Purchasing\PurchaseController::class, 'store'])->name('purchases.store');
    Route::put('/purchases/{purchaseOrder}', [Purchasing\PurchaseOrderController::class, 'update'])
        ->name('purchase-orders.update');
    Route::delete('/purchases/{purchaseOrder}', [Purchasing\PurchaseOrderController::class, 'destroy'])
        ->name('purchase-orders.destroy');
    Route::post('/purchases/{purchaseOrder}/sending', [Purchasing\PurchaseSendingController::class, 'store'])
        ->name('purchase-orders.send');
    Route::post('/purchases/{purchaseOrder}/answer', [Purchasing\PurchaseAnswerController::class, 'store'])
        ->name('purchase-orders.answer');
    Route::put('/purchase-lines/{line}/answer', [Purchasing\PurchaseAnswerController::class, 'update'])
        ->name('purchase-lines.settle');
    Route::put('/purchases/{purchaseOrder}/supplier', [Purchasing\PurchaseSupplierController::class, 'update'])
        ->name('purchase-orders.supplier');
    Route::post('/purchase-lines/{line}/part', [Purchasing\PurchasePartController::class, 'store'])
        ->name('purchase-lines.part');
    Route::put('/purchase-lines/{line}', [Purchasing\PurchaseController::class, 'update'])->name('purchases.update');
    Route::delete('/purchase-lines/{line}', [Purchasing\PurchaseController::class, 'destroy'])
        ->name('purchases.destroy');
    Route::put('/purchase-lines/{line}/arrival', [Purchasing\PurchaseArrivalController::class, 'update'])
        ->name('arrivals.purchase');
});

Route::middleware('may:goods-in')->group(function (): void {
    Route::post('/goods-in', [Purchasing\DeliveryController::class, 'store'])->name('deliveries.store');
    Route::post('/purchase-lines/{line}/returns', [Purchasing\PurchaseReturnController::class, 'store'])
        ->name('purchase-returns.store');
});

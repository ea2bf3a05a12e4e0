<?php

use App\Http\Controllers\Outside;
use Illuminate\Support\Facades\Route;

Route::get('/send-out', [Outside\ConsignmentController::class, 'index'])->name('send-outs.index');
Route::get('/send-out/{supplier}/to-go.pdf', [Outside\ToGoPaperController::class, 'show'])->name('send-outs.paper');
Route::get('/consignments/{consignment}', [Outside\ConsignmentController::class, 'show'])->name('consignments.show');
Route::get('/consignments/{consignment}/paper.pdf', [Outside\ConsignmentPaperController::class, 'show'])
    ->name('consignments.paper');
Route::get('/consignments/{consignment}/labels.pdf', [Outside\ConsignmentLabelController::class, 'show'])
    ->name('consignments.labels');
Route::get('/purchase-lines/{line}/made', [Outside\MadeController::class, 'edit'])->name('made.edit');
Route::get('/claims', [Outside\ClaimController::class, 'index'])->name('claims.index');
Route::get('/at-suppliers', [Outside\OutsideController::class, 'index'])->name('at-suppliers.index');
Route::get('/order-steps/{step}/back', [Outside\OutsideController::class, 'edit'])->name('outside.edit');
Route::get('/gate', [Outside\GateController::class, 'index'])->name('gate.index');

Route::middleware('may:outside')->group(function (): void {
    Route::post('/send-out', [Outside\ConsignmentController::class, 'store'])->name('send-outs.store');
    Route::post('/order-components/{component}/unused', [Outside\UnusedController::class, 'store'])
        ->name('unused.store');
    Route::post('/purchase-lines/{line}/made', [Outside\MadeController::class, 'store'])->name('made.store');
    Route::post('/order-steps/{step}/back', [Outside\OutsideController::class, 'store'])->name('outside.store');
});

Route::middleware('may:purchase')->group(function (): void {
    Route::post('/order-steps/work', [Outside\WorkController::class, 'store'])->name('work.store');
    Route::put('/questions/{question}/left', [Outside\LeftController::class, 'update'])->name('questions.left');
    Route::put('/claims/{claim}', [Outside\ClaimController::class, 'update'])->name('claims.update');
    Route::put('/consignment-lines/{line}/arrival', [Outside\ConsignmentArrivalController::class, 'update'])
        ->name('arrivals.consignment');
    Route::put('/questions/{question}/over', [Outside\OverController::class, 'update'])->name('questions.over');
});

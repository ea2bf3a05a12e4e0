<?php

use App\Http\Controllers\Billing;
use Illuminate\Support\Facades\Route;

Route::get('/periods', [Billing\PeriodController::class, 'index'])->name('periods.index');

Route::middleware('may:see-money')->group(function (): void {
    Route::get('/bills', [Billing\BillController::class, 'index'])->name('bills.index');
    Route::get('/not-billed', [Billing\NotBilledController::class, 'index'])->name('owed.index');
    Route::get('/bills/new', [Billing\BillController::class, 'create'])->middleware('may:bill')->name('bills.create');
    Route::get('/bills/{bill}', [Billing\BillController::class, 'show'])->name('bills.show');
});

Route::middleware('may:bill')->group(function (): void {
    Route::post('/bills', [Billing\BillController::class, 'store'])->name('bills.store');
    Route::post('/bills/file', [Billing\BillFileController::class, 'store'])->name('bills.file');
    Route::put('/bills/{bill}', [Billing\BillController::class, 'update'])->name('bills.accept');
    Route::delete('/bills/{bill}', [Billing\BillController::class, 'destroy'])->name('bills.refuse');
});

Route::post('/periods', [Billing\PeriodController::class, 'store'])
    ->middleware('may:value')
    ->name('periods.store');

<?php

use App\Http\Controllers\Settings;
use Illuminate\Support\Facades\Route;

Route::get('/settings', [Settings\SettingController::class, 'index'])->name('settings.index');
Route::get('/places', [Settings\PlaceController::class, 'index'])->name('places.index');

Route::middleware('may:set-up')->group(function (): void {
    Route::put('/settings', [Settings\SettingController::class, 'update'])->name('settings.update');
    Route::put('/settings/numberings', [Settings\NumberingController::class, 'update'])->name('settings.numberings');
    Route::put('/settings/reasons', [Settings\ReasonController::class, 'update'])->name('settings.reasons');
    Route::put('/places', [Settings\PlaceController::class, 'update'])->name('places.update');
});

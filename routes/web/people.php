<?php

use App\Http\Controllers\People;
use Illuminate\Support\Facades\Route;

Route::get('/password', [People\PasswordController::class, 'show'])->name('password.show');
Route::put('/password', [People\PasswordController::class, 'update'])->name('password.update');
Route::post('/logout', [People\LoginController::class, 'destroy'])->name('logout');

Route::middleware('may:people')->group(function (): void {
    Route::get('/people', [People\PersonController::class, 'index'])->name('people.index');
    Route::post('/people', [People\PersonController::class, 'store'])->name('people.store');
    Route::put('/people/{person}', [People\PersonController::class, 'update'])->name('people.update');
    Route::put('/people/{person}/password', [People\PersonPasswordController::class, 'update'])->name('people.reset');
    Route::post('/people/{person}/lock', [People\PersonLockController::class, 'store'])->name('people.lock');
    Route::delete('/people/{person}/lock', [People\PersonLockController::class, 'destroy'])->name('people.unlock');
});

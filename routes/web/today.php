<?php

use App\Http\Controllers\Today;
use Illuminate\Support\Facades\Route;

Route::get('/', [Today\TodayController::class, 'index'])->name('today');
Route::get('/find', [Today\FindController::class, 'index'])->name('find');
Route::get('/day', [Today\DayController::class, 'show'])->name('day');
Route::get('/moment', [Today\MomentController::class, 'show'])->name('moment');
Route::get('/bookings/{booking}/effect', [Today\EffectController::class, 'show'])->name('effect.show');

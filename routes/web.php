<?php

use App\Http\Controllers as C;
use Illuminate\Support\Facades\Route;

// every id is one
Route::patterns(
    array_fill_keys(
        [
            'attachment',
            'balance',
            'booking',
            'calendar',
            'centre',
            'component',
            'consignment',
            'claim',
            'cover',
            'coming',
            'customerOrder',
            'id',
            'import',
            'item',
            'line',
            'lot',
            'mail',
            'move',
            'order',
            'output',
            'partner',
            'person',
            'plan',
            'promise',
            'purchaseOrder',
            'bill',
            'question',
            'reservation',
            'search',
            'routing',
            'slip',
            'station',
            'step',
            'structure',
            'supplier',
        ],
        '[0-9]{1,18}',
    ),
);

Route::middleware('guest')->group(function (): void {
    Route::get('/login', [C\People\LoginController::class, 'show'])->name('login');
    Route::post('/login', [C\People\LoginController::class, 'store'])->name('login.store');
});

// calendar programs cannot log in: the signature in the address is the key
Route::get('/feeds/work-centres/{centre}.ics', [C\Board\DispatchFeedController::class, 'show'])
    ->middleware('signed')
    ->name('dispatch.feed');

// a file for each subject, as controllers and requests lie
Route::middleware(['auth', 'still-in', 'may:look'])->group(glob(__DIR__.'/web/*.php') ?: []);

// a page of our own, with the bar on top for who is logged in
Route::fallback(fn () => abort(404, 'What that address led to is not there, or not any more.'));

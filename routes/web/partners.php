<?php

use App\Http\Controllers\Partners;
use App\Models\PartnerKind;
use Illuminate\Support\Facades\Route;

Route::get('/mails', [Partners\MailController::class, 'index'])->name('mails.index');
Route::get('/mails/{mail}', [Partners\MailController::class, 'show'])->name('mails.show');
Route::get('/mails/{mail}/paper.pdf', [Partners\MailPaperController::class, 'show'])->name('mails.paper');
Route::get('/the-suppliers', [Partners\StandInController::class, 'index'])->name('mails.suppliers');

Route::middleware('may:purchase')->group(function (): void {
    Route::get('/suppliers/{partner}/call', [Partners\CallController::class, 'show'])->name('chase.call');
    Route::put('/suppliers/{partner}/call', [Partners\CallController::class, 'update'])->name('chase.days');
    Route::put('/the-suppliers', [Partners\StandInController::class, 'update'])->name('mails.go-by');
    Route::post('/the-suppliers/{purchaseOrder}', [Partners\StandInController::class, 'store'])->name('mails.turn');
});

foreach (PartnerKind::cases() as $kind) {
    $may = "may:{$kind->right()->value}";
    $routes = [
        Route::get("/{$kind->value}", [Partners\PartnerController::class, 'index'])->name("{$kind->value}.index"),
        Route::get("/{$kind->value}/new", [Partners\PartnerController::class, 'create'])
            ->middleware($may)
            ->name("{$kind->value}.create"),
        Route::post("/{$kind->value}", [Partners\PartnerController::class, 'store'])
            ->middleware($may)
            ->name("{$kind->value}.store"),
        Route::get("/{$kind->value}/{partner}", [Partners\PartnerController::class, 'show'])
            ->name("{$kind->value}.show"),
        Route::get("/{$kind->value}/{partner}/change", [Partners\PartnerController::class, 'edit'])
            ->middleware($may)
            ->name("{$kind->value}.edit"),
        Route::put("/{$kind->value}/{partner}", [Partners\PartnerController::class, 'update'])
            ->middleware($may)
            ->name("{$kind->value}.update"),
        Route::post("/{$kind->value}/{partner}/retired", [Partners\RetiredPartnerController::class, 'store'])
            ->middleware($may)
            ->name("{$kind->value}.retire"),
        Route::delete("/{$kind->value}/{partner}/retired", [Partners\RetiredPartnerController::class, 'destroy'])
            ->middleware($may)
            ->name("{$kind->value}.bring-back"),
    ];
    foreach ($routes as $route) {
        $route->defaults('kind', $kind->value);
    }
}
